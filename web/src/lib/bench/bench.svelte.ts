import { follow } from '$lib/api/underWay';
import {
	api,
	ask,
	messageOf,
	Refusal,
	type BenchView,
	type Block,
	type LineChange,
	type LineChoice,
	type PlanView,
	type RebuiltLine,
	type SeenPlan,
	type ShrinkView,
	type WeekView
} from '$lib/api/client';

/** The server gave up what it was working out (LongestWork). */
const TOOK_TOO_LONG = 503;

/** What is typed and chosen: the whole of what undo goes back through. */
interface Draft {
	text: string;
	choices: LineChoice[];
	/** The weeks it is trained over; null until the coach has said so. */
	block: Block | null;
}

/**
 * The bench of one client: text and choices here, everything worked out on the server. Each change asks anew; answers
 * that come late are dropped. Unsaved work is kept in the browser and comes back after a reload.
 */
export class Bench {
	text = $state('');
	choices = $state.raw<LineChoice[]>([]);
	block = $state.raw<Block | null>(null);
	view = $state.raw<BenchView>({
		sessions: [],
		problems: [],
		allGuessed: false,
		review: { ledger: { muscles: [], patterns: [], balances: [], sessions: [] }, findings: [] },
		inForce: [],
		gone: [],
		week: null,
		waiting: []
	});
	/** Whether anything was worked out yet, or refused: before that no line means nothing. */
	answered = $state(false);
	trouble = $state('');
	stale = $state(false);
	/** Saving would take lines out of the plan: the coach is asked first. */
	lettingGo = $state(false);
	/** What is under way: a rebuild and a save may overlap, and neither ends the other. */
	#rebuilding = $state(false);
	#saving = $state(false);
	restored = $state(false);
	savedAt = $state<string | null>(null);
	past = $state.raw<Draft[]>([]);
	/** An exercise every line is asked about, however far down it comes. */
	asked = $state<string | null>(null);

	/** How far the search for the whole week is; empty before anything is heard. */
	howFar = $state('');

	readonly #client: string;
	#version = 0;
	/** What the bench began with: only what differs from it is written, so that two windows meet on one line at most. */
	#seen = $state.raw<SeenPlan>({ text: '', choices: [], block: null, lines: [] });
	#asked = 0;

	constructor(client: string, plan: PlanView) {
		this.#client = client;
		this.#take(plan);
		const kept = this.#readDraft();
		if (kept && !same(kept, kept.seen)) {
			this.text = kept.text;
			this.choices = kept.choices;
			this.block = kept.block;
			this.#seen = kept.seen;
			this.restored = true;
		}
	}

	get busy(): boolean {
		return this.#rebuilding || this.#saving;
	}

	get dirty(): boolean {
		return !same(this.#draft, this.#seen);
	}

	get #draft(): Draft {
		return { text: this.text, choices: this.choices, block: this.block };
	}

	/** Works out text and choices as they stand. */
	async rebuild(): Promise<void> {
		const ticket = ++this.#asked;
		this.#rebuilding = true;
		try {
			const view = await this.#workedOut();
			if (ticket !== this.#asked) return;
			this.view = view;
			this.trouble = '';
		} catch (problem) {
			if (ticket === this.#asked) this.trouble = messageOf(problem);
		} finally {
			if (ticket === this.#asked) {
				this.#rebuilding = false;
				this.answered = true;
			}
		}
	}

	/** What was stopped because it took too long goes on where it stopped: it is asked for once more. */
	async #workedOut(): Promise<BenchView> {
		const once = () =>
			ask(
				api.POST('/api/clients/{id}/bench', {
					params: { path: { id: this.#client } },
					body: { ...this.#draft, ask: this.asked ? [this.asked] : null, seen: this.#seen }
				})
			);
		try {
			return await once();
		} catch (problem) {
			if (!(problem instanceof Refusal) || problem.problem.status !== TOOK_TOO_LONG) throw problem;
			return await once();
		}
	}

	/**
	 * @param block Comes with a template; else the weeks stay as they are.
	 * @param choices Where lines moved further than they can be followed; else those made stay.
	 */
	retype(text: string, block: Block | null = null, choices = this.choices): Promise<void> {
		this.#remember();
		this.text = text;
		this.choices = choices;
		this.block = block ?? this.block;
		this.#keepDraft();
		return this.rebuild();
	}

	/** The week that waits next takes the place of the one in force, which stays in the list of changes; one step back brings it again. */
	goOn(): Promise<void> {
		return this.retype(`${this.view.waiting.map((w) => w.text).join('\n\n')}\n`);
	}

	/** Changes what a coach has fixed on a line; the rest of the line's choice stays. */
	choose(line: RebuiltLine, change: Partial<LineChoice>): Promise<void> {
		const before = this.choiceFor(line) ?? blank(line);
		return this.#replace(line, { ...before, ...change });
	}

	/** "And why not this one?" */
	askAfter(exercise: string): Promise<void> {
		this.asked = exercise;
		return this.rebuild();
	}

	/** Keeps a line as it stands, or lets it go again: a pinned line stays when the session or week is built anew. */
	pin(line: RebuiltLine): Promise<void> {
		const before = this.choiceFor(line);
		return this.choose(line, { pinned: !before?.pinned });
	}

	/** Whether the plan in force holds this line. */
	isInForce(line: RebuiltLine): boolean {
		return this.view.inForce.some((l) => l.number === line.written.number);
	}

	/** Its name in the plan; null for a line that is new. */
	nameOf(line: RebuiltLine): number | null {
		return this.view.inForce.find((l) => l.number === line.written.number)?.line ?? null;
	}

	/** Works these lines out afresh; what is pinned stays, and nothing is written before it is saved. */
	releaseAll(lines: RebuiltLine[]): Promise<void> {
		this.#remember();
		for (const line of lines) if (!this.choiceFor(line)?.pinned) this.#put(line, this.#afresh(line));
		this.#keepDraft();
		return this.rebuild();
	}

	/** Forgets everything fixed on a line: one in force gives way to what the engine would say now. */
	release(line: RebuiltLine): Promise<void> {
		return this.#replace(line, this.#afresh(line));
	}

	/** Leaves a line as it is in force after all. */
	keepInForce(line: RebuiltLine): Promise<void> {
		const seen = this.#seen.choices.find(
			(c) => c.line === line.written.number && c.text === line.written.text
		);
		return this.#replace(line, seen ?? null);
	}

	#afresh(line: RebuiltLine): LineChoice | null {
		return this.isInForce(line) ? { ...blank(line), exercise: null, afresh: true } : null;
	}

	/** Something on it is the coach's own; giving it up for what the engine says is not. */
	isByHand(line: RebuiltLine): boolean {
		const choice = this.choiceFor(line);
		return (
			choice !== undefined &&
			!same(
				{ text: '', choices: [choice], block: null },
				{ text: '', choices: [{ ...blank(line), exercise: null, afresh: choice.afresh }], block: null }
			)
		);
	}

	choiceFor(line: RebuiltLine): LineChoice | undefined {
		return this.choices.find((c) => c.line === line.written.number && c.text === line.written.text);
	}

	undo(): Promise<void> {
		const last = this.past.at(-1);
		if (!last) return Promise.resolve();
		this.past = this.past.slice(0, -1);
		this.text = last.text;
		this.choices = last.choices;
		this.block = last.block;
		this.#keepDraft();
		return this.rebuild();
	}

	/** @param letGo Lines taken out of the plan were looked at; else they are shown first and nothing is written. */
	async save(letGo = false): Promise<boolean> {
		if (this.view.gone.length > 0 && !letGo) {
			this.lettingGo = true;
			return false;
		}
		this.lettingGo = false;
		this.#saving = true;
		const sent = this.#draft;
		try {
			const plan = await ask(
				api.PUT('/api/clients/{id}/plan', {
					params: { path: { id: this.#client } },
					body: { ...sent, version: this.#version, seen: this.#seen }
				})
			);
			// What was typed while it was saved stays; the rest is now as the plan has it.
			if (this.text === sent.text) this.text = plan.plan.text;
			if (this.choices === sent.choices) this.choices = plan.plan.choices;
			if (this.block === sent.block) this.block = plan.plan.block;
			this.#seen = seenOf(plan);
			this.#version = plan.version;
			this.savedAt = plan.plan.savedAt;
			this.restored = false;
			this.trouble = '';
			this.stale = false;
			this.#keepDraft();
			if (!this.#rebuilding) void this.rebuild();
			return true;
		} catch (problem) {
			this.trouble = messageOf(problem);
			this.stale = problem instanceof Refusal && problem.stale;
			return false;
		} finally {
			this.#saving = false;
		}
	}

	/** Drops what is unsaved and shows the newest saved plan. */
	async reload(): Promise<void> {
		try {
			this.#take(await ask(api.GET('/api/clients/{id}/plan', { params: { path: { id: this.#client } } })));
			this.#keepDraft();
			this.past = [];
			this.restored = false;
			this.stale = false;
			await this.rebuild();
		} catch (problem) {
			this.trouble = messageOf(problem);
		}
	}

	/** The plan changed under the bench, by a change taken back: it is read anew, and what is unsaved stays on top. */
	async refresh(): Promise<void> {
		try {
			const plan = await ask(api.GET('/api/clients/{id}/plan', { params: { path: { id: this.#client } } }));
			if (!this.dirty) this.#take(plan);
			this.savedAt = plan.plan.savedAt;
			await this.rebuild();
		} catch (problem) {
			this.trouble = messageOf(problem);
		}
	}

	/** One choice a line over all sessions at once; what is kept or chosen by hand stays. */
	async solveWeek(stop: AbortSignal): Promise<WeekView | null> {
		try {
			const view = await follow(
				(run) =>
					ask(
						api.POST('/api/clients/{id}/week', {
							params: { path: { id: this.#client }, query: { run } },
							body: { ...this.#draft, ask: null, seen: this.#seen },
							signal: stop
						})
					),
				(howFar) => (this.howFar = howFar?.words ?? '')
			);
			if (view.outcome.changes.length > 0) await this.apply(view.outcome.changes);
			this.trouble = '';
			return view;
		} catch (problem) {
			if (!stop.aborted) this.trouble = messageOf(problem);
			return null;
		}
	}

	/** Makes a session fit the minutes there are; one step back makes it long again. */
	async shrink(session: number, minutes: number): Promise<ShrinkView | null> {
		try {
			const view = await ask(
				api.POST('/api/clients/{id}/shrink', {
					params: { path: { id: this.#client } },
					body: { text: this.text, choices: this.choices, session, minutes, seen: this.#seen }
				})
			);
			if (view.changes.length > 0) await this.apply(view.changes);
			this.trouble = '';
			return view;
		} catch (problem) {
			this.trouble = messageOf(problem);
			return null;
		}
	}

	/** Lays the plan over other weeks. */
	plan(block: Block): Promise<void> {
		return this.apply([], block);
	}

	/** Makes all the changes of a remedy at once: one step back takes them all. */
	apply(changes: LineChange[], block: Block | null = null): Promise<void> {
		this.#remember();
		this.block = block ?? this.block;
		const lines = this.view.sessions.flatMap((s) => s.lines);
		for (const change of changes) {
			const line = lines.find((l) => l.written.number === change.line);
			if (!line) continue;
			const before = this.choiceFor(line) ?? blank(line);
			const { exercise, sets, repetitions, rest, alone, group, leftOut } = change;
			this.#put(line, {
				...before,
				...(exercise && exercise !== before.exercise ? { ...UNDOSED, exercise } : {}),
				...(alone ? { alone } : {}),
				...(sets !== null ? { sets } : {}),
				...(repetitions !== null ? { repetitions } : {}),
				...(rest !== null ? { rest } : {}),
				...(group !== null ? { group } : {}),
				...(leftOut ? { leftOut } : {})
			});
		}
		this.#keepDraft();
		return this.rebuild();
	}

	#replace(line: RebuiltLine, choice: LineChoice | null): Promise<void> {
		this.#remember();
		this.#put(line, choice);
		this.#keepDraft();
		return this.rebuild();
	}

	#put(line: RebuiltLine, choice: LineChoice | null) {
		const others = this.choices.filter(
			(c) => !(c.line === line.written.number && c.text === line.written.text)
		);
		this.choices = choice ? [...others, choice] : others;
	}

	#take(plan: PlanView) {
		this.text = plan.plan.text;
		this.choices = plan.plan.choices;
		this.block = plan.plan.block;
		this.savedAt = plan.plan.savedAt;
		this.#version = plan.version;
		this.#seen = seenOf(plan);
	}

	#remember() {
		this.past = [...this.past.slice(-99), this.#draft];
	}

	get #key(): string {
		return `ingegno-bench-${this.#client}`;
	}

	#keepDraft() {
		if (this.dirty) localStorage.setItem(this.#key, JSON.stringify({ ...this.#draft, seen: this.#seen }));
		else localStorage.removeItem(this.#key);
	}

	/** What was kept, on what it was begun with; work kept before that was remembered is on the plan as it is. */
	#readDraft(): (Draft & { seen: SeenPlan }) | null {
		try {
			const kept = JSON.parse(localStorage.getItem(this.#key) ?? 'null') as
				(Draft & { seen?: SeenPlan }) | null;
			return kept && typeof kept.text === 'string' && Array.isArray(kept.choices)
				? { ...kept, block: kept.block ?? null, seen: kept.seen ?? this.#seen }
				: null;
		} catch {
			return null;
		}
	}
}

function blank(line: RebuiltLine): LineChoice {
	return {
		line: line.written.number,
		text: line.written.text,
		exercise: line.chosen?.prescription.exercise ?? null,
		...UNDOSED,
		alone: false,
		pinned: false,
		finishEasier: false,
		group: null,
		leftOut: false,
		afresh: false
	};
}

function seenOf(plan: PlanView): SeenPlan {
	const { text, choices, block, versions } = plan.plan;
	return { text, choices, block, lines: versions };
}

/** Nothing of the dose fixed by hand: all of it is worked out. */
export const UNDOSED = {
	load: null,
	repetitions: null,
	tempo: null,
	rest: null,
	partial: null,
	pulses: null,
	form: null,
	sets: null
} satisfies Partial<LineChoice>;

function same(a: Draft, b: Draft | SeenPlan): boolean {
	return (
		a.text === b.text &&
		a.choices.map(said).join() === b.choices.map(said).join() &&
		JSON.stringify(a.block && said(a.block)) === JSON.stringify(b.block && said(b.block))
	);
}

/** A choice or block by what it says: neither the order of its fields nor those left empty count. */
function said(choice: LineChoice | Block): string {
	return JSON.stringify(
		Object.entries(choice)
			.filter(([, value]) => value !== null && value !== false)
			.sort(([a], [b]) => a.localeCompare(b))
	);
}
