<script lang="ts">
	import type { School, Teaching } from '$lib/api/client';

	/** The questions coaches differ on, with the side taken and the reason for the default. */
	interface Props {
		schools: School[];
		/** Sides taken against what stands otherwise. */
		taken: Teaching[];
		/** For a client: the practice's sides, which stand where nothing else is agreed. */
		under?: Teaching[] | null;
		onchange: (taken: Teaching[]) => void;
	}
	let { schools, taken, under = null, onchange }: Props = $props();

	const sideOf = (school: School, list: Teaching[]) =>
		list.find((t) => school.sides.some((s) => s.teaching === t));

	function take(school: School, side: string) {
		const others = taken.filter((t) => !school.sides.some((s) => s.teaching === t));
		const usual = under === null ? school.sides[0]?.teaching : null;
		onchange(side === '' || side === usual ? others : [...others, side as Teaching]);
	}
</script>

{#each schools as school (school.question)}
	{@const own = sideOf(school, taken)}
	{@const practice = under === null ? undefined : (sideOf(school, under) ?? school.sides[0]?.teaching)}
	<label
		class="border-rule grid grid-cols-[1fr_minmax(0,200px)] items-center gap-x-3 border-t py-1 text-[13px]"
	>
		<span>{school.question}</span>
		<select
			class="select select-xs w-full truncate appearance-none! pr-8! {own ? 'font-semibold' : ''}"
			value={own ?? (under === null ? school.sides[0]?.teaching : '')}
			onchange={(event) => take(school, event.currentTarget.value)}
		>
			{#if under !== null}
				<option value="">practice: {school.sides.find((s) => s.teaching === practice)?.words}</option>
			{/if}
			{#each school.sides as side (side.teaching)}<option value={side.teaching}>{side.words}</option>{/each}
		</select>
		{#if under === null}<span class="text-soft col-span-2 text-[12px] leading-tight">{school.why}</span>{/if}
	</label>
{/each}
