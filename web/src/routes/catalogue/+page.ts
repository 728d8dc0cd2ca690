import { api, ask } from '$lib/api/client';

export async function load() {
	const [catalogue, drills, desk, practice] = await Promise.all([
		ask(api.GET('/api/catalogue')),
		ask(api.GET('/api/drills')),
		ask(api.GET('/api/desk')),
		ask(api.GET('/api/practice'))
	]);
	return { catalogue, drills, desk, own: practice.practice.rules.exercises };
}
