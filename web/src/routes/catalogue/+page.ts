import { api, ask } from '$lib/api/client';

export async function load() {
	const [catalogue, drills, desk] = await Promise.all([
		ask(api.GET('/api/catalogue')),
		ask(api.GET('/api/drills')),
		ask(api.GET('/api/desk'))
	]);
	return { catalogue, drills, desk };
}
