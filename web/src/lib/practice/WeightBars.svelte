<script lang="ts">
	import type { HouseRules } from '$lib/api/client';
	import { FIT_PARTS } from './rules';

	/** What a stand-in copies first, as proportions. */
	let { weights }: { weights: HouseRules['weights'] } = $props();

	const bars = (of: number[]) => {
		const whole = of.reduce((sum, w) => sum + w, 0) || 1;
		let from = 0;
		return of.map((w, i) => {
			const bar = { part: FIT_PARTS[i] ?? '', x: (from / whole) * 100, width: (w / whole) * 100 };
			from += w;
			return bar;
		});
	};
</script>

{#each [{ words: 'main lifts', of: weights.main }, { words: 'the rest', of: weights.accessory }] as { words, of } (words)}
	<div class="text-soft mt-1 text-[12px]">{words}</div>
	<div
		class="flex h-6 w-full gap-px"
		role="img"
		aria-label="{words}: {of.map((w, i) => `${FIT_PARTS[i]} ${w}`).join(', ')}"
	>
		{#each bars(of) as bar (bar.part)}
			<div
				class="text-primary-content bg-primary flex items-center overflow-hidden px-1 text-[11.5px] whitespace-nowrap"
				style:width="{bar.width}%"
				title={bar.part}
			>
				{bar.width > 14 ? bar.part : ''}
			</div>
		{/each}
	</div>
{/each}
