import { api, ask } from '$lib/api/client';

export async function load({ params }) {
	const [plan, catalogue] = await Promise.all([
		ask(api.GET('/api/clients/{id}/plan', { params: { path: { id: params.id } } })),
		ask(api.GET('/api/catalogue'))
	]);
	return {
		plan,
		names: new Map(catalogue.filter((e) => e.setting !== 'gym').map((e) => [e.id, e.name]))
	};
}
