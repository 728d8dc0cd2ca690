<script lang="ts">
	import { untrack } from 'svelte';
	import { replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import type { SetTrial } from '$lib/api/client';
	import BudgetPair from '$lib/lab/BudgetPair.svelte';
	import Figures from '$lib/lab/Figures.svelte';
	import { Lab } from '$lib/lab/lab.svelte';
	import { labAddress, read } from '$lib/lab/trial';
	import TrialColumn from '$lib/lab/TrialColumn.svelte';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';

	let { data } = $props();

	const exercises = $derived(new Map(data.catalogue.map((e) => [e.id, e])));
	const names = $derived(new Map(data.catalogue.map((e) => [e.id, e.name])));
	const unit = $derived(data.client.profile.unit);
	const lab = untrack(
		() =>
			new Lab(
				data.client.id,
				read(page.url.searchParams.get('a')) ?? known(),
				read(page.url.searchParams.get('b')) ?? set('push-up', 0, [12, 12, 12])
			)
	);

	/** Something to begin with: the first lift that is known. */
	function known(): SetTrial {
		const lift = data.client.profile.lifts.find((l) => data.catalogue.some((e) => e.id === l.exercise));
		const count = Math.min(12, lift?.repetitions ?? 8);
		return lift
			? set(lift.exercise, lift.load, [count, count, count])
			: set('squat-to-chair', 0, [12, 12, 12]);
	}

	function set(exercise: string, load: number, repetitions: number[]): SetTrial {
		return {
			exercise,
			load,
			repetitions,
			tempo: '2-0-1-0',
			rest: 90,
			partial: 'none',
			pulses: 0,
			form: 'straight',
			geometry: null
		};
	}

	$effect(() => {
		untrack(() => lab.work());
	});

	/** The address tells the two sets, so that a reload or a link opens them again. */
	async function change(work: Promise<void>) {
		await work;
		replaceState(labAddress(data.client.id, lab.trials[0] ?? null, lab.trials[1] ?? null), page.state);
	}

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, textarea, select')) return;
		if (event.key === 'x') void change(lab.swap());
		else if (event.key === 'c') void change(lab.copy());
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Set lab, {data.client.profile.name} - Ingegno</title></svelte:head>

<div
	class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-4 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">Set lab</h1>
	<span>What would this set do? Nothing here is saved.</span>
	<span class="flex-1"></span>
	<button class="btn btn-sm" onclick={() => change(lab.copy())}>Copy A into B</button>
	<button class="btn btn-sm" onclick={() => change(lab.swap())}>Swap A and B</button>
</div>
<Notice text={lab.trouble} />

<main class="grid min-h-0 flex-1 grid-cols-[286px_1fr_286px]">
	{#each lab.trials as trial, i (i)}
		{#if i === 1}
			<div class="border-base-300 bg-base-100/60 flex min-h-0 flex-col border-x px-4 pt-2">
				<BudgetPair
					trials={lab.trials}
					views={lab.views}
					onrest={(place, rest) => change(lab.change(place, { rest }))}
				/>
				<Figures views={lab.views} {unit} />
			</div>
		{/if}
		<TrialColumn
			letter={'AB'[i] ?? ''}
			{trial}
			view={lab.views[i] ?? null}
			wrong={lab.wrong[i] ?? []}
			{exercises}
			{names}
			{unit}
			onchange={(part) => change(lab.change(i, part))}
		/>
	{/each}
</main>
<Keys
	shortcuts={[
		{ keys: ['X'], does: 'swap A and B' },
		{ keys: ['C'], does: 'copy A into B' },
		{ keys: ['↑', '↓'], does: 'turn the figure in hand' },
		{ keys: ['←', '→'], does: 'longer or shorter rest' }
	]}
	note="A forecast, not a promise. Hard holds and breath-holding are not for high blood pressure; sharp pain stops any set."
/>
