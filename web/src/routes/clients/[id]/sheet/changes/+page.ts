import { api, ask } from '$lib/api/client';

export async function load({ params }) {
	return await ask(api.GET('/api/clients/{id}/change-note', { params: { path: { id: params.id } } }));
}
