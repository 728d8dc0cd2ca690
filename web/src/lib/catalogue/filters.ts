import type { CatalogueExercise, Possibility } from '$lib/api/client';

/** What a coach narrows the catalogue by; empty strings narrow nothing. */
export interface Filters {
	typed: string;
	muscle: string;
	pattern: string;
	kit: string;
	possible: boolean;
}

export const KIT: Record<string, { words: string; fits: (e: CatalogueExercise) => boolean }> = {
	none: {
		words: 'nothing but a floor',
		fits: (e) =>
			!e.needsLoad &&
			e.fixtures.every((f) => f.kinds.includes('wall')) &&
			!e.room.slidingFloor &&
			!e.wantsMiniBand &&
			e.setting !== 'gym'
	},
	fixture: {
		words: 'something fixed, no load',
		fits: (e) => !e.needsLoad && e.fixtures.some((f) => !f.kinds.includes('wall')) && e.setting !== 'gym'
	},
	slide: { words: 'something that slides', fits: (e) => e.room.slidingFloor },
	hand: {
		words: 'a weight in the hands',
		fits: (e) => e.holds.some((h) => ['oneHand', 'pair', 'bothHands', 'atChest'].includes(h))
	},
	bag: { words: 'a bag on the back', fits: (e) => e.holds.includes('onBack') },
	band: { words: 'a band', fits: (e) => e.band !== null || e.wantsMiniBand },
	bar: { words: 'a bar with plates', fits: (e) => e.holds.includes('bar') },
	gym: { words: 'the gym', fits: (e) => e.setting === 'gym' }
};

/** The exercises that pass every filter, in the order given. */
export function narrow(
	all: CatalogueExercise[],
	by: Filters,
	possible: Map<string, Possibility>
): CatalogueExercise[] {
	const words = by.typed.toLowerCase().split(' ').filter(Boolean);
	return all
		.toSorted((a, b) => a.name.localeCompare(b.name, 'en'))
		.filter(
			(e) =>
				words.every((w) => [e.name, ...e.synonyms].some((n) => n.toLowerCase().includes(w))) &&
				(by.muscle === '' || (e.muscles[by.muscle] ?? 0) >= 0.5) &&
				(by.pattern === '' || e.pattern === by.pattern) &&
				(by.kit === '' || (KIT[by.kit]?.fits(e) ?? true)) &&
				(!by.possible || possible.get(e.id)?.possible === true)
		);
}
