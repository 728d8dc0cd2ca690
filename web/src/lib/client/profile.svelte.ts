import { api, ask, messageOf, type ClientProfile, type ClientView } from '$lib/api/client';

/** Who trains: every change is saved at once, in line with the one before it. */
export class Dossier {
	view = $state.raw<ClientView>() as ClientView;
	trouble = $state('');
	busy = $state(false);
	#last: Promise<boolean> = Promise.resolve(true);

	constructor(view: ClientView) {
		this.view = view;
	}

	get profile(): ClientProfile {
		return this.view.profile;
	}

	/** False when it was refused, with the reason in `trouble`; what was saved before stays. */
	change(part: Partial<ClientProfile>): Promise<boolean> {
		this.#last = this.#last.then(() => this.#save({ ...this.profile, ...part }));
		return this.#last;
	}

	async #save(profile: ClientProfile): Promise<boolean> {
		this.busy = true;
		try {
			this.view = await ask(
				api.PUT('/api/clients/{id}', {
					params: { path: { id: this.view.id } },
					body: { profile, version: this.view.version }
				})
			);
			this.trouble = '';
			return true;
		} catch (problem) {
			this.trouble = messageOf(problem);
			return false;
		} finally {
			this.busy = false;
		}
	}
}
