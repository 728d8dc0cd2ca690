import { describe, expect, test } from 'vitest';
import { clock, massWithUnit, readMass, readNumber, shortDay, shownMass } from './units';

describe('masses in the unit of the client', () => {
	// The international pound is 0.45359237 kg exactly (NIST Special Publication 811, from memory).
	test.each([
		[0.45359237, '1'],
		[20.41165665, '45'],
		[100, '220.5'],
		[-5, '-11']
	])('%f kg are %s lb', (kilograms, pounds) => {
		expect(shownMass(kilograms, 'pound')).toBe(pounds);
	});

	test('what is typed comes back as it was meant, in either unit', () => {
		expect(readMass('45', 'pound')).toBeCloseTo(20.41, 2);
		expect(readMass('12,5', 'kilogram')).toBe(12.5);
		expect(readMass('heavy', 'kilogram')).toBeNull();
		for (let kilograms = 0.5; kilograms < 9; kilograms += 0.5)
			for (const unit of ['kilogram', 'pound'] as const)
				// To half of the last figure shown, a twentieth of a pound.
				expect(Math.abs((readMass(shownMass(kilograms, unit), unit) ?? 0) - kilograms)).toBeLessThan(0.024);
	});

	test('small masses keep two decimals, large ones one', () => {
		expect(massWithUnit(1.535, 'kilogram')).toBe('1.53 kg');
		expect(massWithUnit(21.14, 'kilogram')).toBe('21.1 kg');
	});
});

test('a number may have a comma, and nothing else is one', () => {
	expect(readNumber(' 3,5 ')).toBe(3.5);
	expect(readNumber('')).toBeNull();
	expect(readNumber('3 or 4')).toBeNull();
});

test('a rest clock shows minutes and seconds, a day is short', () => {
	expect([0, 59.4, 59.6, 90, 600].map(clock)).toEqual(['0:00', '0:59', '1:00', '1:30', '10:00']);
	expect(shortDay('2026-11-03')).toBe('3 Nov');
});
