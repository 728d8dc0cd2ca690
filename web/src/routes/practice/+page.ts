import { api, ask } from '$lib/api/client';

export async function load() {
	const [practice, catalogue, devices, schools] = await Promise.all([
		ask(api.GET('/api/practice')),
		ask(api.GET('/api/catalogue')),
		ask(api.GET('/api/devices')),
		ask(api.GET('/api/schools'))
	]);
	return { practice, catalogue, devices, schools };
}
