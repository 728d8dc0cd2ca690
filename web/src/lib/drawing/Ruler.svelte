<script lang="ts">
	/**
	 * A ladder of loads as a ruler: a tick for each rung, true to scale. With `wanted` the zone asked for lies behind
	 * it; what lies beyond the last rung is hatched.
	 */
	interface Props {
		loads: number[];
		show: (load: number) => string;
		wanted?: number | null;
		chosen?: number;
		width?: number;
		/** End of the scale; the heaviest rung where not given. */
		most?: number;
		/** With this the ruler is a slider: drag along it, or use the arrow keys. */
		onslide?: (rung: number) => void;
	}
	let { loads, show, wanted = null, chosen = -1, width = 320, most = 0, onslide }: Props = $props();

	const PAD = 12;
	const top = $derived(Math.max(...loads, (wanted ?? 0) * 1.05, most, 1));
	const scale = $derived((width - 2 * PAD) / top);
	const x = (load: number) => PAD + load * scale;
	const last = $derived(loads.at(-1) ?? 0);
	const zone = $derived(wanted !== null && wanted > 0 ? { from: wanted * 0.95, to: wanted * 1.05 } : null);

	function slideTo(event: PointerEvent) {
		if (!onslide || !(event.buttons & 1)) return;
		const box = (event.currentTarget as HTMLElement).getBoundingClientRect();
		const at = ((event.clientX - box.left) / box.width) * width;
		let nearest = 0;
		for (const [i, load] of loads.entries()) {
			if (Math.abs(x(load) - at) < Math.abs(x(loads[nearest] ?? 0) - at)) nearest = i;
		}
		if (nearest !== chosen) onslide(nearest);
	}

	function onkeydown(event: KeyboardEvent) {
		const steps: Record<string, number> = {
			ArrowRight: 1,
			ArrowLeft: -1,
			ArrowUp: 1,
			ArrowDown: -1,
			PageUp: 5,
			PageDown: -5,
			Home: -loads.length,
			End: loads.length
		};
		const by = steps[event.key];
		if (!by || !onslide) return;
		event.preventDefault();
		event.stopPropagation();
		onslide(Math.max(0, Math.min(loads.length - 1, chosen + by)));
	}

	/** Labels that do not run into each other; the chosen rung's own comes first. */
	const labels = $derived.by(() => {
		const taken: number[] = [];
		const order = [chosen, 0, loads.length - 1, ...loads.keys()].filter((i) => i >= 0 && i < loads.length);
		return order.filter((i) => {
			const at = x(loads[i] ?? 0);
			if (taken.some((other) => Math.abs(other - at) < 30)) return false;
			taken.push(at);
			return true;
		});
	});
</script>

{#snippet drawing()}
	<svg {width} height="58" viewBox="0 0 {width} 58" aria-hidden="true">
		{#if zone}
			{#if zone.to > last}
				<rect
					x={x(Math.max(zone.from, last))}
					y="12"
					width={Math.max(4, (zone.to - Math.max(zone.from, last)) * scale)}
					height="26"
					fill="url(#hatch-short)"
					stroke="var(--color-accent)"
					stroke-dasharray="3 2"
				/>
			{/if}
			{#if zone.from < last}
				<rect
					x={x(zone.from)}
					y="12"
					width={(Math.min(zone.to, last) - zone.from) * scale}
					height="26"
					fill="var(--color-secondary)"
				/>
			{/if}
		{/if}
		<line x1={PAD - 4} x2={width - PAD + 4} y1="38" y2="38" stroke="currentColor" stroke-width="1.5" />
		{#each loads as load, i (i)}
			<line
				x1={x(load)}
				x2={x(load)}
				y1="38"
				y2={i === chosen ? 20 : 28}
				stroke="currentColor"
				stroke-width={i === chosen ? 2.5 : 1.3}
			/>
		{/each}
		{#if loads[chosen] !== undefined}
			<path d="M{x(loads[chosen] ?? 0)} 20l-6-9h12z" fill="var(--color-accent)" />
		{/if}
		{#each labels as i (i)}
			<text
				x={x(loads[i] ?? 0)}
				y="52"
				text-anchor="middle"
				class="fill-base-content text-[11px] {i === chosen ? 'font-bold' : ''}">{show(loads[i] ?? 0)}</text
			>
		{/each}
	</svg>
{/snippet}

{#if onslide}
	<div
		role="slider"
		tabindex="0"
		aria-label="Load"
		aria-valuemin="0"
		aria-valuemax={loads.length - 1}
		aria-valuenow={chosen}
		aria-valuetext={show(loads[chosen] ?? 0)}
		class="cursor-ew-resize touch-none select-none"
		onpointerdown={(event) => {
			event.currentTarget.setPointerCapture(event.pointerId);
			slideTo(event);
		}}
		onpointermove={slideTo}
		{onkeydown}
	>
		{@render drawing()}
	</div>
{:else}
	{@render drawing()}
{/if}
