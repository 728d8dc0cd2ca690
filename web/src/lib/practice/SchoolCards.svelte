<script lang="ts">
	import type { School, Teaching } from '$lib/api/client';
	import { inForce, taking } from './ruleTrial.svelte';

	/** The questions coaches differ on, each with its sides laid open and what the other one would change. */
	interface Props {
		schools: School[];
		taken: Teaching[];
		/** Lines of the tried programme a side would change. */
		moves: Partial<Record<Teaching, number>>;
		/** Lines of it in all. */
		lines: number;
		onchange: (taken: Teaching[]) => void;
	}
	let { schools, taken, moves, lines, onchange }: Props = $props();

	/** The most that another side than the one in force would change. */
	const moved = (school: School) =>
		Math.max(
			0,
			...school.sides.map((s) => (inForce(school, taken) === s.teaching ? 0 : (moves[s.teaching] ?? 0)))
		);
	const known = (school: School) =>
		school.sides.every((s) => inForce(school, taken) === s.teaching || moves[s.teaching] !== undefined);
</script>

{#each schools as school (school.question)}
	<div class="border-rule border-t py-1.5" role="group" aria-label={school.question}>
		<div class="flex items-baseline justify-between gap-3 text-[13px]">
			<b class="font-display">{school.question}</b>
			<span class="text-soft text-[12px]">
				{lines > 0 && known(school)
					? moved(school) > 0
						? `moves ${moved(school)} of ${lines} lines`
						: 'moves no line here'
					: ''}
			</span>
		</div>
		<div
			class="mt-1 grid gap-1.5"
			style:grid-template-columns="repeat({school.sides.length}, minmax(0, 1fr))"
		>
			{#each school.sides as side, i (side.teaching)}
				{@const on = inForce(school, taken) === side.teaching}
				<button
					class="rounded-sm border px-2 py-1 text-left text-[13px] leading-tight {on
						? 'border-base-content bg-base-100 font-semibold'
						: 'border-base-300 text-soft'}"
					aria-pressed={on}
					title={i === 0 ? school.why : `Usual: ${school.sides[0]?.words}. ${school.why}`}
					onclick={() => onchange(taking(school, side.teaching, taken))}
				>
					<span aria-hidden="true">{on ? '●' : '○'}</span>
					{side.words}
				</button>
			{/each}
		</div>
	</div>
{/each}
