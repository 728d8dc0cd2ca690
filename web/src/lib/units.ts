import type { ClientProfile } from './api/client';

export type MassUnit = ClientProfile['unit'];

const POUND = 0.45359237;

/** Kilograms as shown in the client's unit, without it. */
export function shownMass(kilograms: number, unit: MassUnit): string {
	const value = unit === 'pound' ? kilograms / POUND : kilograms;
	return trim(value, Math.abs(value) < 10 ? 2 : 1);
}

export function massWithUnit(kilograms: number, unit: MassUnit): string {
	return `${shownMass(kilograms, unit)} ${unit === 'pound' ? 'lb' : 'kg'}`;
}

/** What was typed in the client's unit, in kilograms; null when it is no number. */
export function readMass(typed: string, unit: MassUnit): number | null {
	const value = readNumber(typed);
	return value === null ? null : unit === 'pound' ? value * POUND : value;
}

/** A number typed with point or comma; null when it is none. */
export function readNumber(typed: string): number | null {
	const text = typed.trim().replace(',', '.');
	return text === '' || Number.isNaN(Number(text)) ? null : Number(text);
}

export function trim(value: number, decimals: number): string {
	return String(Number(value.toFixed(decimals)));
}

export function centimetres(metres: number): string {
	return `${Math.round(metres * 100)} cm`;
}

/** Seconds as on a rest clock, "1:30". */
export function clock(seconds: number): string {
	const whole = Math.round(seconds);
	return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}

/** "23 Nov" */
export function shortDay(iso: string): string {
	const [year, month, day] = iso.split('-').map(Number);
	return new Date(year ?? 2000, (month ?? 1) - 1, day ?? 1).toLocaleDateString('en-GB', {
		day: 'numeric',
		month: 'short'
	});
}
