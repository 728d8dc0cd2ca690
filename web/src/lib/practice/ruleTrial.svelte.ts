import {
	api,
	ask,
	type ClientProfile,
	type Home,
	type HouseRules,
	type RebuiltLine,
	type School,
	type Teaching
} from '$lib/api/client';

/** A client of the practice whose programme the rules are tried on. */
export interface TriedClient {
	id: string;
	name: string;
}

interface Case {
	client: ClientProfile;
	home: Home;
	programme: string;
}

/** Rebuilds asked for together. */
const AT_ONCE = 4;

/** Tries house rules on a line of the practice's own while they are turned; nothing of it is stored. */
export class RuleTrial {
	clients = $state.raw<TriedClient[]>([]);
	client = $state('');
	lines = $state.raw<RebuiltLine[]>([]);
	at = $state(0);
	/** The line as it was under the rules before the last change. */
	before = $state.raw<RebuiltLine | null>(null);
	/** Of the tried programme, how many lines the other side of a school would change. */
	moves = $state.raw<Partial<Record<Teaching, number>>>({});

	#case: Case | null = null;
	#asked = 0;

	readonly line = $derived(this.lines[Math.min(this.at, this.lines.length - 1)] ?? null);

	async open(rules: HouseRules, schools: School[]): Promise<void> {
		const rows = await ask(api.GET('/api/desk'));
		this.clients = rows.map((row) => ({ id: row.id, name: row.name }));
		const first = this.clients[0];
		if (first) await this.take(first.id, rules, schools);
	}

	/** Another client's programme. */
	async take(client: string, rules: HouseRules, schools: School[]): Promise<void> {
		const ticket = ++this.#asked;
		this.client = client;
		const path = { params: { path: { id: client } } };
		const [person, place, plan] = await Promise.all([
			ask(api.GET('/api/clients/{id}', path)),
			ask(api.GET('/api/clients/{id}/places/{place}', { params: { path: { id: client, place: 'now' } } })),
			ask(api.GET('/api/clients/{id}/plan', path))
		]);
		if (ticket !== this.#asked) return;
		this.#case = { client: person.profile, home: place.home, programme: plan.plan.text };
		this.before = null;
		this.moves = {};
		this.lines = await this.#rebuilt(rules);
		this.at = Math.max(
			0,
			this.lines.findIndex((l) => (l.chosen?.bridge?.parts.length ?? 0) > 1)
		);
		await this.#weigh(ticket, rules, schools);
	}

	/** The same under other rules. */
	async turn(rules: HouseRules, schools: School[]): Promise<void> {
		const ticket = ++this.#asked;
		const was = this.line;
		const lines = await this.#rebuilt(rules);
		if (ticket !== this.#asked) return;
		this.before = was;
		this.lines = lines;
		await this.#weigh(ticket, rules, schools);
	}

	async #weigh(ticket: number, rules: HouseRules, schools: School[]): Promise<void> {
		const others = schools.flatMap((school) =>
			school.sides
				.filter((side) => inForce(school, rules.teachings) !== side.teaching)
				.map((side) => ({ school, teaching: side.teaching }))
		);
		// A few at once: the page reads one answer while the next is worked out.
		while (others.length > 0) {
			const told = await Promise.all(
				others.splice(0, AT_ONCE).map(async ({ school, teaching }) => {
					const other = await this.#rebuilt({
						...rules,
						teachings: taking(school, teaching, rules.teachings)
					});
					return [teaching, other.filter((l, i) => said(l) !== said(this.lines[i])).length] as const;
				})
			);
			if (ticket !== this.#asked) return;
			this.moves = { ...this.moves, ...Object.fromEntries(told) };
		}
	}

	async #rebuilt(rules: HouseRules): Promise<RebuiltLine[]> {
		if (!this.#case || this.#case.programme.trim() === '') return [];
		const view = await ask(
			api.POST('/api/engine/rebuild', {
				body: { ...this.#case, choices: null, rules, on: null, block: null, marks: null }
			})
		);
		return view.sessions.flatMap((s) => s.lines);
	}
}

/** The side of a school in force. */
export const inForce = (school: School, taken: Teaching[]): Teaching | undefined =>
	taken.find((t) => school.sides.some((s) => s.teaching === t)) ?? school.sides[0]?.teaching;

/** The sides taken against the defaults, with this one. */
export function taking(school: School, side: Teaching, taken: Teaching[]): Teaching[] {
	const others = taken.filter((t) => !school.sides.some((s) => s.teaching === t));
	return side === school.sides[0]?.teaching ? others : [...others, side];
}

/** What a client would read of a line. */
function said(line: RebuiltLine | undefined): string {
	const given = line?.chosen?.prescription;
	return given
		? [
				given.name,
				given.countInWords,
				given.tempo,
				given.rest,
				given.loadInWords,
				given.form,
				line?.trainedAt,
				line?.trainedAt,
				...given.cues
			].join('|')
		: '';
}
