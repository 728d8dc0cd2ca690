<script lang="ts">
	import type { Bar, Handles } from '$lib/api/client';
	import MassField from '$lib/home/MassField.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import type { MassUnit } from '$lib/units';
	import PieceCells from './PieceCells.svelte';

	/** Handles or a bar, and the plates that go on. */
	let { draft = $bindable(), unit }: { draft: Handles | Bar; unit: MassUnit } = $props();
</script>

<div class="grid grid-cols-4 gap-3">
	{#if draft.kind === 'plateLoadedHandles'}
		{@const handles = draft}
		<label class="block text-[13px]">
			<span class="text-soft">Handles</span>
			<select class="select select-sm w-full" bind:value={handles.handles}>
				<option value={1}>one</option>
				<option value={2}>two, a pair</option>
			</select>
		</label>
		<MassField
			label="One empty"
			kilograms={handles.handleMass}
			{unit}
			onread={(kg) => (handles.handleMass = kg ?? 0)}
		/>
	{:else}
		{@const bar = draft}
		<MassField label="Bar empty" kilograms={bar.barMass} {unit} onread={(kg) => (bar.barMass = kg ?? 0)} />
		<MassField label="Most in all" kilograms={bar.mostInAll} {unit} onread={(kg) => (bar.mostInAll = kg)} />
	{/if}
	<MassField
		label="One collar"
		kilograms={draft.collarMass}
		{unit}
		onread={(kg) => (draft.collarMass = kg ?? 0)}
	/>
	<NumberField
		label="Plates that fit one end"
		value={draft.platesPerEnd}
		decimals={0}
		onread={(n) => (draft.platesPerEnd = n === null ? null : Math.round(n))}
	/>
	<NumberField
		label="Free sleeve one end, cm"
		value={draft.sleeveRoom === null ? null : draft.sleeveRoom * 100}
		onread={(cm) => (draft.sleeveRoom = cm === null ? null : cm / 100)}
	/>
</div>
<table class="mt-3 w-full text-[13px]">
	<thead class="text-soft text-left">
		<tr>
			<th class="font-normal">mass of one plate</th>
			<th class="font-normal">how many</th>
			<th class="font-normal">thick, cm</th>
			<th><span class="sr-only">take out</span></th>
		</tr>
	</thead>
	<tbody>
		{#each draft.plates as plate, i (i)}
			<tr>
				<PieceCells bind:piece={draft.plates[i]!} row={i + 1} {unit} />
				<td
					><NumberField
						small
						label="Thickness of {i + 1}"
						value={plate.thickness === null ? null : plate.thickness * 100}
						onread={(cm) => (plate.thickness = cm === null ? null : cm / 100)}
					/></td
				>
				<td
					><button type="button" class="btn btn-xs btn-ghost" onclick={() => draft.plates.splice(i, 1)}
						>out</button
					></td
				>
			</tr>
		{/each}
	</tbody>
</table>
<button
	type="button"
	class="btn btn-xs mt-2"
	onclick={() => draft.plates.push({ mass: 2.5, count: 4, thickness: null })}>Add a row</button
>
<p class="text-soft mt-2 text-[12px]">
	Both ends of a handle carry the same, so plates count in twos, for a matched pair in fours.
</p>
