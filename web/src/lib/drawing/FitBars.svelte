<script lang="ts">
	import type { Alternative } from '$lib/api/client';

	/** The seven parts of a fit as bars; the one that cost most stands out. */
	let { fit }: { fit: Alternative['fit'] } = $props();

	const NAMES = ['muscles', 'direction', 'kind', 'dose', 'sides', 'range', 'skill'] as const;
	const words = $derived(NAMES.map((name, i) => `${name} ${(fit.parts[i] ?? 0).toFixed(2)}`).join(', '));
</script>

<svg width="76" height="24" viewBox="0 0 76 24" role="img" aria-label={words}>
	<title>{words}</title>
	{#each NAMES as name, i (name)}
		{@const part = fit.parts[i] ?? 0}
		{@const costs = name === fit.decisive && part < 0.9}
		<rect x={i * 11} y="0.5" width="8" height="23" fill="none" stroke="var(--color-base-300)" />
		<rect
			x={i * 11}
			y={24 - part * 24}
			width="8"
			height={part * 24}
			fill={costs ? 'var(--color-accent)' : 'var(--color-primary)'}
		/>
	{/each}
</svg>
