import { api, type Alternative, type FigureView } from '$lib/api/client';

/** Figures asked for once: the same set-up is drawn the same way. */
const known = new Map<string, Promise<FigureView | null>>();

function once(
	key: string,
	ask: () => Promise<{ data?: { figure: FigureView | null } }>
): Promise<FigureView | null> {
	let asked = known.get(key);
	if (!asked) {
		// A figure that could not be fetched is asked for again the next time.
		asked = ask().then(
			({ data }) => {
				if (!data) known.delete(key);
				return data?.figure ?? null;
			},
			() => {
				known.delete(key);
				return null;
			}
		);
		known.set(key, asked);
	}
	return asked;
}

/** An exercise as usually set up. */
export const usualFigure = (exercise: string) =>
	once(exercise, () => api.GET('/api/figures/{exercise}', { params: { path: { exercise } } }));

/** A line as it would be set up at a client's place. */
export function lineFigure(client: string, place: string | null, line: Alternative['prescription']) {
	const seen = [
		client,
		place,
		line.exercise,
		line.kit,
		line.hold,
		line.load !== 0,
		line.geometry,
		line.supports
	];
	return once(JSON.stringify(seen), () =>
		api.POST('/api/clients/{id}/figure', {
			params: { path: { id: client }, query: place ? { place } : {} },
			body: line
		})
	);
}
