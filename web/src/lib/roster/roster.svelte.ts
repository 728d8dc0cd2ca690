import { api, ask, messageOf, Refusal, type MoveView, type RosterEntry } from '$lib/api/client';

/** A client on the way: waiting, moved, saved, or with a trouble of its own. */
export interface Row {
	entry: RosterEntry;
	view: MoveView | null;
	trouble: string;
}

/**
 * Many clients rebuilt one after the other, so that it can be watched and stopped and everything else still answers. What is moved is only
 * shown; saving is a second step, and refuses a plan that changed since.
 */
export class Roster {
	rows = $state.raw<Row[]>([]);
	done = $state(0);
	of = $state(0);
	wholeWeek = $state(true);
	fitMinutes = $state(false);
	stop = $state.raw<AbortController | null>(null);

	constructor(entries: RosterEntry[]) {
		this.rows = entries.map((entry) => ({ entry, view: null, trouble: '' }));
	}

	/** Whom nothing speaks against. */
	get clean(): Row[] {
		return this.rows.filter((r) => r.view && !r.view.saved && r.view.moved.exceptions.length === 0);
	}

	/** Rebuilds everybody with a programme; those who need a look come first, worst fit at the top. */
	move(): Promise<void> {
		return this.#each(
			this.rows.filter((r) => r.entry.hasProgramme),
			(row, signal) => this.#ask(row, false, signal)
		);
	}

	/** Keeps what was shown. */
	save(rows: Row[]): Promise<void> {
		return this.#each(rows, (row, signal) => this.#ask(row, true, signal));
	}

	async #each(rows: Row[], work: (row: Row, signal: AbortSignal) => Promise<MoveView>): Promise<void> {
		if (this.stop) return;
		const stop = new AbortController();
		this.stop = stop;
		this.done = 0;
		this.of = rows.length;
		for (const row of rows) {
			if (stop.signal.aborted) break;
			try {
				const view = await work(row, stop.signal);
				this.#put(row.entry.id, { view, trouble: '' });
			} catch (problem) {
				if (stop.signal.aborted) break;
				const stale = problem instanceof Refusal && problem.stale;
				this.#put(row.entry.id, {
					trouble: stale ? 'The plan was changed since: move the roster again.' : messageOf(problem)
				});
			}
			this.done++;
		}
		this.stop = null;
	}

	#ask(row: Row, save: boolean, signal: AbortSignal): Promise<MoveView> {
		return ask(
			api.POST('/api/clients/{id}/move', {
				params: { path: { id: row.entry.id } },
				body: {
					wholeWeek: this.wholeWeek,
					fitMinutes: this.fitMinutes,
					save,
					version: save ? (row.view?.version ?? null) : null
				},
				signal
			})
		);
	}

	#put(id: string, change: Partial<Row>) {
		this.rows = this.rows
			.map((r) => (r.entry.id === id ? { ...r, ...change } : r))
			.sort((a, b) => weight(a) - weight(b) || a.entry.name.localeCompare(b.entry.name));
	}
}

/** Exceptions by worst fit, then the clean ones, then those not moved yet. */
function weight(row: Row): number {
	if (row.trouble) return -1;
	if (!row.view) return 3;
	return row.view.moved.exceptions.length > 0 ? row.view.moved.worst : 1 + row.view.moved.worst;
}
