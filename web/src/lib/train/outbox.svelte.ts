import { api, type LinkCheckForm, type LinkLogView, type LinkNote, type SetLog } from '$lib/api/client';
import { isoNow } from './sets';
import { newId, store, type Waiting } from './store';

/** together: nothing waits; waiting: no answer; troubled: the server answered that it cannot; closed: no link of this client opens. */
export type SyncState = 'together' | 'waiting' | 'sending' | 'troubled' | 'closed';

/** What became of a batch. */
type Sent = 'some' | 'none' | 'smaller' | 'another';

const EVERY = 20_000;
const PATIENCE = 15_000;
const MOST = 100;

/** Answers that say that what was sent cannot be right, not that the server is in trouble. */
const CANNOT_BE_RIGHT = new Set([400, 413, 422]);

/**
 * What was logged and is not with the coach yet. It belongs to the client: any link of theirs that opens sends it. Nothing leaves this list
 * before the server says that it is kept, and nothing that the server refuses keeps anything else back.
 */
export class Outbox {
	list = $state.raw<Waiting[]>([]);
	state = $state<SyncState>('together');
	/** What the server said: a closed link, trouble of its own. */
	word = $state('');
	/** Nothing outlives this page: the phone lets it keep nothing. */
	forgets = $state(false);
	/** Told of every set the server has kept, with the version that stands. */
	onkept: (set: SetLog, version: number, conflict: boolean) => void = () => {};
	/** Sets the server has taken since this page was opened. */
	delivered: SetLog[] = [];
	/** Sets that another had told differently: the coach says which holds. */
	conflicts = $state(0);
	#timer: ReturnType<typeof setInterval> | null = null;
	#sending: Promise<void> | null = null;
	#again = false;
	#most = MOST;

	constructor(
		readonly client: string,
		private token: string
	) {}

	async open() {
		this.forgets = await store.forgets();
		await this.#read();
		addEventListener('online', this.#send);
		document.addEventListener('visibilitychange', this.#send);
		this.#timer = setInterval(this.#send, EVERY);
		await this.send();
	}

	close() {
		removeEventListener('online', this.#send);
		document.removeEventListener('visibilitychange', this.#send);
		if (this.#timer) clearInterval(this.#timer);
	}

	get toSend(): Waiting[] {
		return this.list.filter((w) => w.refused === null && w.asked === null);
	}

	get refused(): Waiting[] {
		return this.list.filter((w) => w.refused !== null);
	}

	/** Days this phone named that have to be said, each once. */
	get questions(): { phoneDay: string; question: string; suggested: string; entries: number }[] {
		const asked = this.list.filter((w) => w.asked !== null);
		return asked
			.filter((w, i) => asked.findIndex((other) => dayOf(other) === dayOf(w)) === i)
			.map((first) => ({
				phoneDay: dayOf(first),
				question: first.asked?.question ?? '',
				suggested: first.asked?.suggested ?? '',
				entries: asked.filter((w) => dayOf(w) === dayOf(first)).length
			}));
	}

	async addSet(set: SetLog) {
		await this.#add({ ...this.#blank(set.id), set: await this.#placed(set) });
	}

	async addNote(note: Omit<LinkNote, 'id'>) {
		const id = newId();
		await this.#add({ ...this.#blank(id), note: await this.#placed({ ...note, id }) });
	}

	async addCheck(check: LinkCheckForm) {
		await this.#add({ ...this.#blank(check.id), check });
	}

	/** The client has said which day it was: what was logged on that day of the phone's calendar goes there, now and later. */
	async sayDay(phoneDay: string, day: string) {
		await store.keepSaidDay(this.client, phoneDay, day);
		for (const waiting of this.list.filter((w) => w.asked && dayOf(w) === phoneDay))
			await this.#keep({
				...waiting,
				asked: null,
				set: waiting.set && { ...waiting.set, on: day, at: null },
				note: waiting.note && { ...waiting.note, on: day, at: null }
			});
		await this.send();
	}

	/** Refused and told to the coach otherwise. */
	async putAway(id: string) {
		await store.drop(id);
		this.list = this.list.filter((w) => w.id !== id);
	}

	readonly #send = () => void this.send();

	#blank(id: string): Waiting {
		const made = this.list.find((w) => w.id === id)?.made ?? Date.now();
		return { id, made, client: this.client, set: null, note: null, check: null, refused: null, asked: null };
	}

	/** On the day the client has said, where they were asked about this day of the phone's. */
	async #placed<T extends { on: string; at: string | null }>(entry: T): Promise<T> {
		const day = entry.at === null ? undefined : await store.saidDay(this.client, entry.on);
		return day === undefined ? entry : { ...entry, on: day, at: null };
	}

	async #add(waiting: Waiting) {
		await this.#keep(waiting);
		if (this.state !== 'closed') this.state = 'waiting';
		void this.send();
	}

	/** A phone that is full keeps it in the page, and says so. */
	async #keep(waiting: Waiting) {
		try {
			await store.keep(waiting);
		} catch {
			this.forgets = true;
		}
		this.list = this.list.some((w) => w.id === waiting.id)
			? this.list.map((w) => (w.id === waiting.id ? waiting : w))
			: [...this.list, waiting];
	}

	/** What other tabs have logged, and what only this page has. */
	async #read() {
		const kept = await store.waiting(this.client, this.token);
		const onlyHere = this.list.filter((w) => this.forgets && !kept.some((k) => k.id === w.id));
		this.list = [...kept, ...onlyHere];
	}

	/** Sends all that waits; sending it again after half an answer changes nothing on the other side. */
	send(): Promise<void> {
		this.#again = true;
		this.#sending ??= this.#sendAll().finally(() => (this.#sending = null));
		return this.#sending;
	}

	async #sendAll() {
		while (this.#again) {
			this.#again = false;
			await this.#read();
			let sent: Sent = 'some';
			while (this.toSend.length > 0 && sent !== 'none') {
				this.state = 'sending';
				sent = await this.#next();
			}
		}
		if (this.toSend.length === 0 && this.state !== 'closed') this.state = 'together';
	}

	#next(): Promise<Sent> {
		const check = this.toSend.find((w) => w.check);
		const entries = this.toSend.filter((w) => !w.check).slice(0, this.#most);
		return entries.length > 0 || !check ? this.#entries(entries) : this.#check(check);
	}

	async #entries(batch: Waiting[]): Promise<Sent> {
		const answer = await this.#ask(() =>
			api.POST('/api/link/{token}/log', {
				params: { path: { token: this.token } },
				body: {
					phoneNow: isoNow(),
					sets: batch.map((w) => w.set).filter((s) => s !== null),
					notes: batch.map((w) => w.note).filter((n) => n !== null)
				},
				signal: AbortSignal.timeout(PATIENCE)
			})
		);
		if (answer === 'cannot') {
			if (batch.length > 1) {
				this.#most = Math.ceil(batch.length / 2);
				return 'smaller';
			}
			await this.#refuse(batch[0], this.word);
			return 'some';
		}
		if (typeof answer === 'string') return answer;
		return this.#took(batch, answer);
	}

	async #check(waiting: Waiting): Promise<Sent> {
		const answer = await this.#ask(() =>
			api.POST('/api/link/{token}/check', {
				params: { path: { token: this.token } },
				body: waiting.check as LinkCheckForm,
				signal: AbortSignal.timeout(4 * PATIENCE)
			})
		);
		if (answer === 'cannot') await this.#refuse(waiting, this.word);
		else if (typeof answer === 'string') return answer;
		else await this.putAway(waiting.id);
		return 'some';
	}

	/** The answer, or what its absence means. */
	async #ask<T>(
		post: () => Promise<{ data?: T; error?: unknown; response: Response }>
	): Promise<T | 'cannot' | 'none' | 'another'> {
		let got: Awaited<ReturnType<typeof post>>;
		try {
			got = await post();
		} catch {
			// No signal, too slow, or half an answer: what it kept is kept, and sending it again does no harm.
			this.state = 'waiting';
			return 'none';
		}
		if (got.data) {
			this.word = '';
			return got.data;
		}
		const status = got.response.status;
		// What a server says of a fault of its own is for whoever runs it.
		this.word = status >= 500 ? '' : wordsOf(got.error, status);
		if (CANNOT_BE_RIGHT.has(status)) return 'cannot';
		if (status === 410 || status === 404) {
			const gone = this.token;
			await store.keepLink({ token: gone, client: this.client, openedAt: 0, closed: true });
			const other = (await store.links(this.client)).find((link) => !link.closed);
			if (other) {
				this.token = other.token;
				return 'another';
			}
			this.state = 'closed';
			return 'none';
		}
		this.state = 'troubled';
		return 'none';
	}

	async #took(batch: Waiting[], answer: LinkLogView): Promise<Sent> {
		if (!Array.isArray(answer.kept) || !Array.isArray(answer.refused) || !Array.isArray(answer.asked)) {
			this.state = 'waiting';
			return 'none';
		}
		// Known as done before it leaves this list: a page that ends in between asks for nothing twice.
		const done = batch.flatMap((w) => {
			const kept = answer.kept.find((k) => k.id === w.id);
			return w.set && kept && !kept.conflict ? [{ ...w.set, version: kept.version }] : [];
		});
		this.delivered.push(...done);
		if (done.length > 0) await store.addDone(this.client, done);
		let moved = 0;
		for (const sent of batch) {
			const now = this.list.find((w) => w.id === sent.id);
			const refused = answer.refused.find((r) => r.id === sent.id);
			const asked = answer.asked.find((a) => a.id === sent.id);
			const kept = answer.kept.find((k) => k.id === sent.id);
			if (!now || (!refused && !asked && !kept)) continue;
			moved++;
			if (kept && sent.set) {
				if (kept.conflict) this.conflicts++;
				this.onkept(sent.set, kept.version, kept.conflict);
			}
			if (kept && now === sent) {
				if (await store.dropSent(sent)) this.list = this.list.filter((w) => w.id !== sent.id);
			}
			// Changed while it was on its way: what is here now is a correction of what was kept.
			else if (kept) await this.#keep({ ...now, set: now.set && { ...now.set, version: kept.version } });
			else if (asked)
				await this.#keep({ ...now, asked: { question: asked.question, suggested: asked.suggested } });
			else if (refused) await this.#refuse(now, refused.reason);
		}
		this.#most = MOST;
		if (moved > 0) return 'some';
		this.word = 'The server answered, but not about these.';
		this.state = 'troubled';
		return 'none';
	}

	async #refuse(waiting: Waiting | undefined, reason: string) {
		if (waiting) await this.#keep({ ...waiting, refused: reason });
		this.word = '';
	}
}

function dayOf(waiting: Waiting): string {
	return waiting.set?.on ?? waiting.note?.on ?? '';
}

/** What the server said against it, for somebody in the middle of a set. */
function wordsOf(error: unknown, status: number): string {
	const problem = (error ?? {}) as { title?: string; detail?: string; errors?: Record<string, string[]> };
	return (
		[problem.title, problem.detail, ...Object.values(problem.errors ?? {}).flat()]
			.filter((part): part is string => typeof part === 'string' && part !== '')
			.join(' ') || `The server did not take it (${status}).`
	);
}
