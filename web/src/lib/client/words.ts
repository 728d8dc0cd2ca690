import type { ClientProfile } from '$lib/api/client';

type Named<T extends string> = Record<T, string>;

export const LEVELS: Named<ClientProfile['level']> = {
	beginner: 'beginner',
	intermediate: 'intermediate',
	advanced: 'advanced'
};

export const GOALS: Named<ClientProfile['goal']> = {
	keepMuscle: 'keep muscle',
	buildMuscle: 'build muscle',
	keepStrength: 'keep maximal strength',
	buildStrength: 'build maximal strength',
	strengthEndurance: 'strength endurance',
	power: 'power',
	generalPreparation: 'general preparation',
	fatLoss: 'lose fat, keep muscle'
};

export const DAYS: Named<ClientProfile['days'][number]> = {
	monday: 'Mon',
	tuesday: 'Tue',
	wednesday: 'Wed',
	thursday: 'Thu',
	friday: 'Fri',
	saturday: 'Sat',
	sunday: 'Sun'
};

export const TRAITS: Named<ClientProfile['traits'][number]> = {
	shrugsEasily: 'shrugs easily',
	weakGrip: 'weak grip',
	kneesFallIn: 'knees fall in',
	backArches: 'back arches',
	oneSideStronger: 'one side stronger',
	uncomfortableUpsideDown: 'uncomfortable upside down',
	kneeSoreOnLunges: 'knee sore on lunges'
};

/** Each screen with the pass mark coaches go by (common practice); a coach's own remark stands beside it. */
export const SCREENS: Record<ClientProfile['screens'][number]['screen'], { name: string; mark: string }> = {
	shoulderExtension: {
		name: 'Shoulder extension',
		mark: 'arms back, then elbows bent, no pinch: before any dip'
	},
	deepSquat: { name: 'Ankles, deep squat', mark: 'heels down, no falling back' },
	wrist: {
		name: 'Wrists',
		mark: 'hands flat under the shoulders, no pain: before floor push-ups and bridges'
	},
	hamstringRange: { name: 'Hamstring range', mark: 'hinge to mid-shin, back flat: before hinges' },
	overheadReach: { name: 'Overhead reach', mark: 'arms by the ears, ribs down: before pressing or hanging' }
};

export const JOINTS = [
	'neck',
	'shoulder',
	'elbow',
	'wrist',
	'upperBack',
	'lowerBack',
	'hip',
	'knee',
	'ankle'
] as const satisfies ClientProfile['soreJoints'][number]['joint'][];

export const HEALTH: Named<ClientProfile['health']['answers'][number]['question']> = {
	heart: 'Any heart trouble, known or suspected?',
	bloodPressure: 'High blood pressure, or medicine for it?',
	chestPain: 'Pain or tightness in the chest, at rest or moving?',
	dizziness: 'Dizzy spells or fainting in the last year?',
	pregnancy: 'Pregnant, or given birth in the last six months?',
	recentSurgery: 'An operation in the last six months?',
	unexplainedJointPain: 'Joint pain nobody has explained yet?'
};

export const ATTRIBUTES = {
	jumps: 'jumps and hard landings',
	behindTheBodyDips: 'dips behind the body',
	pressingOverhead: 'pressing overhead',
	hanging: 'hanging',
	upsideDown: 'head under the hips',
	spinalFlexion: 'crunching the spine',
	kneeling: 'kneeling',
	oneLegBalance: 'balancing on one leg',
	bands: 'bands',
	deadliftsFromTheFloor: 'deadlifts from the floor',
	loadedRotation: 'turning under load'
} as const;

/** "lowerBack" as a coach says it: "lower back". */
export const plain = (name: string) => name.replace(/[A-Z]/g, (c) => ' ' + c.toLowerCase());
