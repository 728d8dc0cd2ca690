<script lang="ts">
	import { onMount } from 'svelte';
	import { Outbox } from '$lib/train/outbox.svelte';
	import { Run } from '$lib/train/run.svelte';
	import CheckFixture from '$lib/train/CheckFixture.svelte';
	import EndScreen from '$lib/train/EndScreen.svelte';
	import RestScreen from '$lib/train/RestScreen.svelte';
	import SetScreen from '$lib/train/SetScreen.svelte';
	import StartScreen from '$lib/train/StartScreen.svelte';
	import SyncFoot from '$lib/train/SyncFoot.svelte';
	import type { LinkFixture } from '$lib/api/client';

	let { data } = $props();
	let outbox = $state.raw<Outbox | null>(null);
	let run = $state.raw<Run | null>(null);
	let checking = $state.raw<LinkFixture | null>(null);
	let offlineReady = $state(false);
	const secure = typeof window !== 'undefined' && window.isSecureContext;

	onMount(() => {
		let stopped = false;
		const ticking = setInterval(() => run && (run.now = Date.now()), 250);
		if (secure && 'serviceWorker' in navigator)
			void navigator.serviceWorker
				.register('/service-worker.js', { type: 'module' })
				.then(() => navigator.serviceWorker.ready)
				.then(() => (offlineReady = true))
				.catch(() => (offlineReady = false));
		void (async () => {
			if (!data.view) return;
			const box = new Outbox(data.token);
			await box.open();
			const made = new Run(data.token, data.view, box);
			await made.open();
			if (stopped) return;
			outbox = box;
			run = made;
		})();
		return () => {
			stopped = true;
			clearInterval(ticking);
			outbox?.close();
		};
	});

	const places = $derived(run?.place);
	const minutes = $derived(run ? Math.max(1, Math.round(run.secondsToGo / 60)) : 0);
</script>

<svelte:head><title>Today's training</title></svelte:head>

<div class="mx-auto flex min-h-full max-w-[30rem] flex-col text-[17px]">
	{#if !data.view}
		<main class="p-6">
			<h1 class="mb-3 text-2xl">This does not open</h1>
			<p class="border-accent bg-decide border-l-4 px-4 py-3">{data.trouble}</p>
		</main>
	{:else if !run || !outbox || !places}
		<p class="text-soft p-6">One moment…</p>
	{:else if checking}
		<CheckFixture token={data.token} place={places.id} fixture={checking} ondone={() => (checking = null)} />
	{:else}
		<header class="px-[18px] pt-3.5">
			<div class="flex items-baseline justify-between gap-3">
				<b class="font-display truncate text-[18px]">{run.session?.title}</b>
				<span class="text-soft text-sm whitespace-nowrap"
					>{run.screen === 'end' ? 'done' : `${minutes} min to go`}</span
				>
			</div>
			<div class="mt-2.5 flex gap-1" aria-hidden="true">
				{#each run.steps as step, i (`${step.line}-${step.set}`)}
					<i
						class="h-[7px] flex-1 {run.done[`${step.line}-${step.set}`]
							? 'bg-primary'
							: i === run.standing.at && run.standing.begun
								? 'current-step'
								: run.standing.leftOut[step.line]
									? 'border-base-300 border'
									: 'bg-base-300'}"
					></i>
				{/each}
			</div>
		</header>
		<main class="flex-1 px-[18px] pb-4">
			{#if run.screen === 'start'}
				<StartScreen {run} oncheck={(fixture) => (checking = fixture)} />
			{:else if run.screen === 'set'}
				<SetScreen {run} />
			{:else if run.screen === 'rest'}
				<RestScreen {run} />
			{:else}
				<EndScreen {run} />
			{/if}
		</main>
		<SyncFoot {outbox} {secure} {offlineReady} unit={data.view.programme.unit} />
	{/if}
</div>

<style>
	.current-step {
		background: repeating-linear-gradient(90deg, var(--color-primary) 0 4px, var(--color-base-300) 4px 8px);
	}
</style>
