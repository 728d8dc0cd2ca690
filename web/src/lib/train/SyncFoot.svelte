<script lang="ts">
	import type { MassUnit } from '$lib/units';
	import type { Outbox } from './outbox.svelte';
	import WaitingList from './WaitingList.svelte';
	import { syncWords } from './words';

	/** Honest about where the log is: with the coach, on this phone and why, or refused. */
	let {
		outbox,
		secure,
		offlineReady,
		unit,
		client
	}: { outbox: Outbox; secure: boolean; offlineReady: boolean; unit: MassUnit; client: string } = $props();
	let open = $state(false);
	const anything = $derived(outbox.list.length > 0);
</script>

<footer
	class="border-base-300 bg-base-200 text-soft sticky bottom-0 border-t px-[18px] pt-2.5 pb-3.5 text-sm"
>
	{#if open && anything}
		<div class="text-base-content max-h-[50vh] overflow-auto pb-2">
			<WaitingList list={outbox.list} {client} onputaway={(id) => outbox.putAway(id)} />
			{#if outbox.toSend.length > 0}<button class="go quiet mt-2" onclick={() => outbox.send()}
					>Send now</button
				>{/if}
		</div>
	{/if}
	{#if outbox.forgets && anything}<p class="text-accent mb-1">
			This phone lets the page keep nothing. Leave it open until all is with the coach, or save a file.
		</p>{/if}
	{#if outbox.conflicts > 0}<p class="text-accent mb-1">
			{outbox.conflicts === 1 ? 'A set was' : `${outbox.conflicts} sets were`} told otherwise in the meantime. Both
			are kept; the coach says which holds.
		</p>{/if}
	<div class="flex justify-between gap-3">
		<span aria-live="polite" data-sync={outbox.state} class="break-words">{syncWords(outbox)}</span>
		<span class="shrink-0 text-right whitespace-nowrap">
			{#if anything}<button
					class="underline underline-offset-2"
					aria-expanded={open}
					onclick={() => (open = !open)}>{open ? 'hide' : 'show'}</button
				>{:else}{secure ? (offlineReady ? 'works offline' : '') : 'needs a signal to open'}{/if} · {unit ===
			'pound'
				? 'lb'
				: 'kg'}</span
		>
	</div>
</footer>
