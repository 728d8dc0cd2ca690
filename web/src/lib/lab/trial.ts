import type { PartialPart, RebuiltLine, SetForm, SetTrial } from '$lib/api/client';

/** A set in the lab's address, so that a link opens the same two sets: exercise, load, counts, tempo, rest, techniques. */
export function written(trial: SetTrial): string {
	const heights = [
		trial.geometry?.hands,
		trial.geometry?.feet,
		trial.geometry?.grip,
		trial.geometry?.feetOut
	];
	return [
		trial.exercise,
		trial.load,
		trial.repetitions.join('+'),
		trial.tempo,
		trial.rest,
		trial.partial,
		trial.pulses,
		trial.form,
		heights.map((h) => h ?? '').join('+')
	].join('~');
}

/** Reads what `written` wrote; null for anything else. */
export function read(text: string | null): SetTrial | null {
	const [exercise, load, counts, tempo, rest, partial, pulses, form, heights] = text?.split('~') ?? [];
	if (!exercise || heights === undefined || !tempo) return null;
	const numbers = [load, rest, pulses].map(Number);
	const repetitions = (counts ?? '').split('+').map(Number);
	if ([...numbers, ...repetitions].some((n) => !Number.isFinite(n))) return null;
	const [hands, feet, grip, feetOut] = heights.split('+').map((h) => (h === '' ? null : Number(h)));
	return {
		exercise,
		load: numbers[0] ?? 0,
		repetitions,
		tempo,
		rest: numbers[1] ?? 90,
		partial: (partial as PartialPart) || 'none',
		pulses: numbers[2] ?? 0,
		form: (form as SetForm) || 'straight',
		geometry: { hands: hands ?? null, feet: feet ?? null, grip: grip ?? null, feetOut: feetOut ?? null }
	};
}

export function labAddress(client: string, a: SetTrial | null, b: SetTrial | null): string {
	const query = new URLSearchParams();
	if (a) query.set('a', written(a));
	if (b) query.set('b', written(b));
	return `/clients/${client}/lab?${query}`;
}

/** The gym line on the left, what stands in for it on the right. */
export function labOf(client: string, line: RebuiltLine): string {
	const { intent, chosen } = line;
	if (!intent || !chosen || chosen.forecast.length === 0) return `/clients/${client}/lab`;
	const gym: SetTrial = {
		exercise: line.written.exercise ?? chosen.prescription.exercise,
		load: intent.load,
		repetitions: intent.repetitions,
		tempo: intent.tempo,
		rest: intent.rest,
		partial: 'none',
		pulses: 0,
		form: 'straight',
		geometry: null
	};
	const p = chosen.prescription;
	return labAddress(client, gym, {
		exercise: p.exercise,
		load: p.load,
		repetitions: p.form === 'restPause' ? p.counts.slice(0, 1) : p.counts,
		tempo: p.tempo ?? '2-0-1-0',
		rest: p.rest,
		partial: p.partial,
		pulses: p.pulses,
		form: p.form,
		geometry: p.geometry
	});
}
