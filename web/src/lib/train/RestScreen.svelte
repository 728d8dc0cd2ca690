<script lang="ts">
	import { clock } from '$lib/units';
	import { tone } from './pacer.svelte';
	import DoneList from './DoneList.svelte';
	import type { Run } from './run.svelte';

	/** The rest as it really is, and what comes next. */
	let { run }: { run: Run } = $props();
	const left = $derived(run.restAsked - run.rested);
	const line = $derived(run.line);
	const behind = $derived.by(() => {
		const before = run.steps[run.standing.at - 1];
		const last = before && !run.steps.some((s) => s.line === before.line && s.set > before.set);
		return last ? (run.session?.lines.find((l) => l.line === before.line)?.behind ?? []) : [];
	});
	let rung = $state(false);
	$effect(() => {
		if (left <= 0 && !rung) {
			rung = true;
			try {
				tone(new AudioContext(), 880);
			} catch {
				// No sound here: the figure says it.
			}
		}
	});
</script>

<p class="text-soft mt-6 text-[17px]">{left > 0 ? 'Rest' : 'Rested'}</p>
<p class="font-display text-[96px] leading-none font-bold {left > 0 ? '' : 'text-primary'}" role="timer">
	{left > 0 ? clock(left) : `+${clock(-left)}`}
</p>
<p class="text-soft mt-1 text-[15px]">{clock(run.restAsked)} asked; the rest you really take is noted.</p>

{#each behind as drill, i (i)}
	<p class="border-primary mt-4 border-l-4 pl-3 text-[16px]">
		Meanwhile: <b>{drill.name}</b>, {drill.dose}. {[...drill.setUp, ...drill.cues].join('. ')}.
	</p>
{/each}

{#if line}
	<section class="border-base-300 mt-5 border-t pt-4">
		<p class="text-soft text-[15px]">
			Next, set {run.step?.set} of {run.steps.filter((s) => s.line === run.step?.line).length}
		</p>
		<h1 class="text-[25px] leading-tight">{line.prescription.name}</h1>
		<p class="mt-1 font-semibold first-letter:uppercase">{line.prescription.loadInWords}</p>
		{#each line.prescription.placement as place, i (i)}<p class="text-soft text-[15px]">{place}</p>{/each}
		{#if run.step?.set === 1}
			<ol class="mt-2 list-decimal pl-5 text-[15px]">
				{#each line.prescription.setUp as how, i (i)}<li>{how}</li>{/each}
			</ol>
		{/if}
	</section>
{/if}
<button class="go mt-6" onclick={() => run.startNext()}>{left > 0 ? 'Start now' : 'Start the set'}</button>
<DoneList {run} />
