import {
	api,
	ask,
	messageOf,
	Refusal,
	type Fixture,
	type Home,
	type KitItem,
	type PlaceView
} from '$lib/api/client';

/** One home being described: every change is saved at once and answers with the ladders it makes; undo goes back. */
export class Survey {
	/** All that the place can do, as the last answer told it. */
	view = $state.raw<PlaceView>() as PlaceView;
	trouble = $state('');
	refusal = $state.raw<Refusal | null>(null);
	stale = $state(false);
	busy = $state(false);
	past = $state.raw<Home[]>([]);
	#last: Promise<boolean> = Promise.resolve(true);

	constructor(
		private readonly client: string,
		view: PlaceView
	) {
		this.view = view;
	}

	get home(): Home {
		return this.view.home;
	}

	/**
	 * Saves what a change makes of the newest home; false when it was refused, with the reason in `trouble`. Changes follow
	 * each other in line, so that a fast hand never overwrites its own last one.
	 */
	change(make: (home: Home) => Home): Promise<boolean> {
		return this.#inLine(async () => {
			const before = this.home;
			if (!(await this.#save(make(before)))) return false;
			this.past = [...this.past.slice(-49), before];
			return true;
		});
	}

	undo(): Promise<boolean> {
		return this.#inLine(async () => {
			const last = this.past.at(-1);
			if (!last || !(await this.#save(last))) return false;
			this.past = this.past.slice(0, -1);
			return true;
		});
	}

	async reload(): Promise<void> {
		try {
			this.view = await ask(api.GET('/api/clients/{id}/places/{place}', { params: { path: this.#path } }));
			this.past = [];
			this.#clear();
		} catch (problem) {
			this.trouble = messageOf(problem);
		}
	}

	putFixture(fixture: Fixture): Promise<boolean> {
		return this.change((home) => ({ ...home, fixtures: put(home.fixtures, fixture) }));
	}

	putKit(item: KitItem): Promise<boolean> {
		return this.change((home) => ({ ...home, kit: put(home.kit, item) }));
	}

	/** Adds several things at once, each with an id of its own. */
	add(things: { fixture?: Fixture | null; kit?: KitItem | null }[]): Promise<boolean> {
		return this.change((home) => ({
			...home,
			fixtures: [
				...home.fixtures,
				...things.flatMap((t) => (t.fixture ? [{ ...t.fixture, id: newId() }] : []))
			],
			kit: [...home.kit, ...things.flatMap((t) => (t.kit ? [{ ...t.kit, id: newId() }] : []))]
		}));
	}

	/** Puts a mass where a doubt says, at a path such as kit[0].plates[1].mass. */
	correct(path: string, mass: number): Promise<boolean> {
		return this.change((home) => {
			const corrected = structuredClone($state.snapshot(home)) as Home;
			const steps = path.replaceAll('[', '.').replaceAll(']', '').split('.');
			let at = corrected as unknown as Record<string, unknown>;
			for (const step of steps.slice(0, -1)) at = at[step] as Record<string, unknown>;
			at[steps.at(-1) ?? ''] = mass;
			return corrected;
		});
	}

	remove(id: string): Promise<boolean> {
		return this.change((home) => ({
			...home,
			fixtures: home.fixtures.filter((f) => f.id !== id),
			kit: home.kit.filter((k) => k.id !== id)
		}));
	}

	/** Forgets what was refused, once the person has turned away from it. */
	dismiss() {
		this.#clear();
	}

	async #save(home: Home): Promise<boolean> {
		this.busy = true;
		try {
			this.view = await ask(
				api.PUT('/api/clients/{id}/places/{place}', {
					params: { path: this.#path },
					body: { home, version: this.view.version }
				})
			);
			this.#clear();
			return true;
		} catch (problem) {
			this.trouble = messageOf(problem);
			this.refusal = problem instanceof Refusal ? problem : null;
			this.stale = this.refusal?.stale ?? false;
			return false;
		} finally {
			this.busy = false;
		}
	}

	#inLine(what: () => Promise<boolean>): Promise<boolean> {
		this.#last = this.#last.then(what);
		return this.#last;
	}

	get #path() {
		return { id: this.client, place: this.view.id };
	}

	#clear() {
		this.trouble = '';
		this.refusal = null;
		this.stale = false;
	}
}

export function newId(): string {
	return crypto.getRandomValues(new Uint32Array(2)).reduce((id, n) => id + n.toString(36), '');
}

function put<T extends { id: string }>(list: T[], item: T): T[] {
	return list.some((other) => other.id === item.id)
		? list.map((other) => (other.id === item.id ? item : other))
		: [...list, item];
}
