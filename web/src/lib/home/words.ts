import type { Fixture, FixtureKind, HeldImplement, Home, KitItem, PlaceView } from '$lib/api/client';
import { centimetres, massWithUnit, shortDay, shownMass, trim, type MassUnit } from '$lib/units';

type FloorKind = Home['room']['floors'][number];

export const FIXTURE_NAMES: Record<FixtureKind, string> = {
	wall: 'wall',
	counter: 'counter',
	table: 'table',
	counterCorner: 'corner of a counter',
	chair: 'chair',
	sofa: 'sofa',
	bed: 'bed or berth',
	bench: 'bench',
	step: 'step or sturdy box',
	stairs: 'stairs',
	ottoman: 'ottoman or pouffe',
	rail: 'rail',
	banister: 'banister',
	gate: 'gate',
	fence: 'fence',
	beam: 'beam',
	doorAnchor: 'door with anchor',
	post: 'post',
	tree: 'tree',
	pullUpBar: 'pull-up bar',
	rack: 'rack with safety arms'
};

/** What is asked of a kind instead of its height above the floor. */
export const HEIGHT_ASKED: Partial<Record<FixtureKind, string>> = {
	stairs: 'One step, cm',
	rack: 'Highest hook, cm'
};

export const HOLD_NAMES: Record<HeldImplement['hold'], string> = {
	oneHand: 'in one hand',
	pair: 'one in each hand',
	atChest: 'at the chest',
	bothHands: 'in both hands',
	onBack: 'on the back',
	acrossHips: 'across the hips',
	bar: 'in both hands',
	band: 'stretched',
	footOnScale: 'under a foot'
};

export function checkWords(fixture: Fixture): string {
	if (!fixture.check) return 'not checked';
	const because = fixture.check.reason ? `: ${fixture.check.reason}` : '';
	if (fixture.check.verdict === 'passed') return `passed ${shortDay(fixture.check.on)}`;
	return (fixture.check.verdict === 'never' ? 'never' : 'not passed') + because;
}

export const FLOOR_NAMES: Record<FloorKind, string> = {
	wood: 'wood',
	laminate: 'laminate',
	tile: 'tile',
	carpet: 'carpet',
	rubber: 'rubber',
	concrete: 'concrete',
	grass: 'grass'
};

export const KIT_NAMES: Record<KitItem['kind'], string> = {
	plateLoadedHandles: 'Handles and plates',
	plateLoadedBar: 'Bar and plates',
	fixedWeights: 'Fixed weights',
	container: 'Bag or basket',
	vessels: 'Jugs to fill',
	band: 'Band',
	straps: 'Straps',
	sliders: 'Sliders',
	scale: 'Scale'
};

const plates = (list: { mass: number; count: number }[], unit: MassUnit) =>
	list.map((p) => `${p.count} x ${shownMass(p.mass, unit)}`).join(', ') || 'none';

/** What a thing is made of, in a line. */
export function kitWords(item: KitItem, unit: MassUnit): string {
	switch (item.kind) {
		case 'plateLoadedHandles':
			return `${item.handles === 2 ? 'two handles' : 'one handle'} of ${massWithUnit(item.handleMass, unit)}, plates ${plates(item.plates, unit)}`;
		case 'plateLoadedBar':
			return `a bar of ${massWithUnit(item.barMass, unit)}, plates ${plates(item.plates, unit)}`;
		case 'fixedWeights':
			return (
				item.weights.map((w) => `${w.count} x ${massWithUnit(w.mass, unit)}`).join(', ') || 'not weighed yet'
			);
		case 'container':
			return (
				item.contents
					.filter((c) => c.count > 0)
					.map((c) => `${c.count} x ${c.name}`)
					.join(', ') || 'nothing to put in yet'
			);
		case 'vessels':
			return `${item.count} x ${trim(item.volume, 1)} l for ${item.material}, any mark`;
		case 'band':
			return `${item.count > 1 ? `${item.count} x ` : ''}${centimetres(item.restLength)}, ${item.pulls
				.map((p) => `${Math.round(p.force)} N at ${centimetres(p.length)}`)
				.join(', ')}`;
		case 'straps':
			return `hang to ${centimetres(item.longestDrop)} below, ${item.bears === null ? 'strength not known' : `carry ${massWithUnit(item.bears, unit)}`}`;
		case 'sliders':
			return `${item.count} of them`;
		case 'scale':
			return `${item.measures}, steps of ${massWithUnit(item.step, unit)}`;
	}
}

/** The limit of a thing, for the line under it; empty where there is none. */
export function limitWords(item: KitItem, view: PlaceView, unit: MassUnit): string {
	switch (item.kind) {
		case 'container':
			return item.mostInAll === null ? '' : `stays under ${massWithUnit(item.mostInAll, unit)}`;
		case 'plateLoadedHandles':
		case 'plateLoadedBar':
			return item.platesPerEnd === null ? '' : `${item.platesPerEnd} plates fit an end`;
		case 'band':
			return `never past ${centimetres(view.bands[item.id]?.longest ?? item.restLength)}`;
		case 'sliders': {
			const floors = view.slides[item.id] ?? [];
			return floors.length ? `slide on ${floors.map((f) => FLOOR_NAMES[f]).join(', ')}` : '';
		}
		default:
			return '';
	}
}

/** What a person must see to: a rough curve, a slider that grips, straps nobody knows. Empty when all is well. */
export function kitTrouble(item: KitItem, view: PlaceView): string {
	switch (item.kind) {
		case 'band':
			return view.bands[item.id]?.rough ? 'one pull only: rough, pull it again well apart' : '';
		case 'sliders':
			return (view.slides[item.id] ?? []).length === 0
				? view.home.room.floors.length === 0
					? 'floor not known yet'
					: 'grips on this floor'
				: '';
		case 'straps':
			return item.bears === null ? 'not used until their strength is known' : '';
		default:
			return '';
	}
}
