import {
	api,
	ask,
	messageOf,
	Refusal,
	type Fixture,
	type HeldImplement,
	type Home,
	type HomeView,
	type KitItem
} from '$lib/api/client';

/** One home being described: every change is saved at once and answers with the ladders it makes; undo goes back. */
export class Survey {
	home = $state.raw<Home>({ name: '', room: emptyRoom(), fixtures: [], kit: [] });
	implements = $state.raw<HeldImplement[]>([]);
	landmarks = $state.raw<HomeView['landmarks']>({
		stature: 1.7,
		knee: 0,
		hip: 0,
		sternum: 0,
		shoulder: 0,
		armToGrip: 0,
		reach: 0
	});
	trouble = $state('');
	refusal = $state.raw<Refusal | null>(null);
	stale = $state(false);
	busy = $state(false);
	past = $state.raw<Home[]>([]);
	#version = 0;

	constructor(
		private readonly client: string,
		view: HomeView
	) {
		this.#take(view);
	}

	/** Saves the changed home; false when it was refused, with the reason in `trouble`. */
	async change(home: Home): Promise<boolean> {
		const before = this.home;
		if (!(await this.#save(home))) return false;
		this.past = [...this.past.slice(-49), before];
		return true;
	}

	async undo(): Promise<void> {
		const last = this.past.at(-1);
		if (last && (await this.#save(last))) this.past = this.past.slice(0, -1);
	}

	async reload(): Promise<void> {
		try {
			this.#take(await ask(api.GET('/api/clients/{id}/home', { params: { path: { id: this.client } } })));
			this.past = [];
			this.#clear();
		} catch (problem) {
			this.trouble = messageOf(problem);
		}
	}

	putFixture(fixture: Fixture): Promise<boolean> {
		return this.change({ ...this.home, fixtures: put(this.home.fixtures, fixture) });
	}

	putKit(item: KitItem): Promise<boolean> {
		return this.change({ ...this.home, kit: put(this.home.kit, item) });
	}

	remove(id: string): Promise<boolean> {
		return this.change({
			...this.home,
			fixtures: this.home.fixtures.filter((f) => f.id !== id),
			kit: this.home.kit.filter((k) => k.id !== id)
		});
	}

	/** Forgets what was refused, once the person has turned away from it. */
	dismiss() {
		this.#clear();
	}

	async #save(home: Home): Promise<boolean> {
		this.busy = true;
		try {
			this.#take(
				await ask(
					api.PUT('/api/clients/{id}/home', {
						params: { path: { id: this.client } },
						body: { home, version: this.#version }
					})
				)
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

	#take(view: HomeView) {
		this.home = view.home;
		this.implements = view.implements;
		this.landmarks = view.landmarks;
		this.#version = view.version;
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

function emptyRoom(): Home['room'] {
	return {
		headroom: null,
		floorLength: null,
		floorWidth: null,
		neighboursBelow: false,
		floorSlides: false,
		outdoors: false
	};
}
