<script lang="ts">
	import type { Fixture, Home, PlaceView } from '$lib/api/client';
	import { centimetres } from '$lib/units';

	/** The room from the side, to scale: the client, the ceiling, and every fixture at its height, named under the floor. */
	interface Props {
		home: Home;
		landmarks: PlaceView['landmarks'];
		expires: PlaceView['expires'];
		today: string;
		onpick: (fixture: Fixture) => void;
	}
	let { home, landmarks, expires, today, onpick }: Props = $props();

	const WIDTH = 600;
	const HEIGHT = 262;
	const FLOOR = 208;
	const LEFT = 150;
	const headroom = $derived(home.room.headroom ?? 2.4);
	const tallest = $derived(
		Math.max(headroom, landmarks.stature * 1.05, ...home.fixtures.map((f) => f.height))
	);
	const scale = $derived((FLOOR - 22) / tallest);
	const y = (metres: number) => FLOOR - metres * scale;

	const marks = $derived([
		{ name: 'reach', height: landmarks.reach },
		{ name: 'shoulder', height: landmarks.shoulder },
		{ name: 'sternum', height: landmarks.sternum },
		{ name: 'hip', height: landmarks.hip },
		{ name: 'knee', height: landmarks.knee }
	]);
	const placed = $derived.by(() => {
		const sorted = [...home.fixtures].sort((a, b) => a.height - b.height);
		const each = (WIDTH - LEFT - 8) / Math.max(sorted.length, 5);
		return sorted.map((fixture, i) => ({
			fixture,
			x: LEFT + i * each,
			slot: each,
			width: Math.min(74, each - 10)
		}));
	});
	const hangs = (fixture: Fixture) =>
		['rail', 'banister', 'gate', 'fence', 'beam', 'pullUpBar'].includes(fixture.kind);
	const stands = (fixture: Fixture) => ['post', 'tree', 'doorAnchor', 'wall', 'rack'].includes(fixture.kind);
	const standing = (fixture: Fixture) => {
		if (fixture.glass) return { tone: 'never', words: 'never: glass' };
		if (!fixture.check) return { tone: 'open', words: 'not checked' };
		if (fixture.check.verdict === 'never') return { tone: 'never', words: 'never' };
		if (fixture.check.verdict === 'notPassed') return { tone: 'never', words: 'not passed' };
		return (expires[fixture.id] ?? today) < today
			? { tone: 'never', words: 'pass ran out' }
			: { tone: 'passed', words: 'passed' };
	};
	const colour: Record<string, string> = {
		passed: 'var(--color-primary)',
		open: 'var(--soft)',
		never: 'var(--color-accent)'
	};
</script>

<svg width="100%" viewBox="0 0 {WIDTH} {HEIGHT}" role="group" aria-label="The place from the side, to scale">
	<line
		x1="10"
		x2={WIDTH - 8}
		y1={y(headroom)}
		y2={y(headroom)}
		stroke="currentColor"
		stroke-width="2"
		stroke-dasharray={home.room.headroom === null ? '6 4' : undefined}
	/>
	<text x="12" y={y(headroom) - 5} class="fill-soft text-[11.5px]">
		{home.room.headroom === null ? 'headroom not measured' : `headroom ${centimetres(headroom)}`}
	</text>
	<line x1="10" x2={WIDTH - 8} y1={FLOOR} y2={FLOOR} stroke="currentColor" stroke-width="2" />
	{#each marks as mark, i (i)}
		{#if mark.height < tallest}
			<line x1="66" x2={WIDTH - 8} y1={y(mark.height)} y2={y(mark.height)} stroke="var(--rule)" />
			<text x="70" y={y(mark.height) - 2} class="fill-soft text-[10.5px]"
				>{mark.name} {Math.round(mark.height * 100)}</text
			>
		{/if}
	{/each}
	<g stroke="currentColor" stroke-width="2.5" fill="none" stroke-linecap="round">
		<circle cx="40" cy={y(landmarks.stature * 0.935)} r={landmarks.stature * 0.065 * scale} />
		<path
			d="M40 {y(landmarks.stature * 0.87)}V{y(landmarks.hip)}M40 {y(landmarks.hip)}L31 {FLOOR - 1}M40 {y(
				landmarks.hip
			)}L49 {FLOOR - 1}M40 {y(landmarks.shoulder)}L26 {y(landmarks.stature * 0.6)}M40 {y(
				landmarks.shoulder
			)}L54 {y(landmarks.stature * 0.6)}"
		/>
	</g>
	{#each placed as { fixture, x, slot, width } (fixture.id)}
		{@const top = y(fixture.height)}
		{@const now = standing(fixture)}
		{@const tone = colour[now.tone]}
		{@const dash = now.tone === 'passed' ? undefined : '4 3'}
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
			<rect {x} y={top - 16} width={slot} height={HEIGHT - top + 16} fill="transparent" />
			{#if hangs(fixture)}
				<line
					x1={x}
					x2={x + width}
					y1={top}
					y2={top}
					stroke={tone}
					stroke-width="4"
					stroke-dasharray={dash}
				/>
				<line
					x1={x + width / 2}
					x2={x + width / 2}
					y1={top + 4}
					y2={FLOOR}
					stroke="var(--rule)"
					stroke-dasharray="2 3"
				/>
			{:else if stands(fixture)}
				<line
					x1={x + width / 2}
					x2={x + width / 2}
					y1={top}
					y2={FLOOR}
					stroke={tone}
					stroke-width="5"
					stroke-dasharray={dash}
				/>
			{:else}
				<rect
					{x}
					y={top}
					{width}
					height="5"
					fill={now.tone === 'passed' ? tone : 'none'}
					stroke={tone}
					stroke-dasharray={dash}
				/>
				<path
					d="M{x + 5} {top + 5}V{FLOOR}M{x + width - 5} {top + 5}V{FLOOR}{fixture.backHeight
						? `M${x + width - 2} ${top}V${y(fixture.backHeight)}`
						: ''}"
					stroke={tone}
					stroke-width="2"
					stroke-dasharray={dash}
				/>
			{/if}
			<text {x} y={top - 4} class="fill-base-content text-[11.5px] font-semibold"
				>{Math.round(fixture.height * 100)}</text
			>
			<foreignObject {x} y={FLOOR + 3} width={slot - 3} height={HEIGHT - FLOOR - 3}>
				<div class="text-[11.5px] leading-[1.15]">
					<div class="line-clamp-2 font-semibold break-words hyphens-auto">
						{fixture.name}{fixture.count > 1 ? ` x${fixture.count}` : ''}
					</div>
					<div class={now.tone === 'never' ? 'text-accent' : 'text-soft'}>{now.words}</div>
				</div>
			</foreignObject>
		</g>
	{/each}
	{#if home.fixtures.length === 0}
		<text x={LEFT + 20} y={FLOOR - 60} class="fill-soft text-[13px]"
			>No table, chair or rail yet: tick them from the common list.</text
		>
	{/if}
</svg>
