<script lang="ts">
	import type { KitItem, PlaceView } from '$lib/api/client';
	import { massWithUnit, shownMass, type MassUnit } from '$lib/units';
	import { kitTrouble, kitWords, limitWords } from './words';

	/** What is there to load and pull with, each in two lines. */
	interface Props {
		view: PlaceView;
		unit: MassUnit;
		onpick: (item: KitItem) => void;
	}
	let { view, unit, onpick }: Props = $props();

	/** Lightest to heaviest single load of a thing; empty for what gives none of its own. */
	function span(item: KitItem): string {
		const held = view.implements.find((h) => h.kitId === item.id && h.hold !== 'footOnScale');
		const rungs = held?.ladder.rungs ?? [];
		if (rungs.length === 0) return '';
		return rungs.length === 1
			? massWithUnit(rungs[0]?.load ?? 0, unit)
			: `${shownMass(rungs[0]?.load ?? 0, unit)} to ${massWithUnit(rungs.at(-1)?.load ?? 0, unit)} in ${rungs.length} steps`;
	}
</script>

<ul class="grid grid-cols-2 gap-x-5">
	{#each view.home.kit as item (item.id)}
		{@const trouble = kitTrouble(item, view)}
		{@const limit = limitWords(item, view, unit)}
		<li class="border-rule min-w-0 border-t">
			<button class="hover:bg-base-200 w-full py-1 text-left leading-[1.25]" onclick={() => onpick(item)}>
				<span class="flex items-baseline gap-2">
					{#if item.kind === 'band' && item.swatch}<span
							class="inline-block h-2.5 w-5 shrink-0 self-center rounded-full"
							style:background-color={`#${item.swatch}`}
						></span>{/if}
					<b class="font-display truncate text-[14.5px]">{item.name}</b>
					<span class="text-soft ml-auto text-[12px] whitespace-nowrap">{span(item)}</span>
				</span>
				<span class="block truncate text-[12.5px]">{kitWords(item, unit)}</span>
				{#if trouble}<span class="text-accent block truncate text-[12px]">{trouble}</span>
				{:else if limit}<span class="text-soft block truncate text-[12px]">{limit}</span>{/if}
			</button>
		</li>
	{/each}
</ul>
