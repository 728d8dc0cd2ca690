<script lang="ts">
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { Finding, ShrinkView, WeekView } from '$lib/api/client';
	import { Bench } from '$lib/bench/bench.svelte';
	import GoneLines from '$lib/bench/GoneLines.svelte';
	import { Ahead } from '$lib/block/ahead.svelte';
	import { firstBlock, nextMonday } from '$lib/block/phases';
	import Findings from '$lib/block/Findings.svelte';
	import Ledger from '$lib/block/Ledger.svelte';
	import Patterns from '$lib/block/Patterns.svelte';
	import PhaseEditor from '$lib/block/PhaseEditor.svelte';
	import SpreadWeek from '$lib/block/SpreadWeek.svelte';
	import UnlockList from '$lib/block/UnlockList.svelte';
	import { Unlocks } from '$lib/block/unlocks.svelte';
	import WeekGrid from '$lib/block/WeekGrid.svelte';
	import WeekStrip from '$lib/block/WeekStrip.svelte';
	import Hatches from '$lib/drawing/Hatches.svelte';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';

	let { data } = $props();
	const bench = untrack(() => new Bench(data.client.id, data.plan));
	const review = $derived(bench.view.review);
	const findings = $derived(review.findings);
	/** A template asks for movements; there is no gym week behind it. */
	const asked = $derived(
		bench.view.sessions.flatMap((s) => s.lines).every((l) => l.written.exercise?.startsWith('any-'))
			? 'asked'
			: 'gym'
	);
	const unlocks = new Unlocks();
	let place = $state(0);
	const at = $derived(Math.min(place, Math.max(0, findings.length - 1)));
	const count = (severity: Finding['severity']) => findings.filter((f) => f.severity === severity).length;

	$effect(() => {
		untrack(() => bench.rebuild());
	});

	/** The weeks ahead, or the one week all of them repeat. */
	const seesWeeks = $derived(page.url.searchParams.get('see') === 'weeks');
	const ahead = new Ahead();

	function see(weeks: boolean) {
		void goto(weeks ? '?see=weeks' : '?', { replaceState: true, keepFocus: true, noScroll: true });
	}

	$effect(() => {
		if (!seesWeeks) return;
		const { text, choices, block } = bench;
		untrack(() => void ahead.look(data.client.id, text, choices, block));
	});

	function apply(finding: Finding | undefined) {
		if (finding?.remedy) void bench.apply(finding.remedy.changes, dated(finding.remedy.block));
	}

	/** A block offered as a remedy has no first day yet. */
	function dated(block: typeof bench.block) {
		return block && { ...block, starts: block.starts ?? nextMonday(new Date()) };
	}

	let fitted = $state.raw<{ title: string; minutes: number; view: ShrinkView } | null>(null);

	/** Makes a session fit, step by step in the order of the house. */
	async function fit(session: number, minutes: number) {
		const title = review.ledger.sessions[session]?.title ?? '';
		const view = await bench.shrink(session, minutes);
		fitted = view && { title, minutes, view };
	}

	let solved = $state.raw<WeekView | null>(null);
	let solving = $state.raw<AbortController | null>(null);

	/** Chooses all lines together; what was kept by hand stays. */
	async function solve() {
		if (solving) return;
		solving = new AbortController();
		solved = await bench.solveWeek(solving.signal);
		solving = null;
	}

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (event.ctrlKey || event.metaKey || event.altKey || target.matches('input, textarea, select')) return;
		if (event.key === 'ArrowDown') place = Math.min(findings.length - 1, at + 1);
		else if (event.key === 'ArrowUp') place = Math.max(0, at - 1);
		else if (event.key === 'r') apply(findings[at]);
		else if (event.key === 'w') void solve();
		else if (event.key === 'a') see(!seesWeeks);
		else if (event.key === 'z') {
			solved = null;
			fitted = null;
			void bench.undo();
		} else if (event.key === 's') void bench.save();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Block, {data.client.profile.name} - Ingegno</title></svelte:head>
<Hatches />

<div
	class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-4 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">
		{seesWeeks ? 'Where do the weeks lead?' : 'Does the week hang together?'}
	</h1>
	<div class="join" role="group" aria-label="What to see">
		<button
			class="btn btn-sm join-item {seesWeeks ? '' : 'btn-neutral'}"
			aria-pressed={!seesWeeks}
			onclick={() => see(false)}>The week</button
		>
		<button
			class="btn btn-sm join-item {seesWeeks ? 'btn-neutral' : ''}"
			aria-pressed={seesWeeks}
			onclick={() => see(true)}>Weeks ahead</button
		>
	</div>
	<span aria-live="polite">
		{#if bench.view.sessions.length > 0}
			{#if count('mend') > 0}<b class="text-accent">{count('mend')} to mend</b>,&nbsp;{/if}
			{#if count('decide') > 0}<b class="text-accent">{count('decide')} to decide</b>,&nbsp;{/if}
			{count('note')} to know
		{/if}
	</span>
	<span class="flex-1"></span>
	{#if solving}
		<span role="status">weighing all lines together…{bench.howFar ? ` ${bench.howFar}` : ''}</span>
		<button class="btn btn-sm" onclick={() => solving?.abort()}>Stop</button>
	{:else}
		<button
			class="btn btn-sm"
			disabled={bench.view.sessions.length === 0}
			title="One choice a line over all sessions together; what you kept stays"
			onclick={solve}>Fit the week as a whole</button
		>
	{/if}
	<button class="btn btn-sm" disabled={bench.past.length === 0} onclick={() => bench.undo()}
		>Back a step</button
	>
	<button
		class="btn btn-sm btn-neutral"
		disabled={bench.busy || bench.view.sessions.length === 0}
		onclick={() => bench.save()}
	>
		{bench.dirty ? 'Save plan' : bench.savedAt ? 'Saved' : 'Save plan'}
	</button>
</div>
<GoneLines {bench} />
<Notice text={bench.trouble || (seesWeeks ? ahead.trouble : '')}>
	{#if bench.stale}<button class="btn btn-xs" onclick={() => bench.reload()}>Load the newer one</button>{/if}
</Notice>

{#if seesWeeks && bench.view.sessions.length > 0}
	<main class="grid min-h-0 flex-1 grid-cols-[300px_1fr]">
		<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
		<div
			class="border-base-300 min-h-0 overflow-auto border-r px-4 py-2"
			role="region"
			aria-label="Phases"
			tabindex="0"
		>
			<h2 class="mb-2 text-[15px]">Phases</h2>
			{#if bench.block}
				<PhaseEditor block={bench.block} onchange={(block) => bench.plan(block)} />
			{:else}
				<p class="text-soft mb-2 text-[13px]">
					Nothing says how long this week is repeated. Lay it over weeks with a purpose, an easier one at the
					end of each phase, and every line's targets follow.
				</p>
				<button class="btn btn-neutral btn-sm" onclick={() => bench.plan(firstBlock(nextMonday(new Date())))}
					>Lay it over nine weeks</button
				>
			{/if}
		</div>
		<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
		<div
			class="flex min-h-0 flex-col overflow-auto px-4 py-2"
			role="region"
			aria-label="Weeks ahead"
			tabindex="0"
		>
			{#if bench.block && ahead.view}
				<WeekGrid
					block={bench.block}
					view={ahead.view}
					sessions={bench.view.sessions}
					unit={data.client.profile.unit}
					onchange={(block) => bench.plan(block)}
				/>
			{/if}
		</div>
	</main>
{:else}
	<main class="grid min-h-0 flex-1 grid-cols-[300px_1fr_420px]">
		{#if bench.view.sessions.length === 0 && !bench.busy}
			<p class="text-soft col-span-3 p-6">
				Nothing is written yet. <a class="underline" href="/clients/{data.client.id}/bench"
					>Paste a programme on the bench</a
				>, and the week is weighed here.
			</p>
		{:else}
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<div class="min-h-0 overflow-auto px-4 py-2" role="region" aria-label="Sessions" tabindex="0">
				<h2 class="text-[15px]">The week</h2>
				<WeekStrip ledger={review.ledger} limit={data.client.profile.sessionMinutes} onfit={fit} />
				<p class="text-soft mt-2 text-[12px]">
					Filled: work. Ruled: rest. Grey: warm-up, setting up, changing over, cool-down. The post is the time
					there is.
				</p>
				<SpreadWeek {bench} client={data.client.id} sessions={bench.view.sessions.length} />
				<UnlockList
					{unlocks}
					onlook={() => unlocks.look(data.client.id, bench.text, bench.choices)}
					onfill={(budget) => unlocks.fill(data.client.id, bench.text, bench.choices, budget)}
				/>
			</div>
			<!-- Scrolled with the arrow keys, so it must take the focus. -->
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<div
				class="border-base-300 bg-base-100/60 min-h-0 overflow-auto border-x px-4 py-2"
				role="region"
				aria-label="Ledger"
				tabindex="0"
			>
				<div class="flex items-baseline justify-between">
					<h2 class="text-[15px]">Sets that count, by muscle</h2>
					<span class="text-soft text-[11.5px]"
						>post: {asked}; beam: home; green ground: where it should lie</span
					>
				</div>
				<Ledger ledger={review.ledger} />
				<h2 class="mt-2 text-[15px]">Movements</h2>
				<Patterns ledger={review.ledger} {asked} />
			</div>
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<div class="min-h-0 overflow-auto" role="region" aria-label="Review" tabindex="0">
				{#if fitted}
					<section class="bg-base-100 border-base-300 border-b px-3 py-2" aria-label="Made to fit">
						<div class="flex items-baseline justify-between">
							<h2 class="text-[15px]">{fitted.title} in {fitted.minutes} minutes</h2>
							<button class="text-soft text-[12px] underline" onclick={() => (fitted = null)}
								>fold away</button
							>
						</div>
						{#if fitted.view.whyLonger}<p class="text-accent text-[13px]">{fitted.view.whyLonger}</p>{/if}
						<ol class="list-decimal pl-5 text-[13px]">
							{#each fitted.view.steps as step, i (i)}<li>{step}</li>{/each}
						</ol>
					</section>
				{/if}
				{#if solved}
					<section class="bg-base-100 border-base-300 border-b px-3 py-2" aria-label="The week as a whole">
						<div class="flex items-baseline justify-between">
							<h2 class="text-[15px]">The week as a whole</h2>
							<button class="text-soft text-[12px] underline" onclick={() => (solved = null)}
								>fold away</button
							>
						</div>
						{#each solved.obstacles as obstacle, i (i)}<p class="text-accent text-[13px]">
								{obstacle}
							</p>{/each}
						{#each solved.outcome.sentences as sentence, i (i)}<p class="text-[13px]">
								{sentence}
							</p>{/each}
						<p class="text-soft text-[12px]">
							Worth {solved.outcome.after.objective}{solved.outcome.before
								? `, line by line ${solved.outcome.before.objective}`
								: ''}: fit {solved.outcome.after.fit}, less {solved.outcome.after.twice} for exercises done twice,
							{solved.outcome.after.changeovers} for changeovers, {solved.outcome.after.outsideBands} for sets outside
							their bands, {solved.outcome.after.consecutiveDays} for hard days running, {solved.outcome.after
								.patternsLost} for movements and {solved.outcome.after.partsLost} for ranges, sides and grips lost.
						</p>
					</section>
				{/if}
				<h2 class="px-3 pt-2 text-[15px]">What the review found</h2>
				<Findings
					{findings}
					{at}
					benchHref="/clients/{data.client.id}/bench"
					onpoint={(i) => (place = i)}
					onapply={apply}
				/>
			</div>
		{/if}
	</main>
{/if}
<Keys
	shortcuts={[
		{ keys: ['↑', '↓'], does: 'finding' },
		{ keys: ['R'], does: 'take its remedy' },
		{ keys: ['W'], does: 'fit the whole week' },
		{ keys: ['A'], does: 'weeks ahead' },
		{ keys: ['Z'], does: 'back' },
		{ keys: ['S'], does: 'save' }
	]}
	note="Advice for a coach, not a medical opinion. A set counts by how near failure it ends."
/>
