<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { api, type ClientView } from '$lib/api/client';
	import Mark from './Mark.svelte';
	import { applyTheme, rememberedTheme, type Theme } from './theme';

	let { coach, client = null }: { coach: string; client?: ClientView | null } = $props();
	let theme = $state<Theme>(rememberedTheme());

	const views = [
		{ path: 'profile', name: 'Client' },
		{ path: 'home', name: 'Home' },
		{ path: 'bench', name: 'Bench' },
		{ path: 'block', name: 'Block' },
		{ path: 'lab', name: 'Set lab' },
		{ path: 'log', name: 'Log' },
		{ path: 'sheet', name: 'Sheet' }
	];

	function turn() {
		theme = theme === 'day' ? 'night' : 'day';
		applyTheme(theme);
	}

	async function signOut() {
		await api.DELETE('/api/session');
		await invalidateAll();
		await goto('/sign-in');
	}
</script>

<header class="border-base-300 no-print flex h-[50px] shrink-0 items-center gap-4 border-b px-4">
	<a href="/" class="font-display flex items-center gap-2 text-[19px] font-bold"><Mark />ingegno</a>
	{#if client}
		<div class="min-w-0 leading-tight">
			<div class="font-display truncate text-[15px] font-semibold">{client.profile.name}</div>
			<div class="text-soft truncate text-xs" title={client.profile.note}>{client.profile.note}</div>
		</div>
		<nav aria-label="Client" class="ml-1 flex h-full shrink-0">
			{#each views as view (view.path)}
				{@const here = page.url.pathname === `/clients/${client.id}/${view.path}`}
				<a
					href="/clients/{client.id}/{view.path}"
					aria-current={here ? 'page' : undefined}
					class="flex items-center border-b-[3px] px-2.5 pt-[3px] whitespace-nowrap {here
						? 'border-base-content font-semibold'
						: 'text-soft border-transparent'}">{view.name}</a
				>
			{/each}
		</nav>
	{/if}
	<span class="flex-1"></span>
	<button class="border-base-300 bg-base-100 rounded-full border px-3 py-0.5 text-[13px]" onclick={turn}>
		{theme === 'day' ? 'Night' : 'Day'}
	</button>
	<a
		href="/catalogue{client ? `?client=${client.id}` : ''}"
		class="text-[13px] underline underline-offset-2"
		aria-current={page.url.pathname === '/catalogue' ? 'page' : undefined}>Catalogue</a
	>
	<a
		href="/practice"
		class="text-[13px] underline underline-offset-2"
		aria-current={page.url.pathname === '/practice' ? 'page' : undefined}>Practice</a
	>
	<span class="text-soft text-[13px] whitespace-nowrap">{coach}</span>
	<button class="text-soft text-[13px] whitespace-nowrap underline underline-offset-2" onclick={signOut}
		>Sign out</button
	>
</header>
