import type { ClientProfile } from '$lib/api/client';

/** A client nothing is known of yet. */
export const newProfile = (): ClientProfile => ({
	name: '',
	note: '',
	level: 'beginner',
	sex: 'female',
	goal: 'keepMuscle',
	birthYear: null,
	overSixty: false,
	bodyMass: 70,
	stature: 1.7,
	competitionOn: null,
	homeUntil: null,
	days: [],
	sessionMinutes: 45,
	unit: 'kilogram',
	timeZone: null,
	lifts: [],
	soreJoints: [],
	screens: [],
	traits: [],
	teachings: [],
	notYet: [],
	health: { answers: [], clearedBy: null, clearedOn: null, note: '' },
	bans: [],
	preferred: []
});
