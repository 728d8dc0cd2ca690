<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { api, ask, messageOf } from '$lib/api/client';
	import Mark from '$lib/shell/Mark.svelte';
	import Notice from '$lib/shell/Notice.svelte';

	let { data } = $props();
	let name = $state('');
	let email = $state('');
	let password = $state('');
	let trouble = $state('');
	let busy = $state(false);
	const first = $derived(data.session.firstRun);

	async function enter(event: SubmitEvent) {
		event.preventDefault();
		busy = true;
		trouble = '';
		try {
			if (first) await ask(api.POST('/api/coaches', { body: { name, email, password } }));
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

<svelte:head><title>{first ? 'First account' : 'Sign in'} - Ingegno</title></svelte:head>

<main class="grid min-h-full place-items-center p-6">
	<form class="bg-base-100 border-base-300 w-full max-w-sm border p-8" onsubmit={enter}>
		<div class="font-display mb-6 flex items-center gap-2 text-xl font-bold"><Mark />ingegno</div>
		{#if first}
			<h1 class="text-2xl">Make the first account</h1>
			<p class="text-soft mb-4">
				Nobody works here yet. This account is the coach's; clients come to it by links and need none.
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
			<span>Password{first ? ', at least 10 characters' : ''}</span>
			<input
				class="input w-full"
				type="password"
				bind:value={password}
				autocomplete={first ? 'new-password' : 'current-password'}
				required
			/>
		</label>
		<Notice text={trouble} />
		<button class="btn btn-neutral mt-4 w-full" disabled={busy}
			>{first ? 'Make it and start' : 'Sign in'}</button
		>
	</form>
</main>
