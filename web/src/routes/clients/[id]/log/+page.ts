import { api, ask } from '$lib/api/client';

export async function load({ params }) {
	return {
		progress: await ask(api.GET('/api/clients/{id}/progress', { params: { path: { id: params.id } } }))
	};
}
