<script lang="ts">
	/** A small line: 1 is where the log began. */
	let { family, factors }: { family: string; factors: number[] } = $props();
	const W = 62;
	const H = 18;
	const low = $derived(Math.min(...factors, 0.98));
	const high = $derived(Math.max(...factors, 1.02));
	const points = $derived(
		factors
			.map(
				(f, i) =>
					`${2 + (i * (W - 4)) / (factors.length - 1)},${H - 2 - ((f - low) / (high - low)) * (H - 4)}`
			)
			.join(' ')
	);
	const change = $derived(Math.round(((factors.at(-1) ?? 1) / (factors[0] ?? 1) - 1) * 100));
	const words = $derived(change > 0 ? `+${change} %` : change < 0 ? `−${-change} %` : 'level');
</script>

<span class="flex items-center gap-1.5 text-xs whitespace-nowrap">
	<svg width={W} height={H} role="img" aria-label="{family}: {words} over the last {factors.length} times">
		<line
			x1="2"
			x2={W - 2}
			y1={H - 2 - ((1 - low) / (high - low)) * (H - 4)}
			y2={H - 2 - ((1 - low) / (high - low)) * (H - 4)}
			class="stroke-base-300"
			stroke-dasharray="2 2"
		/>
		<polyline {points} fill="none" class="stroke-primary" stroke-width="2" stroke-linejoin="round" />
	</svg>
	<span class="text-soft">{family}</span>
	<span class="ml-auto font-semibold">{words}</span>
</span>
