<script lang="ts">
	import type { HeldImplement } from '$lib/api/client';
	import Ruler from '$lib/drawing/Ruler.svelte';
	import { HOLD_NAMES } from '$lib/home/words';
	import { massWithUnit, shownMass, type MassUnit } from '$lib/units';

	/** Every load a thing gives when held one way, with its recipe, as it was last saved. */
	let { held, unit }: { held: HeldImplement; unit: MassUnit } = $props();
	const rungs = $derived(held.ladder.rungs);
</script>

<section class="mt-4" aria-label="Loads {HOLD_NAMES[held.hold]}">
	<div class="text-soft text-[12.5px]">
		{held.hold === 'pair' ? 'One in each hand, both together' : 'One'}: {rungs.length}
		{rungs.length === 1 ? 'load' : 'loads'}, {shownMass(rungs[0]?.load ?? 0, unit)} to {massWithUnit(
			rungs.at(-1)?.load ?? 0,
			unit
		)}
	</div>
	<Ruler
		loads={rungs.map((r) => Math.abs(r.load)).sort((a, b) => a - b)}
		show={(load) => shownMass(load, unit)}
		width={600}
	/>
	<details class="text-[12.5px]">
		<summary class="text-soft cursor-pointer">recipes</summary>
		<ul class="max-h-40 overflow-auto">
			{#each rungs as rung, i (i)}
				<li>
					<b class="inline-block w-14 text-right">{shownMass(rung.load, unit)}</b>
					{rung.recipe.text}
					{#if rung.error !== null}<span class="text-soft">give or take {massWithUnit(rung.error, unit)}</span
						>{/if}
				</li>
			{/each}
		</ul>
	</details>
</section>
