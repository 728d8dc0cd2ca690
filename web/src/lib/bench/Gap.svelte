<script lang="ts">
	import type { LoadGap } from '$lib/api/client';

	/** A load that stays below what was asked, and the ways to it. */
	let { gap, ontake }: { gap: LoadGap; ontake: (exercise: string) => void } = $props();
	const ways = $derived(
		[
			{ name: 'Leverage', way: gap.leverage },
			{ name: 'One limb', way: gap.oneLimb },
			{ name: 'Smallest purchase', way: gap.purchase }
		].flatMap(({ name, way }) => (way ? [{ name, way }] : []))
	);
</script>

<div
	class="border-accent bg-decide mb-1 border-l-4 px-2 py-1 text-[12.5px]"
	role="note"
	aria-label="Load short"
>
	{gap.sentence}
	{#each ways as { name, way } (name)}
		<span class="block"
			><b>{name}</b>:
			{#if way.exercise}
				<button class="underline underline-offset-2" onclick={() => way.exercise && ontake(way.exercise)}
					>{way.words}</button
				>{:else}{way.words}{/if}.</span
		>
	{:else}
		<span class="block">Nothing here and nothing on the price list reaches it.</span>
	{/each}
</div>
