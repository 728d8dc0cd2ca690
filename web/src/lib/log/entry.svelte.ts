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
	kept: Partial<Pick<SetLog, 'painAt' | 'restBefore' | 'toLimit' | 'otherSide' | 'version'>>;
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
	/** What became of a save besides that it was kept. */
	told = $state.raw<string[]>([]);
	/** Trained on lines that the plan has no more. */
	gone = $state.raw<ProgressView['gone']>([]);
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
					kept: set ? besides(set) : {}
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
		const kept = await this.#ask(() =>
			ask(api.POST('/api/clients/{id}/log', { params: { path: { id: this.client } }, body: { sets } }))
		);
		if (kept) this.#nameVersions();
		return kept;
	}

	/** The next correction of what stands on the screen is made from what is kept now. */
	#nameVersions() {
		const logs = Object.fromEntries(this.lines.flatMap((l) => l.logs).map((set) => [set.id, set]));
		for (const row of Object.values(this.typed).flat()) {
			const set = logs[row.id];
			if (set) row.kept = besides(set);
		}
	}

	/** Takes in the file a phone saved because it could not send: what is in it already changes nothing. */
	async takeFile(text: string): Promise<boolean> {
		let sets: SetLog[];
		try {
			const file = JSON.parse(text) as { format?: string; sets?: SetLog[] };
			if (file.format !== 'ingegno-phone-log' || !Array.isArray(file.sets)) throw new Error();
			sets = file.sets;
		} catch {
			this.trouble = 'This is no log saved on a phone: choose the file the client saved there.';
			return false;
		}
		const taken = await this.#ask(() =>
			ask(api.POST('/api/clients/{id}/log', { params: { path: { id: this.client } }, body: { sets } }))
		);
		if (taken) this.blank();
		return taken;
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
		const reserve = readReserve(typed.reserve);
		const pain = typed.pain.trim() === '' ? 0 : readNumber(typed.pain);
		const finished = typed.finished.trim() === '' ? 0 : readNumber(typed.finished);
		const given = [load, repetitions, pain, finished].every((n) => n !== null) && reserve !== undefined;
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
			version: 0,
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
		this.told = view.told;
		this.gone = view.gone;
		this.lines = view.lines;
		this.#planVersion = view.planVersion;
		this.overwritten = view.overwritten;
		this.hindsight = view.hindsight;
	}
}

/** What a set carries that this page does not ask for. */
function besides(set: SetLog): TypedSet['kept'] {
	const { painAt, restBefore, toLimit, otherSide, version } = set;
	return { painAt, restBefore, toLimit, otherSide, version };
}

/** "2", "5-6" and "7+", as the phone asks; null where nothing was said, undefined where it is none of these. */
export function readReserve(text: string): SetLog['reserve'] | undefined {
	const said = text.trim();
	if (said === '') return null;
	if (/^\d+\s*[-–]\s*\d+$|^\d+\s*\+$/.test(said)) return said.replaceAll(' ', '').replace('–', '-');
	return readNumber(said) ?? undefined;
}

/** A load shown rounded and typed back unchanged is the prescribed one, not the rounded figure. */
function sameAsPrescribed(typed: number, prescribed: number): number {
	return Math.abs(typed - prescribed) < 0.06 ? prescribed : typed;
}
