<script lang="ts">
	import type { ClientProfile } from '$lib/api/client';
	import NumberField from '$lib/home/NumberField.svelte';
	import MassField from '$lib/home/MassField.svelte';
	import { shortDay } from '$lib/units';
	import ExercisePick from './ExercisePick.svelte';

	/** Sets that are known: every load at home stands on these. */
	interface Props {
		profile: ClientProfile;
		names: Map<string, string>;
		today: string;
		onchange: (lifts: ClientProfile['lifts']) => void;
	}
	let { profile, names, today, onchange }: Props = $props();
	const lifts = $derived(profile.lifts);
	const put = (i: number, part: Partial<ClientProfile['lifts'][number]>) =>
		onchange(lifts.map((lift, at) => (at === i ? { ...lift, ...part } : lift)));
</script>

{#if lifts.length === 0}
	<p class="text-accent text-[13px]">
		No lift is known: every load stands on level and body mass, with a wide range. One hard set of a press, a
		pull, a squat and a hinge is enough.
	</p>
{/if}
<table class="w-full text-[13px]">
	<thead class="text-soft text-left">
		<tr>
			<th class="font-normal">lift</th>
			<th class="w-[4.5rem] font-normal">load</th>
			<th class="w-14 font-normal">reps</th>
			<th class="w-16 font-normal">left over</th>
			<th class="w-14 pl-2 font-normal">day</th>
			<th class="w-14"><span class="sr-only">take out</span></th>
		</tr>
	</thead>
	<tbody>
		{#each lifts as lift, i (i)}
			<tr class="border-rule border-t">
				<td><b>{names.get(lift.exercise) ?? lift.exercise}</b></td>
				<td
					><MassField
						small
						label="Load of {names.get(lift.exercise)}"
						kilograms={lift.load}
						unit={profile.unit}
						onread={(kg) => put(i, { load: kg ?? 0 })}
					/></td
				>
				<td
					><NumberField
						small
						label="Repetitions of {names.get(lift.exercise)}"
						value={lift.repetitions}
						decimals={0}
						onread={(n) => put(i, { repetitions: Math.round(n ?? 1) })}
					/></td
				>
				<td
					><NumberField
						small
						label="Left over after {names.get(lift.exercise)}"
						value={lift.reserve}
						onread={(n) => put(i, { reserve: n ?? 0 })}
					/></td
				>
				<td class="text-soft pl-2 whitespace-nowrap">{lift.on ? shortDay(lift.on) : ''}</td>
				<td
					><button class="btn btn-xs btn-ghost" onclick={() => onchange(lifts.filter((_, at) => at !== i))}
						>out</button
					></td
				>
			</tr>
		{/each}
	</tbody>
</table>
<div class="mt-1">
	<ExercisePick
		{names}
		label="another known lift"
		onpick={(exercise) => onchange([...lifts, { exercise, load: 40, repetitions: 8, reserve: 2, on: today }])}
	/>
</div>
