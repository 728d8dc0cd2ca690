<script lang="ts">
	import { untrack } from 'svelte';
	import type { Fixture } from '$lib/api/client';
	import Notice from '$lib/shell/Notice.svelte';
	import type { MassUnit } from '$lib/units';
	import MassField from './MassField.svelte';
	import NumberField from './NumberField.svelte';
	import { FIXTURE_NAMES } from './words';

	/** One fixture: what it is, how high, what it may carry, and its last check. */
	interface Props {
		fixture: Fixture;
		unit: MassUnit;
		by: string;
		trouble: string;
		onsave: (fixture: Fixture) => void;
		onremove: (() => void) | null;
		onclose: () => void;
	}
	let { fixture, unit, by, trouble, onsave, onremove, onclose }: Props = $props();
	let draft = $state(untrack(() => structuredClone($state.snapshot(fixture))));
	let heightMissing = $state(false);
	let dialog: HTMLDialogElement;

	$effect(() => dialog.showModal());

	function judge(verdict: string) {
		draft.check =
			verdict === ''
				? null
				: {
						verdict: verdict as 'passed' | 'notPassed' | 'never',
						on: draft.check?.on ?? new Date().toISOString().slice(0, 10),
						by: draft.check?.by ?? by,
						reason: draft.check?.reason ?? null
					};
	}

	function save(event: SubmitEvent) {
		event.preventDefault();
		heightMissing = !(draft.height > 0);
		if (!heightMissing) onsave($state.snapshot(draft));
	}
</script>

<dialog bind:this={dialog} class="modal" aria-label={fixture.name || 'New fixture'} {onclose}>
	<form class="modal-box grid max-w-lg grid-cols-2 gap-3" onsubmit={save}>
		<h2 class="col-span-2 text-lg">{fixture.name || 'New fixture'}</h2>
		<label class="block text-[13px]">
			<span class="text-soft">Name the client uses</span>
			<input class="input input-sm w-full" bind:value={draft.name} required maxlength="80" />
		</label>
		<label class="block text-[13px]">
			<span class="text-soft">Kind</span>
			<select class="select select-sm w-full" bind:value={draft.kind}>
				{#each Object.entries(FIXTURE_NAMES) as [kind, name] (kind)}<option value={kind}>{name}</option
					>{/each}
			</select>
		</label>
		<NumberField
			label="Height above the floor, cm"
			value={draft.height > 0 ? draft.height * 100 : null}
			onread={(cm) => (draft.height = (cm ?? 0) / 100)}
		/>
		<NumberField
			label="How many of this height"
			value={draft.count}
			decimals={0}
			onread={(n) => (draft.count = Math.round(n ?? 1))}
		/>
		<MassField label="May carry" kilograms={draft.bears} {unit} onread={(kg) => (draft.bears = kg)} />
		<label class="block text-[13px]">
			<span class="text-soft">Last check</span>
			<select
				class="select select-sm w-full"
				value={draft.check?.verdict ?? ''}
				onchange={(event) => judge(event.currentTarget.value)}
			>
				<option value="">not checked</option>
				<option value="passed">passed: pulled or sat on, holds</option>
				<option value="notPassed">not passed</option>
				<option value="never">never to be used</option>
			</select>
		</label>
		{#if draft.check}
			<label class="block text-[13px]">
				<span class="text-soft">On</span>
				<input class="input input-sm w-full" type="date" bind:value={draft.check.on} required />
			</label>
			<label class="block text-[13px]">
				<span class="text-soft">By</span>
				<input class="input input-sm w-full" bind:value={draft.check.by} required maxlength="80" />
			</label>
			{#if draft.check.verdict !== 'passed'}
				<label class="col-span-2 block text-[13px]">
					<span class="text-soft">Why</span>
					<input class="input input-sm w-full" bind:value={draft.check.reason} maxlength="200" />
				</label>
			{/if}
		{/if}
		<p class="text-soft col-span-2 text-[12.5px]">
			Check with rising force: pull or sit, then harder; look at joints, feet and screws. A thing that was not
			passed is never prescribed. What a seat or table may carry is taken as 110 kg where it is not known; a
			rail or bar must be known.
		</p>
		<div class="col-span-2">
			<Notice text={heightMissing ? 'Give the height above the floor in centimetres.' : trouble} />
		</div>
		<div class="col-span-2 flex gap-2">
			<button class="btn btn-neutral btn-sm">Keep it</button>
			<button type="button" class="btn btn-sm" onclick={onclose}>Leave as it was</button>
			<span class="flex-1"></span>
			{#if onremove}<button type="button" class="btn btn-sm btn-ghost" onclick={onremove}>Take it out</button
				>{/if}
		</div>
	</form>
</dialog>
