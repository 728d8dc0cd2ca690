import type { HouseRules } from '$lib/api/client';

/** House rules that are one number, each with the reason it is there. */
export const RULES: { key: NumberRule; words: string; why: string }[] = [
	{
		key: 'reserve',
		words: 'Repetitions left where a line says nothing',
		why: 'the last set; 1 to 3 is usual'
	},
	{ key: 'beginnerReserve', words: 'A beginner always keeps', why: 'repetitions; never nearer to failure' },
	{
		key: 'repetitionCap',
		words: 'Most repetitions of a set',
		why: 'above it the load is too light or the tempo too fast'
	},
	{
		key: 'longestRepetition',
		words: 'Longest repetition, seconds',
		why: 'past 8 no gain was seen (Schoenfeld et al. 2015; from memory)'
	},
	{ key: 'slowestLowering', words: 'Slowest lowering, seconds', why: '3 to 5 is usual, 10 the very most' },
	{ key: 'slowestLifting', words: 'Slowest lifting, seconds', why: 'equal counts both ways at most' },
	{ key: 'longestPause', words: 'Longest pause, seconds', why: 'at the hard end' },
	{
		key: 'techniquesOnLegs',
		words: 'Techniques at once on legs',
		why: 'slower, paused: each is one'
	},
	{ key: 'techniquesOnUpperBody', words: 'Techniques at once on the upper body', why: 'one is usual' },
	{ key: 'passDays', words: 'Days a passed fixture stays passed', why: 'moving home ends it too' }
];

type NumberRule = {
	[K in keyof HouseRules]: HouseRules[K] extends number ? K : never;
}[keyof HouseRules];

export const FIT_PARTS = ['muscles', 'direction', 'kind', 'dose', 'sides', 'range', 'skill'];

export const DEFAULT_REASONS =
	'As it ships: main .25 .20 .20 .20 .05 .05 .05, accessory .30 .05 .10 .35 .05 .10 .05 (common practice).';

/** How a session that is too long is made shorter, in words. */
export const SHRINK = {
	pair: 'do lines back to back',
	shorten: 'a set fewer',
	drop: 'leave lines out'
} as const;

export type ShrinkMeans = keyof typeof SHRINK;

/** Every order of the three. */
export const SHRINK_ORDERS: ShrinkMeans[][] = [
	['pair', 'shorten', 'drop'],
	['pair', 'drop', 'shorten'],
	['shorten', 'pair', 'drop'],
	['shorten', 'drop', 'pair'],
	['drop', 'pair', 'shorten'],
	['drop', 'shorten', 'pair']
];
