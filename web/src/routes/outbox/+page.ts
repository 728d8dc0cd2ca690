import { api, ask } from '$lib/api/client';

export async function load() {
	return { messages: await ask(api.GET('/api/outbox')) };
}
