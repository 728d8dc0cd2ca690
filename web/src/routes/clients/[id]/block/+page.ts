import { api, ask } from '$lib/api/client';

export async function load({ params }) {
	return { plan: await ask(api.GET('/api/clients/{id}/plan', { params: { path: { id: params.id } } })) };
}
