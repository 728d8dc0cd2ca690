import { api, ask } from '$lib/api/client';

export async function load({ params }) {
	const client = { params: { path: { id: params.id } } };
	const [plan, sheet, figures] = await Promise.all([
		ask(api.GET('/api/clients/{id}/plan', client)),
		ask(api.GET('/api/clients/{id}/sheet', client)),
		ask(api.GET('/api/clients/{id}/figures', client))
	]);
	return { plan, sheet, figures };
}
