<script lang="ts">
	import type { GivenDrill } from '$lib/api/client';
	import type { Bench } from './bench.svelte';

	/** Every line as it was understood, in the plain form of the notation; a tap puts the caret there. */
	let { bench, onshow }: { bench: Bench; onshow: (line: number) => void } = $props();
	/** Drills that were typed; the others are the session's own. */
	const typed = (drills: GivenDrill[]) => drills.filter((d) => d.why === 'as written');
	const asked = $derived(new Set(bench.view.problems.map((p) => p.line)));
</script>

<section class="flex min-h-0 flex-1 flex-col overflow-auto" aria-label="Read as">
	<h2 class="text-[15px]">Read as</h2>
	{#each bench.view.sessions as session, s (s)}
		<h3 class="text-soft mt-1.5 truncate text-[12.5px] font-semibold">{session.title}</h3>
		<ol>
			{@render drills(typed(session.warmUp), 'warm-up')}
			{#each session.lines as line, i (i)}
				<li class="border-rule border-t">
					<button
						class="min-h-6 w-full py-1 text-left text-[12.5px] leading-snug {line.outcome === 'unknown'
							? 'text-accent'
							: asked.has(line.written.textLine)
								? ''
								: 'text-soft'}"
						onclick={() => onshow(line.written.textLine)}
						>{line.reading}{line.outcome === 'unknown' ? ': no exercise of this name' : ''}</button
					>
				</li>
			{/each}
			{@render drills(typed(session.coolDown), 'cool-down')}
		</ol>
	{/each}
	{#each bench.view.waiting as week (week.number)}
		<h3 class="text-soft border-rule mt-1.5 border-t pt-1 text-[12.5px]">
			<b>{week.name}</b>: waits as typed, {week.lines}
			{week.lines === 1 ? 'line' : 'lines'}
		</h3>
	{/each}
</section>

{#snippet drills(given: GivenDrill[], end: string)}
	{#each given as drill, i (i)}
		<li class="border-rule text-soft border-t py-1 text-[12.5px]">
			{drill.name}
			{drill.dose}: with the {end}
		</li>
	{/each}
{/snippet}
