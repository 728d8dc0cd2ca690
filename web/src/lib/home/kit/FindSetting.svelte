<script lang="ts">
	import { api, ask, messageOf, type Band, type PlaceView } from '$lib/api/client';
	import MassField from '$lib/home/MassField.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import { massWithUnit, shownMass, type MassUnit } from '$lib/units';

	/** The inverse: a wanted mean pull in, bands and their setting out, from all the bands of the place. */
	interface Props {
		bands: Band[];
		view: PlaceView;
		unit: MassUnit;
	}
	let { bands, view, unit }: Props = $props();
	let exercise = $state('band-standing-row');
	let wanted = $state<number | null>(null);
	let spread = $state<number | null>(null);
	let found = $state<{ words: string; pulls: string }[]>([]);
	let trouble = $state('');
	const names = ask(api.GET('/api/catalogue')).then((all) => all.filter((e) => e.band !== null));

	async function find() {
		if (wanted === null) return;
		try {
			const answer = await ask(
				api.POST('/api/engine/band-setting', {
					body: {
						bands: $state.snapshot(bands),
						exercise,
						stature: view.landmarks.stature,
						wanted,
						mostSpread: spread,
						room: view.home.room.floorLength,
						anchorHeight: view.anchors.find((a) => a.zone === 'high')?.height ?? null
					}
				})
			);
			found = answer.nearest.map((rung) => ({
				words: rung.recipe.text,
				pulls: rung.pull
					? `${shownMass(rung.pull.start, unit)} to ${massWithUnit(rung.pull.end, unit)}, mean ${shownMass(rung.pull.mean, unit)}`
					: ''
			}));
			trouble = found.length ? '' : 'No band here gives that in this exercise within its limit.';
		} catch (problem) {
			[found, trouble] = [[], messageOf(problem)];
		}
	}
</script>

<section class="border-rule mt-3 border-t pt-2" aria-label="Which band, set how">
	<h3 class="text-[14px]">Which band, set how?</h3>
	<div class="flex items-end gap-3">
		<label class="block w-52 text-[13px]">
			<span class="text-soft">For</span>
			<select class="select select-sm w-full" bind:value={exercise} onchange={find}>
				{#await names then list}
					{#each list as e (e.id)}<option value={e.id}>{e.name}</option>{/each}
				{/await}
			</select>
		</label>
		<div class="w-28">
			<MassField label="Mean pull" kilograms={wanted} {unit} onread={(kg) => ((wanted = kg), find())} />
		</div>
		<div class="w-32">
			<NumberField label="End at most x start" value={spread} onread={(n) => ((spread = n), find())} />
		</div>
	</div>
	<ul class="mt-1 text-[12.5px]" aria-live="polite">
		{#each found as rung, i (i)}
			<li class="border-rule flex justify-between gap-4 border-t py-0.5">
				<span>{rung.words}</span><span class="text-soft whitespace-nowrap">{rung.pulls}</span>
			</li>
		{/each}
	</ul>
	{#if trouble}<p class="text-accent text-[12.5px]">{trouble}</p>{/if}
</section>
