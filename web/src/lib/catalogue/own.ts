import type { components } from '$lib/api/schema';
import type { CatalogueExercise } from '$lib/api/client';

export type OwnExercise = components['schemas']['OwnExercise'];
export type OwnFixture = components['schemas']['OwnFixture'];

/** One nothing is said of yet, like nothing yet. */
export const blank = (name: string): OwnExercise => ({
	id: '',
	name: name.charAt(0).toUpperCase() + name.slice(1),
	alsoCalled: [],
	like: '',
	muscles: null,
	line: null,
	sides: null,
	range: null,
	holds: null,
	needsLoad: null,
	wants: null,
	test: null,
	strength: null,
	fixtures: null,
	joints: null,
	skill: null,
	setUp: null,
	cues: null,
	isRetired: false
});

export const LINES = [
	'intoTheChest',
	'intoTheUpperChest',
	'fromOverhead',
	'fromBelow',
	'fromTheFront',
	'fromTheFrontHigh',
	'fromAbove',
	'alongTheSpine',
	'onEachLeg',
	'behindTheHips',
	'acrossTheHips',
	'atTheShin',
	'atTheHands',
	'fromTheSide',
	'againstTheTrunk'
] as const satisfies CatalogueExercise['line'][];

export const SIDES = {
	together: 'both limbs',
	oneAtATime: 'one limb at a time'
} as const satisfies Record<CatalogueExercise['sides'], string>;

export const RANGES = {
	long: 'hardest stretched',
	middle: 'hardest in the middle',
	short: 'hardest shortened'
} as const satisfies Record<CatalogueExercise['range'], string>;

export const WANTS = {
	anything: 'any load',
	bag: 'a bag',
	straps: 'straps',
	rigid: 'a bar, bell or dumbbell, no bag',
	leanedOn: 'dumbbells or bells that stand flat'
} as const satisfies Record<CatalogueExercise['wants'], string>;

export const SKILLS = ['anybody', 'after some weeks', 'trained', 'very trained'];

export const ROLES = {
	hands: 'hands on',
	feet: 'feet on',
	seat: 'seat',
	rearFoot: 'rear foot on',
	shouldersRaised: 'shoulders on',
	step: 'step up on',
	grip: 'grip',
	support: 'hold on to',
	anchor: 'tie to',
	catch: 'bar caught by'
} as const satisfies Record<OwnFixture['role'], string>;

/** Heights by the standing body they reach to, over stature (after the segment lengths of Drillis and Contini 1966; from memory, rounded). */
export const HEIGHTS: { words: string; share: number }[] = [
	{ words: 'the floor', share: 0 },
	{ words: 'mid shin', share: 0.15 },
	{ words: 'the knee', share: 0.28 },
	{ words: 'mid thigh', share: 0.4 },
	{ words: 'the hip', share: 0.53 },
	{ words: 'the breastbone', share: 0.72 },
	{ words: 'the shoulder', share: 0.82 },
	{ words: 'the crown', share: 1 },
	{ words: 'raised hands', share: 1.27 }
];

/** The nearest of the named heights. */
export const heightNear = (share: number) =>
	HEIGHTS.reduce((best, h) => (Math.abs(h.share - share) < Math.abs(best.share - share) ? h : best)).share;

/** What is said to differ, in a word each. */
export function differences(own: OwnExercise): string[] {
	const said: [unknown, string][] = [
		[own.muscles, 'muscles'],
		[own.line, 'direction'],
		[own.sides, 'limbs'],
		[own.range, 'hardest range'],
		[own.holds, 'hold'],
		[own.needsLoad, 'load'],
		[own.wants, 'kit'],
		[own.test, 'what arrives of a load'],
		[own.strength, 'how heavy'],
		[own.fixtures, 'fixtures'],
		[own.joints, 'joints'],
		[own.skill, 'skill'],
		[own.setUp, 'set-up'],
		[own.cues, 'cues']
	];
	return said.filter(([value]) => value !== null).map(([, word]) => word);
}

/** Where a name nobody knows becomes an exercise of the practice's own. */
export const addHref = (name: string) => `/catalogue?own=new&name=${encodeURIComponent(name)}`;
