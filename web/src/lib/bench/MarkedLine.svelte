<script lang="ts">
	import type { components } from '$lib/api/schema';

	/** A line with each problem underlined at its place: waved where it was not read, dotted where it is asked after. */
	let {
		line,
		number,
		problems
	}: {
		line: string;
		/** From 1. */
		number: number;
		problems: components['schemas']['TextProblem'][];
	} = $props();

	/** The line cut at the ends of its problems; the graver of two that overlap is shown. */
	const pieces = $derived.by(() => {
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
				mark: over.length === 0 ? '' : over.some((p) => !p.isDoubt) ? 'unread' : 'asked'
			};
		});
	});
</script>

{#each pieces as piece, k (k)}<span class={piece.mark}>{piece.words}</span>{/each}

<style>
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
