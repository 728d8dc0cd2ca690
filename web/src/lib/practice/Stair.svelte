<script lang="ts">
	import type { HouseRules, RebuiltLine } from '$lib/api/client';
	import Beam from '$lib/drawing/Beam.svelte';

	/** What is done where the load runs out, climbed from the foot; a coach puts the steps in another order. */
	interface Props {
		rules: HouseRules;
		/** The line it is tried on; null where no client has a programme. */
		line: RebuiltLine | null;
		before: RebuiltLine | null;
		onchange: (stair: HouseRules['stair']) => void;
	}
	let { rules, line, before, onchange }: Props = $props();

	type Step = HouseRules['stair'][number];

	/** Of the line it is tried on; the usual count's where none is. */
	const zone = $derived(line?.zone ?? rules.zones.upToTwelve);
	const WORDS: Record<Step, string> = {
		repetitions: 'repetitions to',
		onePhase: 'one phase slower, or a loaded pause',
		ceiling: 'repetitions to',
		secondMeasure: 'a second measure, pulses or one-and-a-half',
		rest: 'shorter rest, a push first, rest-pause where it is safe'
	};
	const bound = (step: Step) =>
		step === 'repetitions'
			? `${zone.most}`
			: step === 'ceiling'
				? `${zone.ceiling}`
				: step === 'onePhase'
					? `to ${rules.slowestLowering} s down`
					: step === 'secondMeasure'
						? `${rules.techniquesOnLegs} on legs, ${rules.techniquesOnUpperBody} above`
						: '';
	/** From the top of the drawing down: the last measure first. */
	const steps = $derived([...rules.stair].reverse());
	const dose = (of: RebuiltLine | null) =>
		of?.chosen
			? `${of.chosen.prescription.name}, ${of.chosen.prescription.countInWords}, ${of.chosen.prescription.tempo ?? 'by its count'}`
			: '';

	function move(step: Step, by: 1 | -1) {
		const order = [...rules.stair];
		const from = order.indexOf(step);
		const to = from + by;
		const other = order[to];
		if (!other) return;
		order[from] = other;
		order[to] = step;
		onchange(order);
	}
</script>

<ol class="mt-2" aria-label="Measures, the last one first">
	{#each steps as step, i (step)}
		{@const place = rules.stair.length - 1 - i}
		<li
			class="border-base-content/60 flex items-baseline gap-2 border-t-2 border-l-2 py-1.5 pl-2 text-[13px]"
			style:margin-left="{(rules.stair.length - i) * 18}px"
		>
			<span class="min-w-0 flex-1">{WORDS[step]} <b>{bound(step)}</b></span>
			<span class="flex shrink-0 gap-1">
				<button
					class="btn btn-xs btn-ghost h-6 w-6 p-0"
					disabled={place === rules.stair.length - 1}
					aria-label="{WORDS[step]} {bound(step)}: later"
					onclick={() => move(step, 1)}>↑</button
				>
				<button
					class="btn btn-xs btn-ghost h-6 w-6 p-0"
					disabled={place === 0}
					aria-label="{WORDS[step]} {bound(step)}: sooner"
					onclick={() => move(step, -1)}>↓</button
				>
			</span>
		</li>
	{/each}
	<li class="border-base-content border-t-2 border-l-2 py-1.5 pl-2 text-[13px] font-semibold">
		the load that is there
	</li>
</ol>
{#if line?.chosen}
	<div class="border-rule mt-2 border-t pt-2" role="status" aria-label="Tried on">
		<p class="text-soft text-[12.5px]">{line.written.text}</p>
		<p class="font-display text-[16px] leading-tight font-semibold">{dose(line)}</p>
		{#if before && dose(before) !== dose(line)}<p class="text-soft text-[12.5px]">
				before the last change: {dose(before)}
			</p>{/if}
		{#if line.chosen.bridge}<Beam bridge={line.chosen.bridge} range={line.chosen.givenRange} />{/if}
	</div>
{/if}
