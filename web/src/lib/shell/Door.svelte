<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { api, ask, messageOf } from '$lib/api/client';
	import Mark from '$lib/shell/Mark.svelte';
	import Notice from '$lib/shell/Notice.svelte';

	/** The door: the first account, an account by invitation, or a sign-in. */
	interface Props {
		/** Nobody works here yet. */
		first?: boolean;
		/** The invitation somebody came by. */
		invitation?: string;
	}
	let { first = false, invitation }: Props = $props();
	const makes = $derived(first || invitation !== undefined);
	let name = $state('');
	let email = $state('');
	let password = $state('');
	let trouble = $state('');
	let busy = $state(false);

	async function enter(event: SubmitEvent) {
		event.preventDefault();
		busy = true;
		trouble = '';
		try {
			if (invitation)
				await ask(
					api.POST('/api/join/{token}', {
						params: { path: { token: invitation } },
						body: { name, email, password }
					})
				);
			else if (first) await ask(api.POST('/api/coaches', { body: { name, email, password } }));
			else await ask(api.POST('/api/session', { body: { email, password } }));
			const back = page.url.searchParams.get('back') ?? '/';
			await invalidateAll();
			await goto(back.startsWith('/') && !back.startsWith('//') ? back : '/');
		} catch (problem) {
			trouble = messageOf(problem);
		} finally {
			busy = false;
		}
	}
</script>

<svelte:head
	><title>{first ? 'First account' : invitation ? 'Your account' : 'Sign in'} - Ingegno</title></svelte:head
>

<main class="grid min-h-full place-items-center p-6">
	<form class="bg-base-100 border-base-300 w-full max-w-sm border p-8" onsubmit={enter}>
		<div class="font-display mb-6 flex items-center gap-2 text-xl font-bold"><Mark />ingegno</div>
		{#if makes}
			<h1 class="text-2xl">{first ? 'Make the first account' : 'Make your account'}</h1>
			<p class="text-soft mb-4">
				{first
					? "Nobody works here yet. This account is the coach's; clients come to it by links and need none."
					: 'You were invited to work here. Your clients are yours: nobody else here sees them.'}
			</p>
			<label class="mb-3 block">
				<span>Your name</span>
				<input class="input w-full" bind:value={name} autocomplete="name" required />
			</label>
		{:else}
			<h1 class="mb-4 text-2xl">Sign in</h1>
		{/if}
		<label class="mb-3 block">
			<span>Address</span>
			<input class="input w-full" type="email" bind:value={email} autocomplete="username" required />
		</label>
		<label class="mb-4 block">
			<span>Password{makes ? ', at least 10 characters' : ''}</span>
			<input
				class="input w-full"
				type="password"
				bind:value={password}
				autocomplete={makes ? 'new-password' : 'current-password'}
				required
			/>
		</label>
		<Notice text={trouble} />
		<button class="btn btn-neutral mt-4 w-full" disabled={busy}
			>{makes ? 'Make it and start' : 'Sign in'}</button
		>
	</form>
</main>
