import { api, ask, messageOf, type DeskRow, type Proposal, type ProposalKind } from '$lib/api/client';

export type Filter = 'all' | 'safety' | 'steps' | 'rest' | 'quiet';

export const filters: { key: Filter; name: string }[] = [
	{ key: 'all', name: 'Everybody' },
	{ key: 'safety', name: 'Pain and safety' },
	{ key: 'steps', name: 'Next steps' },
	{ key: 'rest', name: 'To arrange' },
	{ key: 'quiet', name: 'Nothing waits' }
];

const safety: ProposalKind[] = ['pain', 'unsafeSetUp', 'painAgain', 'fixtureReport', 'stillHeld'];
const steps: ProposalKind[] = ['deload', 'stuck', 'change', 'earned', 'ready', 'felt', 'evidence', 'crutch'];

export function groupOf(kind: ProposalKind): Filter {
	return safety.includes(kind) ? 'safety' : steps.includes(kind) ? 'steps' : 'rest';
}

/** The decisions that wait, worked through one after the other; each can be taken back. */
export class Desk {
	rows = $state.raw<DeskRow[]>([]);
	filter = $state<Filter>('all');
	name = $state('');
	trouble = $state('');
	said = $state('');
	busy = $state(false);
	#last = $state.raw<{ client: string; decision: string } | null>(null);

	constructor(rows: DeskRow[]) {
		this.rows = rows;
	}

	get shown(): DeskRow[] {
		const typed = this.name.trim().toLowerCase();
		return this.rows.filter(
			(row) =>
				(typed === '' || row.name.toLowerCase().includes(typed)) &&
				(this.filter === 'all' ||
					(this.filter === 'quiet'
						? row.proposals.length === 0
						: row.proposals.some((p) => groupOf(p.kind) === this.filter)))
		);
	}

	/** Of a client, those the filter asks for. */
	proposalsOf(row: DeskRow): Proposal[] {
		return this.filter === 'all' || this.filter === 'quiet'
			? row.proposals
			: row.proposals.filter((p) => groupOf(p.kind) === this.filter);
	}

	count(filter: Filter): number {
		return filter === 'all'
			? this.rows.length
			: filter === 'quiet'
				? this.rows.filter((r) => r.proposals.length === 0).length
				: this.rows.flatMap((r) => r.proposals).filter((p) => groupOf(p.kind) === filter).length;
	}

	get waiting(): number {
		return this.rows.reduce((sum, row) => sum + row.proposals.length, 0);
	}

	get canUndo(): boolean {
		return this.#last !== null;
	}

	answer(row: DeskRow, proposal: Proposal, answer: 'taken' | 'refused' | 'later'): Promise<boolean> {
		const word = { taken: 'Done', refused: 'Not done', later: 'Put off until tomorrow' }[answer];
		return this.#ask(async () => {
			const after = await ask(
				api.POST('/api/clients/{id}/decisions', {
					params: { path: { id: row.id } },
					body: { subject: proposal.subject, answer }
				})
			);
			this.#take(after);
			this.#last = after.undo ? { client: after.id, decision: after.undo.id } : null;
			// A swap that found nothing says that the line is left out.
			this.said = `${word}, ${row.name}: ${after.undo?.sentence ?? proposal.sentence}`;
		}, row.id);
	}

	undo(): Promise<boolean> {
		const last = this.#last;
		if (!last) return Promise.resolve(false);
		return this.#ask(async () => {
			const after = await ask(
				api.POST('/api/clients/{id}/decisions/{decision}/undo', {
					params: { path: { id: last.client, decision: last.decision } }
				})
			);
			this.#take(after);
			this.#last = null;
			this.said = `Taken back, ${after.name}.`;
		}, last.client);
	}

	async #ask(question: () => Promise<void>, client: string): Promise<boolean> {
		if (this.busy) return false;
		this.busy = true;
		try {
			await question();
			this.trouble = '';
			return true;
		} catch (problem) {
			this.trouble = messageOf(problem);
			await this.#reload(client);
			return false;
		} finally {
			this.busy = false;
		}
	}

	/** After a refusal the row shows what waits now. */
	async #reload(client: string) {
		try {
			this.#take(await ask(api.GET('/api/clients/{id}/desk', { params: { path: { id: client } } })));
		} catch {
			// The message that stands already says what is wrong.
		}
	}

	/** The client keeps its place on the page while it is worked through. */
	#take(row: DeskRow) {
		this.rows = this.rows.map((old) => (old.id === row.id ? row : old));
	}
}
