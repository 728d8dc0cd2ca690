import type { components } from '$lib/api/schema';

export type TextProblem = components['schemas']['TextProblem'];

/** Part of a line: not read, asked after, or neither. */
export interface Piece {
	words: string;
	mark: 'unread' | 'asked' | null;
}

/** A line cut at the ends of its problems; the graver of two that overlap is shown. */
export function pieces(line: string, number: number, problems: TextProblem[]): Piece[] {
	const here = problems.filter((p) => p.line === number && p.length > 0);
	const cuts = [...new Set([0, line.length, ...here.flatMap((p) => [p.column - 1, p.column - 1 + p.length])])]
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
