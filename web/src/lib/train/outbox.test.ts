import { beforeEach, describe, expect, test, vi } from 'vitest';
import { api } from '$lib/api/client';
import { set } from '../../testing/link';
import { Outbox } from './outbox.svelte';
import { newId, store } from './store';

type Answer = {
	kept?: 'all' | string[];
	refused?: { id: string; reason: string }[];
	word?: string;
	status?: number;
};

let token: string;
let asked: { sets: { id: string }[]; notes: unknown[] }[];

/** What the other end says, one answer a question; offline when there is none. */
function answers(...list: Answer[]) {
	asked = [];
	vi.spyOn(api, 'POST').mockImplementation(((_: string, options: { body: (typeof asked)[number] }) => {
		const answer = list.shift();
		if (!answer) return Promise.reject(new TypeError('offline'));
		asked.push(options.body);
		const status = answer.status ?? 200;
		return Promise.resolve(
			status === 200
				? {
						data: {
							kept: answer.kept === 'all' || !answer.kept ? options.body.sets.map((s) => s.id) : answer.kept,
							refused: answer.refused ?? [],
							word: answer.word ?? null
						},
						response: new Response(null, { status })
					}
				: { error: { title: 'The coach has closed this link.' }, response: new Response(null, { status }) }
		);
	}) as never);
}

/** Everything under way is done. */
const settled = () => vi.waitFor(() => new Promise((done) => setTimeout(done, 5)));

beforeEach(() => {
	token = newId();
});

describe('what was logged', () => {
	test('waits on the phone while there is no network, and through a reload', async () => {
		answers();
		const box = new Outbox(token);
		await box.addSet(set(1, 1));
		await settled();
		expect(box.state).toBe('waiting');
		const after = new Outbox(token);
		await after.open();
		expect(after.list).toHaveLength(1);
		expect(after.state).toBe('waiting');
		after.close();
	});

	test('leaves only when the server says that it is kept', async () => {
		const [first, second] = [set(1, 1), set(1, 2)];
		answers();
		const box = new Outbox(token);
		await box.addSet(first);
		await box.addSet(second);
		answers({ kept: [first.id] }, {});
		await box.send();
		await settled();
		expect(asked[0]?.sets.map((s) => s.id)).toEqual([first.id, second.id]);
		expect(asked[1]?.sets.map((s) => s.id)).toEqual([second.id]);
		expect(await store.waiting(token)).toEqual([]);
		expect(box.state).toBe('together');
	});

	test('and refused stays to be seen, and is not sent again', async () => {
		const bad = set(1, 1, '2026-11-23', { repetitions: 400 });
		answers();
		const box = new Outbox(token);
		await box.addSet(bad);
		answers({ kept: [], refused: [{ id: bad.id, reason: 'Give 0 to 300 repetitions.' }] });
		await box.send();
		expect(box.refused.map((w) => w.refused)).toEqual(['Give 0 to 300 repetitions.']);
		expect(box.toSend).toEqual([]);
	});

	test('corrected before it was sent stands once, as corrected', async () => {
		answers();
		const box = new Outbox(token);
		const one = set(1, 1);
		await box.addSet(one);
		await box.addSet({ ...one, repetitions: 6 });
		expect(box.list.map((w) => w.set?.repetitions)).toEqual([6]);
		expect(await store.waiting(token)).toHaveLength(1);
	});

	test('on another link is none of this one', async () => {
		answers();
		await new Outbox(newId()).addSet(set(1, 1));
		const box = new Outbox(token);
		await box.open();
		expect(box.list).toEqual([]);
		box.close();
	});
});

test('notes are sent with the sets and leave with them', async () => {
	answers();
	const box = new Outbox(token);
	await box.addNote({ session: 'Monday', on: '2026-11-23', felt: 'muscle', sore: null });
	answers({});
	await box.send();
	expect(asked[0]?.notes).toHaveLength(1);
	expect(box.list).toEqual([]);
});

test.each([404, 410])('a link that is closed (%i) says so and keeps what was logged', async (status) => {
	answers();
	const box = new Outbox(token);
	await box.addSet(set(1, 1));
	answers({ status });
	await box.send();
	expect(box.state).toBe('closed');
	expect(box.word).toBe('The coach has closed this link.');
	expect(await store.waiting(token)).toHaveLength(1);
});

test('a server in trouble is asked again later', async () => {
	answers({ status: 500 }, {});
	const box = new Outbox(token);
	await box.open();
	await box.addSet(set(1, 1));
	await settled();
	expect(box.state).toBe('waiting');
	await vi.advanceTimersByTimeAsync(20_000);
	await settled();
	expect(box.state).toBe('together');
	box.close();
});
