<script lang="ts">
	import type { RebuiltLine } from '$lib/api/client';
	import { addHref } from '$lib/catalogue/own';
	import { clock } from '$lib/units';
	import { techniquesOf } from './techniques';

	/** One line as rebuilt: exercise, dose, and why. */
	interface Props {
		line: RebuiltLine;
		byHand: boolean;
		pinned: boolean;
		/** Its own place in the session, from 1. */
		place: number;
		onrename: (name: string) => void;
		/** Takes a line that was left out in again. */
		onrestore: () => void;
		/** Gives a line in force up for what the engine would say now. */
		onafresh: () => void;
		/** Leaves it as it is in force after all; null where it stands, or is new. */
		onkeep: (() => void) | null;
	}
	let { line, byHand, pinned, place, onrename, onrestore, onafresh, onkeep }: Props = $props();
	const chosen = $derived(line.chosen);
	const prescription = $derived(chosen?.prescription);
	/** So many are no number any more: the line says that it is easy. */
	const MANY = 10;
	const leaving = (left: number) => (left >= MANY ? 'many' : `${Math.round(left)}`);
	/** What a line in force leaves by what is known today, where that is another thing than was planned. */
	const told = $derived.by(() => {
		const last = line.stands ? chosen?.forecast.at(-1) : undefined;
		const planned = prescription?.reserve ?? null;
		return last && planned !== null && Math.abs(last.reserve - planned) >= 2
			? Math.max(0, Math.round(last.reserve))
			: null;
	});
</script>

{#if chosen && prescription}
	<div class="font-display text-[15px] leading-tight font-semibold">
		{prescription.name}{#if prescription.load > 0}, {prescription.loadInWords.split('. ')[0]}{/if}
		{#if pinned}<span class="text-soft font-sans text-xs font-normal">, kept</span>{:else if byHand}<span
				class="text-soft font-sans text-xs font-normal">, set by hand</span
			>{/if}
		{#if line.group && line.group !== line.written.group}<span
				class="border-base-content ml-1 border px-1 font-sans text-xs font-normal"
				>back to back, {line.group}</span
			>{/if}
		{#if line.trainedAt !== place && !line.moved}<span class="text-accent font-sans text-xs font-normal"
				>, trained at place {line.trainedAt} by house rule</span
			>{/if}
	</div>
	{#if line.moved}<div class="text-accent text-[12.5px] leading-snug">{line.moved}</div>{/if}
	<div class="text-[15px]">
		{prescription.countInWords}
		{#if prescription.tempo}<span class="text-soft text-[13px]">tempo</span> {prescription.tempo}{/if}
		{#each techniquesOf(prescription) as technique, i (i)}<span
				class="bg-decide mr-1 rounded-sm px-1 text-[13px]">{technique}</span
			>{/each}
		<span class="text-soft text-[13px]">rest</span>
		{clock(prescription.rest)}
		{#if prescription.reserve !== null}<span class="text-soft text-[13px]">leaving</span>
			{leaving(told ?? prescription.reserve)}
			{#if told !== null}<span class="text-soft text-[13px]" title="by today’s forecast; so many were planned"
					>(planned {leaving(prescription.reserve)})</span
				>{/if}{/if}
	</div>
	<div class="text-soft line-clamp-2 text-[12.5px] leading-snug">
		{#if line.lapsedChoice}<span class="text-accent">{line.lapsedChoice}</span>{/if}
		{chosen.reason}
		{#if chosen.loss}<span class={chosen.lossMatters ? 'text-accent' : ''}>{chosen.loss}</span>{/if}
		{#if line.closeness && line.closeness.verdict !== 'kept'}
			<span class="text-accent font-semibold"
				>{line.closeness.verdict === 'accept'
					? 'Accept what is not kept.'
					: `${line.closeness.verdict === 'buy' ? 'Buy' : 'Borrow'}: ${line.closeness.with?.toLowerCase()}.`}</span
			>
		{/if}
	</div>
	{#each line.against as against, i (i)}<div
			class="border-accent bg-decide mt-0.5 border-l-4 px-2 text-[12.5px]"
		>
			Not as it stands: {against}.
		</div>{/each}
	{#if line.afresh}
		<div class="text-soft mt-0.5 flex items-baseline gap-2 text-[12.5px] leading-snug">
			<span class="min-w-0 truncate" title="What a rebuild from the text would say now: {line.afresh}"
				>afresh: {line.afresh}</span
			>
			<button
				class="text-base-content shrink-0 underline decoration-dotted underline-offset-2"
				aria-label="Take afresh: {line.afresh}"
				onclick={(event) => {
					event.stopPropagation();
					onafresh();
				}}>take</button
			>
		</div>
	{/if}
	{#if onkeep}
		<button
			class="text-soft text-[12.5px] underline decoration-dotted underline-offset-2"
			onclick={(event) => {
				event.stopPropagation();
				onkeep?.();
			}}>leave it as it was in force</button
		>
	{/if}
	{#if prescription.finishOn}
		<div class="mt-0.5 text-[13px]">
			<span class="text-soft">finish on</span> <b>{prescription.finishOn.name}</b>, about
			{prescription.finishOn.expected}
		</div>
	{/if}
	{#each line.added as added, i (i)}
		<div class="mt-0.5 text-[13px]">
			{#if added.prescription.exercise === prescription.exercise}
				<span class="text-soft">then</span>
			{:else}
				<span class="text-soft">then at once</span>
				<b>{added.prescription.name}</b>
			{/if}
			{added.prescription.countInWords}{added.prescription.load !== 0
				? `, ${added.prescription.loadInWords.split('. ')[0]}`
				: ''}
		</div>
	{/each}
	{#each line.behind as drill, i (i)}
		<div class="mt-0.5 text-[13px]">
			<span class="text-soft">then</span> <b>{drill.name}</b>
			{drill.dose} <span class="text-soft">because {drill.why}</span>
		</div>
	{/each}
{:else if line.outcome === 'leftOut'}
	<div class="text-soft font-display text-[15px] font-semibold">Left out for now, to fit the time</div>
	<button class="btn btn-xs mt-1" onclick={onrestore}>Take it in again</button>
{:else if line.outcome === 'unknown'}
	<div class="text-accent font-display text-[15px] font-semibold">
		“{line.written.exerciseName}” is not in the catalogue
	</div>
	<div class="text-[13px]">
		The line is kept as typed.
		{#if line.nearest.length > 0}
			Meant
			{#each line.nearest as near, i (i)}
				{i > 0 ? ' or ' : ''}<button class="underline underline-offset-2" onclick={() => onrename(near.name)}
					>{near.name}</button
				>{/each}?
		{/if}
		<a class="underline underline-offset-2" href={addHref(line.written.exerciseName)}>Add it as your own</a>
	</div>
{:else}
	<div class="text-accent font-display text-[15px] font-semibold">Nothing stands in here</div>
	<div class="line-clamp-2 text-[13px]">
		{line.wouldOpen ?? ''}
	</div>
{/if}
