<script lang="ts">
	import type { Fixture, Home, HomeView } from '$lib/api/client';
	import { checkWords } from '$lib/home/words';
	import { centimetres } from '$lib/units';

	/** The room from the side, to scale: the client, the ceiling, and every fixture at its height. */
	interface Props {
		home: Home;
		landmarks: HomeView['landmarks'];
		onpick: (fixture: Fixture) => void;
	}
	let { home, landmarks, onpick }: Props = $props();

	const WIDTH = 640;
	const HEIGHT = 282;
	const FLOOR = 268;
	const headroom = $derived(home.room.headroom ?? 2.4);
	const tallest = $derived(
		Math.max(headroom, landmarks.stature * 1.05, ...home.fixtures.map((f) => f.height))
	);
	const scale = $derived((FLOOR - 26) / tallest);
	const y = (metres: number) => FLOOR - metres * scale;

	const marks = $derived([
		{ name: 'shoulder', height: landmarks.shoulder },
		{ name: 'hip', height: landmarks.hip },
		{ name: 'knee', height: landmarks.knee }
	]);
	const placed = $derived.by(() => {
		const sorted = [...home.fixtures].sort((a, b) => a.height - b.height);
		const room = WIDTH - 190 - 16;
		const each = sorted.length ? room / sorted.length : room;
		return sorted.map((fixture, i) => ({ fixture, x: 190 + i * each, width: Math.min(96, each * 0.78) }));
	});
	const title = (fixture: Fixture) => fixture.name + (fixture.count > 1 ? ` x ${fixture.count}` : '');
	const standing = (fixture: Fixture) =>
		`${centimetres(fixture.height)}, ${fixture.check?.verdict === 'passed' ? 'passed' : checkWords(fixture).split(':')[0]}`;
	const hangs = (fixture: Fixture) => ['rail', 'pullUpBar', 'doorAnchor'].includes(fixture.kind);
	const passed = (fixture: Fixture) => fixture.check?.verdict === 'passed' || fixture.kind === 'wall';
	const refused = (fixture: Fixture) => fixture.check !== null && fixture.check.verdict !== 'passed';
</script>

<svg width="100%" viewBox="0 0 {WIDTH} {HEIGHT}" role="group" aria-label="The place from the side, to scale">
	<line
		x1="16"
		x2={WIDTH - 12}
		y1={y(headroom)}
		y2={y(headroom)}
		stroke="currentColor"
		stroke-width="2"
		stroke-dasharray={home.room.headroom === null ? '6 4' : undefined}
	/>
	<text x={WIDTH - 14} y={y(headroom) - 6} text-anchor="end" class="fill-soft text-[12px]">
		{home.room.headroom === null ? 'headroom not measured' : `headroom ${centimetres(headroom)}`}
	</text>
	<line x1="16" x2={WIDTH - 12} y1={FLOOR} y2={FLOOR} stroke="currentColor" stroke-width="2" />
	{#each marks as mark (mark.name)}
		<line x1="92" x2={WIDTH - 12} y1={y(mark.height)} y2={y(mark.height)} stroke="var(--rule)" />
		<text x="98" y={y(mark.height) - 3} class="fill-soft text-[11px]"
			>{mark.name} {Math.round(mark.height * 100)}</text
		>
	{/each}
	<g stroke="currentColor" stroke-width="3" fill="none" stroke-linecap="round">
		<circle cx="70" cy={y(landmarks.stature * 0.935)} r={landmarks.stature * 0.065 * scale} />
		<path
			d="M70 {y(landmarks.stature * 0.87)}V{y(landmarks.hip)}M70 {y(landmarks.hip)}L58 {FLOOR - 1}M70 {y(
				landmarks.hip
			)}L82 {FLOOR - 1}M70 {y(landmarks.shoulder)}L52 {y(landmarks.stature * 0.6)}M70 {y(
				landmarks.shoulder
			)}L88 {y(landmarks.stature * 0.6)}"
		/>
	</g>
	{#each placed as { fixture, x, width } (fixture.id)}
		{@const top = y(fixture.height)}
		{@const tone = refused(fixture)
			? 'var(--color-accent)'
			: passed(fixture)
				? 'var(--color-primary)'
				: 'var(--soft)'}
		<g
			role="button"
			tabindex="0"
			class="cursor-pointer"
			onclick={() => onpick(fixture)}
			onkeydown={(event) => {
				if (event.key === 'Enter' || event.key === ' ') {
					event.preventDefault();
					onpick(fixture);
				}
			}}
		>
			<rect {x} y={top - 34} {width} height={hangs(fixture) ? 42 : FLOOR - top + 34} fill="transparent" />
			{#if hangs(fixture)}
				<line
					x1={x}
					x2={x + width}
					y1={top}
					y2={top}
					stroke={tone}
					stroke-width="4"
					stroke-dasharray={passed(fixture) ? undefined : '5 3'}
				/>
			{:else}
				<rect
					{x}
					y={top}
					{width}
					height="6"
					fill={passed(fixture) ? tone : 'none'}
					stroke={tone}
					stroke-dasharray={passed(fixture) ? undefined : '5 3'}
				/>
				<path
					d="M{x + 6} {top + 6}V{FLOOR}M{x + width - 6} {top + 6}V{FLOOR}"
					stroke={tone}
					stroke-width="2"
					stroke-dasharray={passed(fixture) ? undefined : '3 3'}
				/>
			{/if}
			<text {x} y={hangs(fixture) ? top + 16 : top - 18} class="fill-base-content text-[12px] font-semibold">
				{title(fixture)}
			</text>
			<text
				{x}
				y={hangs(fixture) ? top + 30 : top - 5}
				class="text-[11.5px] {refused(fixture) ? 'fill-accent' : 'fill-soft'}"
			>
				{standing(fixture)}
			</text>
		</g>
	{/each}
</svg>
