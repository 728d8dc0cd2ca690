import { error } from '@sveltejs/kit';
import { api, ask, Refusal } from '$lib/api/client';

export async function load({ params, depends }) {
	depends('app:client');
	try {
		return { client: await ask(api.GET('/api/clients/{id}', { params: { path: { id: params.id } } })) };
	} catch (problem) {
		if (problem instanceof Refusal && problem.problem.status === 404) error(404, problem.message);
		throw problem;
	}
}
