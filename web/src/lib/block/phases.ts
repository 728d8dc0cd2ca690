import type { Block, BlockWeek } from '$lib/api/client';

/** What a phase is for, as it stands under its name. */
export const PURPOSES = {
	growth: 'growth: load, then repetitions, then a set',
	strength: 'strength: load, then a harder variation',
	skill: 'skill: slower and held, never heavier',
	jointCare: 'joint care: slower and held, never heavier',
	activation: 'activation: slower and held, never heavier',
	conditioning: 'conditioning: less rest first'
} as const;

/** A block to begin with: two phases, each ending easier. */
export function firstBlock(starts: string): Block {
	return {
		starts,
		phases: [
			{ name: 'Settle in', purpose: 'growth', weeks: 4, endsEasier: true },
			{ name: 'Build', purpose: 'growth', weeks: 5, endsEasier: true }
		],
		reviewEvery: 4,
		firstWeekLighter: true,
		easier: [],
		rhythm: 'onTheirDays',
		progress: null
	};
}

/** The Monday on or after a day, ISO 8601. */
export function nextMonday(from: Date): string {
	const days = (8 - from.getDay()) % 7;
	return new Date(Date.UTC(from.getFullYear(), from.getMonth(), from.getDate() + days))
		.toISOString()
		.slice(0, 10);
}

/** A block with one week made easier, or in full again. */
export function easierWeek(block: Block, week: BlockWeek): Block {
	const from = week.starts;
	if (!from) return block;
	const isIn = (day: string) => day >= from && day < plusDays(from, 7);
	return {
		...block,
		easier: block.easier.some(isIn) ? block.easier.filter((day) => !isIn(day)) : [...block.easier, from]
	};
}

function plusDays(day: string, days: number): string {
	const at = new Date(`${day}T00:00:00Z`);
	at.setUTCDate(at.getUTCDate() + days);
	return at.toISOString().slice(0, 10);
}
