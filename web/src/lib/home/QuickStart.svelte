<script lang="ts">
	import type { CommonThing } from '$lib/api/client';
	import Notice from '$lib/shell/Notice.svelte';
	import { readNumber } from '$lib/units';

	/** Common things to tick, with figures to start from, so that nobody starts from a blank page. */
	interface Props {
		common: CommonThing[];
		trouble: string;
		onadd: (things: CommonThing[]) => void;
		onclose: () => void;
	}
	let { common, trouble, onadd, onclose }: Props = $props();
	let ticked = $state<string[]>([]);
	let heights = $state<Record<string, string>>({});
	let dialog: HTMLDialogElement;
	const fixtures = $derived(common.filter((t) => t.fixture));
	const things = $derived(common.filter((t) => t.kit));

	$effect(() => dialog.showModal());

	function add(event: SubmitEvent) {
		event.preventDefault();
		onadd(
			common
				.filter((t) => ticked.includes(t.name))
				.map((t) => {
					const typed = readNumber(heights[t.name] ?? '');
					return t.fixture && typed !== null ? { ...t, fixture: { ...t.fixture, height: typed / 100 } } : t;
				})
		);
	}
</script>

<dialog bind:this={dialog} class="modal" aria-label="Common things" {onclose}>
	<form class="modal-box max-w-4xl" onsubmit={add}>
		<h2 class="text-lg">What is there? Tick it, correct it later</h2>
		<p class="text-soft mb-3 text-[13px]">
			Figures are usual ones, to start from. Nothing ticked here has passed a check yet, and a band says
			"rough" until it was pulled on a scale.
		</p>
		<div class="grid grid-cols-[1fr_1.1fr] gap-8">
			<fieldset>
				<legend class="font-display mb-1 font-semibold">To lean, sit, step and hang on</legend>
				{#each fixtures as thing (thing.name)}
					<div class="border-rule flex h-8 items-center gap-3 border-t">
						<label class="flex flex-1 items-center gap-2">
							<input type="checkbox" class="checkbox checkbox-sm" value={thing.name} bind:group={ticked} />
							{thing.name}
						</label>
						<label class="text-soft flex items-center gap-1 text-[12.5px]">
							<input
								class="input input-xs w-16 text-right"
								inputmode="decimal"
								aria-label="Height of {thing.name}"
								placeholder={String(Math.round((thing.fixture?.height ?? 0) * 100))}
								bind:value={heights[thing.name]}
							/> cm
						</label>
					</div>
				{/each}
			</fieldset>
			<fieldset>
				<legend class="font-display mb-1 font-semibold">To load and to pull with</legend>
				<div class="grid grid-cols-2 gap-x-4">
					{#each things as thing (thing.name)}
						<label class="border-rule flex h-8 items-center gap-2 border-t">
							<input type="checkbox" class="checkbox checkbox-sm" value={thing.name} bind:group={ticked} />
							{thing.name}
						</label>
					{/each}
				</div>
			</fieldset>
		</div>
		<div class="mt-3"><Notice text={trouble} /></div>
		<div class="mt-4 flex gap-2">
			<button class="btn btn-neutral btn-sm" disabled={ticked.length === 0}>
				{ticked.length === 0 ? 'Tick something' : `Add ${ticked.length}`}
			</button>
			<button type="button" class="btn btn-sm" onclick={onclose}>Leave as it was</button>
		</div>
	</form>
</dialog>
