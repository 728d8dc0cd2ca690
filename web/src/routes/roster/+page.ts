import { api, ask } from '$lib/api/client';

export async function load() {
	return { entries: await ask(api.GET('/api/roster')) };
}
