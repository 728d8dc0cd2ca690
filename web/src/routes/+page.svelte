<script lang="ts">
	import { goto } from '$app/navigation';
	import Keys from '$lib/shell/Keys.svelte';
	import TopBar from '$lib/shell/TopBar.svelte';
	import { shortDay } from '$lib/units';

	let { data } = $props();
	const waiting = $derived(data.rows.filter((row) => row.decision.waits).length);
	let list = $state<HTMLElement>();

	function onkeydown(event: KeyboardEvent) {
		if (event.target instanceof HTMLElement && event.target.matches('input, textarea, select')) return;
		const links = [...(list?.querySelectorAll<HTMLElement>('a[data-row]') ?? [])];
		const at = links.indexOf(document.activeElement as HTMLElement);
		if (event.key === 'ArrowDown') links[Math.min(links.length - 1, at + 1)]?.focus();
		else if (event.key === 'ArrowUp') links[Math.max(0, at - 1)]?.focus();
		else if (event.key === 'n') goto('/clients/new');
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Desk - Ingegno</title></svelte:head>

<div class="flex h-full flex-col">
	<TopBar coach={data.session.coach?.name ?? ''} />
	<div
		class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
	>
		<h1 class="text-base-content text-[17px]">Desk</h1>
		<span
			><b class="text-base-content">{data.rows.length}</b>
			{data.rows.length === 1 ? 'client' : 'clients'}</span
		>
		{#if waiting > 0}<span class="text-accent font-semibold">{waiting} wait for you</span>{/if}
		<span class="flex-1"></span>
		<a class="btn btn-sm" href="/roster">Move the roster</a>
		<a class="btn btn-sm" href="/clients/new">New client</a>
	</div>
	<main class="flex-1 overflow-auto">
		{#if data.rows.length === 0}
			<div class="mx-auto max-w-md p-12 text-center">
				<h2 class="mb-2 text-xl">Nobody here yet</h2>
				<p class="text-soft mb-4">
					Start with one client: name, body mass and stature are enough. Then describe the home and paste the
					gym programme.
				</p>
				<a class="btn btn-neutral" href="/clients/new">Add the first client</a>
			</div>
		{:else}
			<ul bind:this={list}>
				{#each data.rows as row (row.id)}
					<li class="border-rule border-b">
						<a
							data-row
							href="/clients/{row.id}/{row.decision.view}"
							class="hover:bg-base-100 grid grid-cols-[300px_1fr_260px] items-center gap-6 px-4 py-4"
						>
							<span>
								<span class="font-display block text-[17px] font-semibold">{row.name}</span>
								<span class="text-soft text-[13px]">{row.note}</span>
							</span>
							<span
								class={row.decision.waits
									? 'border-accent border-l-4 pl-4 text-[15px]'
									: 'text-soft pl-5 text-[15px]'}
							>
								{row.decision.sentence}
							</span>
							<span class="text-soft text-[13px]">
								{#if row.trained[0]}
									{row.trained.length}
									{row.trained.length === 1 ? 'session' : 'sessions'} logged, last {shortDay(row.trained[0])}
								{:else}
									no session logged yet
								{/if}
							</span>
						</a>
					</li>
				{/each}
			</ul>
		{/if}
	</main>
	<Keys
		shortcuts={[
			{ keys: ['↑', '↓'], does: 'client' },
			{ keys: ['Enter'], does: 'open the decision' },
			{ keys: ['N'], does: 'new client' }
		]}
		note="Advice for a coach, not a medical opinion."
	/>
</div>
