import { api, ask, messageOf, type BasketView, type LineChoice, type Unlock } from '$lib/api/client';

/** What one purchase, loan or check would do for the week: asked one after the other, so that it can be watched and stopped. */
export class Unlocks {
	found = $state.raw<Unlock[]>([]);
	basket = $state.raw<BasketView | null>(null);
	done = $state(0);
	of = $state(0);
	trouble = $state('');
	stop = $state.raw<AbortController | null>(null);

	async look(client: string, text: string, choices: LineChoice[]): Promise<void> {
		if (this.stop) return;
		const stop = new AbortController();
		this.stop = stop;
		this.found = [];
		this.basket = null;
		this.done = 0;
		this.trouble = '';
		const params = { path: { id: client } };
		try {
			const offers = await ask(api.GET('/api/clients/{id}/unlocks', { params, signal: stop.signal }));
			this.of = offers.length;
			for (const offer of offers) {
				const unlock = await ask(
					api.POST('/api/clients/{id}/unlocks', {
						params,
						body: { text, choices, offer: offer.id },
						signal: stop.signal
					})
				);
				this.done++;
				if (unlock.gain > 0) this.found = [...this.found, unlock].sort(byWorth);
			}
		} catch (problem) {
			if (!stop.signal.aborted) this.trouble = messageOf(problem);
		} finally {
			this.stop = null;
		}
	}

	/** The best of what was tried within a sum, weighed together. */
	async fill(client: string, text: string, choices: LineChoice[], budget: number): Promise<void> {
		try {
			this.basket = await ask(
				api.POST('/api/clients/{id}/unlocks/basket', {
					params: { path: { id: client } },
					body: { text, choices, budget, tried: this.found.map((u) => ({ id: u.offer.id, gain: u.gain })) }
				})
			);
			this.trouble = '';
		} catch (problem) {
			this.basket = null;
			this.trouble = messageOf(problem);
		}
	}
}

/** What costs nothing first, then gain for the money, then what is lent. */
function byWorth(a: Unlock, b: Unlock): number {
	const free = (u: Unlock) => (u.offer.cost === 0 ? 0 : u.gainPerMoney !== null ? 1 : 2);
	return free(a) - free(b) || (b.gainPerMoney ?? b.gain) - (a.gainPerMoney ?? a.gain);
}
