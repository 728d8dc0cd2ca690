import { api, ask } from '$lib/api/client';

/** The place named in the address, else the one in use. */
export async function load({ params, url }) {
	const place = url.searchParams.get('place') ?? 'now';
	const [view, places, common, reports] = await Promise.all([
		ask(api.GET('/api/clients/{id}/places/{place}', { params: { path: { id: params.id, place } } })),
		ask(api.GET('/api/clients/{id}/places', { params: { path: { id: params.id } } })),
		ask(api.GET('/api/common-things')),
		ask(api.GET('/api/clients/{id}/reports', { params: { path: { id: params.id } } }))
	]);
	return { view, places, common, reports };
}
