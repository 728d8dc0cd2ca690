import { api, ask } from '$lib/api/client';

export async function load({ params }) {
	return { home: await ask(api.GET('/api/clients/{id}/home', { params: { path: { id: params.id } } })) };
}
