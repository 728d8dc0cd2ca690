<script lang="ts">
	import type { components } from '$lib/api/schema';

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

	interface Piece {
		words: string;
		mark: 'unread' | 'asked' | null;
	}

	/** A line cut at the ends of its problems; the graver of two that overlap is shown. */
	function pieces(line: string, number: number): Piece[] {
		const here = problems.filter((p) => p.line === number && p.length > 0);
		const cuts = [
			...new Set([0, line.length, ...here.flatMap((p) => [p.column - 1, p.column - 1 + p.length])])
		]
			.filter((at) => at >= 0 && at <= line.length)
			.sort((a, b) => a - b);
		return cuts.slice(0, -1).map((from, i) => {
			const over = here.filter((p) => p.column - 1 <= from && from < p.column - 1 + p.length);
			return {
				words: line.slice(from, cuts[i + 1]),
				mark: over.length === 0 ? null : over.some((p) => !p.isDoubt) ? 'unread' : 'asked'
			};
		});
	}

	const lines = $derived(text.split('\n').map((line, i) => pieces(line, i + 1)));
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
