<script lang="ts">
	import type { MuscleRow, WeeklyLedger } from '$lib/api/client';
	import { plain } from '$lib/client/words';

	/**
	 * Weekly effective sets by muscle on one ruler: a post where the gym stood, a beam for what home gives, the band it should lie in
	 * behind, and hatched what is missing.
	 */
	let { ledger }: { ledger: WeeklyLedger } = $props();

	const LEFT = 112;
	const WIDTH = 526;
	const RIGHT = 128;
	const ROW = 18;
	const TOP = 20;
	const rows = $derived(ledger.muscles);
	const most = $derived(Math.max(12, ...rows.flatMap((r) => [r.gym, r.home])) * 1.04);
	const x = (sets: number) => LEFT + (Math.min(sets, most) / most) * (WIDTH - LEFT - RIGHT);
	const ticks = $derived(Array.from({ length: Math.floor(most / 5) + 1 }, (_, i) => i * 5));
	const named = (group: MuscleRow['group']) => (group === 'small' ? 'small muscles' : plain(group));
	const one = (value: number) => String(Number(value.toFixed(1)));
</script>

<svg
	viewBox="0 0 {WIDTH} {TOP + rows.length * ROW + 4}"
	class="block w-full max-w-[640px]"
	role="img"
	aria-label="Effective sets a week, gym and home: {rows
		.map(
			(r) =>
				`${named(r.group)} ${one(r.gym)} and ${one(r.home)}${r.daysApart ? `, at most ${r.daysApart} days apart` : ''}`
		)
		.join(', ')}"
>
	{#each ticks as tick, i (i)}
		<line
			x1={x(tick)}
			x2={x(tick)}
			y1={TOP - 5}
			y2={TOP + rows.length * ROW}
			stroke="var(--color-base-300)"
		/>
		<text x={x(tick)} y="10" text-anchor="middle" class="fill-soft text-[10.5px]">{tick}</text>
	{/each}
	{#each rows as row, i (row.group)}
		{@const y = TOP + i * ROW}
		{@const short = row.least !== null && row.home < row.least}
		<text x={LEFT - 8} y={y + 13} text-anchor="end" class="fill-base-content text-[12.5px]"
			>{named(row.group)}</text
		>
		{#if row.least !== null && row.most !== null}
			<rect
				x={x(row.least)}
				y={y + 2}
				width={Math.max(1, x(row.most) - x(row.least))}
				height={ROW - 4}
				fill="var(--color-secondary)"
			/>
		{/if}
		<rect x={LEFT} y={y + 5} width={x(row.home) - LEFT} height="8" fill="var(--color-primary)" />
		{#if short && row.least !== null}
			<rect
				x={x(row.home)}
				y={y + 5}
				width={x(row.least) - x(row.home)}
				height="8"
				fill="url(#hatch-short)"
				stroke="var(--color-accent)"
				stroke-dasharray="2 2"
			/>
		{/if}
		<line
			x1={x(row.gym)}
			x2={x(row.gym)}
			y1={y + 2}
			y2={y + ROW - 2}
			stroke="currentColor"
			stroke-width="2.5"
		/>
		<text
			x={WIDTH}
			y={y + 13}
			text-anchor="end"
			class={short ? 'fill-accent text-[12px] font-semibold' : 'fill-base-content text-[12px]'}
			><tspan>{one(row.home)}</tspan><tspan class="fill-soft font-normal"
				>{` of ${one(row.gym)}${row.daysApart ? `, every ${row.daysApart} d` : ''}`}</tspan
			></text
		>
	{/each}
</svg>
