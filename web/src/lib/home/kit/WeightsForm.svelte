<script lang="ts">
	import type { FixedWeights } from '$lib/api/client';
	import MassField from '$lib/home/MassField.svelte';
	import type { MassUnit } from '$lib/units';
	import PieceCells from './PieceCells.svelte';
	import Weigh from './Weigh.svelte';

	/** Weights that stay as they are: so many of one mass. */
	let { draft = $bindable(), unit }: { draft: FixedWeights; unit: MassUnit } = $props();
</script>

<div class="flex items-end gap-4">
	<label class="block w-56 text-[13px]">
		<span class="text-soft">What they are</span>
		<select class="select select-sm w-full" bind:value={draft.shape}>
			<option value="dumbbell">dumbbells</option>
			<option value="kettlebell">kettlebells</option>
			<option value="jug">closed jugs with a handle</option>
			<option value="can">cans or bottles in the hand</option>
			<option value="sack">closed sacks, hugged or shouldered</option>
		</select>
	</label>
	<label class="flex h-8 items-center gap-2 text-[13px]"
		><input type="checkbox" class="checkbox checkbox-sm" bind:checked={draft.consumable} />gets used up</label
	>
</div>
<table class="mt-3 w-full text-[13px]">
	<thead class="text-soft text-left">
		<tr>
			<th class="font-normal">mass of one</th>
			<th class="font-normal">how many</th>
			<th class="font-normal">give or take</th>
			<th><span class="sr-only">take out</span></th>
		</tr>
	</thead>
	<tbody>
		{#each draft.weights as weight, i (i)}
			<tr>
				<PieceCells bind:piece={draft.weights[i]!} row={i + 1} {unit} />
				<td
					><MassField
						small
						label="Error of {i + 1}"
						kilograms={weight.error}
						{unit}
						onread={(kg) => (weight.error = kg)}
					/></td
				>
				<td class="whitespace-nowrap">
					{#if draft.consumable}<button
							type="button"
							class="btn btn-xs"
							disabled={weight.count === 0}
							onclick={() => (weight.count -= 1)}>one used up</button
						>{/if}
					<Weigh
						{unit}
						name={draft.name}
						onweighed={(kg, error) => ([weight.mass, weight.error] = [kg, error])}
					/>
					<button type="button" class="btn btn-xs btn-ghost" onclick={() => draft.weights.splice(i, 1)}
						>out</button
					>
				</td>
			</tr>
		{/each}
	</tbody>
</table>
{#if draft.weights.length === 0}
	<p class="text-soft mt-1 text-[12.5px]">
		Not weighed yet, so not used yet. The block says what weighing it would unlock.
	</p>
{/if}
<button
	type="button"
	class="btn btn-xs mt-2"
	onclick={() => draft.weights.push({ mass: 5, count: 2, error: null })}>Add a row</button
>
