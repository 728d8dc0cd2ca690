import {
	api,
	ask,
	messageOf,
	type LineProgress,
	type ProgressView,
	type SetLog,
	type StopReason
} from '$lib/api/client';
import { readMass, readNumber, shownMass, type MassUnit } from '$lib/units';

/** One set as typed; empty repetitions mean it was not done. */
export interface TypedSet {
	id: string;
	load: string;
	repetitions: string;
	reserve: string;
	pain: string;
	/** On the easier variation, where the line is finished on one. */
	finished: string;
	/** What ended it; empty when nobody said. */
	stopped: StopReason | '';
	/** What the phone logged beside these, kept as it is. */
	kept: Partial<Pick<SetLog, 'painAt' | 'restBefore' | 'toLimit' | 'otherSide'>>;
}

/** A day's training being written down, line by line, and what follows from it. */
export class DayLog {
	day = $state('');
	lines = $state.raw<LineProgress[]>([]);
	/** By the key of the line: a line done another way elsewhere has rows of its own. */
	typed = $state<Record<string, TypedSet[]>>({});
	trouble = $state('');
	busy = $state(false);
	/** What sets said before they were corrected, or on another phone. */
	overwritten = $state.raw<SetLog[]>([]);
	hindsight = $state.raw<ProgressView['hindsight']>([]);
	#planVersion = 0;

	constructor(
		private readonly client: string,
		view: ProgressView,
		private readonly unit: MassUnit,
		today: string
	) {
		this.day = today;
		this.#take(view);
		this.blank();
	}

	/** Empty rows for every prescribed set; what was logged on this day already is filled in. */
	blank() {
		const rows: Record<string, TypedSet[]> = {};
		for (const line of this.lines) {
			const done = line.logs.filter((set) => set.on === this.day);
			rows[line.key] = line.prescription.counts.map((_, i) => {
				const set = done.find((d) => d.setNumber === i + 1);
				return {
					id: set?.id ?? crypto.randomUUID(),
					load: shownMass(set?.load ?? line.prescription.load, this.unit),
					repetitions: set ? String(set.repetitions) : '',
					reserve: set?.reserve === null || set?.reserve === undefined ? '' : String(set.reserve),
					pain: set && set.pain > 0 ? String(set.pain) : '',
					finished: set && set.finished > 0 ? String(set.finished) : '',
					stopped: set?.stopped ?? '',
					kept: set
						? {
								painAt: set.painAt,
								restBefore: set.restBefore,
								toLimit: set.toLimit,
								otherSide: set.otherSide
							}
						: {}
				};
			});
		}
		this.typed = rows;
	}

	/** Fills a line in as prescribed: the common case. */
	asPrescribed(line: LineProgress) {
		const reserve = line.prescription.reserve;
		this.typed[line.key]?.forEach((set, i) => {
			set.repetitions = String(line.prescription.counts[i] ?? '');
			if (reserve !== null && i === line.prescription.counts.length - 1)
				set.reserve = String(Math.round(reserve));
		});
	}

	get anyTyped(): boolean {
		return Object.values(this.typed).some((sets) => sets.some((set) => set.repetitions.trim() !== ''));
	}

	async save(): Promise<boolean> {
		const sets: SetLog[] = [];
		for (const line of this.lines) {
			for (const [i, typed] of (this.typed[line.key] ?? []).entries()) {
				if (typed.repetitions.trim() === '') continue;
				const read = this.#read(line, i, typed);
				if (!read) {
					this.trouble = `${line.prescription.name}, set ${i + 1}: give whole repetitions, and numbers for load, left and pain.`;
					return false;
				}
				sets.push(read);
			}
		}
		return this.#ask(() =>
			ask(api.POST('/api/clients/{id}/log', { params: { path: { id: this.client } }, body: { sets } }))
		);
	}

	/** The plan changed under the log, by a change taken back. */
	async refresh(): Promise<void> {
		await this.#ask(() =>
			ask(api.GET('/api/clients/{id}/progress', { params: { path: { id: this.client } } }))
		);
	}

	take(lines: string[]): Promise<boolean> {
		return this.#ask(() =>
			ask(
				api.POST('/api/clients/{id}/steps', {
					params: { path: { id: this.client } },
					body: {
						lines,
						version: this.#planVersion,
						seen: this.lines.map((l) => ({ line: l.line, version: l.version }))
					}
				})
			)
		);
	}

	#read(line: LineProgress, i: number, typed: TypedSet): SetLog | null {
		const load = readMass(typed.load, this.unit);
		const repetitions = readNumber(typed.repetitions);
		const reserve = typed.reserve.trim() === '' ? null : readNumber(typed.reserve);
		const pain = typed.pain.trim() === '' ? 0 : readNumber(typed.pain);
		const finished = typed.finished.trim() === '' ? 0 : readNumber(typed.finished);
		const given =
			[load, repetitions, pain, finished].every((n) => n !== null) &&
			(typed.reserve.trim() === '' || reserve !== null);
		if (!given || !Number.isInteger(repetitions) || !Number.isInteger(pain) || !Number.isInteger(finished))
			return null;
		return {
			id: typed.id,
			line: line.line,
			exercise: line.prescription.exercise,
			on: this.day,
			setNumber: i + 1,
			load: sameAsPrescribed(load ?? 0, line.prescription.load),
			repetitions: repetitions ?? 0,
			reserve,
			pain: pain ?? 0,
			finished: finished ?? 0,
			stopped: typed.stopped === '' ? null : typed.stopped,
			painAt: null,
			restBefore: null,
			toLimit: false,
			otherSide: null,
			at: null,
			...typed.kept
		};
	}

	async #ask(question: () => Promise<ProgressView>): Promise<boolean> {
		this.busy = true;
		try {
			this.#take(await question());
			this.trouble = '';
			return true;
		} catch (problem) {
			this.trouble = messageOf(problem);
			return false;
		} finally {
			this.busy = false;
		}
	}

	#take(view: ProgressView) {
		this.lines = view.lines;
		this.#planVersion = view.planVersion;
		this.overwritten = view.overwritten;
		this.hindsight = view.hindsight;
	}
}

/** A load shown rounded and typed back unchanged is the prescribed one, not the rounded figure. */
function sameAsPrescribed(typed: number, prescribed: number): number {
	return Math.abs(typed - prescribed) < 0.06 ? prescribed : typed;
}
