import { beforeEach, describe, expect, test, vi } from 'vitest';
import { api, type DeskRow, type Proposal, type ProposalKind } from '$lib/api/client';
import { Desk, groupOf } from './desk.svelte';

const proposal = (kind: ProposalKind): Proposal =>
	({ subject: `${kind} 1`, kind, sentence: `About ${kind}.` }) as Proposal;

function row(id: string, name: string, kinds: ProposalKind[], undo: DeskRow['undo'] = null): DeskRow {
	return { id, name, proposals: kinds.map(proposal), undo } as DeskRow;
}

let answer: { data?: DeskRow; error?: unknown; response: Response };
let asked: string[];

beforeEach(() => {
	asked = [];
	const ask = ((path: string) => (asked.push(path), Promise.resolve(answer))) as never;
	vi.spyOn(api, 'POST').mockImplementation(ask);
	vi.spyOn(api, 'GET').mockImplementation((() =>
		Promise.resolve({ data: row('a', 'Ada', ['stuck']), response: new Response() })) as never);
});

const desk = () =>
	new Desk([row('a', 'Ada', ['pain', 'ready']), row('b', 'Ben', ['missed']), row('c', 'Cora', [])]);

describe('the filter', () => {
	test('shows whom it asks for, and of them only that', () => {
		const one = desk();
		one.filter = 'safety';
		expect(one.shown.map((r) => r.name)).toEqual(['Ada']);
		expect(one.proposalsOf(one.rows[0]!).map((p) => p.kind)).toEqual(['pain']);
		one.filter = 'quiet';
		expect(one.shown.map((r) => r.name)).toEqual(['Cora']);
		one.filter = 'all';
		one.name = ' BE ';
		expect(one.shown.map((r) => r.name)).toEqual(['Ben']);
	});

	test('counts add up to everything that waits', () => {
		const one = desk();
		expect((['safety', 'steps', 'rest'] as const).reduce((sum, f) => sum + one.count(f), 0)).toBe(
			one.waiting
		);
		expect(one.count('quiet')).toBe(1);
	});

	// What can hurt somebody is never filed under the steps.
	test.each(['pain', 'painAgain', 'unsafeSetUp', 'fixtureReport', 'stillHeld'] as const)(
		'%s is safety',
		(kind) => {
			expect(groupOf(kind)).toBe('safety');
		}
	);
});

describe('an answer', () => {
	test('changes the row in its place and can be taken back once', async () => {
		const one = desk();
		const undo = { id: 'd1', sentence: 'Swapped.', answer: 'taken' } as DeskRow['undo'];
		answer = { data: row('a', 'Ada', ['ready'], undo), response: new Response() };
		expect(await one.answer(one.rows[0]!, one.rows[0]!.proposals[0]!, 'taken')).toBe(true);
		expect(one.rows.map((r) => r.proposals.length)).toEqual([1, 1, 0]);
		expect(one.said).toBe('Done, Ada: Swapped.');
		expect(one.canUndo).toBe(true);
		answer = { data: row('a', 'Ada', ['pain', 'ready']), response: new Response() };
		expect(await one.undo()).toBe(true);
		expect(asked.at(-1)).toContain('/undo');
		expect(one.canUndo).toBe(false);
		expect(await one.undo()).toBe(false);
	});

	test('that comes too late says so, and the row shows what waits now', async () => {
		const one = desk();
		answer = {
			error: { title: 'This does not wait any more.' },
			response: new Response(null, { status: 409 })
		};
		expect(await one.answer(one.rows[0]!, one.rows[0]!.proposals[0]!, 'taken')).toBe(false);
		expect(one.trouble).toContain('does not wait');
		expect(one.rows[0]!.proposals.map((p) => p.kind)).toEqual(['stuck']);
	});
});
