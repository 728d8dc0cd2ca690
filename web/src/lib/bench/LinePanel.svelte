<script lang="ts">
	import type { Alternative, LineChoice, RebuiltLine } from '$lib/api/client';
	import { lineFigure } from '$lib/drawing/figures';
	import SetUpFigure from '$lib/drawing/SetUpFigure.svelte';
	import BudgetChart from '$lib/drawing/BudgetChart.svelte';
	import FitBars from '$lib/drawing/FitBars.svelte';
	import Ruler from '$lib/drawing/Ruler.svelte';
	import { between } from '$lib/forecast';
	import { clock, massWithUnit, shownMass, type MassUnit } from '$lib/units';
	import ExercisePick from '$lib/client/ExercisePick.svelte';
	import { UNDOSED } from './bench.svelte';
	import Computation from './Computation.svelte';
	import Gap from './Gap.svelte';
	import Leanings from './Leanings.svelte';
	import TechniqueRow from './TechniqueRow.svelte';
	import TempoDial from './TempoDial.svelte';
	import Totals from './Totals.svelte';

	/** The line in hand: what stands in, what else could, which load, which tempo, and what the forecast says. */
	interface Props {
		client: string;
		line: RebuiltLine;
		unit: MassUnit;
		/** Exercises by id, for asking after one that is not listed. */
		names: Map<string, string>;
		asked: string | null;
		alone: boolean;
		/** Asked by hand: sets are finished on an easier variation. */
		finishEasier: boolean;
		/** The set lab with this line in it. */
		labHref: string;
		onchoose: (change: Partial<LineChoice>) => void;
		onask: (exercise: string) => void;
		oncompare: (other: Alternative) => void;
	}
	let { client, line, unit, names, asked, alone, finishEasier, labHref, onchoose, onask, oncompare }: Props =
		$props();

	const chosen = $derived(line.chosen);
	/** A load for each set: what comes behind is the same exercise. */
	const inBlocks = $derived(
		line.added.length > 0 &&
			line.added.every((a) => a.prescription.exercise === chosen?.prescription.exercise)
	);
	const intent = $derived(line.intent);
	const rung = $derived(chosen ? chosen.ladder.findIndex((r) => r.load === chosen.prescription.load) : -1);
	const wanted = $derived(
		chosen && chosen.wantedLoad !== null && chosen.wantedLoad > 0 ? chosen.wantedLoad : null
	);

	/** Where the exercise asked after stands: its place, or what stands against it. */
	const answer = $derived.by(() => {
		if (!asked) return '';
		const place = line.alternatives.findIndex((a) => a.prescription.exercise === asked);
		const found = line.alternatives[place];
		if (found)
			return `fits ${found.fit.score.toFixed(2)}, listed at ${place + 1}. ${found.reason} ${found.loss ?? found.decided}`;
		const refused = line.refused.find((r) => r.exercise === asked);
		return refused
			? `${refused.reasons.map((r) => r.reason).join('; ')}.`
			: 'trains too little of what this line asks to stand in for it.';
	});

	function take(exercise: string) {
		onchoose({ exercise, ...UNDOSED });
	}
</script>

<h2 class="text-[17px]">{line.written.exerciseName}</h2>
<p class="text-soft mb-1 text-[12.5px]">
	{#if intent}
		{massWithUnit(intent.load, unit)}, {Math.round(intent.demand * 100)} % of an estimated {massWithUnit(
			intent.anchor.maximum,
			unit
		)}
		({shownMass(intent.anchor.low, unit)} to {shownMass(intent.anchor.high, unit)})
	{:else}
		No load to compare: the written count is kept.
	{/if}
</p>
<ol class="mb-1">
	{#each line.alternatives.slice(0, 4) as alternative, i (i)}
		{@const on =
			alternative === chosen || alternative.prescription.exercise === chosen?.prescription.exercise}
		<li>
			<div
				class="border-base-300 grid grid-cols-[1fr_78px] items-start border-t {on
					? 'bg-decide rounded-sm'
					: ''}"
			>
				<button
					class="grid min-w-0 grid-cols-[16px_1fr] items-start gap-1.5 px-1.5 py-1 text-left text-[13px]"
					aria-pressed={on}
					onclick={() => take(alternative.prescription.exercise)}
				>
					<span class="text-soft font-semibold">{i + 1}</span>
					<span class="min-w-0">
						<b class="block truncate">{alternative.prescription.name}</b>
						<span
							class="text-soft block truncate text-xs"
							title="{alternative.reason} {alternative.loss ?? ''} {alternative.decided}"
						>
							{alternative.fit.score.toFixed(2)}, {alternative.prescription.countInWords}. {alternative.leanings.find(
								(l) => l.worth !== 1
							)
								? `${alternative.leanings.find((l) => l.worth !== 1)?.name}.`
								: (alternative.loss ?? alternative.decided)}
						</span>
					</span>
				</button>
				<button
					class="py-1"
					disabled={on}
					title={on ? 'in force' : 'compare with the one in force'}
					aria-label="Compare {alternative.prescription.name} with the one in force"
					onclick={() => oncompare(alternative)}><FitBars fit={alternative.fit} /></button
				>
			</div>
		</li>
	{/each}
	{#each line.refused.slice(0, 1) as refused, i (i)}
		{@const why = refused.reasons.map((r) => r.reason).join('; ')}
		<li
			class="border-base-300 text-soft truncate border-t px-1.5 py-0.5 pl-7 text-xs"
			title="{refused.name}: {why}"
		>
			<s class="decoration-1">{refused.name}</s>
			{why}
		</li>
	{/each}
</ol>
{#if line.refused.length > 1}
	<details class="text-[13px]">
		<summary class="text-soft cursor-pointer">{line.refused.length - 1} more refused, and why</summary>
		<ul>
			{#each line.refused.slice(1) as refused, i (i)}
				<li class="text-soft"><s>{refused.name}</s>: {refused.reasons.map((r) => r.reason).join('; ')}</li>
			{/each}
		</ul>
	</details>
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
		<div class="mt-1 grid min-h-20 grid-cols-[1fr_auto] items-start gap-2">
			<p class="text-soft text-xs">
				{chosen.prescription.loadInWords}{#each chosen.prescription.placement as place, i (i)}. {place}{/each}
			</p>
			{#await lineFigure(client, null, chosen.prescription) then figure}
				{#if figure}
					<SetUpFigure
						{figure}
						label="{chosen.prescription.name}: start pale, end dark"
						class="h-20 w-28"
						letters={13}
					/>
				{/if}
			{/await}
		</div>
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
	<div class="mt-1.5">
		<TechniqueRow
			partial={chosen.prescription.partial}
			pulses={chosen.prescription.pulses}
			form={chosen.prescription.form}
			refused={chosen.notUsed}
			{onchoose}
		/>
		<label class="mt-1 flex items-center gap-2 text-[12.5px]">
			<input
				type="checkbox"
				class="checkbox checkbox-xs"
				checked={finishEasier || chosen.prescription.finishOn !== null}
				onchange={(event) => onchoose({ finishEasier: event.currentTarget.checked })}
			/>
			<span>
				{chosen.prescription.finishOn
					? `each set finished on ${chosen.prescription.finishOn.name.toLowerCase()}, about ${chosen.prescription.finishOn.expected} more`
					: finishEasier
						? 'nothing easier is possible here to finish on'
						: 'finish each set on an easier variation'}
			</span>
		</label>
	</div>
{/if}
{#if inBlocks}
	<p class="text-[12.5px]">Each block of sets has a load of its own; what is turned here is the first.</p>
{:else if line.added.length > 0 || alone}
	<label class="mt-1 flex items-center gap-2 text-[12.5px]">
		<input
			type="checkbox"
			class="checkbox checkbox-xs"
			checked={!alone}
			onchange={(event) => onchoose({ alone: !event.currentTarget.checked })}
		/>
		<span>
			{line.added.length > 0
				? `with ${line.added.map((a) => a.prescription.name.toLowerCase()).join(' and ')} back to back: ${line.covered !== null ? Math.round(line.covered * 100) : 0} % of the muscles covered`
				: 'add a second exercise where one covers too little'}
		</span>
	</label>
{/if}
<div class="my-1">
	<ExercisePick {names} label="and why not…" go="ask" onpick={onask} />
	{#if asked && answer}
		<p class="mt-0.5 text-[12.5px]" role="status">
			<b>{names.get(asked)}</b>: {answer}
			{#if line.alternatives.some((a) => a.prescription.exercise === asked)}
				<button class="underline underline-offset-2" onclick={() => asked && take(asked)}>take it</button>
			{/if}
		</p>
	{/if}
</div>
{#if chosen && chosen.prescription.cautions.length > 0}
	<ul class="border-base-content mt-1 border-l-2 pl-2 text-[12.5px] leading-snug" aria-label="Take care">
		{#each chosen.prescription.cautions as caution, i (i)}<li>{caution}</li>{/each}
	</ul>
{/if}
{#if line.closeness && line.closeness.verdict !== 'kept'}
	<p class="border-accent bg-decide mb-1 border-l-4 px-2 py-1 text-[12.5px]">
		Copied to {line.closeness.reached.toFixed(2)}, needed {line.closeness.required.toFixed(2)}. {line
			.closeness.sentence}
	</p>
{/if}
{#if line.gap}<Gap gap={line.gap} ontake={take} />{/if}
{#each intent?.notes ?? [] as note, i (i)}<p class="text-accent mb-1 text-[12.5px]">{note}</p>{/each}
{#if chosen}
	<p class="text-[12.5px]">{chosen.decided}</p>
	{#if chosen.loses.length > 0}
		<p class="text-[12.5px]"><b>Given up</b>: <span class="text-soft">{chosen.loses.join('; ')}</span></p>
	{/if}
	<Leanings leanings={chosen.leanings} />
{/if}
{#if chosen && intent && chosen.ladder.length > 0}
	<div class="text-soft mt-2 flex items-end justify-between text-[11.5px]">
		<span title="through the sets">Budget{chosen.prescription.perSide ? ', one side' : ''}</span>
		{#if chosen.ranges[0]}
			<span title="four of five times in this range, as the log and the phone foresee it">
				first set to failure
				<b class="font-display text-base-content text-[24px] leading-none font-semibold"
					>{Math.floor(chosen.ranges[0].middle)}</b
				>
				{between(chosen.ranges[0])}
			</span>
		{/if}
	</div>
	<BudgetChart alternative={chosen} />
	{#if chosen.leaves}
		<p class="text-[12.5px]">
			The last set leaves {Math.max(0, Math.floor(chosen.leaves.middle))}, four of five times {between(
				chosen.leaves
			)}{chosen.leaves.low < 0 ? ': on a bad day it ends before its count' : ''}.
		</p>
	{/if}
	{#if chosen.totals}<Totals gym={intent.totals} home={chosen.totals} {unit} />{/if}
	<a class="text-[12.5px] underline underline-offset-2" href={labHref}>Try this set in the lab</a>
	<Computation {line} {chosen} {unit} />
{/if}
