import { api, ask, messageOf, type ChangeView } from '$lib/api/client';

/** How one line of a plan came to what it asks: read when it is opened, and again after something was taken back. */
export class History {
	entries = $state.raw<ChangeView[]>([]);
	open = $state(false);
	busy = $state(false);
	trouble = $state('');

	constructor(
		private readonly client: string,
		private readonly line: number,
		/** Something was taken back: whoever shows the plan reads it anew. */
		private readonly onchanged: () => void
	) {}

	async toggle(): Promise<void> {
		this.open = !this.open;
		if (this.open) await this.#read();
	}

	async refresh(): Promise<void> {
		if (this.open) await this.#read(true);
	}

	async undo(change: string): Promise<void> {
		this.busy = true;
		try {
			await ask(
				api.POST('/api/clients/{id}/plan/changes/{change}/undo', {
					params: { path: { id: this.client, change } }
				})
			);
			this.trouble = '';
			this.onchanged();
		} catch (problem) {
			this.trouble = messageOf(problem);
		} finally {
			this.busy = false;
		}
		await this.#read(true);
	}

	/** @param keepTrouble What was said of the last attempt stays. */
	async #read(keepTrouble = false): Promise<void> {
		try {
			this.entries = await ask(
				api.GET('/api/clients/{id}/plan/changes', {
					params: { path: { id: this.client }, query: { line: this.line } }
				})
			);
			if (!keepTrouble) this.trouble = '';
		} catch (problem) {
			this.trouble = messageOf(problem);
		}
	}
}
