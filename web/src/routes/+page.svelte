<script lang="ts">
	import { goto } from '$app/navigation';
	import { tick, untrack } from 'svelte';
	import { Desk, filters } from '$lib/desk/desk.svelte';
	import ProposalRow from '$lib/desk/ProposalRow.svelte';
	import Spark from '$lib/desk/Spark.svelte';
	import WeekDots from '$lib/desk/WeekDots.svelte';
	import type { DeskRow, Proposal } from '$lib/api/client';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';
	import TopBar from '$lib/shell/TopBar.svelte';
	import { shortDay } from '$lib/units';

	let { data } = $props();
	const desk = untrack(() => new Desk(data.rows));
	let list = $state<HTMLElement>();
	let search = $state<HTMLInputElement>();
	let at = $state(0);
	const waiting = $derived(
		desk.shown.flatMap((row) => desk.proposalsOf(row).map((proposal) => ({ row, proposal })))
	);

	async function focus(place: number) {
		at = Math.max(0, Math.min(waiting.length - 1, place));
		await tick();
		const item = list?.querySelectorAll<HTMLElement>('[data-proposal]')[at];
		item?.focus();
		item?.scrollIntoView({ block: 'nearest' });
	}

	async function answer(row: DeskRow, proposal: Proposal, what: 'taken' | 'refused' | 'later') {
		const place = waiting.findIndex((w) => w.row === row && w.proposal === proposal);
		if (await desk.answer(row, proposal, what)) await focus(place);
	}

	function focused(): number {
		const items = [...(list?.querySelectorAll<HTMLElement>('[data-proposal]') ?? [])];
		return items.findIndex((item) => item.contains(document.activeElement));
	}

	function onkeydown(event: KeyboardEvent) {
		const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
		if (typing && event.key === 'Escape') {
			desk.name = '';
			void focus(0);
			return;
		}
		if (typing || event.ctrlKey || event.metaKey || event.altKey) return;
		const here = focused();
		const current = waiting[here];
		const item = list?.querySelectorAll<HTMLElement>('[data-proposal]')[here];
		if (event.key === 'ArrowDown' || event.key === 'j') void focus(here < 0 ? at : here + 1);
		else if (event.key === 'ArrowUp' || event.key === 'k') void focus(here < 0 ? at : here - 1);
		else if (event.key === 'n') void goto('/clients/new');
		else if (event.key === '/') search?.focus();
		else if (event.key === 'u' && desk.canUndo) void desk.undo().then(() => focus(at));
		else if (current && event.key === 't' && current.proposal.take)
			void answer(current.row, current.proposal, 'taken');
		else if (current && event.key === 'x' && current.proposal.kind !== 'unready')
			void answer(current.row, current.proposal, 'refused');
		else if (current && event.key === 'l' && current.proposal.kind !== 'unready')
			void answer(current.row, current.proposal, 'later');
		else if (current && event.key === 'w') item?.querySelector<HTMLElement>('[data-figures]')?.click();
		else if (current && event.key === 'Enter' && document.activeElement === item)
			item?.querySelector<HTMLElement>('[data-open]')?.click();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Desk - Ingegno</title></svelte:head>

<div class="flex h-full flex-col">
	<TopBar coach={data.session.coach?.name ?? ''} />
	<div
		class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-3 border-b px-4 text-[13px]"
	>
		<h1 class="text-base-content mr-1 text-[17px]">Desk</h1>
		<span class="text-accent mr-2 font-semibold whitespace-nowrap"
			>{desk.waiting === 0 ? 'nothing waits' : `${desk.waiting} to decide`}</span
		>
		<div class="flex gap-1" role="group" aria-label="Show">
			{#each filters as filter (filter.key)}
				<button
					class="btn btn-xs {desk.filter === filter.key ? 'btn-neutral' : ''}"
					aria-pressed={desk.filter === filter.key}
					onclick={() => (desk.filter = filter.key)}>{filter.name} {desk.count(filter.key)}</button
				>
			{/each}
		</div>
		<input
			class="input input-xs w-36"
			type="search"
			placeholder="name"
			aria-label="Find a client"
			bind:value={desk.name}
			bind:this={search}
		/>
		<span class="flex-1"></span>
		<a class="btn btn-xs" href="/outbox">Outbox</a>
		<a class="btn btn-xs" href="/roster">Move the roster</a>
		<a class="btn btn-xs" href="/clients/new">New client</a>
	</div>
	<!-- What was answered last stays in view, whole, with the way back. -->
	<div
		class="text-soft flex items-baseline gap-3 px-4 text-[13px] {desk.said
			? 'border-base-300 bg-base-100 border-b py-1'
			: ''}"
	>
		<span aria-live="polite">{desk.said}</span>
		{#if desk.canUndo}<button class="btn btn-xs" onclick={() => desk.undo()}>Undo</button>{/if}
	</div>
	<Notice text={desk.trouble} />
	<main class="flex-1 overflow-auto" bind:this={list}>
		{#if desk.rows.length === 0}
			<div class="mx-auto max-w-md p-12 text-center">
				<h2 class="mb-2 text-xl">Nobody here yet</h2>
				<p class="text-soft mb-4">
					Start with one client: name, body mass and stature are enough. Then describe the home and paste the
					gym programme.
				</p>
				<a class="btn btn-neutral" href="/clients/new">Add the first client</a>
			</div>
		{:else if desk.shown.length === 0}
			<p class="text-soft p-12 text-center">Nobody to show here. Choose “Everybody”, or another name.</p>
		{:else}
			<ul>
				{#each desk.shown as row (row.id)}
					{@const proposals = desk.proposalsOf(row)}
					<li class="border-rule grid grid-cols-[236px_minmax(0,1fr)_232px] gap-5 border-b px-4 py-2.5">
						<div>
							<a
								data-row
								class="font-display block text-[17px] leading-tight font-semibold hover:underline"
								href="/clients/{row.id}/log">{row.name}</a
							>
							<span class="text-soft mb-1.5 block truncate text-[12.5px]" title={row.note}>{row.note}</span>
							<WeekDots week={row.week} />
						</div>
						<div class="flex flex-col gap-1.5">
							{#each proposals as proposal (proposal.subject)}
								<ProposalRow
									{row}
									{proposal}
									busy={desk.busy}
									onanswer={(what) => answer(row, proposal, what)}
								/>
							{:else}
								<p class="text-soft pt-1 pl-4 text-[15px]">
									{row.lastTrained ? 'Nothing waits.' : 'Nothing waits; no session logged yet.'}
								</p>
							{/each}
						</div>
						<div class="flex flex-col gap-0.5">
							{#each row.trends.slice(0, 4) as trend (trend.family)}
								<Spark family={trend.family} factors={trend.factors} />
							{/each}
							<span class="text-soft text-xs">
								{row.lastTrained ? `last trained ${shortDay(row.lastTrained)}` : 'no session logged yet'}
							</span>
						</div>
					</li>
				{/each}
			</ul>
		{/if}
	</main>
	<Keys
		shortcuts={[
			{ keys: ['↑', '↓'], does: 'decision' },
			{ keys: ['T'], does: 'take it' },
			{ keys: ['X'], does: 'say no' },
			{ keys: ['L'], does: 'later' },
			{ keys: ['W'], does: 'why' },
			{ keys: ['Enter'], does: 'open' },
			{ keys: ['U'], does: 'undo' },
			{ keys: ['/'], does: 'find' },
			{ keys: ['N'], does: 'new client' }
		]}
		note="Advice for a coach, not a medical opinion."
	/>
</div>
