import type { HouseRules, ReviewThresholds, WeekPrices } from '$lib/api/client';

/** A setting that is one number, with the reason it is there. */
export interface NumberRow<T> {
	key: NumberKey<T>;
	words: string;
	why: string;
	decimals?: number;
}

type NumberKey<T> = { [K in keyof T]: T[K] extends number ? K : never }[keyof T];

/** House rules that are one number, each with the reason it is there. */
export const RULES: NumberRow<HouseRules>[] = [
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
	{
		key: 'firstWeekSets',
		words: 'Sets in a first week',
		why: 'of those planned, after a change',
		decimals: 2
	},
	{
		key: 'easierWeekSets',
		words: 'Sets in an easier week',
		why: 'same loads; 0.4 to 0.6 is usual',
		decimals: 2
	},
	{
		key: 'milestoneSessions',
		words: 'Sessions at a milestone',
		why: 'running, clean and free of pain, before moving up'
	},
	{ key: 'passDays', words: 'Days a passed fixture stays passed', why: 'moving home ends it too' }
];

/** From where the review speaks up. */
export const MARKS: NumberRow<ReviewThresholds>[] = [
	{
		key: 'leastToGrow',
		words: 'Sets a week a muscle grows from',
		why: 'effective ones (Schoenfeld et al. 2017; from memory)',
		decimals: 1
	},
	{
		key: 'mostInWeek',
		words: 'Most sets a week for a muscle',
		why: 'beyond it recovery runs short',
		decimals: 1
	},
	{
		key: 'shareToKeep',
		words: 'Share of the former sets that keeps it',
		why: 'a third (Bickel et al. 2011; from memory)',
		decimals: 2
	},
	{
		key: 'shareToKeepOverSixty',
		words: 'The same over sixty',
		why: 'half',
		decimals: 2
	},
	{
		key: 'hardSetsInSession',
		words: 'Hard sets for a muscle in a session',
		why: 'later ones are hard without being worth much',
		decimals: 1
	},
	{ key: 'repetitionsInSet', words: 'Repetitions in a set', why: 'over it the variation is too easy' },
	{
		key: 'lightDemand',
		words: 'Light work lies under',
		why: 'of the maximum of today; with less rest than work it trains the breath',
		decimals: 2
	},
	{
		key: 'conditioningShare',
		words: 'So much light work is conditioning',
		why: 'share of the working minutes of a session',
		decimals: 2
	},
	{
		key: 'imbalance',
		words: 'One of a pair outdoes the other',
		why: 'so many times: push and pull, knee and hip',
		decimals: 1
	},
	{ key: 'balanceFrom', words: 'Pairs are weighed from', why: 'sets a week', decimals: 1 },
	{ key: 'fullWeeksRunning', words: 'Full weeks running', why: 'then an easier one; phases last 3 to 6' },
	{ key: 'circuitFrom', words: 'Lines that make a circuit', why: 'under one letter' },
	{ key: 'sameDoseFrom', words: 'Lines of one dose', why: 'from so many it was written for anybody' },
	{
		key: 'poorFit',
		words: 'A poor fit lies under',
		why: 'told when many clients are moved at once',
		decimals: 2
	},
	{
		key: 'landingsUntrained',
		words: 'Landings a session, untrained',
		why: 'a beginner without a known lift'
	},
	{ key: 'landingsBeginner', words: 'Landings, beginner', why: 'Potach and Chu; from memory' },
	{ key: 'landingsIntermediate', words: 'Landings, intermediate', why: 'Potach and Chu; from memory' },
	{ key: 'landingsAdvanced', words: 'Landings, advanced', why: 'Potach and Chu; from memory' }
];

/** What a whole week is chosen by, in points. */
export const WEEK_PRICES: NumberRow<WeekPrices>[] = [
	{ key: 'main', words: 'Main lift', why: 'times 1000 times its fit, gained' },
	{ key: 'secondary', words: 'Secondary line', why: 'so with these' },
	{ key: 'accessory', words: 'Accessory line', why: 'and these' },
	{ key: 'twiceInSession', words: 'One exercise twice in a session', why: 'lost, each time' },
	{ key: 'patternLost', words: 'A movement nothing does any more', why: 'no hinge, no pull from above' },
	{ key: 'rangeLost', words: 'A range of a muscle', why: 'loaded long, in the middle, short' },
	{ key: 'oneLimbLost', words: 'All one-limb work', why: 'lost for the week' },
	{ key: 'gripLost', words: 'A grip of the pulls', why: 'over, under, neutral' },
	{ key: 'changeover', words: 'A changeover', why: 'something else to put up' },
	{ key: 'setOutsideBand', words: 'A set outside the weekly band', why: 'in tens' },
	{
		key: 'hardOnConsecutiveDays',
		words: 'A muscle hard two days running',
		why: 'each muscle, each pair of days'
	},
	{ key: 'hardFromSets', words: 'Hard means, sets', why: 'effective ones in a session', decimals: 1 }
];

export const FIT_PARTS = ['muscles', 'direction', 'kind', 'dose', 'sides', 'range', 'skill'];

export const DEFAULT_REASONS =
	'As it ships: main .25 .20 .20 .20 .05 .05 .05, accessory .30 .05 .10 .35 .05 .10 .05 (common practice).';

/** How a session that is too long is made shorter, in words. */
export const SHRINK = {
	pair: 'pairing lines',
	shorten: 'a set fewer',
	drop: 'leaving lines out'
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
