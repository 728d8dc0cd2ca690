<script lang="ts">
	import type { FigureLine, FigureView } from '$lib/api/client';

	/** A set-up from its joint angles: the start pale, the end dark, the path between; or one moment of it, with the pacer. */
	interface Props {
		figure: FigureView;
		label: string;
		/** From 0 at the start to 1 at the end; null shows both. */
		at?: number | null;
		class?: string;
		/** Smallest letters the figure is shown with, in units of the drawing. */
		letters?: number;
	}
	let { figure, label, at = null, class: size = 'h-28 w-36', letters = 13 }: Props = $props();

	const last = $derived(figure.moments.length - 1);
	const shown = $derived(figure.moments[at === null ? last : Math.round(at * last)] ?? []);
	const before = $derived(at === null && last > 0 ? (figure.moments[0] ?? []) : []);
</script>

{#snippet stroke(line: FigureLine)}
	<path
		d={line.path}
		stroke-width={line.width}
		class={line.ink}
		class:filled={line.filled}
		stroke-dasharray={line.ink === 'band' ? '4 5' : line.ink === 'measure' ? '3 3' : undefined}
	/>
{/snippet}

<svg class="{size} figure" viewBox="0 0 {figure.width} {figure.height}" role="img" aria-label={label}>
	{#each figure.still as line, i (i)}{@render stroke(line)}{/each}
	<g class="before"
		>{#each before as line, i (i)}{@render stroke(line)}{/each}</g
	>
	{#each shown as line, i (i)}{@render stroke(line)}{/each}
	{#if at === null && figure.way}<path
			d={figure.way}
			class="way"
			stroke-width="1.6"
			stroke-dasharray="1 5"
		/>{/if}
	{#each figure.labels as words, i (i)}
		<text x={words.x} y={words.y} font-size={letters} text-anchor="middle" dominant-baseline="middle"
			>{words.words}</text
		>
	{/each}
</svg>

<style>
	.figure {
		fill: none;
		stroke-linecap: round;
		stroke-linejoin: round;
	}
	.body {
		stroke: var(--color-base-content);
	}
	.far {
		stroke: color-mix(in oklab, var(--color-base-content) 45%, var(--color-base-100));
	}
	.worked {
		stroke: var(--color-accent);
	}
	.floor,
	.fixture,
	.measure {
		stroke: color-mix(in oklab, var(--color-base-content) 62%, var(--color-base-100));
	}
	.load,
	.band,
	.way {
		stroke: var(--color-primary);
	}
	.load.filled {
		fill: var(--color-primary);
	}
	.before {
		opacity: 0.24;
	}
	text {
		fill: var(--color-base-content);
	}
	@media print {
		.body {
			stroke: #000;
		}
		.worked {
			stroke: #fff;
		}
		.load,
		.band,
		.way {
			stroke: #333;
		}
		.load.filled {
			fill: #333;
		}
	}
</style>
