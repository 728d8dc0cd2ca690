<script lang="ts">
	import type { Alternative } from '$lib/api/client';

	/** The effort budget of one side through its sets: up while working, down while resting, failure at the top. */
	let { alternative }: { alternative: Alternative } = $props();

	const WIDTH = 320;
	const end = $derived(Math.max(1, alternative.budget.at(-1)?.at ?? 1));
	const path = $derived(
		alternative.budget
			.map(
				(p, i) =>
					`${i ? 'L' : 'M'}${((p.at / end) * (WIDTH - 4)).toFixed(1)} ${(66 - Math.min(1, p.drained) * 52).toFixed(1)}`
			)
			.join('')
	);
	const peaks = $derived(
		alternative.budget.filter(
			(p, i, all) =>
				i > 0 && p.drained > (all[i - 1]?.drained ?? 0) && (all[i + 1]?.drained ?? 0) <= p.drained
		)
	);
</script>

<svg
	width={WIDTH}
	height="80"
	viewBox="0 0 {WIDTH} 80"
	role="img"
	aria-label="Budget through {alternative.prescription.counts.length} sets: {alternative.forecast
		.map((s) => `${s.planned} of ${Math.floor(s.toFailure)} possible`)
		.join(', ')}"
>
	<line x1="0" y1="66" x2={WIDTH} y2="66" stroke="var(--color-base-300)" />
	<line x1="0" y1="14" x2={WIDTH} y2="14" stroke="var(--color-accent)" stroke-dasharray="3 3" />
	<text x={WIDTH - 2} y="10" text-anchor="end" class="fill-accent text-[10.5px]">failure</text>
	<path d={path} fill="none" stroke="var(--color-primary)" stroke-width="2.5" stroke-linejoin="round" />
	{#each peaks as peak, i (i)}
		<text x={(peak.at / end) * (WIDTH - 4)} y="78" text-anchor="middle" class="fill-soft text-[10.5px]">
			{alternative.forecast[i]?.planned ?? ''}
		</text>
	{/each}
</svg>
