import { api, type LinkView } from '$lib/api/client';
import { store } from '$lib/train/store';

const PATIENCE = 5000;

/** The newest from the server while it answers, else what this phone kept; never both gone without a word. */
export async function load({ params }) {
	const token = params.token;
	let view: LinkView | undefined;
	let trouble: string;
	try {
		const { data, error } = await api.GET('/api/link/{token}', {
			params: { path: { token } },
			signal: AbortSignal.timeout(PATIENCE)
		});
		view = data;
		trouble = (error as { title?: string } | undefined)?.title ?? '';
	} catch {
		trouble = 'No signal, and this training was not opened on this phone before. Open it once with a signal.';
	}
	if (view) await store.keepView(token, view);
	else view = await store.view(token);
	return { token, view: view ?? null, trouble };
}
