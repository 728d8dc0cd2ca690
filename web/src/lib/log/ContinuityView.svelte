<script lang="ts">
	import type { ProgressView } from '$lib/api/client';
	import { shortDay, type MassUnit } from '$lib/units';
	import ContinuityChart from './ContinuityChart.svelte';

	/** Is it still going up? Every family on one line through gym and home, and what the log taught. */
	let { view, unit }: { view: ProgressView; unit: MassUnit } = $props();
	const days = $derived(view.continuity.flatMap((f) => f.points).map((p) => Date.parse(p.on) / 86_400_000));
	const from = $derived(Math.min(...days));
	const to = $derived(Math.max(...days));
	const percent = (factor: number) => {
		const by = Math.round((factor - 1) * 100);
		return by === 0 ? 'as most' : by > 0 ? `${by} % more than most` : `${-by} % less than most`;
	};
	const unsaid = $derived(view.learned.leftUnsaid);
</script>

{#if view.continuity.length === 0}
	<p class="text-soft p-12 text-center">Nothing logged that a maximum can be read from yet.</p>
{:else}
	<div class="grid grid-cols-[minmax(0,1fr)_330px]">
		<div class="grid grid-cols-2 content-start gap-x-6 gap-y-3 p-4">
			{#each view.continuity as family (family.family)}<ContinuityChart
					{family}
					{unit}
					{from}
					{to}
					swaps={view.swaps.filter((s) => s.families.includes(family.family))}
				/>{/each}
		</div>
		<aside class="border-base-300 border-l p-4 text-[13px]">
			<p class="text-soft mb-3">
				Open squares are the gym, dots are home; the band holds four of five. Each day is carried to the
				family's gym lift.
			</p>
			<h2 class="text-[15px]">What the log has taught</h2>
			<dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-3 gap-y-0.5">
				<dt class="text-soft">staying power</dt>
				<dd>{percent(view.learned.endurance.factor)}</dd>
				<dt class="text-soft">recovery</dt>
				<dd>{percent(view.learned.recovery.factor)}</dd>
				<dt class="text-soft">gains</dt>
				<dd>{view.learned.gainInWords}</dd>
				<dt class="text-soft">left unsaid</dt>
				<dd>
					{Math.abs(unsaid) < 0.3
						? 'says what is left as it is'
						: unsaid > 0
							? `leaves about ${unsaid.toFixed(1)} more than said`
							: `leaves about ${(-unsaid).toFixed(1)} fewer than said`}
				</dd>
			</dl>
			<ul class="mt-2">
				{#each view.moves.slice(0, 6) as move, i (i)}
					<li class="border-rule border-t py-1">
						<span class="text-soft">{shortDay(move.on)}</span>
						{move.sentence}
					</li>
				{/each}
			</ul>
			<h2 class="mt-4 text-[15px]">Personal bests</h2>
			<ul class="mt-1">
				{#each view.bests.slice(0, 12) as best (best.exercise)}
					<li class="border-rule flex justify-between gap-3 border-t py-1">
						<span>{best.name}</span><span class="text-right whitespace-nowrap"
							><b>{best.inWords}</b> <span class="text-soft">{shortDay(best.on)}</span></span
						>
					</li>
				{/each}
			</ul>
		</aside>
	</div>
{/if}
