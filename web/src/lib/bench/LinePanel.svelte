<script lang="ts">
	import type { LineChoice, RebuiltLine } from '$lib/api/client';
	import BudgetChart from '$lib/drawing/BudgetChart.svelte';
	import FitBars from '$lib/drawing/FitBars.svelte';
	import Ruler from '$lib/drawing/Ruler.svelte';
	import { clock, massWithUnit, shownMass, type MassUnit } from '$lib/units';
	import Computation from './Computation.svelte';
	import TempoDial from './TempoDial.svelte';

	/** The line in hand: what stands in, what else could, which load, which tempo, and what the forecast says. */
	interface Props {
		line: RebuiltLine;
		unit: MassUnit;
		onchoose: (change: Partial<LineChoice>) => void;
	}
	let { line, unit, onchoose }: Props = $props();

	const chosen = $derived(line.chosen);
	const intent = $derived(line.intent);
	const rung = $derived(chosen ? chosen.ladder.findIndex((r) => r.load === chosen.prescription.load) : -1);
	const wanted = $derived(
		chosen && chosen.wantedLoad !== null && chosen.wantedLoad > 0 ? chosen.wantedLoad : null
	);

	function take(exercise: string) {
		onchoose({ exercise, load: null, repetitions: null, tempo: null, rest: null });
	}
</script>

<h2 class="text-[17px]">{line.written.exerciseName}</h2>
<p class="text-soft mb-1 text-[12.5px]">
	{#if intent}
		{massWithUnit(intent.load, unit)} of an estimated {massWithUnit(intent.anchor.maximum, unit)}
		({shownMass(intent.anchor.low, unit)} to {shownMass(intent.anchor.high, unit)})
	{:else}
		No load to compare: the written count is kept.
	{/if}
</p>
{#each intent?.notes ?? [] as note (note)}<p class="text-accent mb-1 text-[12.5px]">{note}</p>{/each}

<ol class="mb-1">
	{#each line.alternatives.slice(0, 4) as alternative, i (alternative.prescription.exercise)}
		{@const on =
			alternative === chosen || alternative.prescription.exercise === chosen?.prescription.exercise}
		<li>
			<button
				class="border-base-300 grid w-full grid-cols-[16px_1fr_78px] items-start gap-1.5 border-t px-1.5 py-1 text-left text-[13px] {on
					? 'bg-decide rounded-sm'
					: ''}"
				aria-pressed={on}
				onclick={() => take(alternative.prescription.exercise)}
			>
				<span class="text-soft font-semibold">{i + 1}</span>
				<span class="min-w-0">
					<b class="block truncate">{alternative.prescription.name}</b>
					<span
						class="text-soft block truncate text-xs"
						title="{alternative.reason} {alternative.loss ?? ''}"
					>
						{alternative.prescription.countInWords}, fits {alternative.fit.score.toFixed(2)}{alternative.loss
							? `. ${alternative.loss}`
							: ''}
					</span>
				</span>
				<FitBars fit={alternative.fit} />
			</button>
		</li>
	{/each}
	{#each line.refused.slice(0, 2) as refused (refused.exercise)}
		<li class="border-base-300 text-soft border-t px-1.5 py-1 pl-7 text-[13px]">
			<s class="decoration-1">{refused.name}</s>
			<span class="block truncate text-xs" title={refused.reasons.map((r) => r.reason).join('; ')}>
				{refused.reasons.map((r) => r.reason).join('; ')}
			</span>
		</li>
	{/each}
</ol>
{#if line.refused.length > 2}
	<details class="text-[13px]">
		<summary class="text-soft cursor-pointer">{line.refused.length - 2} more refused, and why</summary>
		<ul>
			{#each line.refused.slice(2) as refused (refused.exercise)}
				<li class="text-soft"><s>{refused.name}</s>: {refused.reasons.map((r) => r.reason).join('; ')}</li>
			{/each}
		</ul>
	</details>
{/if}

{#if chosen && chosen.prescription.cautions.length > 0}
	<ul class="border-base-content mt-1 border-l-2 pl-2 text-[12.5px] leading-snug" aria-label="Take care">
		{#each chosen.prescription.cautions as caution (caution)}<li>{caution}</li>{/each}
	</ul>
{/if}

{#if chosen && intent && chosen.ladder.length > 0}
	<div class="border-base-300 mt-1 border-t pt-1.5">
		{#if chosen.ladder.length > 1}
			<div class="flex justify-between text-xs">
				<span class="text-soft"
					>{chosen.prescription.hold === 'pair' ? 'Both hands together' : 'Load'}, {unit === 'pound'
						? 'lb'
						: 'kg'}</span
				>
				{#if wanted}<span class="text-soft">asked about {shownMass(wanted, unit)}</span>{/if}
			</div>
			<Ruler
				loads={chosen.ladder.map((r) => r.load)}
				show={(load) => shownMass(load, unit)}
				{wanted}
				chosen={rung}
				onslide={(to) => onchoose({ load: chosen.ladder[to]?.load ?? null })}
			/>
		{/if}
		{#if chosen.ladder[rung]?.pull}
			{@const pull = chosen.ladder[rung].pull}
			<p class="mt-1 text-xs">
				{chosen.prescription.load < 0 ? 'Takes off at the bottom' : 'Pulls at the start'}
				<b>{shownMass(pull.start, unit)}</b>, in the middle <b>{shownMass(pull.middle, unit)}</b>, at the {chosen
					.prescription.load < 0
					? 'top'
					: 'end'} <b>{massWithUnit(pull.end, unit)}</b>; mean {shownMass(pull.mean, unit)}.
				{#if pull.rough}<span class="text-accent">Rough: one pull only.</span>{/if}
				{#if pull.pastMeasured}<span class="text-accent">Longer than it was ever measured.</span>{/if}
			</p>
		{/if}
		<p class="text-soft mt-1 text-xs">
			{chosen.prescription.loadInWords}{#each chosen.prescription.placement as place (place)}. {place}{/each}
		</p>
	</div>

	<div class="mt-2 flex items-end gap-3">
		<TempoDial tempo={chosen.prescription.tempo ?? '2-0-1-0'} onturn={(tempo) => onchoose({ tempo })} />
		<label class="text-soft text-[11.5px]">
			rest<span class="block">
				<select
					class="border-base-300 bg-base-100 font-display text-base-content h-9 rounded-sm border px-1 text-[17px] font-semibold"
					value={chosen.prescription.rest}
					onchange={(event) => onchoose({ rest: Number(event.currentTarget.value) })}
				>
					{#each [...new Set( [0, 15, 20, 30, 45, 60, 75, 90, 105, 120, 150, 180, 240, 300, chosen.prescription.rest] )].sort((a, b) => a - b) as rest (rest)}
						<option value={rest}>{clock(rest)}</option>
					{/each}
				</select>
			</span>
		</label>
		<label class="text-soft text-[11.5px]">
			reps<span class="block">
				<input
					type="number"
					min="1"
					max="100"
					class="border-base-300 bg-base-100 font-display text-base-content h-9 w-14 rounded-sm border px-1 text-[17px] font-semibold"
					value={chosen.prescription.counts.at(-1)}
					onchange={(event) => {
						const repetitions = event.currentTarget.valueAsNumber;
						if (repetitions >= 1 && repetitions <= 100) onchoose({ repetitions: Math.round(repetitions) });
					}}
				/>
			</span>
		</label>
	</div>
	<div class="text-soft mt-2 flex items-end justify-between text-[11.5px]">
		<span>Budget through the sets{chosen.prescription.perSide ? ', one side' : ''}</span>
		{#if chosen.toFailure}
			<span>
				to failure, rested
				<b class="font-display text-base-content text-[24px] leading-none font-semibold"
					>{Math.floor(chosen.toFailure.middle)}</b
				>
				{Math.floor(chosen.toFailure.low)} to {Math.floor(chosen.toFailure.high)}
			</span>
		{/if}
	</div>
	<BudgetChart alternative={chosen} />
	<Computation {line} {chosen} {unit} />
{/if}
