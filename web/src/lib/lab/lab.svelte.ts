import { api, ask, messageOf, Refusal, type SetTrial, type TrialView } from '$lib/api/client';

/**
 * Two sets tried out in thought. Every change is worked out on the server; while one answer is under way the newest
 * change waits, and answers come in the order they were asked.
 */
export class Lab {
	trials = $state.raw<SetTrial[]>([]);
	views = $state.raw<(TrialView | null)[]>([null, null]);
	/** What is wrong with each set, in words. */
	wrong = $state.raw<string[][]>([[], []]);
	trouble = $state('');
	readonly #client: string;
	#busy = false;
	#again = false;

	constructor(client: string, a: SetTrial, b: SetTrial) {
		this.#client = client;
		this.trials = [a, b];
	}

	change(place: number, part: Partial<SetTrial>): Promise<void> {
		this.trials = this.trials.map((trial, i) => (i === place ? { ...trial, ...part } : trial));
		return this.work();
	}

	swap(): Promise<void> {
		this.trials = this.trials.toReversed();
		this.views = this.views.toReversed();
		return this.work();
	}

	copy(): Promise<void> {
		const [a] = this.trials;
		if (a) this.trials = [a, { ...a }];
		return this.work();
	}

	async work(): Promise<void> {
		if (this.#busy) {
			this.#again = true;
			return;
		}
		this.#busy = true;
		try {
			do {
				this.#again = false;
				await this.#ask();
			} while (this.#again);
		} finally {
			this.#busy = false;
		}
	}

	async #ask(): Promise<void> {
		try {
			const view = await ask(
				api.POST('/api/clients/{id}/lab', {
					params: { path: { id: this.#client } },
					body: { trials: this.trials }
				})
			);
			this.views = view.trials;
			this.wrong = [[], []];
			this.trouble = '';
		} catch (problem) {
			const wrong = problem instanceof Refusal ? [0, 1].map((i) => problem.at(`trials[${i}]`)) : [[], []];
			this.wrong = wrong;
			this.trouble = wrong.some((w) => w.length > 0) ? '' : messageOf(problem);
		}
	}
}
