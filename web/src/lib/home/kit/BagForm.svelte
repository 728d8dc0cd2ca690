<script lang="ts">
	import { api, ask, messageOf, type Container } from '$lib/api/client';
	import MassField from '$lib/home/MassField.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import { massWithUnit, shownMass, type MassUnit } from '$lib/units';
	import PieceCells from './PieceCells.svelte';
	import Weigh from './Weigh.svelte';

	/** A bag or basket, what may go in, and how to pack it to a wanted mass. */
	let { draft = $bindable(), unit }: { draft: Container; unit: MassUnit } = $props();
	let wanted = $state<number | null>(null);
	let recipe = $state('');
	let steps = $state<{ load: number; words: string; seconds: number }[]>([]);

	async function pack(kilograms: number | null) {
		wanted = kilograms;
		if (kilograms === null) return;
		try {
			const packed = await ask(
				api.POST('/api/engine/packing', {
					body: { container: $state.snapshot(draft) as Container, wanted: kilograms, inUse: null }
				})
			);
			recipe = `${massWithUnit(packed.best.load, unit)}: ${packed.best.recipe.text}`;
			steps = packed.ladder.map((step) => ({
				load: step.rung.load,
				words: step.rung.recipe.text,
				seconds: step.changeover
			}));
		} catch (problem) {
			recipe = messageOf(problem);
		}
	}
</script>

<div class="grid grid-cols-4 gap-3">
	<label class="block text-[13px]">
		<span class="text-soft">Shape</span>
		<select class="select select-sm w-full" bind:value={draft.shape}>
			<option value="rucksack">fitted rucksack</option>
			<option value="basket">basket, two handles</option>
			<option value="bag">bag in one hand</option>
		</select>
	</label>
	<MassField label="Empty" kilograms={draft.ownMass} {unit} onread={(kg) => (draft.ownMass = kg ?? 0)} />
	<MassField label="Most in all" kilograms={draft.mostInAll} {unit} onread={(kg) => (draft.mostInAll = kg)} />
	<NumberField label="Litres it holds" value={draft.volume} onread={(n) => (draft.volume = n)} />
</div>
<table class="mt-3 w-full text-[13px]">
	<thead class="text-soft text-left">
		<tr>
			<th class="font-normal">what goes in</th>
			<th class="w-20 font-normal">mass of one</th>
			<th class="w-16 font-normal">how many</th>
			<th class="w-16 font-normal">litres</th>
			<th class="pl-3 font-normal">used up</th>
			<th><span class="sr-only">take out</span></th>
		</tr>
	</thead>
	<tbody>
		{#each draft.contents as content, i (i)}
			<tr>
				<td>
					<input
						class="input input-sm w-full"
						aria-label="Content {i + 1}"
						bind:value={content.name}
						required
						maxlength="80"
					/>
				</td>
				<PieceCells bind:piece={draft.contents[i]!} row={i + 1} {unit} />
				<td
					><NumberField
						small
						label="Litres of {i + 1}"
						value={content.volume}
						decimals={2}
						onread={(n) => (content.volume = n)}
					/></td
				>
				<td class="pl-3 whitespace-nowrap">
					<input
						type="checkbox"
						class="checkbox checkbox-sm mr-3 align-middle"
						aria-label="{content.name} gets used up"
						bind:checked={content.consumable}
					/>
					{#if content.consumable}<button
							type="button"
							class="btn btn-xs"
							disabled={content.count === 0}
							onclick={() => (content.count -= 1)}>one gone</button
						>{/if}
				</td>
				<td class="whitespace-nowrap">
					<Weigh
						{unit}
						name={content.name}
						onweighed={(kg, error) => ([content.mass, content.error] = [kg, error])}
					/>
					<button type="button" class="btn btn-xs btn-ghost" onclick={() => draft.contents.splice(i, 1)}
						>out</button
					>
				</td>
			</tr>
		{/each}
	</tbody>
</table>
<button
	type="button"
	class="btn btn-xs mt-2"
	onclick={() =>
		draft.contents.push({ name: 'bottle', mass: 1.53, count: 2, volume: 1.7, error: null, consumable: true })}
	>Add a row</button
>
<div class="mt-3 flex items-end gap-3">
	<div class="w-32"><MassField label="Pack it to" kilograms={wanted} {unit} onread={pack} /></div>
	<p class="pb-1 text-[13px]" role="status">{recipe}</p>
</div>
{#if steps.length > 0}
	<details class="text-[12.5px]">
		<summary class="text-soft cursor-pointer">every step, with the time to repack from the one before</summary
		>
		<ul class="max-h-40 overflow-auto">
			{#each steps as step, i (i)}
				<li>
					<b class="inline-block w-14 text-right">{shownMass(step.load, unit)}</b>
					{step.words} <span class="text-soft">{step.seconds} s</span>
				</li>
			{/each}
		</ul>
	</details>
{/if}
