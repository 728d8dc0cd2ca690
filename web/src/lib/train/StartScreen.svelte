<script lang="ts">
	import type { LinkFixture } from '$lib/api/client';
	import Drills from './Drills.svelte';
	import type { Run } from './run.svelte';

	/** Before the first set: which session, what to put out, and how the body is. */
	let { run, oncheck }: { run: Run; oncheck: (fixture: LinkFixture) => void } = $props();
	const session = $derived(run.session);
	const places = $derived(run.view.programme.places);
	const weekWords = {
		full: '',
		lighter: 'The first week is lighter: fewer sets.',
		easier: 'An easier week: fewer sets, the same loads.'
	};
	const soreWords = ['not at all', 'a little', 'sore', 'very'];
	let sent = $state(false);
	const lengthWords = $derived(
		`${session?.lines.length} ${session?.lines.length === 1 ? 'exercise' : 'exercises'}, about ${Math.max(1, Math.round((session?.length ?? 0) / 60))} minutes.`
	);
	const finding = $derived(session?.lines.filter((l) => run.view.calibrates.includes(l.line)).length ?? 0);
	const held = $derived(
		run.held.flatMap((h) => {
			const line = session?.lines.find((l) => l.line === h.line);
			return line ? [{ ...h, name: line.prescription.name }] : [];
		})
	);
</script>

<h1 class="mt-4 text-[26px] leading-tight">Hello {run.view.programme.client}</h1>
{#if places.length > 1}
	<div class="mt-2 grid grid-cols-2 gap-2" role="group" aria-label="I am at">
		{#each places as place (place.id)}
			<button
				class="answer"
				aria-pressed={place.id === run.place?.id}
				onclick={() => run.choose(place.id, run.standing.session)}>{place.name}</button
			>
		{/each}
	</div>
{/if}
{#if run.isEmpty}
	<p class="border-accent bg-decide mt-3 border-l-4 px-3 py-2">
		There is nothing to train here{places.length > 1 ? `, at ${run.place?.name ?? 'this place'},` : ''} yet. Ask
		the coach to send it; what you logged is safe.
	</p>
{:else}
	<p class="mt-1">{lengthWords} {weekWords[run.weekKind]}</p>
	{#if finding > 0}
		<p class="mt-1">
			On {finding === 1 ? 'one exercise' : `${finding} exercises`} the last set goes on until only as many are left
			as it says: that finds your numbers, and the plan settles on them.
		</p>
	{/if}
{/if}

{#if run.askSore && !sent}
	<section class="mt-4">
		<h2 class="text-[17px]">Sore from last time?</h2>
		<div class="mt-1.5 grid grid-cols-4 gap-2">
			{#each soreWords as word, i (word)}
				<button
					class="answer"
					onclick={async () => {
						sent = true;
						await run.sore(i);
					}}>{word}</button
				>
			{/each}
		</div>
	</section>
{/if}

{#each held as line, i (i)}
	<p class="border-accent bg-decide mt-4 border-l-4 px-3 py-2 text-[15px]">
		{line.name}: {line.why}.
	</p>
{/each}

{#if session && session.layOut.length > 0}
	<section class="mt-4">
		<h2 class="text-[19px]">Put out before you start</h2>
		<ul>
			{#each session.layOut as thing, i (i)}
				<li class="border-rule border-b py-1.5">
					<b>{thing.thing}</b>{thing.settings.length > 0 ? `: ${thing.settings.join(', then ')}` : ''}
				</li>
			{/each}
		</ul>
	</section>
{/if}

{#if !run.isEmpty}<button class="go mt-5" onclick={() => run.begin()}>Begin</button>{/if}

<Drills title="Warm up first" drills={session?.warmUp ?? []} />

{#if (run.place?.sessions.length ?? 0) > 1}
	<section class="mt-5 flex flex-col gap-2">
		<h2 class="text-[17px]">Something else today?</h2>
		<label class="flex items-center gap-3"
			><span class="w-20">Session</span>
			<select
				class="select bg-base-100 flex-1 text-[17px]"
				value={run.standing.session}
				onchange={(e) => run.choose(run.standing.place, e.currentTarget.value)}
			>
				{#each run.place?.sessions ?? [] as other, i (i)}<option value={other.key}>{other.key}</option>{/each}
			</select></label
		>
	</section>
{/if}

{#if run.place && run.place.toCheck.length > 0}
	<section class="mt-5">
		<h2 class="text-[17px]">The coach asks you to check</h2>
		{#each run.place.toCheck as fixture, i (i)}
			<button class="answer mt-2 w-full" onclick={() => oncheck(fixture)}>{fixture.name}</button>
		{/each}
	</section>
{/if}

<section class="mt-5 text-[15px]">
	<h2 class="text-[17px]">Take care</h2>
	<p class="text-soft">
		Sharp pain stops an exercise. Use only what was checked, and look at it each time. Nothing heavy over the
		face without a safe way down; nobody alone under a bar. With heart or blood pressure trouble, pregnancy,
		recent surgery, dizziness or chest pain, ask a physician first; for joints, a physiotherapist.
	</p>
	{#each run.view.programme.cautions as caution, i (i)}<p class="text-soft mt-1">{caution}</p>{/each}
</section>
