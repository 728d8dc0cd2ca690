import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { LinkView, SessionNote, SetLog } from '$lib/api/client';

/** Something logged that the server has not acknowledged yet. */
export interface Waiting {
	id: string;
	token: string;
	set: SetLog | null;
	note: SessionNote | null;
	/** Why the server would not keep it; it stays here for the coach. */
	refused: string | null;
}

/** Where a session stands, so that a reload or a dying battery loses nothing. */
export interface Standing {
	token: string;
	day: string;
	place: string;
	session: string;
	begun: boolean;
	at: number;
	counted: number;
	side: 0 | 1;
	firstSide: number | null;
	/** End of the last set, by the phone's clock; null before the first. */
	restFrom: number | null;
	resting: boolean;
	/** Alternative in use by line. */
	instead: Record<string, number>;
	/** Lines left out today, with the reason. */
	leftOut: Record<string, string>;
	felt: boolean;
}

interface Kept extends DBSchema {
	views: { key: string; value: LinkView };
	waiting: { key: string; value: Waiting };
	standing: { key: string; value: Standing };
}

let opened: Promise<IDBPDatabase<Kept>> | null = null;

function kept(): Promise<IDBPDatabase<Kept>> {
	opened ??= openDB<Kept>('ingegno-train', 1, {
		upgrade(database) {
			database.createObjectStore('views');
			database.createObjectStore('waiting', { keyPath: 'id' });
			database.createObjectStore('standing', { keyPath: 'token' });
		}
	});
	return opened;
}

/** The phone's own store: what was sent, what is logged and not yet acknowledged, where the session stands. */
export const store = {
	async view(token: string): Promise<LinkView | undefined> {
		return (await kept()).get('views', token);
	},
	async keepView(token: string, view: LinkView) {
		await (await kept()).put('views', view, token);
	},
	async waiting(token: string): Promise<Waiting[]> {
		return (await (await kept()).getAll('waiting')).filter((w) => w.token === token);
	},
	/** Written before anything on screen says so. */
	async keep(waiting: Waiting) {
		await (await kept()).put('waiting', waiting);
	},
	async drop(id: string) {
		await (await kept()).delete('waiting', id);
	},
	async standing(token: string): Promise<Standing | undefined> {
		return (await kept()).get('standing', token);
	},
	async keepStanding(standing: Standing) {
		await (await kept()).put('standing', standing);
	}
};

/** Random, also where the page is not served securely and has no generator of ids. */
export function newId(): string {
	const bytes = crypto.getRandomValues(new Uint8Array(16));
	bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
	bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
	const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('');
	return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`;
}

/** Today by the phone's own calendar. */
export function localDay(now = new Date()): string {
	return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;
}
