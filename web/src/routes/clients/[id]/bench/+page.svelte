<script lang="ts">
	import { untrack } from 'svelte';
	import type { Alternative, LineChoice } from '$lib/api/client';
	import { Bench, UNDOSED } from '$lib/bench/bench.svelte';
	import Compare from '$lib/bench/Compare.svelte';
	import LinePanel from '$lib/bench/LinePanel.svelte';
	import Drills from '$lib/bench/Drills.svelte';
	import GoneLines from '$lib/bench/GoneLines.svelte';
	import LineHistory from '$lib/plan/LineHistory.svelte';
	import RebuiltCell from '$lib/bench/RebuiltCell.svelte';
	import { labOf } from '$lib/lab/trial';
	import ProgrammeEditor from '$lib/bench/ProgrammeEditor.svelte';
	import WeekInText from '$lib/bench/WeekInText.svelte';
	import WaitingChecks from '$lib/bench/WaitingChecks.svelte';
	import { ofUncomputed } from '$lib/bench/uncomputed';
	import WrittenCell from '$lib/bench/WrittenCell.svelte';
	import Beam from '$lib/drawing/Beam.svelte';
	import Hatches from '$lib/drawing/Hatches.svelte';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';

	let { data } = $props();
	const bench = untrack(() => new Bench(data.client.id, data.plan));
	let day = $state(0);
	let at = $state(0);
	let editing = $state(untrack(() => bench.text.trim() === ''));
	let rows = $state<HTMLElement>();
	let other = $state.raw<Alternative | null>(null);
	let history = $state<LineHistory>();

	const session = $derived(bench.view.sessions[Math.min(day, bench.view.sessions.length - 1)]);
	const lines = $derived(session?.lines ?? []);
	const line = $derived(lines[Math.min(at, lines.length - 1)]);
	/** Movements are asked for, not exercises. */
	const slots = $derived(lines.length > 0 && lines.every((l) => l.written.exercise?.startsWith('any-')));
	const changed = $derived(lines.filter((l) => l.outcome === 'swapped').length);
	const gaps = $derived(
		lines.filter((l) => l.outcome === 'nothing' || l.outcome === 'unknown' || l.chosen?.lossMatters).length
	);
	const asked = $derived(Math.round(lines.reduce((sum, l) => sum + (l.chosen?.bridge?.asked ?? 0), 0)));
	const given = $derived(Math.round(lines.reduce((sum, l) => sum + (l.chosen?.bridge?.given ?? 0), 0)));
	const minutes = $derived(session ? Math.round(session.whole / 60) : 0);
	const limit = $derived(data.client.profile.sessionMinutes);
	const unit = $derived(data.client.profile.unit);

	$effect(() => {
		untrack(() => bench.rebuild());
	});

	function choose(change: Partial<LineChoice>) {
		if (line) bench.choose(line, change);
	}

	function step(by: number) {
		const chosen = line?.chosen;
		if (!chosen) return;
		const now = chosen.ladder.findIndex((r) => r.load === chosen.prescription.load);
		const next = chosen.ladder[now + by];
		if (next) choose({ load: next.load });
	}

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (target.matches('input:not([type=checkbox]), textarea, select')) return;
		const number = Number(event.key);
		if (event.key === 'ArrowDown') move(1);
		else if (event.key === 'ArrowUp') move(-1);
		else if (event.key === 'ArrowRight') step(1);
		else if (event.key === 'ArrowLeft') step(-1);
		else if (number >= 1 && number <= 9 && line?.alternatives[number - 1]) {
			const exercise = line.alternatives[number - 1]?.prescription.exercise ?? null;
			choose({ exercise, ...UNDOSED });
		} else if (event.key === 'b' && line) bench.release(line);
		else if (event.key === 'B') bench.releaseAll(lines);
		else if (event.key === 'w') bench.releaseAll(bench.view.sessions.flatMap((s) => s.lines));
		else if (event.key === 'k' && line) bench.pin(line);
		else if (event.key === 'c') compare(1);
		else if (event.key === 'h') history?.toggle();
		else if (event.key === 'z') {
			fitted = [];
			bench.undo();
		} else if (event.key === 'm') fit();
		else if (event.key === 's') bench.save();
		else if (event.key === 'e') editing = true;
		else return;
		event.preventDefault();
	}

	/** A tenth over is no matter. */
	const tooLong = $derived(limit !== null && minutes > limit * 1.1);
	/** What was done to make the session fit; empty when nothing was. */
	let fitted = $state<string[]>([]);

	/** Fits the session into the client's minutes; one step back makes it long again. */
	async function fit() {
		if (limit === null || !session) return;
		const shrunk = await bench.shrink(Math.min(day, bench.view.sessions.length - 1), limit);
		if (shrunk)
			fitted = shrunk.steps.length > 0 ? shrunk.steps : [`It takes no longer than ${limit} min as it is.`];
		if (shrunk?.whyLonger) fitted = [...fitted, shrunk.whyLonger];
	}

	/** The one in force beside the best of the others, counted from 1. */
	function compare(place: number) {
		const others = line?.alternatives.filter(
			(a) => a.prescription.exercise !== line.chosen?.prescription.exercise
		);
		other = others?.[place - 1] ?? null;
	}

	function move(by: number) {
		at = Math.max(0, Math.min(lines.length - 1, at + by));
		rows?.querySelectorAll<HTMLElement>('[data-line]')[at]?.scrollIntoView({ block: 'nearest' });
	}

	/** Puts a catalogue name in place of one that was not known. */
	function rename(number: number, typed: string, name: string) {
		const typedLines = bench.text.split('\n');
		typedLines[number - 1] = (typedLines[number - 1] ?? '').replace(typed, () => name);
		bench.retype(typedLines.join('\n'));
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Bench, {data.client.profile.name} - Ingegno</title></svelte:head>
<Hatches />

<div
	class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-4 border-b px-4 text-[13px]"
>
	{#if bench.view.sessions.length > 1}
		<h1 class="sr-only">Rebuild bench</h1>
		<div class="flex gap-1" role="group" aria-label="Session">
			{#each bench.view.sessions as s, i (i)}
				<button
					class="font-display max-w-72 truncate px-2 text-[15px] {i === day
						? 'text-base-content border-base-content border-b-2 font-semibold'
						: ''}"
					aria-pressed={i === day}
					onclick={() => {
						day = i;
						at = 0;
					}}>{s.title}</button
				>
			{/each}
		</div>
	{:else}
		<h1 class="text-base-content max-w-96 truncate text-[17px]">{session?.title ?? 'Rebuild bench'}</h1>
	{/if}
	{#if bench.answered && !editing}<WeekInText {bench} />{/if}
	{#if session}
		<span class={tooLong ? 'text-accent font-semibold' : ''}
			><b class={tooLong ? '' : 'text-base-content'}>{minutes}</b>{limit ? ` of ${limit}` : ''} min</span
		>
		{#if tooLong}
			<button class="btn btn-xs" disabled={bench.busy} onclick={fit}>Fit into {limit} min</button>
		{/if}
		<span
			>{lines.length}
			{lines.length === 1 ? 'line' : 'lines'}, <b class="text-base-content">{changed}</b> swapped</span
		>
		{#if gaps > 0}<span class="text-accent font-semibold">{gaps} {gaps === 1 ? 'gap' : 'gaps'} open</span
			>{/if}
	{/if}
	<span class="flex-1"></span>
	{#if session}<span>asked {asked} effective reps, given <b class="text-base-content">{given}</b></span>{/if}
	<button class="btn btn-sm" onclick={() => (editing = !editing)}
		>{editing ? 'Back to the lines' : 'Edit text'}</button
	>
	<button class="btn btn-sm btn-neutral" disabled={bench.busy || !session} onclick={() => bench.save()}>
		{bench.dirty ? 'Save plan' : bench.savedAt ? 'Saved' : 'Save plan'}
	</button>
</div>
<Notice text={bench.trouble}>
	{#if bench.stale}<button class="btn btn-xs" onclick={() => bench.reload()}>Load the newer one</button>{/if}
</Notice>
<GoneLines {bench} />
{#if fitted.length > 0}
	<Notice text="{fitted.join(' ')} Z takes it back.">
		<button class="btn btn-xs" onclick={() => (fitted = [])}>Close</button>
	</Notice>
{/if}
{#if bench.restored}
	<Notice text="Unsaved changes from before were kept.">
		<button class="btn btn-xs" onclick={() => bench.reload()}>Drop them</button>
	</Notice>
{/if}
<WaitingChecks {bench} client={data.client.id} />
{#if bench.view.allGuessed && session}
	<Notice
		text="No lift of this client is known: every load stands on level and body mass, with a wide range."
	/>
{/if}

<main class="grid min-h-0 flex-1 grid-cols-[232px_212px_1fr_352px]">
	{#if !editing && !bench.answered}
		<p class="text-soft col-span-3 p-4 text-[13px]" role="status">Rebuilding for this home ...</p>
	{:else if editing || lines.length === 0}
		<div class="col-span-3 min-h-0 overflow-auto">
			<ProgrammeEditor {bench} client={data.client.id} ondone={() => (editing = false)} />
		</div>
	{:else}
		<div class="col-span-3 min-h-0 overflow-auto" bind:this={rows}>
			<div class="text-soft sticky top-0 z-10 grid h-8 grid-cols-[232px_212px_1fr] text-xs">
				<div class="bg-base-200 px-4 pt-2">
					{slots ? 'As asked by the template' : 'As written for the gym'}
				</div>
				<div class="bg-base-200 flex justify-between px-3 pt-2">
					<span>{slots ? 'asked' : 'gym asks'}</span><span>home gives</span>
				</div>
				<div class="bg-base-100 border-base-300 border-l px-4 pt-2">
					As rebuilt for {data.client.profile.name.split(' ')[0]}’s place
				</div>
			</div>
			<Drills title="Warm-up" drills={session?.warmUp ?? []} />
			{#if session && session.drillsLeftOut.length > 0}
				<p class="text-accent px-4 py-1 text-[13px]">
					Left out, as room, health or a sore joint forbid it: {session.drillsLeftOut.join(', ')}
				</p>
			{/if}
			{#each lines as l, i (l.written.number)}
				<!-- The whole row takes the line in hand; the button inside does the same for the keyboard. -->
				<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
				<div
					data-line
					class="border-rule grid min-h-[96px] cursor-pointer grid-cols-[232px_212px_1fr] border-t"
					onclick={() => (at = i)}
				>
					<div class="min-w-0 px-4 py-2">
						<WrittenCell
							line={l}
							unread={bench.view.problems
								.filter((p) => !p.isDoubt && p.line === l.written.textLine)
								.map((p) => p.message)}
						/>
					</div>
					<div class="px-1 py-1.5">
						{#if l.chosen?.bridge}
							<Beam bridge={l.chosen.bridge} range={l.chosen.givenRange} />
						{:else if l.chosen}
							<svg width="200" height="60" aria-hidden="true">
								<path d="M10 38h176" stroke="var(--color-primary)" stroke-width="1.5" />
								<text x="98" y="30" text-anchor="middle" class="fill-soft text-[11.5px]">
									{ofUncomputed(l)}
								</text>
							</svg>
						{/if}
					</div>
					<div
						class="border-base-300 min-w-0 border-l px-4 py-2 {l === line
							? 'bg-base-100 shadow-[inset_4px_0_0_var(--color-accent)]'
							: 'bg-base-100/60'}"
					>
						<RebuiltCell
							line={l}
							byHand={bench.isByHand(l)}
							pinned={bench.choiceFor(l)?.pinned ?? false}
							place={i + 1}
							onrename={(name) => rename(l.written.textLine, l.written.exerciseName, name)}
							onrestore={() => bench.choose(l, { leftOut: false })}
							onafresh={() => bench.release(l)}
							onkeep={bench.isInForce(l) && !l.stands && l.chosen ? () => bench.keepInForce(l) : null}
						/>
						<button class="sr-only focus:not-sr-only" onclick={() => (at = i)}
							>Take {l.written.exerciseName} in hand</button
						>
					</div>
				</div>
			{/each}
			<Drills title="Cool-down" drills={session?.coolDown ?? []} />
		</div>
	{/if}
	<aside class="border-base-300 min-h-0 overflow-auto border-l px-4 py-2.5" aria-label="Line in hand">
		{#if line && !editing}
			<LinePanel
				client={data.client.id}
				{line}
				{unit}
				names={data.names}
				asked={bench.asked}
				alone={bench.choiceFor(line)?.alone ?? false}
				finishEasier={bench.choiceFor(line)?.finishEasier ?? false}
				labHref={labOf(data.client.id, line)}
				onchoose={choose}
				onask={(exercise) => bench.askAfter(exercise)}
				oncompare={(alternative) => (other = alternative)}
			/>
			{@const name = bench.nameOf(line)}
			{#if name !== null}
				{#key name}
					<LineHistory
						bind:this={history}
						client={data.client.id}
						line={name}
						stamp={bench.savedAt}
						name={line.written.exerciseName}
						onchanged={() => bench.refresh()}
					/>
				{/key}
			{/if}
		{:else if editing || bench.answered}
			<h2 class="text-[17px]">How a line reads</h2>
			<p class="mt-2">Name, sets x repetitions, then load or effort, tempo and rest in any order:</p>
			<pre
				class="bg-base-100 mt-2 p-3 text-[13px] leading-relaxed whitespace-pre-wrap">Saturday, legs and press
Front squat 4 x 6 @ 72.5 kg, rest 3:00
Push press 5x4 80 % tempo 2-0-X-1
B1 Seated cable row 3 x 8-12 RPE 8
B2 Leg curl 10/10/8 RIR 2, rest 90 s
Plank 3 x 45 s</pre>
			<p class="text-soft mt-2">
				A letter before the name makes a superset. A line without sets opens a new session. Under “Week 2”,
				lines wait until you go on to them.
			</p>
		{/if}
	</aside>
</main>
{#if other && line?.chosen}
	<Compare
		client={data.client.id}
		written={line.written.exerciseName}
		chosen={line.chosen}
		{other}
		ontake={(exercise) => {
			other = null;
			choose({ exercise, ...UNDOSED });
		}}
		onclose={() => (other = null)}
	/>
{/if}
<Keys
	shortcuts={[
		{ keys: ['↑', '↓'], does: 'line' },
		{ keys: ['←', '→'], does: 'rung' },
		{ keys: ['1', '…', '9'], does: 'take' },
		{ keys: ['C'], does: 'compare' },
		{ keys: ['K'], does: 'keep' },
		{ keys: ['B', '⇧B', 'W'], does: 'line, session, week afresh', rare: true },
		{ keys: ['M'], does: 'fit the minutes' },
		{ keys: ['H'], does: 'history', rare: true },
		{ keys: ['Z'], does: 'back' },
		{ keys: ['E'], does: 'text' },
		{ keys: ['S'], does: 'save' }
	]}
	note="Advice for a coach, not a medical opinion. Sharp pain stops any exercise."
/>
