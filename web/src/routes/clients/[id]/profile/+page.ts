import { api, ask } from '$lib/api/client';

export async function load() {
	const catalogue = await ask(api.GET('/api/catalogue'));
	return { names: new Map(catalogue.map((e) => [e.id, e.name])) };
}
