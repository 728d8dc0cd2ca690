<script lang="ts">
	import DoneList from './DoneList.svelte';
	import Drills from './Drills.svelte';
	import type { Run } from './run.svelte';

	/** After the last set: one tap, and the cool-down. */
	let { run }: { run: Run } = $props();
	const out = $derived(
		(run.session?.lines ?? []).filter(
			(l) => run.standing.leftOut[l.line] && !Object.keys(run.done).some((k) => k.startsWith(`${l.line}-`))
		)
	);
	const answers = [
		{ key: 'muscle', words: 'the muscles' },
		{ key: 'breath', words: 'the breath' },
		{ key: 'both', words: 'both' }
	] as const;
</script>

<h1 class="mt-5 text-[26px]">
	Done: {run.doneSets.length}
	{run.doneSets.length === 1 ? 'set' : 'sets'}
</h1>
{#each out as line, i (i)}
	<p class="text-soft mt-1 text-[15px]">{line.prescription.name}: {run.standing.leftOut[line.line]}.</p>
{/each}

{#if run.standing.felt}
	<p class="mt-4">Noted. Next time you are asked how sore it left you.</p>
{:else}
	<h2 class="mt-4 text-[19px]">What did it ask most of?</h2>
	<div class="mt-2 grid grid-cols-3 gap-2">
		{#each answers as answer (answer.key)}
			<button class="answer" onclick={() => run.feel(answer.key)}>{answer.words}</button>
		{/each}
	</div>
{/if}

<DoneList {run} />
<Drills title="Cool down" drills={run.session?.coolDown ?? []} />
