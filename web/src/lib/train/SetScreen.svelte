<script lang="ts">
	import type { Joint, LineFigure, SetLog, StopReason } from '$lib/api/client';
	import { massWithUnit } from '$lib/units';
	import PacerCard from './PacerCard.svelte';
	import PainSheet from './PainSheet.svelte';
	import ReserveAnswer from './ReserveAnswer.svelte';
	import type { Run } from './run.svelte';

	/** One set: what, with what, how fast, and its log by tapping. */
	let { run, figures }: { run: Run; figures: LineFigure[] } = $props();
	const step = $derived(run.step);
	const line = $derived(run.line);
	const p = $derived(line?.prescription);
	const sets = $derived(run.steps.filter((s) => s.line === step?.line).length);
	const counted = $derived(run.standing.counted);
	/** Of the line as it is done today, which may be what is done instead. */
	const figure = $derived(
		line
			? (figures.find(
					(f) =>
						f.line === line.line &&
						f.place === run.standing.place &&
						f.exercise === line.prescription.exercise
				)?.figure ?? null)
			: null
	);
	let reserve = $state<SetLog['reserve']>(null);
	let stopped = $state<StopReason | null>(null);
	let finished = $state(0);
	let hurting = $state(false);
	let busy = $state(false);

	const sided = $derived(p?.perSide === true);
	const cap = $derived(run.standing.firstSide ?? step?.count ?? 0);
	const pauses = $derived(
		line?.pace.map((phase) => `${phase.seconds} ${phase.word.replace('hold ', '')}`).join(', ') ?? ''
	);
	const unitWord = $derived(
		p?.count === 'seconds'
			? ' s'
			: p?.count === 'breaths'
				? ' breaths'
				: p?.count === 'steps'
					? ' steps'
					: p?.count === 'metres'
						? ' m'
						: p?.count === 'trips'
							? ' trips'
							: ''
	);
	const goalWords = $derived(
		run.toLimit
			? 'to your true limit today: stop when a clean one is out of reach'
			: run.calibrates && run.standing.side === 0
				? `or more: as many as leave ${Math.round(p?.reserve ?? 2)} today, which finds your numbers`
				: run.standing.side === 1
					? `stop at ${cap}, as the first side`
					: `of ${p?.form === 'restPause' ? `${step?.count}, ${run.toGo} still to go in all` : `${p?.count === 'upTo' ? 'up to ' : ''}${step?.count}${unitWord}`}${p?.reserve !== null && p?.reserve !== undefined ? `, then stop with ${Math.round(p.reserve)} left` : ''}`
	);
	const reasons: { key: StopReason; words: string }[] = [
		{ key: 'grip', words: 'Grip gave out first' },
		{ key: 'breath', words: 'Out of breath' },
		{ key: 'form', words: 'Form went' }
	];

	/** Nobody counts down to nothing: a set logged without a count was done as asked. */
	const done = $derived(counted > 0 ? counted : (step?.count ?? 0));

	/** Tried, and it did not go once: the only way to say nought. */
	async function notOne() {
		if (busy || !step) return;
		busy = true;
		try {
			await run.log({
				repetitions: 0,
				otherSide: null,
				reserve: 0,
				finished,
				stopped: stopped ?? 'muscle',
				pain: 0,
				painAt: null
			});
			reserve = null;
			stopped = null;
			finished = 0;
		} finally {
			busy = false;
		}
	}

	async function setDone(pain = 0, painAt: Joint | null = null) {
		if (busy || !step) return;
		busy = true;
		try {
			if (sided && run.standing.side === 0 && pain === 0) {
				await run.otherSide(done);
				return;
			}
			const first = sided ? (run.standing.firstSide ?? (counted > 0 ? counted : done)) : done;
			const other = sided && run.standing.side === 1 ? (counted > 0 ? counted : cap) : null;
			await run.log({
				repetitions: pain > 0 && !sided ? counted : first,
				otherSide: other === first ? null : other,
				reserve,
				finished,
				stopped: pain > 5 ? 'pain' : stopped,
				pain,
				painAt
			});
			reserve = null;
			stopped = null;
			finished = 0;
			hurting = false;
		} finally {
			busy = false;
		}
	}
</script>

{#if step && line && p}
	<h1 class="mt-3 text-[24px] leading-tight">{p.name}</h1>
	<p class="mt-1 text-[16px] leading-snug font-semibold first-letter:uppercase">
		{p.loadInWords}{run.view.programme.unit === 'pound' && p.load > 0
			? `, ${massWithUnit(p.load, 'pound')}`
			: ''}
	</p>
	<p class="text-soft mt-0.5 text-[15px]">
		{sided ? (run.standing.side === 0 ? 'Weaker side first, set' : 'Other side, set') : 'Set'}
		{step.set} of {sets}.
		{p.placement.join('. ')}
	</p>
	<PacerCard
		{figure}
		name={p.name}
		phases={line.pace}
		goal={run.standing.side === 1 ? cap : step.count}
		{goalWords}
		tempoWords={pauses}
		{counted}
		label="{step.line}-{step.set}-{run.standing.side}-{p.exercise}"
		oncount={(count) => run.count(count)}
		onstart={() => run.started()}
	/>
	<div class="mt-3 grid grid-cols-[1fr_2fr] gap-2.5">
		<button class="hurts" onclick={() => (hurting = true)}>It hurts</button>
		<button class="go" disabled={busy} onclick={() => setDone()}
			>{sided && run.standing.side === 0 ? 'This side done' : 'Set done'}: {done}{unitWord}</button
		>
	</div>
	{#if !run.toLimit && p.count !== 'seconds' && p.count !== 'breaths'}
		<ReserveAnswer bind:reserve />
	{/if}
	{#if p.finishOn}
		<div class="mt-3 flex items-center gap-3">
			<span class="flex-1 text-[15px]">then {p.finishOn.name.toLowerCase()}, counted apart</span>
			<button
				class="step"
				aria-label="One less, easier"
				onclick={() => (finished = Math.max(0, finished - 1))}>−</button
			>
			<b class="font-display w-8 text-center text-[22px]">{finished}</b>
			<button class="step" aria-label="One more, easier" onclick={() => (finished += 1)}>+</button>
		</div>
	{/if}
	<div class="mt-2.5 grid grid-cols-2 gap-2.5">
		{#each reasons as reason (reason.key)}
			<button
				class="answer small"
				aria-pressed={stopped === reason.key}
				onclick={() => (stopped = stopped === reason.key ? null : reason.key)}>{reason.words}</button
			>
		{/each}
		<button class="answer small" onclick={() => run.wobbles()}>This set-up wobbles</button>
		{#if counted === 0 && run.standing.side === 0 && p.count !== 'seconds' && p.count !== 'breaths'}
			<button class="answer small col-span-2" disabled={busy} onclick={notOne}>Not one would go</button>
		{/if}
	</div>
	<details class="mt-4">
		<summary class="cursor-pointer font-semibold">How to set it up and do it</summary>
		<ol class="mt-1 list-decimal pl-5 text-[15px]">
			{#each p.setUp as how, i (i)}<li>{how}</li>{/each}
		</ol>
		<ul class="mt-1 list-disc pl-5 text-[15px]">
			{#each p.cues as cue, i (i)}<li>{cue}</li>{/each}
		</ul>
	</details>
	{#each p.cautions as caution, i (i)}
		<p class="border-accent bg-decide mt-2 border-l-4 px-3 py-1.5 text-[15px]">{caution}</p>
	{/each}
	{#if hurting}
		<PainSheet name={p.name} onclose={() => (hurting = false)} onpain={(pain, at) => setDone(pain, at)} />
	{/if}
{/if}
