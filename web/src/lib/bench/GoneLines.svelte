<script lang="ts">
	import Notice from '$lib/shell/Notice.svelte';
	import type { Bench } from './bench.svelte';

	/** Lines that saving takes out of the plan are looked at first. */
	let { bench }: { bench: Bench } = $props();
	const gone = $derived(bench.view.gone);
</script>

{#if bench.lettingGo && gone.length > 0}
	<Notice
		text="Saving takes {gone.length === 1 ? 'a line' : `${gone.length} lines`} out of the plan: {gone
			.slice(0, 6)
			.map((l) => l.name)
			.join('; ')}{gone.length > 6 ? ` and ${gone.length - 6} more` : ''}. What was logged on {gone.length ===
		1
			? 'it'
			: 'them'} is kept."
	>
		<button class="btn btn-xs btn-neutral" onclick={() => bench.save(true)}>Save all the same</button>
		<button class="btn btn-xs" onclick={() => (bench.lettingGo = false)}>Look at the text</button>
	</Notice>
{/if}
