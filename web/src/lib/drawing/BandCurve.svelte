<script lang="ts">
	import type { Band, BandDrawing } from '$lib/api/client';

	/** Force over length: the curve with its range, the pulls it stands on, and what each pull alone would have said. */
	interface Props {
		curve: BandDrawing;
		alone?: BandDrawing[];
		pulls: Band['pulls'];
		colour: string | null;
	}
	let { curve, alone = [], pulls, colour }: Props = $props();

	const W = 440;
	const H = 240;
	const L = 38;
	const B = 30;
	const rest = $derived(curve.points[0]?.length ?? 0);
	const most = $derived(Math.max(1, ...curve.points.map((p) => p.high), ...pulls.map((p) => p.force)));
	const x = (metres: number) => L + ((metres - rest) / (curve.longest - rest)) * (W - L - 10);
	const y = (newtons: number) => H - B - (newtons / most) * (H - B - 12);
	const path = (points: { length: number; force: number }[]) =>
		points.map((p, i) => `${i ? 'L' : 'M'}${x(p.length).toFixed(1)} ${y(p.force).toFixed(1)}`).join('');
	const range = $derived(
		curve.points.map((p, i) => `${i ? 'L' : 'M'}${x(p.length)} ${y(p.high)}`).join('') +
			[...curve.points]
				.reverse()
				.map((p) => `L${x(p.length)} ${y(p.low)}`)
				.join('') +
			'Z'
	);
	const measured = $derived(curve.points.filter((p) => !p.pastMeasured));
	const beyond = $derived(curve.points.filter((_, i) => i >= measured.length - 1));
	const ticks = $derived([1, 1.5, 2, 2.5, 3, 3.5].map((s) => ({ s, at: rest * s })));
	const step = $derived(most > 300 ? 100 : most > 120 ? 50 : 20);
</script>

<svg width={W} height={H} viewBox="0 0 {W} {H}" role="img" aria-label="Force over length of the band">
	<path d={range} fill="var(--reach)" />
	{#each Array.from({ length: Math.floor(most / step) }, (_, i) => (i + 1) * step) as newtons, i (i)}
		<line x1={L} x2={W - 10} y1={y(newtons)} y2={y(newtons)} stroke="var(--rule)" />
		<text x={L - 5} y={y(newtons) + 4} text-anchor="end" class="fill-soft text-[11px]">{newtons}</text>
	{/each}
	<path d="M{L} 8V{H - B}H{W - 8}" fill="none" stroke="currentColor" stroke-width="1.5" />
	{#each ticks as tick, i (i)}
		<text x={x(tick.at)} y={H - B + 14} text-anchor="middle" class="fill-soft text-[11px]"
			>{Math.round(tick.at * 100)}</text
		>
	{/each}
	<text x={W - 8} y={H - 3} text-anchor="end" class="fill-soft text-[11px]"
		>cm long, to 3.5 times its rest</text
	>
	<text x={L + 6} y="14" class="fill-soft text-[11px]">newtons</text>
	{#each alone as line, i (i)}
		<path d={path(line.points)} fill="none" stroke="var(--soft)" stroke-width="1" stroke-dasharray="2 3" />
	{/each}
	<path d={path(measured)} fill="none" stroke={colour ? `#${colour}` : 'currentColor'} stroke-width="3" />
	<path
		d={path(beyond)}
		fill="none"
		stroke={colour ? `#${colour}` : 'currentColor'}
		stroke-width="2"
		stroke-dasharray="6 4"
	/>
	{#each pulls as pull, i (i)}
		<circle
			cx={x(pull.length)}
			cy={y(pull.force)}
			r="5"
			fill="var(--color-base-100)"
			stroke="currentColor"
			stroke-width="2"
		/>
	{/each}
</svg>
