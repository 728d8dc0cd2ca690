import { beforeEach, describe, expect, test, vi } from 'vitest';
import { api, type LineProgress, type ProgressView, type SetLog } from '$lib/api/client';
import { set } from '../../testing/link';
import { DayLog, readReserve } from './entry.svelte';

let sent: SetLog[][];

const place = { id: 'shed', name: 'Shed' };

function line(number: number, load: number, more: Partial<LineProgress> = {}): LineProgress {
	return {
		line: number,
		key: more.place ? `${number}@${more.place.id}` : `${number}`,
		place: null,
		logs: [],
		prescription: { exercise: 'goblet-squat', name: 'Goblet squat', counts: [8, 8, 7], load, reserve: 2 },
		...more
	} as LineProgress;
}

function view(lines: LineProgress[]): ProgressView {
	return {
		lines,
		planVersion: 3,
		overwritten: [],
		hindsight: [],
		told: [],
		gone: []
	} as unknown as ProgressView;
}

const log = (lines: LineProgress[], unit: 'kilogram' | 'pound' = 'kilogram') =>
	new DayLog('somebody', view(lines), unit, '2026-11-23');

beforeEach(() => {
	sent = [];
	vi.spyOn(api, 'POST').mockImplementation(((_: string, options: { body: { sets: SetLog[] } }) => {
		sent.push(options.body.sets);
		return Promise.resolve({ data: view([]), response: new Response() });
	}) as never);
});

describe('a day written down', () => {
	test('keeps what was typed and leaves the rest out', async () => {
		const day = log([line(1, 12), line(2, 16)]);
		day.typed['1']![1]!.repetitions = '7';
		day.typed['1']![1]!.pain = '2';
		expect(day.anyTyped).toBe(true);
		expect(await day.save()).toBe(true);
		expect(sent[0]).toMatchObject([
			{ line: 1, setNumber: 2, repetitions: 7, pain: 2, reserve: null, load: 12 }
		]);
	});

	test('filled in as prescribed leaves the reserve of the last set alone known', async () => {
		const day = log([line(1, 12)]);
		day.asPrescribed(day.lines[0]!);
		await day.save();
		expect(sent[0]?.map((s) => [s.repetitions, s.reserve])).toEqual([
			[8, null],
			[8, null],
			[7, 2]
		]);
	});

	test.each(['seven', '7.5', '-'])(
		'says where %s was typed for a count, and keeps nothing',
		async (typed) => {
			const day = log([line(1, 12)]);
			day.typed['1']![2]!.repetitions = typed;
			expect(await day.save()).toBe(false);
			expect(day.trouble).toContain('Goblet squat, set 3');
			expect(sent).toEqual([]);
		}
	);

	test('shown again has the sets of that day, and what the phone logged beside them', async () => {
		const phone = set(1, 2, '2026-11-23', { repetitions: 9, restBefore: 80, otherSide: 8, stopped: 'grip' });
		const day = log([line(1, 10, { logs: [phone, set(1, 1, '2026-11-20')] })]);
		expect(day.typed['1']!.map((s) => s.repetitions)).toEqual(['', '9', '']);
		day.typed['1']![1]!.repetitions = '8';
		await day.save();
		expect(sent[0]).toMatchObject([
			{ id: phone.id, repetitions: 8, restBefore: 80, otherSide: 8, stopped: 'grip' }
		]);
	});
});

describe('loads', () => {
	test('typed in pounds are kept in kilograms, and one left alone stays what was prescribed', async () => {
		const day = log([line(1, 10.123)], 'pound');
		expect(day.typed['1']![0]!.load).toBe('22.3');
		day.typed['1']![0]!.repetitions = '8';
		day.typed['1']![1]!.repetitions = '8';
		day.typed['1']![1]!.load = '45';
		await day.save();
		expect(sent[0]?.map((s) => s.load)).toEqual([10.123, expect.closeTo(20.41, 2)]);
	});
});

test('a line done another way elsewhere has rows of its own', async () => {
	const day = log([line(1, 12), line(1, 20, { place })]);
	day.typed['1@shed']![0]!.repetitions = '5';
	await day.save();
	expect(sent[0]).toMatchObject([{ line: 1, load: 20, repetitions: 5 }]);
});

test.each([
	['', null],
	['2', 2],
	['2.5', 2.5],
	['5-6', '5-6'],
	['5 – 6', '5-6'],
	['7+', '7+'],
	['easy', undefined]
])('what was left, typed as "%s", is kept as said', (typed, read) => {
	expect(readReserve(typed)).toBe(read);
});

test('a correction names the version it was made from, and the next one the newer', async () => {
	const kept = set(1, 1, '2026-11-23', { version: 4 });
	const day = log([line(1, 12, { logs: [kept] })]);
	day.typed['1']![0]!.repetitions = '6';
	await day.save();
	expect(sent[0]).toMatchObject([{ id: kept.id, version: 4, repetitions: 6 }]);
});

test('the file of a phone is taken in as it is, and anything else is refused in words', async () => {
	const day = log([line(1, 12)]);
	const one = set(1, 1);
	expect(await day.takeFile(JSON.stringify({ format: 'ingegno-phone-log', sets: [one] }))).toBe(true);
	expect(sent[0]).toEqual([one]);
	expect(await day.takeFile('{"sets": []}')).toBe(false);
	expect(day.trouble).toContain('choose the file');
});
