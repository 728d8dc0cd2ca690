<script lang="ts">
	import type { MassUnit } from '$lib/units';
	import type { Outbox } from './outbox.svelte';

	/** Honest about where the log is: with the coach, on this phone, or refused. */
	let {
		outbox,
		secure,
		offlineReady,
		unit
	}: { outbox: Outbox; secure: boolean; offlineReady: boolean; unit: MassUnit } = $props();
	const waiting = $derived(outbox.toSend.length);
	const words = $derived(
		outbox.state === 'closed'
			? `On this phone: ${count(waiting)} not sent. ${outbox.word}`
			: waiting > 0
				? `Saved on the phone, ${count(waiting)} ${waiting === 1 ? 'waits' : 'wait'} for a signal`
				: 'All with the coach'
	);

	function count(n: number): string {
		return `${n} ${n === 1 ? 'entry' : 'entries'}`;
	}
</script>

<footer
	class="border-base-300 bg-base-200 text-soft sticky bottom-0 border-t px-[18px] pt-2.5 pb-3.5 text-sm"
>
	{#each outbox.refused as refused (refused.id)}
		<p class="text-accent mb-1">
			{refused.set ? `Set ${refused.set.setNumber}, ${refused.set.repetitions} repetitions` : 'A note'} was not
			kept: {refused.refused}
		</p>
	{/each}
	{#if outbox.word && outbox.state !== 'closed'}<p class="text-accent mb-1">{outbox.word}</p>{/if}
	<div class="flex justify-between gap-3">
		<span aria-live="polite" data-sync={outbox.state}>{words}</span>
		<span class="whitespace-nowrap"
			>{secure ? (offlineReady ? 'works offline' : '') : 'needs a signal to open'} · {unit === 'pound'
				? 'lb'
				: 'kg'}</span
		>
	</div>
</footer>
