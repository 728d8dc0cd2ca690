<script lang="ts">
	import { untrack } from 'svelte';
	import { api, ask, type TemplateOffer } from '$lib/api/client';
	import type { Bench } from './bench.svelte';
	import Readings from './Readings.svelte';
	import TemplateList from './TemplateList.svelte';

	/** The programme as text, read as it is typed; what is not understood is told with its place. */
	let { bench, client, ondone }: { bench: Bench; client: string; ondone: () => void } = $props();
	let text = $state(untrack(() => bench.text));
	let area: HTMLTextAreaElement;
	let timer: ReturnType<typeof setTimeout> | undefined;

	function typed() {
		clearTimeout(timer);
		timer = setTimeout(() => bench.retype(text), 250);
	}

	/** A programme for somebody who brings none; one step back brings the old text again. */
	async function take(offer: TemplateOffer) {
		clearTimeout(timer);
		text = offer.text;
		await bench.retype(offer.text, offer.block);
	}

	const offers = ask(
		api.GET('/api/clients/{id}/templates', { params: { path: { id: untrack(() => client) } } })
	);

	async function done() {
		clearTimeout(timer);
		if (text !== bench.text) await bench.retype(text);
		else if (bench.busy) await bench.rebuild();
		if (bench.view.sessions.length > 0) ondone();
	}

	/** Puts the caret where a problem stands. */
	function show(line: number, column: number, length: number) {
		const start =
			text
				.split('\n')
				.slice(0, line - 1)
				.reduce((sum, l) => sum + l.length + 1, 0) +
			column -
			1;
		area.focus();
		area.setSelectionRange(start, start + Math.max(1, length));
	}

	function lineLength(line: number): number {
		return text.split('\n')[line - 1]?.length ?? 1;
	}

	$effect(() => {
		area.focus();
		return () => clearTimeout(timer);
	});
</script>

<div class="flex h-full flex-col gap-3 p-4">
	<div class="flex min-h-0 flex-1 gap-5">
		<label class="flex min-h-0 flex-1 flex-col">
			<span class="text-soft mb-1 text-xs">Gym programme, as you would type it</span>
			<textarea
				bind:this={area}
				bind:value={text}
				oninput={typed}
				onkeydown={(event) => {
					if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) done();
				}}
				spellcheck="false"
				class="textarea bg-base-100 min-h-40 w-full flex-1 resize-none font-sans text-[15px] leading-relaxed"
				placeholder="Front squat 4 x 6 @ 72.5 kg, rest 3:00"
			></textarea>
		</label>
		{#if bench.view.sessions.length > 0}
			<div class="flex w-[370px] shrink-0 flex-col gap-2">
				<Readings {bench} onshow={(line) => show(line, 1, lineLength(line))} />
				<details class="shrink-0">
					<summary class="cursor-pointer text-[13px] font-semibold">Take a template instead</summary>
					<div class="max-h-64 overflow-auto"><TemplateList {offers} ontake={take} /></div>
				</details>
			</div>
		{:else}
			<TemplateList {offers} ontake={take} />
		{/if}
	</div>
	{#if bench.view.problems.length > 0}
		<ul class="max-h-40 overflow-auto" aria-label="What could not be read">
			{#each bench.view.problems as problem, i (i)}
				<li class="border-accent border-l-4 py-0.5 pl-3 text-[13px]">
					<button class="text-left" onclick={() => show(problem.line, problem.column, problem.length)}>
						<b>line {problem.line}, column {problem.column}</b>
						{problem.message}
					</button>
				</li>
			{/each}
		</ul>
	{/if}
	<div class="flex items-center gap-3">
		<button class="btn btn-neutral btn-sm" onclick={done}>Rebuild for this home</button>
		<span class="text-soft text-xs"><kbd>Ctrl</kbd> <kbd>Enter</kbd> does the same</span>
	</div>
</div>
