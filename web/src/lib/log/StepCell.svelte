<script lang="ts">
	import type { LineProgress } from '$lib/api/client';

	/** What comes next on a line, why, and the figures behind it. */
	let { line, busy, ontake }: { line: LineProgress; busy: boolean; ontake: () => void } = $props();
	const step = $derived(line.step);
	const decides = $derived(step !== null && step.kind !== 'hold');
</script>

{#if step}
	<div class={decides ? 'border-accent border-l-4 pl-3' : 'pl-4'}>
		<p>{step.sentence}</p>
		<div class="mt-1 flex items-start gap-4 text-xs">
			{#if step.next && step.kind !== 'hold' && step.kind !== 'stop' && step.kind !== 'variation'}
				<button class="btn btn-xs btn-neutral" disabled={busy} onclick={ontake}>Take it</button>
			{/if}
			{#if step.arithmetic.length > 0}
				<details>
					<summary class="text-soft cursor-pointer">the arithmetic</summary>
					<ul>
						{#each step.arithmetic as figure, i (i)}<li>{figure}</li>{/each}
					</ul>
				</details>
			{/if}
		</div>
	</div>
{:else}
	<p class="text-soft pl-4">Nothing logged at this load yet.</p>
{/if}
