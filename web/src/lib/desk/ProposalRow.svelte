<script lang="ts">
	import type { DeskRow, Proposal } from '$lib/api/client';

	/** A decision that waits: its sentence, the figures behind it, and the answers. */
	let {
		row,
		proposal,
		busy,
		onanswer
	}: {
		row: DeskRow;
		proposal: Proposal;
		busy: boolean;
		onanswer: (answer: 'taken' | 'refused' | 'later') => void;
	} = $props();
	const urgent = $derived(['pain', 'unsafeSetUp', 'painAgain', 'fixtureReport'].includes(proposal.kind));
	let figures = $state(false);
</script>

<div
	data-proposal
	tabindex="-1"
	role="group"
	aria-label="{row.name}: {proposal.sentence}"
	class="focus:bg-base-100 border-accent flex items-start gap-3 border-l-4 py-1 pr-2 pl-3 focus:outline-offset-0 {urgent
		? 'bg-decide'
		: ''}"
>
	<div class="min-w-0 flex-1">
		<p class="text-[15px] leading-snug {urgent ? 'font-semibold' : ''}">{proposal.sentence}</p>
		{#if figures}
			<ul class="text-soft mt-1 text-[13px]">
				{#each proposal.arithmetic as figure, i (i)}<li>{figure}</li>{/each}
			</ul>
			{#if proposal.photo}
				<img
					class="border-rule mt-1 max-h-56 border"
					src="/api/clients/{row.id}/reports/{proposal.photo}/photo"
					alt="Taken by the client during the check"
				/>
			{/if}
		{/if}
	</div>
	<span class="flex shrink-0 flex-wrap items-center justify-end gap-1.5 pt-0.5">
		{#if proposal.arithmetic.length > 0}
			<button
				class="text-soft px-1 text-xs underline underline-offset-2"
				aria-expanded={figures}
				data-figures
				onclick={() => (figures = !figures)}>why</button
			>
		{/if}
		{#if proposal.take}
			<button class="btn btn-xs btn-neutral" disabled={busy} onclick={() => onanswer('taken')}
				>{proposal.take}</button
			>
		{/if}
		<a class="btn btn-xs" data-open href="/clients/{row.id}/{proposal.view}">Open</a>
		{#if proposal.kind !== 'unready' && proposal.kind !== 'unsafeSetUp'}
			<button class="btn btn-xs btn-ghost" disabled={busy} onclick={() => onanswer('later')}>Later</button>
			<button class="btn btn-xs btn-ghost" disabled={busy} onclick={() => onanswer('refused')}
				>{proposal.refuse}</button
			>
		{/if}
	</span>
</div>
