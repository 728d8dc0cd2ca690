import type { LineFigure, LinkCheckForm, LinkNote, LinkView, SetLog } from '$lib/api/client';
import { keyOf } from './sets';
import { shelf } from './shelf';

/** Something logged that the server has not acknowledged yet. */
export interface Waiting {
	id: string;
	/** When it was logged, by the phone's clock: the order it is shown and sent in. */
	made?: number;
	/** Whose it is: any link of theirs sends it. Missing in what the first version kept, which knew the link only. */
	client?: string;
	token?: string;
	set: SetLog | null;
	note: LinkNote | null;
	check: LinkCheckForm | null;
	/** Why the server would not keep it; it stays here for the coach. */
	refused: string | null;
	/** The day it was done has to be said, with the likeliest. */
	asked: { question: string; suggested: string } | null;
}

/** Where a session stands, so that a reload or a dying battery loses nothing. */
export interface Standing {
	client: string;
	day: string;
	/** Of the version that is trained: a newer one is gone through anew. */
	sentAt: string;
	place: string;
	/** Key of the session. */
	session: string;
	begun: boolean;
	at: number;
	counted: number;
	side: 0 | 1;
	firstSide: number | null;
	/** End of the last set, by the phone's clock; null before the first. */
	restFrom: number | null;
	/** Beginning of the set under way; null while resting. */
	startedAt: number | null;
	resting: boolean;
	/** Alternative in use by line. */
	instead: Record<string, number>;
	/** Lines left out today, with the reason. */
	leftOut: Record<string, string>;
	felt: boolean;
}

/** A link that was opened on this phone. */
export interface KnownLink {
	token: string;
	client: string;
	openedAt: number;
	closed: boolean;
}

/** The phone's own store: what was sent, what is logged and not yet acknowledged, where the session stands. */
export const store = {
	async forgets(): Promise<boolean> {
		return (await shelf()).forgets;
	},
	async view(token: string): Promise<LinkView | undefined> {
		return (await (await shelf()).get('views', token)) as LinkView | undefined;
	},
	async keepView(token: string, view: LinkView) {
		await (await shelf()).put('views', token, view);
	},
	/** Drawings of the set-ups; a training without them is whole. */
	async figures(token: string): Promise<LineFigure[]> {
		return ((await (await shelf()).get('views', `figures ${token}`)) as LineFigure[] | undefined) ?? [];
	},
	async keepFigures(token: string, figures: LineFigure[]) {
		await (await shelf()).put('views', `figures ${token}`, figures);
	},
	/** Sets the server has acknowledged belong to what it would show: a start without a signal shows them too. */
	async addDone(client: string, sets: SetLog[]) {
		const kept = await shelf();
		for (const link of await store.links(client)) {
			const view = await store.view(link.token);
			if (!view) continue;
			const now = new Set(sets.map((s) => `${s.on} ${keyOf(s.line, s.setNumber)}`));
			const done = [...sets, ...view.done.filter((s) => !now.has(`${s.on} ${keyOf(s.line, s.setNumber)}`))];
			await kept.put('views', link.token, { ...view, done });
		}
	},
	/** Links of a client opened here, the newest first. */
	async links(client: string): Promise<KnownLink[]> {
		return ((await (await shelf()).all('links')) as KnownLink[])
			.filter((link) => link.client === client)
			.sort((a, b) => b.openedAt - a.openedAt);
	},
	async keepLink(link: KnownLink) {
		await (await shelf()).put('links', link.token, link);
	},
	/** Of a client; what the first version kept by a link of theirs too. */
	async waiting(client: string, token: string): Promise<Waiting[]> {
		return (await store.all()).filter((w) =>
			w.client === undefined ? w.token === token : w.client === client
		);
	},
	/** All that waits on this phone, whoever's. */
	async all(): Promise<Waiting[]> {
		const list = (await (await shelf()).all('waiting')) as Waiting[];
		return list
			.sort((a, b) => (a.made ?? 0) - (b.made ?? 0))
			.map((w) => ({
				...w,
				note: w.note === null ? null : { ...w.note, id: w.id },
				check: w.check ?? null,
				asked: w.asked ?? null
			}));
	},
	/** Written before anything on screen says so. */
	async keep(waiting: Waiting) {
		await (await shelf()).put('waiting', waiting.id, waiting);
	},
	async drop(id: string) {
		await (await shelf()).drop('waiting', id);
	},
	/** False where it was changed since, in another tab: then it stays. */
	async dropSent(sent: Waiting): Promise<boolean> {
		const now = (await (await shelf()).get('waiting', sent.id)) as Waiting | undefined;
		if (now && JSON.stringify(now.set) !== JSON.stringify(sent.set)) return false;
		await store.drop(sent.id);
		return true;
	},
	async standing(client: string): Promise<Standing | undefined> {
		return (await (await shelf()).get('where', client)) as Standing | undefined;
	},
	async keepStanding(standing: Standing) {
		await (await shelf()).put('where', standing.client, standing);
	},
	/** The day it truly was when this phone's calendar said so, as the client told. */
	async saidDay(client: string, phoneDay: string): Promise<string | undefined> {
		return (await (await shelf()).get('days', `${client} ${phoneDay}`)) as string | undefined;
	},
	async keepSaidDay(client: string, phoneDay: string, day: string) {
		await (await shelf()).put('days', `${client} ${phoneDay}`, day);
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
