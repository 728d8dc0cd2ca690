import { api, ask } from '$lib/api/client';

export async function load() {
	const [catalogue, schools, practice] = await Promise.all([
		ask(api.GET('/api/catalogue')),
		ask(api.GET('/api/schools')),
		ask(api.GET('/api/practice'))
	]);
	return { names: new Map(catalogue.map((e) => [e.id, e.name])), schools, rules: practice.practice.rules };
}
