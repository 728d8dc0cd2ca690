import { beforeEach, describe, expect, test, vi } from 'vitest';
import { api, type LinkNote, type SetLog } from '$lib/api/client';
import { set } from '../../testing/link';
import { Outbox } from './outbox.svelte';
import { newId, store } from './store';
import { phoneFile, syncWords } from './words';

type Body = { sets: SetLog[]; notes: LinkNote[] };
type Answer = {
	kept?: 'all' | string[];
	version?: number;
	conflict?: boolean;
	refused?: { id: string; reason: string }[];
	asked?: { id: string; question: string; suggested: string }[];
	status?: number;
	title?: string;
	/** What arrived was no answer to this. */
	whole?: false;
	/** It takes as long as this. */
	after?: Promise<void>;
};

const TODAY = '2026-11-23';
let client: string;
let token: string;
let asked: { token: string; body: Body }[];

const note = { session: 'Monday', on: TODAY, felt: 'muscle' as const, sore: null, at: null };
const problem = (status: number, title = `That is ${status}.`) => ({
	error: { title },
	response: new Response(null, { status })
});

/** What the other end says, one answer a question; offline when there is none. */
function answers(...list: Answer[]) {
	asked = [];
	vi.spyOn(api, 'POST').mockImplementation((async (
		_: string,
		options: { body: Body; params: { path: { token: string } } }
	) => {
		const answer = list.shift();
		if (!answer) throw new TypeError('offline');
		await answer.after;
		asked.push({ token: options.params.path.token, body: options.body });
		if (answer.status) return problem(answer.status, answer.title);
		const all = [...options.body.sets, ...options.body.notes].map((e) => e.id);
		const gone = [...(answer.refused ?? []), ...(answer.asked ?? [])].map((e) => e.id);
		const kept =
			answer.kept === 'all' || !answer.kept ? all.filter((id) => !gone.includes(id ?? '')) : answer.kept;
		const data =
			answer.whole === false
				? { kept: null }
				: {
						kept: kept.map((id) => ({
							id,
							version: answer.version ?? 1,
							conflict: answer.conflict ?? false
						})),
						refused: (answer.refused ?? []).map((r) => ({ ...r, entry: '' })),
						asked: answer.asked ?? [],
						today: TODAY
					};
		return { data, response: new Response() };
	}) as never);
}

/** Everything under way is done. */
const settled = () => vi.waitFor(() => new Promise((done) => setTimeout(done, 5)));

/** Logged without a signal. */
async function logged(...sets: SetLog[]): Promise<Outbox> {
	answers();
	const box = new Outbox(client, token);
	for (const one of sets) await box.addSet(one);
	await settled();
	return box;
}

beforeEach(() => {
	client = newId();
	token = newId();
});

describe('what was logged', () => {
	test('waits on the phone while there is no network, and through a reload', async () => {
		expect((await logged(set(1, 1))).state).toBe('waiting');
		const after = new Outbox(client, token);
		await after.open();
		expect(after.list).toHaveLength(1);
		expect(syncWords(after)).toBe('Saved on the phone, 1 entry waits for a signal');
		after.close();
	});

	test('leaves only when the server says that it is kept', async () => {
		const [first, second] = [set(1, 1), set(1, 2)];
		const box = await logged(first, second);
		answers({ kept: [first.id] }, {});
		await box.send();
		expect(asked.map((a) => a.body.sets.map((s) => s.id).sort())).toEqual([
			[first.id, second.id].sort(),
			[second.id]
		]);
		expect(await store.waiting(client, token)).toEqual([]);
		expect(box.state).toBe('together');
	});

	test('belongs to the client: a renewed link delivers what the old one left', async () => {
		await logged(set(1, 1));
		const renewed = new Outbox(client, newId());
		answers({});
		await renewed.open();
		expect(asked).toHaveLength(1);
		expect(await store.waiting(client, token)).toEqual([]);
		renewed.close();
	});

	test('of the first version of the page is sent by its link', async () => {
		const old = { ...set(1, 1), token };
		await store.keep({ id: old.id, token, set: old, note: null, refused: null } as never);
		const box = new Outbox(client, token);
		answers({});
		await box.open();
		expect(asked[0]?.body.sets.map((s) => s.id)).toEqual([old.id]);
		box.close();
	});

	test('by somebody else on this phone is none of this', async () => {
		await logged(set(1, 1));
		const other = new Outbox(newId(), newId());
		answers();
		await other.open();
		expect(other.list).toEqual([]);
		other.close();
	});

	test('in another tab is sent by whichever sends first, and shown gone in both', async () => {
		const [one, two] = [new Outbox(client, token), new Outbox(client, token)];
		answers();
		await one.addSet(set(1, 1));
		await two.addSet(set(1, 2));
		await settled();
		answers({}, {});
		await one.send();
		expect(asked.flatMap((a) => a.body.sets)).toHaveLength(2);
		await two.send();
		expect([one.list, two.list]).toEqual([[], []]);
	});

	test('corrected before it was sent stands once, as corrected', async () => {
		const one = set(1, 1);
		const box = await logged(one, { ...one, repetitions: 6 });
		expect(box.list.map((w) => w.set?.repetitions)).toEqual([6]);
		expect(await store.waiting(client, token)).toHaveLength(1);
	});

	test('corrected while it is on its way goes again, as a correction of what was kept', async () => {
		const one = set(1, 1);
		const box = await logged(one);
		let answer!: () => void;
		answers({ version: 1, after: new Promise((go) => (answer = go)) }, { version: 2 });
		const sending = box.send();
		await settled();
		await box.addSet({ ...one, repetitions: 6 });
		answer();
		await sending;
		expect(asked.at(-1)?.body.sets).toMatchObject([{ id: one.id, repetitions: 6, version: 1 }]);
		expect(box.list).toEqual([]);
	});

	test('and kept is told with the version that stands', async () => {
		const one = set(1, 1);
		const box = await logged(one);
		const told = vi.fn();
		box.onkept = told;
		answers({ version: 3, conflict: true });
		await box.send();
		expect(told).toHaveBeenCalledWith(expect.objectContaining({ id: one.id }), 3, true);
		expect(box.conflicts).toBe(1);
	});
});

describe('a server that fails', () => {
	test.each([500, 502, 503, 409, 429, 401, 403])(
		'with %i keeps all, says so and is asked again',
		async (status) => {
			const box = await logged(set(1, 1), set(1, 2));
			answers({ status, title: 'Trouble here.' }, {});
			await box.open();
			expect(box.state).toBe('troubled');
			expect(syncWords(box)).toContain(
				`the server cannot take them just now and is asked again.${status < 500 ? ' Trouble here.' : ''}`
			);
			expect(await store.waiting(client, token)).toHaveLength(2);
			await vi.advanceTimersByTimeAsync(20_000);
			await vi.waitFor(() => expect(box.state).toBe('together'));
			box.close();
		}
	);

	test.each([400, 413, 422])(
		'with %i is sent smaller parts until only the one it will not take is left',
		async (status) => {
			const sets = [1, 2, 3, 4, 5].map((n) => set(1, n));
			const bad = sets[3]!;
			const box = await logged(...sets);
			const kept: string[] = [];
			vi.spyOn(api, 'POST').mockImplementation(((_: string, options: { body: Body }) => {
				const ids = options.body.sets.map((s) => s.id);
				if (ids.includes(bad.id)) return Promise.resolve(problem(status, 'That is more than can be sent.'));
				kept.push(...ids);
				return Promise.resolve({
					data: {
						kept: ids.map((id) => ({ id, version: 1, conflict: false })),
						refused: [],
						asked: [],
						today: TODAY
					},
					response: new Response()
				});
			}) as never);
			await box.send();
			expect(kept.sort()).toEqual(
				sets
					.filter((s) => s !== bad)
					.map((s) => s.id)
					.sort()
			);
			expect(box.list.map((w) => [w.id, w.refused])).toEqual([[bad.id, 'That is more than can be sent.']]);
		}
	);

	test.each([{ kept: [] }, { whole: false as const }])(
		'with half an answer (%o) keeps all and does not ask for ever',
		async (half) => {
			const box = await logged(set(1, 1));
			answers(half, {}, {});
			await box.send();
			expect(asked).toHaveLength(1);
			expect(await store.waiting(client, token)).toHaveLength(1);
		}
	);

	test('refused entries stay to be seen and to be saved, and keep nothing back', async () => {
		const bad = set(1, 1, TODAY, { repetitions: 400 });
		const box = await logged(bad, set(1, 2));
		answers({ refused: [{ id: bad.id, reason: 'Repetitions go from 0 to 200, not 400.' }] });
		await box.send();
		expect(box.list.map((w) => w.refused)).toEqual(['Repetitions go from 0 to 200, not 400.']);
		expect(box.toSend).toEqual([]);
		expect(syncWords(box)).toBe('1 entry not taken; all else is with the coach');
		expect(JSON.parse(phoneFile('Wilm', box.list))).toMatchObject({
			format: 'ingegno-phone-log',
			sets: [{ id: bad.id }]
		});
		await box.putAway(bad.id);
		expect(await store.waiting(client, token)).toEqual([]);
	});
});

describe('a link that is closed', () => {
	test.each([404, 410])('(%i) says so and keeps what was logged', async (status) => {
		const box = await logged(set(1, 1));
		answers({ status, title: 'The coach has closed this link.' });
		await box.send();
		expect(box.state).toBe('closed');
		expect(syncWords(box)).toBe('On this phone: 1 entry not sent. The coach has closed this link.');
		expect(await store.waiting(client, token)).toHaveLength(1);
	});

	test('gives way to another of the same client that was opened here', async () => {
		const newer = newId();
		const box = await logged(set(1, 1));
		await store.keepLink({ token: newer, client, openedAt: 2, closed: false });
		await store.keepLink({ token: newId(), client: newId(), openedAt: 3, closed: false });
		answers({ status: 410 }, {});
		await box.send();
		expect(asked.map((a) => a.token)).toEqual([token, newer]);
		expect(box.list).toEqual([]);
	});
});

describe('a day the clock cannot tell', () => {
	const ahead = {
		question: 'The clock of this phone is 400 days ahead. Which day was it?',
		suggested: TODAY
	};

	test('is asked once a day of the phone, and what follows goes there too', async () => {
		const [one, two] = [1, 2].map((n) => set(1, n, '2027-12-28', { at: '2027-12-28T09:00:00Z' }));
		const box = await logged(one!, two!);
		await box.addNote({ ...note, on: '2027-12-28', at: '2027-12-28T10:00:00Z' });
		answers({ asked: box.list.map((w) => ({ id: w.id, ...ahead })) }, {}, {});
		await box.send();
		expect(box.questions).toMatchObject([{ phoneDay: '2027-12-28', entries: 3, suggested: TODAY }]);
		expect(syncWords(box)).toBe('A day has to be said before all is sent');
		await box.sayDay('2027-12-28', TODAY);
		expect(asked.at(-1)?.body.sets.map((s) => [s.on, s.at])).toEqual([
			[TODAY, null],
			[TODAY, null]
		]);
		expect(asked.at(-1)?.body.notes.map((n) => n.on)).toEqual([TODAY]);
		expect(box.list).toEqual([]);
		await box.addSet(set(1, 3, '2027-12-28', { at: '2027-12-28T09:09:00Z' }));
		await settled();
		expect(asked.at(-1)?.body.sets).toMatchObject([{ on: TODAY, at: null }]);
	});
});

test('notes are sent with the sets and leave with them', async () => {
	const box = await logged();
	await box.addNote(note);
	answers({});
	await box.send();
	expect(asked[0]?.body.notes).toMatchObject([{ session: 'Monday' }]);
	expect(box.list).toEqual([]);
});

test('a check of a fixture waits like a set, with its photo, and one that is no photo is refused by itself', async () => {
	const report = {
		fixture: 'chair',
		on: TODAY,
		steps: [{ step: 'Push', held: true }],
		force: null,
		remark: ''
	};
	const box = await logged();
	await box.addCheck({ id: newId(), place: 'home', report, photo: 'aGFsZg==' });
	await box.addSet(set(1, 1));
	await settled();
	expect(await store.waiting(client, token)).toHaveLength(2);
	vi.spyOn(api, 'POST').mockImplementation(((path: string, options: { body: Body }) =>
		Promise.resolve(
			path.endsWith('/check')
				? problem(400, 'The photo arrived in part or is no JPEG: take it again.')
				: {
						data: {
							kept: options.body.sets.map((s) => ({ id: s.id, version: 1, conflict: false })),
							refused: [],
							asked: [],
							today: TODAY
						},
						response: new Response()
					}
		)) as never);
	await box.send();
	expect(box.list.map((w) => [w.check?.photo, w.refused])).toEqual([
		['aGFsZg==', 'The photo arrived in part or is no JPEG: take it again.']
	]);
});

test('a phone that is full keeps it on the page, sends it all the same and says that the page must stay', async () => {
	answers();
	const box = new Outbox(client, token);
	vi.spyOn(store, 'keep').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
	await box.addSet(set(1, 1));
	await settled();
	expect(syncWords(box)).toBe('Only on this page, 1 entry waits for a signal');
	answers({});
	await box.send();
	expect(asked[0]?.body.sets).toHaveLength(1);
	expect(box.list).toEqual([]);
});
