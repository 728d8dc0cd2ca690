import type { Fixture, KitItem } from '$lib/api/client';
import { newId } from './home.svelte';

export const newFixture = (): Fixture => ({
	id: newId(),
	name: '',
	kind: 'chair',
	height: 0.45,
	backHeight: null,
	count: 1,
	glass: false,
	bears: null,
	check: null
});

/** A thing of a kind with figures to start from; the person corrects them before it is kept. */
export function newThing(kind: KitItem['kind']): KitItem {
	const id = newId();
	switch (kind) {
		case 'plateLoadedHandles':
			return {
				kind,
				id,
				name: 'Two handles',
				handles: 2,
				handleMass: 2,
				collarMass: 0,
				plates: [{ mass: 2.5, count: 8, thickness: null }],
				platesPerEnd: null,
				sleeveRoom: null,
				mostPerHandle: null
			};
		case 'plateLoadedBar':
			return {
				kind,
				id,
				name: 'Bar',
				barMass: 20,
				collarMass: 0,
				plates: [{ mass: 10, count: 2, thickness: null }],
				platesPerEnd: null,
				sleeveRoom: null,
				mostInAll: null
			};
		case 'fixedWeights':
			return {
				kind,
				id,
				name: 'Dumbbells',
				shape: 'dumbbell',
				weights: [{ mass: 8, count: 2, error: null }],
				consumable: false
			};
		case 'container':
			return {
				kind,
				id,
				name: 'Rucksack',
				shape: 'rucksack',
				ownMass: 1,
				mostInAll: 15,
				volume: 30,
				contents: [{ name: 'big bottle', mass: 1.53, count: 6, volume: 1.7, error: null, consumable: true }]
			};
		case 'vessels':
			return { kind, id, name: 'Water jugs', count: 2, volume: 5, ownMass: 0.2, material: 'water' };
		case 'band':
			return {
				kind,
				id,
				name: 'Loop band',
				shape: 'loop',
				restLength: 1.04,
				pulls: [
					{ length: 1.56, force: 60 },
					{ length: 2.6, force: 140 }
				],
				count: 1,
				swatch: null
			};
		case 'straps':
			return { kind, id, name: 'Straps', longestDrop: 1.2, bears: 150 };
		case 'sliders':
			return { kind, id, name: 'Magazines', slider: 'magazine', count: 2 };
		case 'scale':
			return { kind, id, name: 'Bathroom scale', measures: 'bathroom', step: 0.1 };
	}
}
