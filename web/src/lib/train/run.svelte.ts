import type {
	HeldLine,
	Joint,
	LinkLine,
	LinkSession,
	LinkStep,
	LinkView,
	SetLog,
	StopReason
} from '$lib/api/client';
import type { Outbox } from './outbox.svelte';
import { byKey, isoNow, keyOf, setsKept, type DoneSets } from './sets';
import { localDay, newId, store, type Standing } from './store';

export type Screen = 'start' | 'set' | 'rest' | 'end';

/** A session being trained: which step is next, what was logged, what is left out. Everything it does is kept first. */
export class Run {
	standing = $state.raw<Standing>(nothing('', '', ''));
	/** Sets of today by line and number, from the server and from this phone. */
	done = $state.raw<DoneSets>({});
	now = $state(Date.now());
	/** Today, as the client told it where the phone's clock could not. */
	#trueDay = localDay();

	constructor(
		readonly view: LinkView,
		private readonly outbox: Outbox
	) {}

	async open() {
		const day = localDay();
		const truly = (await store.saidDay(this.view.clientId, day)) ?? day;
		this.#trueDay = truly;
		const found = await store.standing(this.view.clientId);
		const here = this.outbox.list.map((w) => w.set).filter((s) => s !== null);
		const sets = [...this.view.done, ...this.outbox.delivered, ...here];
		this.done = byKey(sets.filter((s) => s.on === day || s.on === truly));
		this.outbox.onkept = (set, version) => this.#kept(set, version);
		if (found?.day === day && this.#sessionOf(found)) this.standing = this.#carriedOver(found);
		else
			this.standing = {
				...nothing(this.view.clientId, day, this.view.sentAt),
				place: this.view.programme.places[0]?.id ?? '',
				session: this.#next()
			};
		if (this.standing.begun) await this.#skipDone();
	}

	/** The plan may have changed under way: what is done stays done, and the rest is gone through from the start of the newer one. */
	#carriedOver(found: Standing): Standing {
		return found.sentAt === this.view.sentAt
			? found
			: {
					...found,
					sentAt: this.view.sentAt,
					at: 0,
					counted: 0,
					side: 0,
					firstSide: null,
					instead: {},
					resting: false
				};
	}

	/** From now on a correction of it names the version that stands. */
	#kept(set: SetLog, version: number) {
		const key = keyOf(set.line, set.setNumber);
		const here = this.done[key];
		if (here?.id === set.id) this.done = { ...this.done, [key]: { ...here, version } };
	}

	get place() {
		return (
			this.view.programme.places.find((p) => p.id === this.standing.place) ?? this.view.programme.places[0]
		);
	}

	get session(): LinkSession | undefined {
		return this.#sessionOf(this.standing);
	}

	/** Steps of the session in a week of this kind: an easier week has fewer sets. */
	get steps(): LinkStep[] {
		const kind = this.weekKind;
		const session = this.session;
		return session?.steps.filter((s) => s.set <= setsKept(session, s.line, kind)) ?? [];
	}

	get weekKind(): 'full' | 'lighter' | 'easier' {
		const day = this.#trueDay;
		return this.view.programme.weeks.filter((w) => w.starts <= day).at(-1)?.kind ?? 'full';
	}

	get step(): LinkStep | undefined {
		return this.steps[this.standing.at];
	}

	/** The exercise of the step as it is done today. */
	get line(): LinkLine | undefined {
		return this.step ? this.lineOf(this.step.line) : undefined;
	}

	lineOf(number: number): LinkLine | undefined {
		const line = this.session?.lines.find((l) => l.line === number);
		const instead = this.standing.instead[number];
		return instead === undefined ? line : (line?.instead[instead] ?? line);
	}

	/** Nothing is asked for where the client is: an empty plan, or none for this place. */
	get isEmpty(): boolean {
		return (this.session?.steps.length ?? 0) === 0;
	}

	get screen(): Screen {
		if (!this.standing.begun) return 'start';
		if (this.standing.at >= this.steps.length) return 'end';
		return this.standing.resting ? 'rest' : 'set';
	}

	get secondsToGo(): number {
		return this.steps.slice(this.standing.at).reduce((sum, s) => sum + (this.#isOut(s) ? 0 : s.lasts), 0);
	}

	/** Seconds since the last set ended. */
	get rested(): number {
		return this.standing.restFrom === null
			? 0
			: Math.max(0, Math.round((this.now - this.standing.restFrom) / 1000));
	}

	/** The rest asked after the last set that was done. */
	get restAsked(): number {
		return (this.#lastDone ?? this.steps[this.standing.at - 1])?.rest ?? 0;
	}

	get #lastDone(): LinkStep | undefined {
		return this.steps
			.slice(0, this.standing.at)
			.findLast((s) => this.done[keyOf(s.line, s.set)] !== undefined);
	}

	/** Sets of this session that are done, in their order. */
	get doneSets(): { step: LinkStep; set: SetLog; name: string }[] {
		return this.steps.flatMap((step) => {
			const set = this.done[keyOf(step.line, step.set)];
			return set ? [{ step, set, name: this.#nameOf(step.line, set.exercise) }] : [];
		});
	}

	#nameOf(number: number, exercise: string): string {
		const line = this.session?.lines.find((l) => l.line === number);
		return (
			[line, ...(line?.instead ?? [])].find((l) => l?.prescription.exercise === exercise)?.prescription
				.name ??
			line?.prescription.name ??
			''
		);
	}

	get toLimit(): boolean {
		const asked = this.view.toLimit;
		const step = this.step;
		return (
			asked !== null &&
			step !== undefined &&
			asked.session === this.session?.key &&
			asked.line === step.line &&
			this.standing.instead[step.line] === undefined &&
			!this.steps.some((s) => s.line === step.line && s.set > step.set)
		);
	}

	/** The last set of a line never done before: as many as leave what is meant. */
	get calibrates(): boolean {
		const step = this.step;
		return (
			step !== undefined &&
			!this.toLimit &&
			this.view.calibrates.includes(step.line) &&
			this.standing.instead[step.line] === undefined &&
			!this.steps.some((s) => s.line === step.line && s.set > step.set)
		);
	}

	/** Of a rest-pause: repetitions still to go, this bout counted. */
	get toGo(): number {
		const step = this.step;
		if (!step) return 0;
		const all = this.steps.filter((s) => s.line === step.line);
		const before = all.filter((s) => s.set < step.set);
		const did = before.reduce((sum, s) => sum + (this.done[keyOf(s.line, s.set)]?.repetitions ?? 0), 0);
		return all.reduce((sum, s) => sum + s.count, 0) - did;
	}

	/** Lines of this place kept out until the coach has looked at them. */
	get held(): HeldLine[] {
		return this.view.heldBack.filter((h) => h.place === this.place?.id);
	}

	async choose(place: string, session: string) {
		await this.#stand({ place, session, at: 0, begun: false, counted: 0, instead: {}, leftOut: {} });
	}

	async begin() {
		const leftOut = { ...this.standing.leftOut };
		for (const line of this.held) leftOut[line.line] = line.why;
		await this.#stand({ begun: true, at: 0, resting: false, leftOut, startedAt: Date.now() });
		await this.#skipDone();
	}

	/** The first repetition begins now: the rest before it ends here. */
	started() {
		if (this.standing.counted === 0 && this.standing.side === 0)
			return this.#stand({ startedAt: Date.now() });
	}

	count(counted: number) {
		return this.#stand({ counted });
	}

	/** The first side is done; the other stops at its count. */
	otherSide(first: number) {
		return this.#stand({ side: 1, firstSide: first, counted: 0 });
	}

	async log(figures: {
		repetitions: number;
		otherSide: number | null;
		finished: number;
		reserve: SetLog['reserve'];
		stopped: StopReason | null;
		pain: number;
		painAt: Joint | null;
	}) {
		const step = this.step;
		const line = this.line;
		if (!step || !line) return;
		const set: SetLog = {
			id: newId(),
			line: step.line,
			exercise: line.prescription.exercise,
			on: this.standing.day,
			setNumber: step.set,
			load: line.prescription.load,
			...figures,
			restBefore: step.set === 1 ? null : this.#restTaken,
			toLimit: this.toLimit && figures.pain === 0,
			reserve: this.toLimit ? null : figures.reserve,
			at: isoNow(),
			version: 0
		};
		await this.outbox.addSet(set);
		this.done = { ...this.done, [keyOf(set.line, set.setNumber)]: set };
		const leftOut =
			figures.pain > 5 ? this.#leftOutBy(line, step.line, figures.painAt) : this.standing.leftOut;
		await this.#stand({
			at: this.standing.at + 1,
			counted: 0,
			side: 0,
			firstSide: null,
			restFrom: Date.now(),
			startedAt: null,
			resting: true,
			leftOut
		});
		await this.#skipDone();
	}

	/** What was done is said anew; it names the version it was made from. */
	async correct(set: SetLog, figures: Partial<Pick<SetLog, 'repetitions' | 'otherSide' | 'reserve'>>) {
		const now = this.done[keyOf(set.line, set.setNumber)] ?? set;
		const corrected = { ...now, ...figures };
		await this.outbox.addSet(corrected);
		this.done = { ...this.done, [keyOf(set.line, set.setNumber)]: corrected };
	}

	startNext() {
		return this.#stand({ resting: false, startedAt: Date.now() });
	}

	/** From the end of the last set to the beginning of this one, in seconds; null where the clock was set in between. */
	get #restTaken(): number | null {
		const { restFrom, startedAt } = this.standing;
		const taken = restFrom === null || startedAt === null ? -1 : Math.round((startedAt - restFrom) / 1000);
		return taken < 0 ? null : Math.min(3600, taken);
	}

	/** The set-up does not stand today: the next alternative at once, or the line is left out. */
	async wobbles() {
		const step = this.step;
		const line = step && this.session?.lines.find((l) => l.line === step.line);
		if (!step || !line) return;
		const next = (this.standing.instead[step.line] ?? -1) + 1;
		if (next < line.instead.length) {
			await this.#stand({ instead: { ...this.standing.instead, [step.line]: next }, counted: 0 });
		} else {
			await this.leaveOut(step.line, 'nothing here stands firm for it today');
		}
	}

	async leaveOut(line: number, why: string) {
		await this.#stand({
			leftOut: { ...this.standing.leftOut, [line]: why },
			counted: 0,
			side: 0,
			firstSide: null
		});
		await this.#skipDone();
	}

	async feel(felt: 'muscle' | 'breath' | 'both') {
		await this.outbox.addNote({
			session: this.session?.title ?? '',
			on: this.standing.day,
			felt,
			sore: null,
			at: isoNow()
		});
		await this.#stand({ felt: true });
	}

	/** The last session of this title whose muscles nobody asked about yet. */
	get askSore(): { session: string; on: string } | null {
		const title = this.session?.title;
		const lines = this.session?.lines.map((l) => l.line) ?? [];
		const last = this.view.done.find((s) => lines.includes(s.line) && s.on < this.standing.day);
		if (title === undefined || !last) return null;
		const asked = [...this.view.notes, ...this.outbox.list.map((w) => w.note).filter((n) => n !== null)].some(
			(n) => n.session === title && n.on === last.on && n.sore !== null
		);
		return asked ? null : { session: title, on: last.on };
	}

	async sore(sore: number) {
		const asked = this.askSore;
		if (asked)
			await this.outbox.addNote({ session: asked.session, on: asked.on, felt: null, sore, at: null });
	}

	/** Pain over 5: what it leaves out was worked out when the link was opened, by the one rule that the coach's desk goes by. */
	#leftOutBy(line: LinkLine, number: number, at: Joint | null): Record<string, string> {
		const out: Record<string, string> = { ...this.standing.leftOut, [number]: 'stopped for pain' };
		const branch = line.leavesOut.find((b) => b.at === at) ?? line.leavesOut.find((b) => b.at === null);
		for (const other of branch?.lines ?? []) out[other] ??= 'left out: it loads the place that hurts';
		return out;
	}

	#isOut(step: LinkStep): boolean {
		return (
			this.standing.leftOut[step.line] !== undefined || this.done[keyOf(step.line, step.set)] !== undefined
		);
	}

	async #skipDone() {
		let at = this.standing.at;
		for (let step = this.steps[at]; step && this.#isOut(step); step = this.steps[++at]);
		if (at !== this.standing.at)
			await this.#stand({ at, resting: this.standing.resting && at < this.steps.length });
	}

	async #stand(change: Partial<Standing>) {
		this.standing = { ...this.standing, ...change };
		await store.keepStanding($state.snapshot(this.standing) as Standing);
	}

	#sessionOf(standing: Standing): LinkSession | undefined {
		const place =
			this.view.programme.places.find((p) => p.id === standing.place) ?? this.view.programme.places[0];
		return place?.sessions.find((s) => s.key === standing.session);
	}

	/** The session begun today, else the one after the last trained: what was missed shifts and does not pile up. */
	#next(): string {
		const sessions = this.view.programme.places[0]?.sessions ?? [];
		const has = (line: number) => sessions.findIndex((s) => s.lines.some((l) => l.line === line));
		// Lines that were trained may be gone from a newer plan: then whatever of it is still there tells, else the first.
		const today = Object.values(this.done)
			.map((s) => has(s.line))
			.find((i) => i >= 0);
		const last = this.view.done.map((s) => has(s.line)).find((i) => i >= 0);
		return sessions[today ?? (last === undefined ? 0 : (last + 1) % sessions.length)]?.key ?? '';
	}
}

function nothing(client: string, day: string, sentAt: string): Standing {
	return {
		client,
		day,
		sentAt,
		place: '',
		session: '',
		begun: false,
		at: 0,
		counted: 0,
		side: 0,
		firstSide: null,
		restFrom: null,
		startedAt: null,
		resting: false,
		instead: {},
		leftOut: {},
		felt: false
	};
}
