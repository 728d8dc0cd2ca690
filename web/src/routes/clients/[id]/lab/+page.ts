import { api, ask } from '$lib/api/client';

export async function load() {
	const catalogue = await ask(api.GET('/api/catalogue'));
	return { catalogue: catalogue.filter((e) => e.endurance !== 'ownLogOnly') };
}
