import type { RebuiltLine } from '$lib/api/client';

/** What is said of a line whose effort is not computed: whether it stays, and whether its count does. */
export function ofUncomputed(line: RebuiltLine): string {
	if (line.outcome === 'unchanged') return 'unchanged';
	const given = line.chosen?.prescription;
	const same =
		line.written.sets.every((s) => s.kind === given?.count) &&
		String(line.written.sets.flatMap((s) => s.planned)) === String(given?.counts);
	return same ? 'same count' : 'counted its own way';
}
