import type { Fixture, FixtureKind, HeldImplement, KitItem } from '$lib/api/client';
import { massWithUnit, shortDay, shownMass, type MassUnit } from '$lib/units';

export const FIXTURE_NAMES: Record<FixtureKind, string> = {
	wall: 'wall',
	counter: 'counter',
	table: 'table',
	chair: 'chair',
	sofa: 'sofa',
	bed: 'bed or berth',
	bench: 'bench',
	step: 'step or sturdy box',
	stairs: 'stairs',
	rail: 'rail, gate or beam',
	doorAnchor: 'door anchor',
	post: 'post or tree',
	pullUpBar: 'pull-up bar'
};

export const HOLD_NAMES: Record<HeldImplement['hold'], string> = {
	oneHand: 'in one hand',
	pair: 'one in each hand',
	atChest: 'at the chest',
	bothHands: 'in both hands',
	onBack: 'on the back',
	acrossHips: 'across the hips'
};

export function checkWords(fixture: Fixture): string {
	if (!fixture.check) return 'not checked';
	const because = fixture.check.reason ? `: ${fixture.check.reason}` : '';
	if (fixture.check.verdict === 'passed') return `passed ${shortDay(fixture.check.on)}`;
	return (fixture.check.verdict === 'never' ? 'never' : 'not passed') + because;
}

/** What a thing is made of, in a line. */
export function kitWords(item: KitItem, unit: MassUnit): string {
	switch (item.kind) {
		case 'plateLoadedHandles': {
			const plates = item.plates.map((p) => `${p.count} x ${shownMass(p.mass, unit)}`).join(', ');
			return `${item.handles === 2 ? 'two handles' : 'one handle'} of ${massWithUnit(item.handleMass, unit)}, plates ${plates || 'none'}`;
		}
		case 'fixedWeights':
			return (
				item.weights.map((w) => `${w.count} x ${massWithUnit(w.mass, unit)}`).join(', ') ||
				'nothing in it yet'
			);
		case 'container':
			return item.contents.map((c) => `${c.count} x ${c.name}`).join(', ') || 'nothing to put in yet';
	}
}
