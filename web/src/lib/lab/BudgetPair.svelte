<script lang="ts">
	import type { SetTrial, TrialView } from '$lib/api/client';
	import { clock } from '$lib/units';

	/**
	 * Both budgets over one clock: up while working, down while resting, failure at the top, each with the band its
	 * maximum's range leaves. The grip at the end of the first rest is dragged to make rests longer or shorter.
	 */
	interface Props {
		trials: SetTrial[];
		views: (TrialView | null)[];
		onrest: (place: number, seconds: number) => void;
	}
	let { trials, views, onrest }: Props = $props();

	const WIDTH = 660;
	const LEFT = 34;
	const RIGHT = 8;
	const TOP = 26;
	const BASE = 236;
	const ROW = 22;
	const STEP = 5;
	const end = $derived(Math.max(30, ...views.map((v) => v?.forecast.budget.at(-1)?.at ?? 0)));
	const x = (at: number) => LEFT + (at / end) * (WIDTH - LEFT - RIGHT);
	const y = (drained: number) => BASE - Math.min(1, drained) * (BASE - TOP);
	const minutes = $derived(Array.from({ length: Math.floor(end / 60) + 1 }, (_, i) => i * 60));
	const every = $derived(Math.max(1, Math.ceil(minutes.length / 12)));

	type Points = TrialView['forecast']['budget'];
	const line = (points: Points) =>
		points.map((p, i) => `${i ? 'L' : 'M'}${x(p.at).toFixed(1)} ${y(p.drained).toFixed(1)}`).join('');
	/** The band between the weaker and the stronger client; their times differ a little, so it closes on itself. */
	const band = (view: TrialView) =>
		`${line(view.forecast.budgetWeaker)}L${[...view.forecast.budgetStronger]
			.reverse()
			.map((p) => `${x(p.at).toFixed(1)} ${y(p.drained).toFixed(1)}`)
			.join('L')}Z`;
	/** Ends of the sets: where the line turns down, and its very end. */
	const peaks = (points: Points) =>
		points.filter(
			(p, i, all) =>
				i > 0 && p.drained > (all[i - 1]?.drained ?? 0) && (all[i + 1]?.drained ?? 0) <= p.drained
		);
	/** Start of the second set. */
	const firstRestEnd = (points: Points) => {
		const top = points.findIndex((p, i, all) => i > 0 && (all[i + 1]?.drained ?? 1) < p.drained);
		const up = points.findIndex((p, i, all) => i > top && (all[i + 1]?.drained ?? 0) > p.drained);
		return top > 0 && up > 0 ? { from: points[top]?.at ?? 0, to: points[up]?.at ?? 0 } : null;
	};
	let dragged = $state<{ place: number; rest: number; x: number; scale: number } | null>(null);

	function move(event: PointerEvent) {
		if (!dragged) return;
		const seconds = dragged.rest + (event.clientX - dragged.x) * dragged.scale;
		const rest = Math.min(600, Math.max(0, Math.round(seconds / STEP) * STEP));
		if (rest !== trials[dragged.place]?.rest) onrest(dragged.place, rest);
	}

	function key(event: KeyboardEvent, place: number) {
		const by = event.key === 'ArrowRight' ? STEP : event.key === 'ArrowLeft' ? -STEP : 0;
		if (!by) return;
		event.preventDefault();
		event.stopPropagation();
		onrest(place, Math.min(600, Math.max(0, (trials[place]?.rest ?? 0) + by)));
	}
</script>

<svg
	viewBox="0 0 {WIDTH} {BASE + 2 * ROW + 22}"
	class="block w-full touch-none"
	role="group"
	aria-label="Budget over time: {views
		.map((v, i) =>
			v
				? `set ${'AB'[i]}, ${v.forecast.sets.map((s) => `${s.planned} of ${Math.floor(s.toFailure)}`).join(', ')}`
				: ''
		)
		.join('; ')}"
	onpointermove={move}
	onpointerup={() => (dragged = null)}
	onpointerleave={() => (dragged = null)}
>
	<line x1={LEFT} x2={WIDTH - RIGHT} y1={BASE} y2={BASE} stroke="currentColor" />
	<line x1={LEFT} x2={WIDTH - RIGHT} y1={TOP} y2={TOP} stroke="var(--color-accent)" stroke-dasharray="4 3" />
	<text x={WIDTH - RIGHT} y={TOP - 6} text-anchor="end" class="fill-accent text-[12px]">failure</text>
	<text x={LEFT} y={TOP - 6} class="fill-soft text-[12px]">drained</text>
	{#each minutes.filter((_, i) => i % every === 0) as at (at)}
		<line x1={x(at)} x2={x(at)} y1={BASE} y2={BASE + 5} stroke="currentColor" />
		<text x={x(at)} y={BASE + 18} text-anchor="middle" class="fill-soft text-[11px]">{clock(at)}</text>
	{/each}
	{#each views as view, i (i)}
		{#if view}
			{@const rest = firstRestEnd(view.forecast.budget)}
			<path
				d={band(view)}
				fill={i === 0 ? 'var(--color-primary)' : 'var(--color-base-content)'}
				opacity="0.12"
			/>
			<path
				d={line(view.forecast.budget)}
				fill="none"
				stroke={i === 0 ? 'var(--color-primary)' : 'var(--color-base-content)'}
				stroke-width={i === 0 ? 3 : 2.2}
				stroke-dasharray={i === 0 ? undefined : '7 4'}
				stroke-linejoin="round"
			/>
			<text x="4" y={BASE + 18 + ROW * (i + 1)} class="fill-base-content text-[13px] font-semibold"
				>{'AB'[i]}</text
			>
			{#each peaks(view.forecast.budget) as peak, n (n)}
				<text
					x={x(peak.at)}
					y={BASE + 18 + ROW * (i + 1)}
					text-anchor="middle"
					class="fill-base-content text-[12px]">{view.forecast.sets[n]?.planned ?? ''}</text
				>
			{/each}
			{#if rest && trials[i]?.form !== 'restPause'}
				<!-- Grip of the first rest; all rests of the set follow it. -->
				<g
					role="slider"
					tabindex="0"
					aria-label="rest of set {'AB'[i]}"
					aria-valuemin="0"
					aria-valuemax="600"
					aria-valuenow={trials[i]?.rest ?? 0}
					aria-valuetext={clock(trials[i]?.rest ?? 0)}
					class="cursor-ew-resize"
					onpointerdown={(event) => {
						const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect();
						dragged = {
							place: i,
							rest: trials[i]?.rest ?? 0,
							x: event.clientX,
							scale: end / ((box?.width ?? WIDTH) * ((WIDTH - LEFT - RIGHT) / WIDTH))
						};
					}}
					onkeydown={(event) => key(event, i)}
				>
					<line
						x1={x(rest.from) + 12}
						x2={x(rest.to)}
						y1={BASE + 14 + ROW * (i + 1)}
						y2={BASE + 14 + ROW * (i + 1)}
						stroke="var(--color-base-300)"
						stroke-width="2"
					/>
					<rect
						x={x(rest.to) - 5}
						y={BASE + 4 + ROW * (i + 1)}
						width="10"
						height="17"
						rx="3"
						fill={i === 0 ? 'var(--color-primary)' : 'var(--color-base-content)'}
					/>
				</g>
			{/if}
		{/if}
	{/each}
</svg>
