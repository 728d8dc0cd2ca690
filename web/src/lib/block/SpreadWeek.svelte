<script lang="ts">
	import { api, ask, messageOf, type SpreadOutcome } from '$lib/api/client';
	import type { Bench } from '$lib/bench/bench.svelte';
	import { plain } from '$lib/client/words';

	/** The written week over other days: shown muscle by muscle before it is taken, taken back by one step. */
	let { bench, client, sessions }: { bench: Bench; client: string; sessions: number } = $props();
	let shown = $state.raw<{ words: string; every: boolean; outcome: SpreadOutcome } | null>(null);
	let trouble = $state('');
	const one = (value: number) => String(Number(value.toFixed(1)));

	async function show(count: number, every: boolean) {
		try {
			const outcome = await ask(
				api.POST('/api/clients/{id}/spread', {
					params: { path: { id: client } },
					body: { text: bench.text, sessions: count, everySecondDay: every, choices: bench.choices }
				})
			);
			shown = {
				words: every ? 'every second day' : count === 1 ? 'one day' : `${count} days`,
				every,
				outcome
			};
			trouble = '';
		} catch (problem) {
			shown = null;
			trouble = messageOf(problem);
		}
	}

	async function take() {
		if (!shown) return;
		const rhythm = shown.every ? 'everySecondDay' : 'onTheirDays';
		await bench.retype(
			shown.outcome.text,
			bench.block ? { ...bench.block, rhythm } : null,
			shown.outcome.choices
		);
		shown = null;
	}
</script>

<section class="mt-3" aria-label="The week over other days">
	<h2 class="text-[15px]">Over other days?</h2>
	<div class="mt-1 flex flex-wrap items-center gap-1">
		{#each [1, 2, 3, 4, 5, 6].filter((n) => n !== sessions) as count (count)}
			<button class="btn btn-xs" onclick={() => show(count, false)}
				>{count} {count === 1 ? 'day' : 'days'}</button
			>
		{/each}
		<button class="btn btn-xs" onclick={() => show(2, true)}>every second day</button>
	</div>
	{#if trouble}<p class="text-accent text-[12.5px]" role="alert">{trouble}</p>{/if}
	{#if shown}
		<div class="mt-1 flex gap-2">
			<button class="btn btn-xs btn-neutral" onclick={take}>Take it</button>
			<button class="btn btn-xs" onclick={() => (shown = null)}>Leave it</button>
		</div>
		<table class="mt-1 w-full text-[12.5px]">
			<caption class="text-left font-semibold">Over {shown.words}: sets and times a week</caption>
			<thead class="text-soft text-left">
				<tr
					><th class="font-normal">muscle</th><th class="font-normal">now</th><th class="font-normal">then</th
					></tr
				>
			</thead>
			<tbody>
				{#each shown.outcome.muscles.filter((m) => m.timesBefore > 0 || m.timesAfter > 0) as muscle (muscle.group)}
					<tr class="border-rule border-t">
						<th scope="row" class="text-left font-normal">{plain(muscle.group)}</th>
						<td>{one(muscle.setsBefore)}, {muscle.timesBefore}×</td>
						<td
							class={shown.outcome.crowded.includes(muscle.group)
								? 'text-accent'
								: muscle.timesAfter > muscle.timesBefore
									? 'font-semibold'
									: ''}>{one(muscle.setsAfter)}, {one(muscle.timesAfter)}×</td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		{#if shown.outcome.crowded.length > 0}
			<p class="text-accent text-[12.5px]">
				Less than 48 hours apart: {shown.outcome.crowded.map(plain).join(', ')}.
			</p>
		{/if}
		<p class="text-soft text-[12.5px]">Once a week to twice is itself a step of progression.</p>
	{/if}
</section>
