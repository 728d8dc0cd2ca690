import { api, ask } from '$lib/api/client';

export async function load() {
	return { rows: await ask(api.GET('/api/desk')) };
}
