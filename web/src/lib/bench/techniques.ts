import type { PartialPart, Prescription, SetForm } from '$lib/api/client';

export const PARTS: Record<PartialPart, string> = {
	none: 'whole',
	andAQuarter: 'one and a quarter',
	andAHalf: 'one and a half',
	shortHalf: 'short half only'
};

export const FORMS: Record<SetForm, string> = {
	straight: 'straight',
	pushFirst: 'maximal push first',
	restPause: 'rest-pause',
	holdToFatigue: 'hold at the end'
};

/** Which technique of the limits stands behind a choice. */
export const TECHNIQUE_OF = {
	andAQuarter: 'oneAndAHalf',
	andAHalf: 'oneAndAHalf',
	shortHalf: 'shortRangePartials',
	pulses: 'pulses',
	pushFirst: 'isometricFirst',
	restPause: 'restPause',
	holdToFatigue: 'holdToFatigue'
} as const;

/** What is done beside plain repetitions in straight sets, in few words. */
export function techniquesOf(p: Pick<Prescription, 'partial' | 'pulses' | 'form'>): string[] {
	return [
		...(p.partial !== 'none' ? [PARTS[p.partial]] : []),
		...(p.pulses > 0 ? [p.pulses === 1 ? '1 pulse' : `${p.pulses} pulses`] : []),
		...(p.form !== 'straight' ? [FORMS[p.form]] : [])
	];
}
