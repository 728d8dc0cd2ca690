<script lang="ts">
	import type { Bridge, EffectiveRange, Measure } from '$lib/api/client';

	/** The bridge of a line: two posts, and between them what carries the gym set's effect at home. */
	interface Props {
		bridge: Bridge;
		/** Effective repetitions, four of five times. */
		range?: EffectiveRange | null;
	}
	let { bridge, range = null }: Props = $props();

	const LEFT = 10;
	const SPAN = 176;
	const full = $derived(Math.max(bridge.asked, bridge.given, 0.1));
	const open = $derived(Math.max(0, bridge.asked - bridge.given));
	const asked = $derived(Math.round(bridge.asked));
	const given = $derived(Math.round(bridge.given));
	const span = $derived(
		range && Math.round(range.high) > Math.round(range.low)
			? `${Math.round(range.low)} to ${Math.round(range.high)}`
			: ''
	);
	const bars = $derived.by(() => {
		let from = 0;
		return bridge.parts.map((part) => {
			const bar = { ...part, x: LEFT + (from / full) * SPAN, width: (part.effective / full) * SPAN };
			from += part.effective;
			return bar;
		});
	});
	const fillOf = (measure: Measure) =>
		measure === 'load' ? 'var(--color-primary)' : `url(#hatch-${measure})`;
	const words = $derived(bridge.parts.map((part) => part.text).join(', '));
</script>

<svg
	width="200"
	height="78"
	viewBox="0 0 200 78"
	role="img"
	aria-label="Asked {asked} effective repetitions, given {given}{span
		? `, ${span} four of five times`
		: ''}{open >= 0.5 ? `, ${Math.round(open)} open` : ''}: {words}"
>
	<path d="M{LEFT - 1} 62V24M{LEFT + SPAN + 1} 62V24" stroke="currentColor" stroke-width="3" />
	{#if asked === 0}
		<line x1={LEFT} x2={LEFT + SPAN} y1="35" y2="35" stroke="var(--color-primary)" stroke-width="2" />
		<text x="98" y="20" text-anchor="middle" class="fill-soft text-[11.5px]">far from failure in both</text>
	{:else}
		{#each bars as bar (bar.measure)}
			<rect x={bar.x} y="28" width={Math.max(0, bar.width)} height="14" fill={fillOf(bar.measure)} />
		{/each}
		{#if open >= 0.5}
			<rect
				x={LEFT + SPAN - (open / full) * SPAN}
				y="28.5"
				width={(open / full) * SPAN}
				height="13"
				fill="url(#hatch-short)"
				stroke="var(--color-accent)"
				stroke-dasharray="3 2"
			/>
		{/if}
		{#each bridge.parts as part, i (part.measure)}
			{#if i === 0}
				<text x={LEFT + 4} y="20" class="fill-base-content text-[11.5px]">{part.text}</text>
			{:else if i === 1 && part.text.length < 14}
				<text x={LEFT + SPAN - 2} y="20" text-anchor="end" class="fill-base-content text-[11.5px]"
					>{part.text}</text
				>
			{:else}
				<text x={LEFT + SPAN / 2} y="57" text-anchor="middle" class="fill-base-content text-[11px]"
					>{part.text}</text
				>
			{/if}
		{/each}
	{/if}
	<text x={LEFT - 4} y="75" class="fill-base-content text-[11.5px]">{asked}</text>
	<text
		x={LEFT + SPAN + 6}
		y="75"
		text-anchor="end"
		class={open >= 1 ? 'fill-accent text-[11.5px] font-semibold' : 'fill-base-content text-[11.5px]'}
		>{#if span}<tspan class="fill-soft text-[10.5px] font-normal">{span}</tspan>&nbsp;
		{/if}{given}</text
	>
</svg>
