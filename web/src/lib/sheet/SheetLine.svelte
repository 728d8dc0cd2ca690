<script lang="ts">
	import type { FigureView, SheetLine } from '$lib/api/client';
	import SetUpFigure from '$lib/drawing/SetUpFigure.svelte';

	/** An exercise as it is handed out: how it looks, how much, with what, and boxes to write in. */
	let { line, figure }: { line: SheetLine; figure: FigureView | null } = $props();
	const sets = $derived(Array.from({ length: line.sets }, (_, i) => i + 1));
</script>

<section class="row border-base-300 grid grid-cols-[150px_1fr_150px] gap-x-4 border-t py-2.5">
	<div class="flex items-start justify-center">
		{#if figure && !line.leftOut}
			<SetUpFigure
				{figure}
				label="{line.name}: the start pale, the end dark"
				class="h-[118px] w-[146px]"
				letters={11}
			/>
		{/if}
	</div>
	{#if line.leftOut}
		<div class="col-span-2">
			<h4 class="text-[15px] font-semibold">{line.tag ? `${line.tag}  ` : ''}{line.name}</h4>
			<p class="font-semibold">Not now: {line.leftOut}</p>
		</div>
	{:else}
		<div>
			<h4 class="text-[15px] leading-tight font-semibold">
				{#if line.tag}<span class="tag">{line.tag}</span>{/if}{line.name}
			</h4>
			<p class="font-display text-[21px] leading-tight font-semibold">{line.dose}</p>
			<p>{line.how}</p>
			<p class="font-semibold first-letter:uppercase">{line.with}</p>
			{#each line.setUp as how, i (i)}<p>{how.endsWith('.') ? how : `${how}.`}</p>{/each}
			<p>
				{#each line.cues as cue, i (i)}<span class="mr-3">▪ {cue}</span>{/each}
			</p>
			{#each line.behind as drill, i (i)}<p>Between: {drill}</p>{/each}
			{#if line.gym}<p class="text-soft text-[11px] print:text-black">gym: {line.gym}</p>{/if}
		</div>
		<div class="justify-self-end">
			<div class="mb-0.5 flex justify-end gap-1.5 text-[11px]">
				{#if line.weighed}<span class="w-[58px]">load</span>{/if}<span class="w-[58px]">{line.counted}</span>
			</div>
			{#each sets as set (set)}
				<div class="mb-1 flex items-center justify-end gap-1.5">
					<span class="w-5 text-[11px]">{set}</span>
					{#if line.weighed}<span class="box"></span>{/if}<span class="box"></span>
				</div>
			{/each}
		</div>
	{/if}
</section>

<style>
	.row {
		break-inside: avoid;
	}
	.tag {
		border: 1px solid currentColor;
		border-radius: 3px;
		padding: 0 5px;
		margin-right: 6px;
		font-size: 11.5px;
	}
	.box {
		width: 58px;
		height: 20px;
		border: 1px solid currentColor;
	}
</style>
