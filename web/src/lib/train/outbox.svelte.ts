import { api, type SessionNote, type SetLog } from '$lib/api/client';
import { isoNow } from './sets';
import { newId, store, type Waiting } from './store';

export type SyncState = 'together' | 'waiting' | 'sending' | 'closed';

const EVERY = 20_000;

/** What was logged and is not with the coach yet. Nothing leaves this list before the server says that it is kept. */
export class Outbox {
	list = $state.raw<Waiting[]>([]);
	state = $state<SyncState>('together');
	/** What the server said: a closed link, a wrong clock. */
	word = $state('');
	#timer: ReturnType<typeof setInterval> | null = null;

	constructor(private readonly token: string) {}

	async open() {
		this.list = await store.waiting(this.token);
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
		return this.list.filter((w) => w.refused === null);
	}

	get refused(): Waiting[] {
		return this.list.filter((w) => w.refused !== null);
	}

	async addSet(set: SetLog) {
		await this.#add({ id: set.id, token: this.token, set, note: null, refused: null });
	}

	async addNote(note: SessionNote) {
		await this.#add({ id: newId(), token: this.token, set: null, note, refused: null });
	}

	readonly #send = () => void this.send();

	async #add(waiting: Waiting) {
		await store.keep(waiting);
		this.list = [...this.list.filter((w) => w.id !== waiting.id), waiting];
		this.state = 'waiting';
		void this.send();
	}

	/** Sends all that waits; sending it again after half an answer changes nothing on the other side. */
	async send() {
		const batch = this.toSend.slice(0, 100);
		if (batch.length === 0 || this.state === 'sending') {
			if (batch.length === 0 && this.state !== 'closed') this.state = 'together';
			return;
		}
		this.state = 'sending';
		if ((await this.#post(batch)) && this.toSend.length > 0) await this.send();
	}

	/** True when the server answered and the list is up to date. */
	async #post(batch: Waiting[]): Promise<boolean> {
		try {
			const { data, error, response } = await api.POST('/api/link/{token}/log', {
				params: { path: { token: this.token } },
				body: {
					phoneNow: isoNow(),
					sets: batch.map((w) => w.set).filter((s) => s !== null),
					notes: batch.map((w) => w.note).filter((n) => n !== null)
				}
			});
			if (data) {
				await this.#kept(batch, data.kept, data.refused, data.word ?? '');
				return true;
			}
			if (response.status === 410 || response.status === 404) {
				this.word = (error as { title?: string } | undefined)?.title ?? 'This link does not open any more.';
				this.state = 'closed';
			} else this.state = 'waiting';
		} catch {
			this.state = 'waiting';
		}
		return false;
	}

	async #kept(batch: Waiting[], kept: string[], refused: { id: string; reason: string }[], word: string) {
		this.word = word;
		for (const waiting of batch) {
			const reason = refused.find((r) => r.id === waiting.id)?.reason;
			if (reason !== undefined) await store.keep({ ...waiting, refused: reason });
			else if (waiting.note || kept.includes(waiting.id)) await store.drop(waiting.id);
		}
		this.list = await store.waiting(this.token);
		this.state = 'together';
	}
}
