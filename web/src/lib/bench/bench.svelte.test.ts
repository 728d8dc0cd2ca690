import { flushSync } from 'svelte';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { api, type BenchView, type PlanView, type RebuiltLine } from '$lib/api/client';
import { Bench } from './bench.svelte';

type Answer = { data?: unknown; error?: unknown; response: Response };

const EMPTY = {
	sessions: [],
	problems: [],
	allGuessed: false,
	review: { ledger: { muscles: [], patterns: [], balances: [], sessions: [] }, findings: [] },
	inForce: [],
	gone: []
} as unknown as BenchView;

function plan(text: string, version: number): PlanView {
	return {
		plan: { text, choices: [], block: null, versions: [], savedAt: version ? '2026-11-23T09:00:00Z' : null },
		version
	} as never;
}

const row = (number: number, text: string) => ({ written: { number, text } }) as RebuiltLine;

/** Questions under way, to be answered in any order. */
let open: { path: string; body: { text: string; version?: number }; answer: (with_: Answer) => void }[];
let bench: Bench;

const ok = (data: unknown): Answer => ({ data, response: new Response(null, { status: 200 }) });
const refused = (status: number): Answer => ({
	error: { title: 'Saved elsewhere.' },
	response: new Response(null, { status })
});

beforeEach(() => {
	open = [];
	const ask = ((path: string, options: { body: (typeof open)[number]['body'] }) =>
		new Promise<Answer>((answer) => open.push({ path, body: options.body, answer }))) as never;
	vi.spyOn(api, 'POST').mockImplementation(ask);
	vi.spyOn(api, 'PUT').mockImplementation(ask);
	bench = new Bench('somebody', plan('Squat 3 x 8', 1));
});

/** What a button that watches the bench shows. */
function watched(what: () => string) {
	const shown: string[] = [];
	const stop = $effect.root(() => {
		$effect(() => {
			shown.push(what());
		});
	});
	flushSync();
	return { shown, stop };
}

describe('working out', () => {
	test('is asked for once more where it took too long, and only once', async () => {
		for (const [second, trouble] of [
			[ok(EMPTY), ''],
			[refused(503), 'Saved elsewhere.']
		] as const) {
			open = [];
			const rebuilding = bench.rebuild();
			open[0]!.answer(refused(503));
			await vi.waitFor(() => expect(open).toHaveLength(2));
			open[1]!.answer(second);
			await rebuilding;
			expect(open).toHaveLength(2);
			expect(bench.trouble).toBe(trouble);
		}
	});

	test('is not asked for again where it was refused', async () => {
		const rebuilding = bench.rebuild();
		open[0]!.answer(refused(400));
		await rebuilding;
		expect(open).toHaveLength(1);
		expect(bench.trouble).toBe('Saved elsewhere.');
	});
});

describe('saving', () => {
	test('shows as saved, whichever of a save and a rebuild ends first', async () => {
		for (const first of ['bench', 'plan']) {
			open = [];
			bench = new Bench('somebody', plan('Squat 3 x 8', 1));
			const button = watched(() => (bench.dirty ? 'Save plan' : 'Saved'));
			void bench.retype('Squat 4 x 8');
			flushSync();
			expect(button.shown.at(-1)).toBe('Save plan');
			const saving = bench.save();
			for (const path of first === 'bench' ? ['bench', 'plan'] : ['plan', 'bench'])
				open
					.find((q) => q.path.endsWith(path))!
					.answer(ok(path === 'bench' ? EMPTY : plan('Squat 4 x 8', 2)));
			await saving;
			flushSync();
			expect(button.shown.at(-1)).toBe('Saved');
			button.stop();
		}
	});

	test('is busy until both have ended', async () => {
		const rebuilding = bench.retype('Squat 4 x 8');
		const saving = bench.save();
		expect(bench.busy).toBe(true);
		open[1]!.answer(ok(plan('Squat 4 x 8', 2)));
		await saving;
		expect(bench.busy).toBe(true);
		open[0]!.answer(ok(EMPTY));
		await rebuilding;
		expect(bench.busy).toBe(false);
	});

	test('over a newer plan is refused, and nothing typed is lost', async () => {
		void bench.retype('Squat 5 x 8');
		const saving = bench.save();
		open[1]!.answer(refused(409));
		expect(await saving).toBe(false);
		expect(bench.stale).toBe(true);
		expect(bench.text).toBe('Squat 5 x 8');
		expect(bench.trouble).toContain('Saved elsewhere');
	});

	test('goes on from the version it was told', async () => {
		const first = bench.save();
		open[0]!.answer(ok(plan('Squat 3 x 8', 7)));
		await first;
		void bench.save();
		expect(open.findLast((q) => q.path.endsWith('plan'))!.body.version).toBe(7);
	});
});

test('an answer that comes late is dropped', async () => {
	const slow = bench.retype('Squat 4 x 8');
	const quick = bench.retype('Squat 5 x 8');
	const newer = { ...EMPTY, allGuessed: true };
	open[1]!.answer(ok(newer));
	open[0]!.answer(ok(EMPTY));
	await Promise.all([slow, quick]);
	expect(bench.view.allGuessed).toBe(true);
});

test('unsaved work comes back after a reload and can be dropped', async () => {
	void bench.retype('Squat 9 x 9');
	const again = new Bench('somebody', plan('Squat 3 x 8', 1));
	expect(again.restored).toBe(true);
	expect(again.text).toBe('Squat 9 x 9');
	void again.undo();
	void again.retype('Squat 3 x 8');
	expect(new Bench('somebody', plan('Squat 3 x 8', 1)).restored).toBe(false);
});

test('a step back takes back all of a remedy, and only it', () => {
	bench.view = { ...EMPTY, sessions: [{ lines: [row(1, 'Squat 3 x 8'), row(2, 'Row 3 x 8')] }] } as never;
	void bench.choose(row(1, 'Squat 3 x 8'), { exercise: 'goblet-squat' });
	const change = { alone: false, exercise: null, repetitions: null, rest: null, group: null, leftOut: false };
	void bench.apply([
		{ ...change, line: 1, sets: 4 },
		{ ...change, line: 2, sets: 2 }
	] as never);
	expect(bench.choices.map((c) => [c.line, c.sets, c.exercise])).toEqual([
		[1, 4, 'goblet-squat'],
		[2, 2, null]
	]);
	void bench.undo();
	expect(bench.choices.map((c) => [c.line, c.sets])).toEqual([[1, null]]);
});

test('lines built anew keep what is pinned', () => {
	const [squat, pull] = [row(1, 'Squat 3 x 8'), row(2, 'Row 3 x 8')];
	void bench.choose(squat, { exercise: 'goblet-squat' });
	void bench.pin(squat);
	void bench.choose(pull, { exercise: 'band-row' });
	void bench.releaseAll([squat, pull]);
	expect(bench.choices.map((c) => c.exercise)).toEqual(['goblet-squat']);
});
