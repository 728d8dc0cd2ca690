<script lang="ts">
	import type { Continuity, SwapMark } from '$lib/api/client';
	import { massWithUnit, shortDay, type MassUnit } from '$lib/units';

	/** One strength family through gym and home: the line, its range, and where home begins. */
	interface Props {
		family: Continuity;
		unit: MassUnit;
		from: number;
		to: number;
		/** Days one of its lines became another exercise. */
		swaps: SwapMark[];
	}
	let { family, unit, from, to, swaps }: Props = $props();
	const shownSwaps = $derived(swaps.filter((s) => dayOf(s.on) >= from && dayOf(s.on) <= to));
	const W = 392;
	const H = 132;
	const LEFT = 8;
	const RIGHT = 74;
	const TOP = 8;
	const BOTTOM = 20;
	const dayOf = (iso: string) => Date.parse(iso) / 86_400_000;
	const low = $derived(Math.min(...family.points.map((p) => p.low)));
	const high = $derived(Math.max(...family.points.map((p) => p.high)));
	const x = (iso: string) => LEFT + ((dayOf(iso) - from) / Math.max(1, to - from)) * (W - LEFT - RIGHT);
	const y = (kilograms: number) =>
		H - BOTTOM - ((kilograms - low) / Math.max(0.1, high - low)) * (H - TOP - BOTTOM);
	const line = $derived(family.points.map((p) => `${x(p.on)},${y(p.maximum)}`).join(' '));
	const band = $derived(
		[
			...family.points.map((p) => `${x(p.on)},${y(p.high)}`),
			...family.points.toReversed().map((p) => `${x(p.on)},${y(p.low)}`)
		].join(' ')
	);
	const last = $derived(family.points.at(-1));
	const home = $derived(family.points.find((p) => p.atHome));
	let at = $state<number | null>(null);
	const shown = $derived(at === null ? last : family.points[at]);
</script>

<figure class="border-rule border-b pb-2">
	<figcaption class="flex items-baseline justify-between gap-2">
		<b class="font-display text-[15px]">{family.family}</b>
		<span class="text-soft text-xs">
			on the {family.reference.toLowerCase()}{shown ? `, ${shortDay(shown.on)}: ` : ''}
			{#if shown}<b class="text-base-content">{massWithUnit(shown.maximum, unit)}</b>
				({massWithUnit(shown.low, unit)} to {massWithUnit(shown.high, unit)}){/if}
		</span>
	</figcaption>
	<svg
		viewBox="0 0 {W} {H}"
		class="w-full"
		role="img"
		aria-label="{family.family}: from {massWithUnit(family.points[0]?.maximum ?? 0, unit)} to {massWithUnit(
			last?.maximum ?? 0,
			unit
		)} over {family.points.length} days trained"
	>
		<polygon points={band} class="fill-reach" opacity="0.8" />
		{#if home && home !== family.points[0]}
			<line
				x1={x(home.on)}
				x2={x(home.on)}
				y1={TOP}
				y2={H - BOTTOM}
				class="stroke-accent"
				stroke-dasharray="3 3"
			/>
			<text x={x(home.on) + 4} y={H - 6} font-size="11" class="fill-soft">home from {shortDay(home.on)}</text>
		{/if}
		{#each shownSwaps as swap, i (`${swap.on} ${swap.was} ${i}`)}
			<path d="M{x(swap.on)} {TOP}l5 5l-5 5l-5 -5z" class="fill-base-100 stroke-accent" stroke-width="1.5">
				<title>{shortDay(swap.on)}: {swap.was} became {swap.became}</title>
			</path>
		{/each}
		<polyline points={line} fill="none" class="stroke-primary" stroke-width="2" />
		{#each family.points as point, i (i)}
			{#if point.atHome}
				<circle cx={x(point.on)} cy={y(point.maximum)} r="3.5" class="fill-primary" />
			{:else}
				<rect
					x={x(point.on) - 3}
					y={y(point.maximum) - 3}
					width="6"
					height="6"
					class="fill-base-100 stroke-primary"
					stroke-width="1.5"
				/>
			{/if}
			<rect
				x={x(point.on) - 5}
				y={TOP}
				width="10"
				height={H - TOP - BOTTOM}
				fill="transparent"
				role="presentation"
				onpointerenter={() => (at = i)}
				onpointerleave={() => (at = null)}
			/>
		{/each}
		<text x={LEFT} y={H - 6} font-size="11" class="fill-soft"
			>{family.points[0] ? shortDay(family.points[0].on) : ''}</text
		>
		{#if last}
			<text x={W - RIGHT + 8} y={Math.min(H - BOTTOM - 33, y(last.high) + 4)} font-size="11" class="fill-soft"
				>{massWithUnit(last.high, unit)}</text
			>
			<text
				x={W - RIGHT + 8}
				y={Math.min(H - BOTTOM - 15, Math.max(y(last.high) + 18, y(last.maximum) + 5))}
				font-size="13"
				font-weight="600"
				class="fill-base-content">{massWithUnit(last.maximum, unit)}</text
			>
			<text
				x={W - RIGHT + 8}
				y={Math.min(H - BOTTOM, Math.max(y(last.high) + 33, y(last.low) + 4))}
				font-size="11"
				class="fill-soft">{massWithUnit(last.low, unit)}</text
			>
		{/if}
	</svg>
	{#if shownSwaps.length > 0}
		<p class="text-soft text-xs">
			◇ {shownSwaps.map((s) => `${shortDay(s.on)} ${s.was} became ${s.became.toLowerCase()}`).join('; ')}
		</p>
	{/if}
</figure>
