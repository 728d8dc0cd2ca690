import type { RepetitionRange } from '$lib/api/client';

/** The range of a forecast in whole repetitions: it holds all it holds in parts of them. */
export const between = (range: RepetitionRange) =>
	`${Math.max(0, Math.floor(range.low))} to ${Math.max(0, Math.ceil(range.high))}`;
