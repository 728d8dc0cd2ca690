import { redirect } from '@sveltejs/kit';
import { api, ask } from '$lib/api/client';

export const ssr = false;

/** Every page knows who is signed in; without that only the sign-in page opens. */
export async function load({ url, depends }) {
	depends('app:session');
	// A client's link needs no account, and must open without the server.
	if (url.pathname.startsWith('/train/')) return { session: { firstRun: false, coach: null } };
	const session = await ask(api.GET('/api/session'));
	const atDoor = url.pathname === '/sign-in';
	const invited = url.pathname.startsWith('/join/');
	if (!session.coach && !atDoor && !invited)
		redirect(307, '/sign-in?back=' + encodeURIComponent(url.pathname));
	if (session.coach && atDoor) redirect(307, '/');
	return { session };
}
