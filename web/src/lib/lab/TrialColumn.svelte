<script lang="ts">
	import type { CatalogueExercise, SetTrial, TrialView } from '$lib/api/client';
	import ExercisePick from '$lib/client/ExercisePick.svelte';
	import TechniqueRow from '$lib/bench/TechniqueRow.svelte';
	import TempoDial from '$lib/bench/TempoDial.svelte';
	import MassField from '$lib/home/MassField.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import { massWithUnit, type MassUnit } from '$lib/units';
	import DragSeconds from './DragSeconds.svelte';

	/** One of the two sets: everything about it that can be turned. */
	interface Props {
		letter: string;
		trial: SetTrial;
		view: TrialView | null;
		wrong: string[];
		exercises: Map<string, CatalogueExercise>;
		names: Map<string, string>;
		unit: MassUnit;
		onchange: (part: Partial<SetTrial>) => void;
	}
	let { letter, trial, view, wrong, exercises, names, unit, onchange }: Props = $props();

	const MOST_REST = 600;
	const exercise = $derived(exercises.get(trial.exercise));
	const body = $derived(exercise?.load.body ?? 'none');
	const heights = $derived(
		(body === 'pushUp' || body === 'pike'
			? ['hands', 'feet']
			: body === 'kneelingPushUp'
				? ['hands']
				: body.startsWith('rowUnderGrip')
					? ['grip']
					: body === 'standingLeanRow'
						? ['grip', 'feetOut']
						: []) as ('hands' | 'feet' | 'grip' | 'feetOut')[]
	);
	const HEIGHT = { hands: 'hands at', feet: 'feet at', grip: 'grip at', feetOut: 'heels in front by' };
	const forecast = $derived(view?.forecast);
	/** To the maximum, where it is known how much that is. */
	const heaviest = $derived(
		forecast ? Math.ceil(Math.max(5, trial.load * 1.2, trial.load / Math.max(0.1, forecast.demand))) : 100
	);
	const counts = $derived(trial.repetitions.join('/'));
	const bouts = $derived(trial.form === 'restPause' ? forecast?.sets.map((s) => s.planned) : undefined);

	/** "4 x 8" or "10/10/8". */
	function readCounts(typed: string) {
		const times = /^\s*(\d+)\s*[x×*]\s*(\d+)\s*$/i.exec(typed);
		const repetitions = times
			? Array.from({ length: Math.min(20, Number(times[1])) }, () => Number(times[2]))
			: typed
					.split(/[/+,\s]+/)
					.filter((part) => part !== '')
					.map(Number);
		if (repetitions.length > 0 && repetitions.every((n) => Number.isInteger(n))) onchange({ repetitions });
	}

	function setHeight(which: 'hands' | 'feet' | 'grip' | 'feetOut', centimetres: number | null) {
		const none = { hands: null, feet: null, grip: null, feetOut: null };
		onchange({
			geometry: {
				...none,
				...trial.geometry,
				[which]: centimetres === null ? null : centimetres / 100
			}
		});
	}
</script>

<section class="min-h-0 overflow-auto px-4 py-2.5" aria-label="Set {letter}">
	<div class="flex items-baseline gap-2">
		<span class="font-display text-[22px] leading-none font-bold">{letter}</span>
		<h2 class="min-w-0 truncate text-[16px]">{exercise?.name ?? trial.exercise}</h2>
	</div>
	<div class="mt-1">
		<ExercisePick
			{names}
			label="another exercise"
			go="take"
			onpick={(id) => onchange({ exercise: id, geometry: null })}
		/>
	</div>
	{#each wrong as message, i (i)}
		<p class="border-accent bg-decide mt-1 border-l-4 px-2 py-1 text-[12.5px]" role="alert">{message}</p>
	{/each}

	<div class="mt-2 grid grid-cols-[112px_1fr] items-end gap-2">
		<MassField
			label={exercise?.holds.length === 1 && exercise.holds[0] === 'pair' ? 'both hands' : 'load'}
			kilograms={trial.load}
			{unit}
			onread={(load) => load !== null && onchange({ load })}
		/>
		<input
			type="range"
			class="range range-xs mb-2"
			aria-label="load of set {letter}"
			min="0"
			max={heaviest}
			step="0.5"
			value={trial.load}
			oninput={(event) => onchange({ load: event.currentTarget.valueAsNumber })}
		/>
	</div>
	{#if heights.length > 0}
		<div class="mt-1 grid grid-cols-2 gap-2">
			{#each heights as which (which)}
				<NumberField
					label="{HEIGHT[which]}, cm"
					decimals={0}
					value={trial.geometry?.[which] != null ? Number(trial.geometry[which]) * 100 : null}
					onread={(cm) => setHeight(which, cm)}
				/>
			{/each}
		</div>
	{/if}

	<div class="mt-2 flex items-end gap-3">
		<label class="text-soft text-[11.5px]">
			{trial.form === 'restPause' ? 'first bout' : 'sets'}<span class="block">
				<input
					class="border-base-300 bg-base-100 font-display text-base-content h-9 w-[132px] rounded-sm border px-1.5 text-[17px] font-semibold"
					value={counts}
					title="4 x 8, or one count a set: 10/10/8"
					onchange={(event) => {
						readCounts(event.currentTarget.value);
						event.currentTarget.value = counts;
					}}
				/>
			</span>
		</label>
		<DragSeconds
			label={trial.form === 'restPause' ? 'rest (20 s inside)' : 'rest'}
			seconds={trial.rest}
			most={MOST_REST}
			onturn={(rest) => onchange({ rest })}
		/>
	</div>
	<div class="mt-2">
		<TempoDial tempo={trial.tempo} most={[10, 10, 10, 10]} onturn={(tempo) => onchange({ tempo })} />
	</div>
	<div class="mt-2">
		<TechniqueRow
			partial={trial.partial}
			pulses={trial.pulses}
			form={trial.form}
			refused={view?.techniques.refused ?? []}
			onchoose={onchange}
		/>
	</div>
	{#if bouts}
		<p class="mt-1 text-[12.5px]">
			Bouts {bouts.join(' + ')}: {bouts.reduce((sum, b) => sum + b, 0)} in all, 20 s between.
		</p>
	{/if}
	{#each forecast?.told ?? [] as told, i (i)}<p class="mt-1 text-[12.5px]">{told}.</p>{/each}
	{#if forecast}
		<p class="text-soft mt-2 text-[12.5px]">
			Estimated maximum {massWithUnit(forecast.anchor.maximum, unit)}{forecast.anchor.isTotal
				? ', body counted'
				: ''}. {forecast.anchor.story}.
		</p>
		<p class="text-soft mt-1 text-[12.5px]">
			Usual for {forecast.goal.goal}: {Math.round(forecast.goal.leastPercent * 100)} to {Math.round(
				forecast.goal.mostPercent * 100
			)} %, {forecast.goal.leastRepetitions} to {forecast.goal.mostRepetitions} reps, {forecast.goal
				.leastSets} to {forecast.goal.mostSets} sets.
		</p>
	{/if}
	{#if view && view.acceleration !== null}
		<p class="text-soft mt-1 text-[12.5px]">
			Lifted fast: pushing it up at {Number(view.acceleration).toFixed(1)} m/s² would press back like the other
			load held still. Partial at best; the set ends when the speed drops.
		</p>
	{/if}
	{#each exercise?.cautions ?? [] as caution, i (i)}
		<p class="border-base-content mt-1 border-l-2 pl-2 text-[12.5px]">{caution}</p>
	{/each}
</section>
