import { openDB, type IDBPDatabase } from 'idb';

export type ShelfName = 'views' | 'links' | 'waiting' | 'where' | 'days';

/** Something kept on this phone, by a key of its own. */
export interface Shelf {
	get(name: ShelfName, key: string): Promise<unknown>;
	all(name: ShelfName): Promise<unknown[]>;
	put(name: ShelfName, key: string, value: unknown): Promise<void>;
	drop(name: ShelfName, key: string): Promise<void>;
	/** What is kept is gone when the page closes. */
	readonly forgets: boolean;
}

const NAMES: ShelfName[] = ['views', 'links', 'waiting', 'where', 'days'];

/** The first version kept entries under their own id and by link; both are brought over as they are. */
async function upgrade(database: IDBPDatabase, from: number) {
	const old = (database as unknown as { objectStoreNames: DOMStringList }).objectStoreNames;
	if (from === 1 && old.contains('standing')) database.deleteObjectStore('standing');
	for (const name of NAMES) if (!old.contains(name)) database.createObjectStore(name);
}

async function onPhone(): Promise<Shelf> {
	const database = await openDB('ingegno-train', 2, {
		upgrade: (opened, from) => void upgrade(opened as unknown as IDBPDatabase, from),
		// Another tab with a newer page: let it through; this one opens again when it next keeps something.
		blocking: (_old, _new, event) => {
			opened = null;
			(event.target as IDBDatabase).close();
		},
		terminated: () => (opened = null)
	});
	const inline = (name: ShelfName) => database.transaction(name).store.keyPath !== null;
	const own = new Map(NAMES.map((name) => [name, inline(name)]));
	return {
		forgets: false,
		get: (name, key) => database.get(name, key),
		all: (name) => database.getAll(name),
		put: async (name, key, value) => void (await database.put(name, value, own.get(name) ? undefined : key)),
		drop: (name, key) => database.delete(name, key)
	};
}

/** Where a phone lets the page keep nothing, as in a private window: all that can be done is to say so. */
export function inMemory(): Shelf {
	const kept = new Map<string, unknown>();
	const at = (name: ShelfName, key: string) => `${name} ${key}`;
	return {
		forgets: true,
		get: async (name, key) => kept.get(at(name, key)),
		all: async (name) => [...kept.entries()].filter(([key]) => key.startsWith(`${name} `)).map(([, v]) => v),
		put: async (name, key, value) => void kept.set(at(name, key), value),
		drop: async (name, key) => void kept.delete(at(name, key))
	};
}

let opened: Promise<Shelf> | null = null;

export function shelf(): Promise<Shelf> {
	opened ??= onPhone().catch(() => inMemory());
	return opened;
}
