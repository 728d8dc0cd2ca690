<script lang="ts">
	import type { Block, Phase } from '$lib/api/client';
	import { PURPOSES } from './phases';

	/** Phases of a block, its first day, its rhythm and how it goes on. Every change is laid out at once. */
	let { block, onchange }: { block: Block; onchange: (block: Block) => void } = $props();

	const weeks = $derived(block.phases.reduce((sum, p) => sum + p.weeks, 0));

	function change(place: number, part: Partial<Phase>) {
		onchange({ ...block, phases: block.phases.map((p, i) => (i === place ? { ...p, ...part } : p)) });
	}

	function add() {
		onchange({
			...block,
			phases: [
				...block.phases,
				{
					name: block.phases.length === 0 ? 'Settle in' : `Phase ${block.phases.length + 1}`,
					purpose: block.phases.at(-1)?.purpose ?? 'growth',
					weeks: 4,
					endsEasier: true
				}
			]
		});
	}
</script>

<div class="flex flex-col gap-3 text-[13px]">
	<label class="flex items-center justify-between gap-2">
		First day
		<input
			type="date"
			class="input input-sm bg-base-100 w-36"
			value={block.starts ?? ''}
			onchange={(e) => onchange({ ...block, starts: e.currentTarget.value || null })}
		/>
	</label>
	{#each block.phases as phase, i (i)}
		<fieldset class="border-rule border-t pt-2">
			<legend class="sr-only">Phase {i + 1}</legend>
			<div class="flex items-center gap-2">
				<input
					class="input input-sm bg-base-100 min-w-0 flex-1 font-semibold"
					aria-label="Name of phase {i + 1}"
					maxlength="60"
					value={phase.name}
					onchange={(e) => change(i, { name: e.currentTarget.value })}
				/>
				<div class="flex items-center gap-1" role="group" aria-label="Weeks of phase {i + 1}">
					<button
						class="btn btn-xs"
						aria-label="A week less"
						disabled={phase.weeks <= 1}
						onclick={() => change(i, { weeks: phase.weeks - 1 })}>−</button
					>
					<span class="font-display w-12 text-center text-[15px] font-semibold"
						>{phase.weeks}<span class="text-soft text-[11px] font-normal">&nbsp;wk</span></span
					>
					<button
						class="btn btn-xs"
						aria-label="A week more"
						disabled={phase.weeks >= 12}
						onclick={() => change(i, { weeks: phase.weeks + 1 })}>+</button
					>
				</div>
			</div>
			<select
				class="select select-sm bg-base-100 mt-1 w-full"
				aria-label="What phase {i + 1} is for"
				value={phase.purpose}
				onchange={(e) => change(i, { purpose: e.currentTarget.value as Phase['purpose'] })}
			>
				{#each Object.entries(PURPOSES) as [purpose, words] (purpose)}<option value={purpose}>{words}</option
					>{/each}
			</select>
			<div class="mt-1 flex items-center justify-between">
				<label class="flex items-center gap-2">
					<input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={phase.endsEasier}
						onchange={(e) => change(i, { endsEasier: e.currentTarget.checked })}
					/> last week easier
				</label>
				<button
					class="text-soft underline underline-offset-2"
					onclick={() => onchange({ ...block, phases: block.phases.filter((_, at) => at !== i) })}
					>take out</button
				>
			</div>
		</fieldset>
	{:else}
		<label class="border-rule flex items-center justify-between gap-2 border-t pt-2">
			Open-ended; look at it again every
			<span class="flex items-center gap-1">
				<input
					type="number"
					min="1"
					max="12"
					class="input input-sm bg-base-100 w-16"
					value={block.reviewEvery}
					onchange={(e) => onchange({ ...block, reviewEvery: e.currentTarget.valueAsNumber || 4 })}
				/> weeks
			</span>
		</label>
	{/each}
	<div class="flex items-baseline justify-between">
		<button class="btn btn-sm" disabled={weeks > 48} onclick={add}>Add a phase</button>
		{#if weeks > 0}<span class="text-soft">{weeks} weeks in all</span>{/if}
	</div>
	<label class="border-rule flex items-center gap-2 border-t pt-2">
		<input
			type="checkbox"
			class="checkbox checkbox-sm"
			checked={block.firstWeekLighter}
			onchange={(e) => onchange({ ...block, firstWeekLighter: e.currentTarget.checked })}
		/> first week lighter: fewer sets
	</label>
	<label class="flex items-center justify-between gap-2">
		Days
		<select
			class="select select-sm bg-base-100 w-48"
			value={block.rhythm}
			onchange={(e) => onchange({ ...block, rhythm: e.currentTarget.value as Block['rhythm'] })}
		>
			<option value="onTheirDays">the client's weekdays</option>
			<option value="everySecondDay">every second day, in turn</option>
		</select>
	</label>
	<label class="flex items-center justify-between gap-2">
		Goes on by
		<select
			class="select select-sm bg-base-100 w-48"
			value={block.progress ?? ''}
			onchange={(e) => onchange({ ...block, progress: (e.currentTarget.value || null) as Block['progress'] })}
		>
			<option value="">the house rule</option>
			<option value="loadFirst">load first</option>
			<option value="milestones">milestones</option>
			<option value="density">density</option>
		</select>
	</label>
</div>
