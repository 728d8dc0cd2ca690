import { api, type LineFigure, type LinkView } from '$lib/api/client';
import { store } from '$lib/train/store';

/** A phone that has the training waits little for a newer one; one that has none waits as long as a slow signal takes. */
const PATIENCE = 5000,
	FIRST_PATIENCE = 60_000;

/** The newest from the server while it answers, else what this phone kept; never both gone without a word. */
export async function load({ params }) {
	const token = params.token;
	let kept: LinkView | undefined;
	try {
		kept = await store.view(token);
	} catch {
		// A phone that lets nothing be kept still opens what the server sends.
	}
	let view: LinkView | undefined;
	let trouble: string;
	try {
		const { data, error } = await api.GET('/api/link/{token}', {
			params: { path: { token } },
			signal: AbortSignal.timeout(kept ? PATIENCE : FIRST_PATIENCE)
		});
		view = data?.programme ? data : undefined;
		trouble =
			(error as { title?: string } | undefined)?.title ??
			'The server gave no whole answer. Try again in a minute.';
	} catch {
		trouble = 'No signal, and this training was not opened on this phone before. Open it once with a signal.';
	}
	try {
		if (view) {
			await store.keepView(token, view);
			await store.keepLink({ token, client: view.clientId, openedAt: Date.now(), closed: false });
		} else view = kept;
	} catch {
		// A full phone keeps no copy for later; the page itself works on.
	}
	const sentNow = view !== undefined && view !== kept;
	// What the first version of the page kept does not know whose it is.
	if (view && !view.clientId) view = undefined;
	return { token, view: view ?? null, trouble, figures: figuresOf(token, sentNow) };
}

/** Drawn figures come after the training and never hold it up: as kept on this phone, then from the server. */
async function figuresOf(token: string, ask: boolean): Promise<LineFigure[]> {
	try {
		if (ask) {
			const { data } = await api.GET('/api/link/{token}/figures', {
				params: { path: { token } },
				signal: AbortSignal.timeout(FIRST_PATIENCE)
			});
			if (data) {
				await store.keepFigures(token, data);
				return data;
			}
		}
		return await store.figures(token);
	} catch {
		return [];
	}
}
