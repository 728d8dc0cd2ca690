<script lang="ts">
	import type { components } from '$lib/api/schema';
	import MarkedLine from './MarkedLine.svelte';

	/** The text once more behind the area it is typed in, each problem underlined at its place: waved where it was not read, dotted where it is asked after. */
	let {
		text,
		problems,
		scrolled,
		width
	}: {
		text: string;
		problems: components['schemas']['TextProblem'][];
		/** How far the area is scrolled, px. */
		scrolled: number;
		/** Of the area without its scroll bar, px: lines must break at the same words. */
		width: number;
	} = $props();
</script>

<div class="pointer-events-none absolute inset-0 overflow-hidden" aria-hidden="true">
	<div
		class="under border border-transparent px-3 py-2 text-[15px] leading-relaxed"
		style:transform="translateY({-scrolled}px)"
		style:width="{width + 2}px"
	>
		{#each text.split('\n') as line, i (i)}<div class="min-h-[1lh]">
				<MarkedLine {line} number={i + 1} {problems} />
			</div>{/each}
	</div>
</div>

<style>
	.under {
		color: transparent;
		white-space: pre-wrap;
		overflow-wrap: break-word;
	}
</style>
