<script lang="ts">
	import type { CatalogueExercise } from '$lib/api/client';
	import { figureOf, levelled, standing, type Figure, type Point } from './figure';

	/** Start and end of an exercise as a figure of joint angles, seen from the side. */
	interface Props {
		poses: NonNullable<CatalogueExercise['poses']>;
		name: string;
		/** Hands and feet are on one floor. */
		flat: boolean;
	}
	let { poses, name, flat }: Props = $props();
	const drawn = (pose: Props['poses']['start']) => {
		const figure = standing(figureOf(pose), poses.support);
		return flat && poses.support === 'handsAndFeet' ? levelled(figure) : figure;
	};
	const start = $derived(drawn(poses.start));
	const end = $derived(drawn(poses.end));
	const all = $derived([start, end].flatMap((f) => [f.head, ...f.body]));
	const box = $derived({
		left: Math.min(...all.map((p) => p[0])) - 0.12,
		right: Math.max(...all.map((p) => p[0])) + 0.12,
		low: Math.min(...all.map((p) => p[1])) - 0.05,
		high: Math.max(...all.map((p) => p[1])) + 0.1
	});
	const width = 330;
	const height = 190;
	const scale = $derived(Math.min(width / (box.right - box.left), height / (box.high - box.low)));
	const at = ([x, y]: Point): string =>
		`${((x - (box.left + box.right) / 2) * scale + width / 2).toFixed(1)},${((box.high - y) * scale).toFixed(1)}`;
	const line = (figure: Figure) => 'M' + figure.body.map(at).join('L');
	const ground = $derived((box.high - Math.min(...all.map((p) => p[1]))) * scale + 3);
</script>

<svg
	{width}
	{height}
	viewBox="0 0 {width} {height}"
	role="img"
	aria-label="{name}: start faint, end dark, seen from the side"
>
	{#if poses.support !== 'hands'}
		<path d="M6 {ground.toFixed(1)}H{width - 6}" stroke="var(--color-base-300)" stroke-width="2" />
	{/if}
	{#each [start, end] as figure, i (i)}
		<g
			fill="none"
			stroke="var(--color-primary)"
			stroke-width="5"
			stroke-linecap="round"
			stroke-linejoin="round"
			opacity={i === 0 ? 0.3 : 1}
		>
			<path d={line(figure)} />
			<circle
				cx={at(figure.head).split(',')[0]}
				cy={at(figure.head).split(',')[1]}
				r={0.055 * scale}
				fill="var(--color-base-100)"
				stroke-width="3"
			/>
		</g>
	{/each}
</svg>
