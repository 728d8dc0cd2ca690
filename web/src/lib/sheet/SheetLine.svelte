<script lang="ts">
	import type { FigureView, SheetLine } from '$lib/api/client';
	import SetUpFigure from '$lib/drawing/SetUpFigure.svelte';

	/** An exercise as it is handed out: how it looks, how much, with what, and boxes to write in. */
	interface Props {
		line: SheetLine;
		figure: FigureView | null;
		/** The page is full: on paper the set-up runs on, and there are as many cues as stand in one line. */
		full: boolean;
	}
	let { line, figure, full }: Props = $props();
	const sets = $derived(Array.from({ length: line.sets }, (_, i) => i + 1));
</script>

<section
	class="row {full ? 'close' : ''} border-base-300 grid grid-cols-[150px_1fr_150px] gap-x-4 border-t py-2.5"
>
	<div class="flex items-start justify-center">
		{#if figure && !line.leftOut}
			<SetUpFigure
				{figure}
				label="{line.name}: the start pale, the end dark"
				class="h-[118px] w-[146px] print:h-[74pt] print:w-[112pt]"
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
			<p class="dose font-display text-[21px] leading-tight font-semibold">{line.dose}</p>
			<p>{line.how}</p>
			<p class="font-semibold first-letter:uppercase">{line.with}</p>
			<div class={full ? 'runs-on' : ''}>
				{#each line.setUp as how, i (i)}<p>{how.endsWith('.') ? how : `${how}.`}</p>{/each}
			</div>
			<p class={full ? 'full' : ''}>
				{#each line.cues as cue, i (i)}<span class="mr-3">▪&nbsp;{cue}</span>{/each}
			</p>
			{#each line.behind as drill, i (i)}<p>Between: {drill}</p>{/each}
			{#if line.gym}<p class="small text-soft text-[11px] print:text-black">gym: {line.gym}</p>{/if}
		</div>
		<div class="justify-self-end">
			<div class="small mb-0.5 flex justify-end gap-1.5 text-[11px]">
				{#if line.weighed}<span class="over">load</span>{/if}<span class="over">{line.counted}</span>
			</div>
			{#each sets as set (set)}
				<div class="set mb-1 flex items-center justify-end gap-1.5">
					<span class="small w-5 text-[11px]">{set}</span>
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
	.box,
	.over {
		width: 58px;
	}
	.box {
		height: 20px;
		border: 1px solid currentColor;
	}
	/* On paper the sizes of the PDF, by how many exercises share the page. */
	@media print {
		.row {
			grid-template-columns: 112pt 1fr 112pt;
			column-gap: 10pt;
			padding-block: 2.5pt;
			font-size: max(8.2pt, 9.8pt * var(--set));
			line-height: 1.22;
		}
		.close {
			padding-block: 1.5pt;
		}
		h4 {
			font-size: calc(11.5pt * var(--set));
			line-height: 1.22;
		}
		.dose {
			font-size: calc(16pt * var(--set));
			line-height: 1.22;
		}
		.full {
			display: flex;
			flex-wrap: wrap;
			max-height: 1.22em;
			overflow: hidden;
		}
		.runs-on p {
			display: inline;
			margin-right: 0.4em;
		}
		.small {
			font-size: max(7pt, 8pt * var(--set));
		}
		.box,
		.over {
			width: 46pt;
		}
		.box {
			height: calc(15.5pt * var(--set));
		}
		.set {
			margin-bottom: 3pt;
		}
	}
</style>
