<script lang="ts">
	import { untrack } from 'svelte';
	import type { MoveView } from '$lib/api/client';
	import Hatches from '$lib/drawing/Hatches.svelte';
	import PartDone from '$lib/drawing/PartDone.svelte';
	import FitRule from '$lib/roster/FitRule.svelte';
	import { Roster } from '$lib/roster/roster.svelte';
	import Keys from '$lib/shell/Keys.svelte';
	import TopBar from '$lib/shell/TopBar.svelte';

	let { data } = $props();
	const roster = untrack(() => new Roster(data.entries));
	const moved = $derived(roster.rows.filter((r) => r.view));
	const exceptions = $derived(moved.filter((r) => r.view && r.view.moved.exceptions.length > 0).length);
	/** Lines in force that moving would change. */
	const changing = (moved: MoveView['moved']) => moved.lines.filter((l) => l.was !== null).slice(0, 4);
	let list = $state<HTMLElement>();

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, textarea, select')) return;
		const links = [...(list?.querySelectorAll<HTMLElement>('a[data-row]') ?? [])];
		const at = links.indexOf(document.activeElement as HTMLElement);
		if (event.key === 'ArrowDown') links[Math.min(links.length - 1, at + 1)]?.focus();
		else if (event.key === 'ArrowUp') links[Math.max(0, at - 1)]?.focus();
		else if (event.key === 'm') void roster.move();
		else if (event.key === 'Escape') roster.stop?.abort();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Move the roster - Ingegno</title></svelte:head>
<Hatches />

<div class="flex h-full flex-col">
	<TopBar coach={data.session.coach?.name ?? ''} />
	<div
		class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
	>
		<h1 class="text-base-content text-[17px]">Move the roster</h1>
		<span aria-live="polite">
			{#if roster.stop}
				{roster.done} of {roster.of}
			{:else if moved.length > 0}
				<b class="text-base-content">{moved.length}</b> moved,
				{#if exceptions > 0}<b class="text-accent">{exceptions} to look at</b>{:else}nothing to look at{/if}
			{:else}
				everybody rebuilt for their own place, under the house rules
			{/if}
		</span>
		{#if roster.stop}<span class="flex w-40"
				><PartDone part={roster.done / (roster.of || 1)} label="Clients moved" /></span
			>{/if}
		<span class="flex-1"></span>
		<label class="flex items-center gap-2"
			><input type="checkbox" class="checkbox checkbox-sm" bind:checked={roster.wholeWeek} /> fit each week as a
			whole</label
		>
		<label class="flex items-center gap-2"
			><input type="checkbox" class="checkbox checkbox-sm" bind:checked={roster.fitMinutes} /> keep to each one's
			minutes</label
		>
		{#if roster.stop}
			<button class="btn btn-sm" onclick={() => roster.stop?.abort()}>Stop</button>
		{:else}
			<button class="btn btn-sm" disabled={data.entries.length === 0} onclick={() => roster.move()}
				>Move everybody</button
			>
			<button
				class="btn btn-sm btn-neutral"
				disabled={roster.clean.length === 0}
				title="Those with something to look at stay as they are"
				onclick={() => roster.save(roster.clean)}>Save the {roster.clean.length} without exceptions</button
			>
		{/if}
	</div>
	<main class="min-h-0 flex-1 overflow-auto">
		{#if data.entries.length === 0}
			<p class="text-soft p-6">
				Nobody is here yet. <a class="underline" href="/clients/new">Add the first client</a>.
			</p>
		{:else}
			<ul bind:this={list} aria-label="Clients">
				{#each roster.rows as row (row.entry.id)}
					<li
						class="border-rule grid grid-cols-[260px_240px_150px_1fr_110px] items-start gap-4 border-b px-4 py-2"
					>
						<span>
							<a
								data-row
								href="/clients/{row.entry.id}/{row.view && row.view.moved.exceptions.length > 0
									? 'block'
									: 'bench'}"
								class="font-display block text-[15px] font-semibold underline-offset-2 hover:underline"
								>{row.entry.name}</a
							>
							<span class="text-soft text-[12.5px]">{row.entry.note}</span>
						</span>
						{#if row.view}
							{@const m = row.view.moved}
							<span>
								<FitRule moved={m} />
								<span class="text-soft text-[12px]"
									>{m.lines.length} lines, lowest fit
									<b class={m.worst < 0.6 ? 'text-accent' : 'text-base-content'}>{m.worst.toFixed(2)}</b
									></span
								>
							</span>
							<span class="text-soft text-[12.5px]"
								>asked {Math.round(m.asked)}, given
								<b class="text-base-content">{Math.round(m.given)}</b><br />longest {Math.round(
									m.longest / 60
								)} min</span
							>
							<span class="text-[13px]">
								{#if row.trouble}<span class="text-accent block">{row.trouble}</span>{/if}
								{#if m.lines.some((l) => l.stands)}<span class="text-soft block"
										>{m.lines.filter((l) => l.stands).length} of {m.lines.length} lines stand as they are</span
									>{/if}
								{#each changing(m) as line, i (i)}<span class="block"
										>{line.was} → <b class="font-semibold">{line.becomes ?? 'nothing'}</b></span
									>{/each}
								{#each m.exceptions.slice(0, 3) as exception, i (i)}
									<span class="border-accent mb-0.5 block border-l-4 pl-2">{exception}</span>
								{:else}
									<span class="text-soft">nothing speaks against it</span>
								{/each}
								{#if m.exceptions.length > 3}<span class="text-soft pl-3"
										>and {m.exceptions.length - 3} more</span
									>{/if}
							</span>
							<span class="text-right">
								{#if row.view.saved}
									<span class="text-soft text-[13px]">saved</span>
								{:else if m.lines.every((l) => l.stands)}
									<span class="text-soft text-[13px]"
										>{m.lines.length > 0 ? 'nothing changes' : 'nothing to save'}</span
									>
								{:else}
									<button
										class="btn btn-xs"
										disabled={roster.stop !== null}
										onclick={() => roster.save([row])}
										>{m.exceptions.length > 0 ? 'Save all the same' : 'Save'}</button
									>
								{/if}
							</span>
						{:else}
							<span class="text-soft col-span-4 text-[13px]"
								>{row.trouble
									? row.trouble
									: row.entry.hasProgramme
										? row.entry.isSaved
											? 'a plan is saved; moving shows what it would be now'
											: 'not moved yet'
										: 'no programme is written: paste one or take a template on the bench'}</span
							>
						{/if}
					</li>
				{/each}
			</ul>
		{/if}
	</main>
	<Keys
		shortcuts={[
			{ keys: ['M'], does: 'move everybody' },
			{ keys: ['Esc'], does: 'stop' },
			{ keys: ['↑', '↓'], does: 'client' }
		]}
		note="A tick is a line; hatched ground: too poor a fit to send unseen. What was chosen by hand stays."
	/>
</div>
