<script lang="ts">
	import { pieces, type TextProblem } from './marks';

	/** The text once more behind the area it is typed in, each problem underlined at its place: waved where it was not read, dotted where it is asked after. */
	let {
		text,
		problems,
		scrolled,
		width
	}: {
		text: string;
		problems: TextProblem[];
		/** How far the area is scrolled, px. */
		scrolled: number;
		/** Of the area without its scroll bar, px: lines must break at the same words. */
		width: number;
	} = $props();

	const lines = $derived(text.split('\n').map((line, i) => pieces(line, i + 1, problems)));
</script>

<div class="pointer-events-none absolute inset-0 overflow-hidden" aria-hidden="true">
	<div
		class="under border border-transparent px-3 py-2 text-[15px] leading-relaxed"
		style:transform="translateY({-scrolled}px)"
		style:width="{width + 2}px"
	>
		{#each lines as line, i (i)}<div class="min-h-[1lh]">
				{#each line as piece, k (k)}<span class={piece.mark ?? ''}>{piece.words}</span>{/each}
			</div>{/each}
	</div>
</div>

<style>
	.under {
		color: transparent;
		white-space: pre-wrap;
		overflow-wrap: break-word;
	}
	.unread {
		text-decoration: underline wavy var(--color-accent) 1.5px;
		text-underline-offset: 3px;
	}
	.asked {
		text-decoration: underline dotted currentColor 2px;
		text-decoration-color: var(--color-soft, currentColor);
		text-underline-offset: 4px;
	}
</style>
