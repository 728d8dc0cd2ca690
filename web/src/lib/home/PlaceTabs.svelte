<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { api, ask, messageOf, type PlaceName } from '$lib/api/client';

	/** The places of a client: home, travel, work. The first is where they train now. */
	interface Props {
		client: string;
		places: PlaceName[];
		here: string;
		ontrouble: (message: string) => void;
	}
	let { client, places, here, ontrouble }: Props = $props();
	let naming = $state(false);
	let name = $state('');

	const path = (place: string) => ({ params: { path: { id: client, place } } });

	async function attempt(what: () => Promise<void>) {
		try {
			await what();
		} catch (problem) {
			ontrouble(messageOf(problem));
		}
	}

	function add(event: SubmitEvent) {
		event.preventDefault();
		void attempt(async () => {
			const made = await ask(
				api.POST('/api/clients/{id}/places', { params: { path: { id: client } }, body: { name } })
			);
			[naming, name] = [false, ''];
			await goto(`?place=${made.id}`, { invalidateAll: true });
		});
	}

	const use = () =>
		attempt(async () => {
			const answer = await api.POST('/api/clients/{id}/places/{place}/use', path(here));
			if (answer.error) await ask(Promise.resolve(answer));
			await invalidateAll();
		});

	const remove = () =>
		attempt(async () => {
			const answer = await api.DELETE('/api/clients/{id}/places/{place}', path(here));
			if (answer.error) await ask(Promise.resolve(answer));
			await goto('?', { invalidateAll: true });
		});
</script>

<nav aria-label="Places" class="flex items-center gap-1.5">
	{#each places as place, i (place.id)}
		<a
			href="?place={place.id}"
			aria-current={place.id === here ? 'page' : undefined}
			class="rounded-full border px-3 py-0.5 text-[13px] {place.id === here
				? 'border-base-content bg-base-content text-base-100'
				: 'border-base-300 bg-base-100'}">{place.name}{i === 0 && places.length > 1 ? ', now' : ''}</a
		>
	{/each}
	{#if naming}
		<form class="flex gap-1" onsubmit={add}>
			<!-- svelte-ignore a11y_autofocus -->
			<input
				class="input input-xs w-36"
				aria-label="Name of the new place"
				placeholder="at work"
				bind:value={name}
				maxlength="80"
				required
				autofocus
			/>
			<button class="btn btn-xs">Add</button>
			<button type="button" class="btn btn-xs btn-ghost" onclick={() => (naming = false)}>Not now</button>
		</form>
	{:else}
		<button class="text-soft px-1 text-[13px] underline underline-offset-2" onclick={() => (naming = true)}
			>another place</button
		>
	{/if}
	{#if places.length > 1}
		{#if places[0]?.id !== here}
			<button class="text-soft px-1 text-[13px] underline underline-offset-2" onclick={use}
				>trains here now</button
			>
		{/if}
		<button class="text-soft px-1 text-[13px] underline underline-offset-2" onclick={remove}
			>take this place out</button
		>
	{/if}
</nav>
