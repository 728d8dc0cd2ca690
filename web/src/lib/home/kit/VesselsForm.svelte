<script lang="ts">
	import { api, ask, messageOf, type Vessels } from '$lib/api/client';
	import MassField from '$lib/home/MassField.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import { massWithUnit, trim, type MassUnit } from '$lib/units';

	/** Jugs that can be filled to any mark, and the mark for a wanted mass. */
	let { draft = $bindable(), unit }: { draft: Vessels; unit: MassUnit } = $props();
	let wanted = $state<number | null>(null);
	let mark = $state('');

	async function fill(kilograms: number | null) {
		wanted = kilograms;
		if (kilograms === null) return;
		try {
			const filled = await ask(
				api.POST('/api/engine/fill', {
					body: { vessels: $state.snapshot(draft) as Vessels, wanted: kilograms }
				})
			);
			mark = `Fill to ${trim(filled.mark, 2)} l, ${Math.round(filled.filled * 100)} % of it: ${massWithUnit(filled.rung.load, unit)}${
				filled.rung.error === null ? '' : `, give or take ${massWithUnit(filled.rung.error, unit)}`
			}.`;
		} catch (problem) {
			mark = messageOf(problem);
		}
	}
</script>

<div class="grid grid-cols-4 gap-3">
	<NumberField
		label="How many alike"
		value={draft.count}
		decimals={0}
		onread={(n) => (draft.count = Math.round(n ?? 0))}
	/>
	<NumberField
		label="Litres one holds"
		value={draft.volume}
		decimals={2}
		onread={(n) => (draft.volume = n ?? 0)}
	/>
	<MassField label="One empty" kilograms={draft.ownMass} {unit} onread={(kg) => (draft.ownMass = kg ?? 0)} />
	<label class="block text-[13px]">
		<span class="text-soft">Filled with</span>
		<select class="select select-sm w-full" bind:value={draft.material}>
			{#each ['water', 'milk', 'sand', 'salt', 'sugar', 'rice', 'flour'] as material (material)}
				<option value={material}>{material}</option>
			{/each}
		</select>
	</label>
</div>
<div class="mt-3 flex items-end gap-3">
	<div class="w-32"><MassField label="One should weigh" kilograms={wanted} {unit} onread={fill} /></div>
	<p class="pb-1 text-[13px]" role="status">{mark}</p>
</div>
