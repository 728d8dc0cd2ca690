<script lang="ts">
	import { onMount } from 'svelte';
	import type { LineFigure, LinkFixture, LinkView } from '$lib/api/client';
	import CheckFixture from './CheckFixture.svelte';
	import DayQuestion from './DayQuestion.svelte';
	import EndScreen from './EndScreen.svelte';
	import { Outbox } from './outbox.svelte';
	import RestScreen from './RestScreen.svelte';
	import { Run } from './run.svelte';
	import SetScreen from './SetScreen.svelte';
	import StartScreen from './StartScreen.svelte';
	import SyncFoot from './SyncFoot.svelte';

	/** A link opened: the session from the first look to the cool-down, and where its log is. */
	let { token, view, figures }: { token: string; view: LinkView; figures: Promise<LineFigure[]> } = $props();
	let drawn = $state.raw<LineFigure[]>([]);
	let outbox = $state.raw<Outbox | null>(null);
	let run = $state.raw<Run | null>(null);
	let checking = $state.raw<LinkFixture | null>(null);
	let offlineReady = $state(false);
	/** What went wrong where no screen was being drawn; thrown while one is, so that the plain screen takes over. */
	let trouble = $state.raw<unknown>(null);
	const secure = typeof window !== 'undefined' && window.isSecureContext;

	onMount(() => {
		let stopped = false;
		void figures.then((list) => (drawn = list));
		const ticking = setInterval(() => run && (run.now = Date.now()), 250);
		const failed = (event: ErrorEvent | PromiseRejectionEvent) => {
			event.preventDefault();
			trouble = 'reason' in event ? event.reason : (event.error ?? new Error(event.message));
		};
		addEventListener('error', failed);
		addEventListener('unhandledrejection', failed);
		if (secure && 'serviceWorker' in navigator)
			void navigator.serviceWorker
				.register('/service-worker.js', { type: 'module' })
				.then(() => navigator.serviceWorker.ready)
				.then(() => (offlineReady = true))
				.catch(() => (offlineReady = false));
		void (async () => {
			const box = new Outbox(view.clientId, token);
			await box.open();
			const made = new Run(view, box);
			await made.open();
			if (stopped) return box.close();
			outbox = box;
			run = made;
		})();
		return () => {
			stopped = true;
			clearInterval(ticking);
			removeEventListener('error', failed);
			removeEventListener('unhandledrejection', failed);
			outbox?.close();
		};
	});

	const place = $derived(run?.place);
	const minutes = $derived(run ? Math.max(1, Math.round(run.secondsToGo / 60)) : 0);
	const stumbled = $derived.by(() => {
		if (trouble !== null) throw trouble;
		return '';
	});
</script>

{stumbled}
{#if !run || !outbox}
	<p class="text-soft p-6">One moment…</p>
{:else if checking && place}
	<CheckFixture {outbox} place={place.id} fixture={checking} ondone={() => (checking = null)} />
{:else}
	{#if !run.isEmpty}
		<header class="px-[18px] pt-3.5">
			<div class="flex items-baseline justify-between gap-3">
				<b class="font-display truncate text-[18px]">{run.session?.key}</b>
				<span class="text-soft text-sm whitespace-nowrap"
					>{run.screen === 'end' ? 'done' : `${minutes} min to go`}</span
				>
			</div>
			<div class="mt-2.5 flex gap-1 overflow-hidden" aria-hidden="true">
				{#each run.steps as step, i (i)}
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
	{/if}
	<main class="flex-1 px-[18px] pb-4">
		<DayQuestion {outbox} />
		{#if run.isEmpty || run.screen === 'start'}
			<StartScreen {run} oncheck={(fixture) => (checking = fixture)} />
		{:else if run.screen === 'set'}
			<SetScreen {run} figures={drawn} />
		{:else if run.screen === 'rest'}
			<RestScreen {run} />
		{:else}
			<EndScreen {run} />
		{/if}
	</main>
	<SyncFoot {outbox} {secure} {offlineReady} unit={view.programme.unit} client={view.programme.client} />
{/if}

<style>
	.current-step {
		background: repeating-linear-gradient(90deg, var(--color-primary) 0 4px, var(--color-base-300) 4px 8px);
	}
</style>
