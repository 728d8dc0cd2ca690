<script lang="ts">
	import type { Bench } from './bench.svelte';

	/** Where the text has several weeks: the one on the bench, and going on to the next. */
	let { bench }: { bench: Bench } = $props();
	const next = $derived(bench.view.waiting[0]);
	const behind = $derived(bench.view.waiting.length - 1);
</script>

{#if bench.view.week !== null || next}
	<span class="flex items-center gap-2 whitespace-nowrap">
		{#if bench.view.week !== null}<b class="text-base-content">{bench.view.week}</b>{/if}
		{#if next}
			<button
				class="btn btn-xs"
				disabled={bench.busy}
				title="{next.name} waits in the text{behind > 0
					? `, and ${behind} more behind it`
					: ''}. Lines that stay keep their log; nothing is changed before you save."
				onclick={() => bench.goOn()}>Go on to {next.name.toLowerCase()}</button
			>
		{/if}
	</span>
{/if}
