import { api, type HowFar } from './client';

/** Milliseconds between two questions. */
const ASK_EVERY = 400;

/** Does something the server takes a while for, and tells how far it is until it is done. */
export async function follow<T>(
	work: (run: string) => Promise<T>,
	tell: (howFar: HowFar | null) => void
): Promise<T> {
	const run = crypto.randomUUID();
	tell(null);
	const asking = setInterval(() => void askHowFar(run, tell), ASK_EVERY);
	try {
		return await work(run);
	} finally {
		clearInterval(asking);
	}
}

/** What ended in the meantime has no answer. */
async function askHowFar(run: string, tell: (howFar: HowFar) => void) {
	const { data } = await api.GET('/api/under-way/{run}', { params: { path: { run } } });
	if (data) tell(data);
}
