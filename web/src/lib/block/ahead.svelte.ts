import { api, ask, messageOf, type Block, type BlockView, type LineChoice } from '$lib/api/client';

/** The weeks ahead as the server lays them out; a late answer is dropped. */
export class Ahead {
	view = $state.raw<BlockView | null>(null);
	trouble = $state('');
	#asked = 0;

	async look(client: string, text: string, choices: LineChoice[], block: Block | null): Promise<void> {
		const ticket = ++this.#asked;
		if (!block) {
			this.view = null;
			return;
		}
		try {
			const view = await ask(
				api.POST('/api/clients/{id}/block', {
					params: { path: { id: client } },
					body: { text, choices, block, ask: null, seen: null }
				})
			);
			if (ticket !== this.#asked) return;
			this.view = view;
			this.trouble = '';
		} catch (problem) {
			if (ticket === this.#asked) this.trouble = messageOf(problem);
		}
	}
}
