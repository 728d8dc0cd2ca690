<script lang="ts">
	import type { Leaning } from '$lib/api/client';

	/** House rules and traits that changed rank, cues or dose of a line, each by its name. */
	let { leanings }: { leanings: Leaning[] } = $props();
	const effect = (l: Leaning) =>
		[l.worth !== 1 ? `counts ${l.worth.toFixed(2)} of its fit` : null, l.dose, l.cue ? `cue: ${l.cue}` : null]
			.filter((part) => part !== null)
			.join('; ');
</script>

{#if leanings.length > 0}
	<ul class="text-[12.5px]" aria-label="Rules and traits that changed it">
		{#each leanings as leaning (leaning.name)}
			<li><b>{leaning.name}</b>: <span class="text-soft">{effect(leaning)}</span></li>
		{/each}
	</ul>
{/if}
