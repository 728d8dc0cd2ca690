import type { LinkSession, SetLog } from '$lib/api/client';

/** Sets of a day by line and number. */
export type DoneSets = Readonly<Record<string, SetLog>>;

export function keyOf(line: number, set: number): string {
	return `${line}-${set}`;
}

export function byKey(sets: SetLog[]): DoneSets {
	return Object.fromEntries(sets.map((s) => [keyOf(s.line, s.setNumber), s]));
}

/** Sets of a line that are done in a week of this kind. */
export function setsKept(
	session: LinkSession | undefined,
	line: number,
	kind: 'full' | 'lighter' | 'easier'
): number {
	const found = session?.lines.find((l) => l.line === line);
	return kind === 'full' || !found ? Infinity : kind === 'lighter' ? found.lighter : found.easier;
}

/** Now, by the phone's clock. */
export function isoNow(): string {
	return new Date().toISOString();
}
