<script lang="ts">
	import type { SetTotals } from '$lib/api/client';
	import { clock, massWithUnit, type MassUnit } from '$lib/units';

	/** Figures that compare though the repetitions are of unlike kinds. */
	interface Props {
		gym: SetTotals;
		home: SetTotals;
		unit: MassUnit;
	}
	let { gym, home, unit }: Props = $props();

	const whole = (count: number) => (Number.isInteger(count) ? `${count}` : count.toFixed(1));
	const rows = $derived([
		['effective', gym.effective.toFixed(1), home.effective.toFixed(1)],
		['under load', clock(gym.underLoad), clock(home.underLoad)],
		['whole reps', whole(gym.wholeMovements), whole(home.wholeMovements)],
		['volume', massWithUnit(gym.volume, unit), massWithUnit(home.volume, unit)]
	]);
</script>

<table class="mt-1 w-full text-[12px]" aria-label="Gym and home sets compared, one side">
	<thead class="sr-only">
		<tr
			><th>of all sets</th>{#each rows as [name] (name)}<th>{name}</th>{/each}</tr
		>
	</thead>
	<tbody>
		<tr class="text-soft">
			<td></td>{#each rows as [name] (name)}<td class="text-right">{name}</td>{/each}
		</tr>
		<tr>
			<td class="text-soft">gym</td>{#each rows as [name, of] (name)}<td class="text-right">{of}</td>{/each}
		</tr>
		<tr class="font-semibold">
			<td class="text-soft font-normal">home</td>{#each rows as [name, , here] (name)}<td class="text-right"
					>{here}</td
				>{/each}
		</tr>
	</tbody>
</table>
