<script lang="ts">
	import type { MoveView } from '$lib/api/client';

	/** Every line of a programme as a tick on one rule of fit; under the mark a line is an exception. */
	let { moved }: { moved: MoveView['moved'] } = $props();
	const WIDTH = 220;
	const POOR = 0.6;
	const x = (fit: number) => 6 + fit * (WIDTH - 12);
</script>

<svg
	viewBox="0 0 {WIDTH} 26"
	class="block w-[220px]"
	role="img"
	aria-label="Fit of {moved.lines.length} lines, lowest {moved.worst.toFixed(2)}"
>
	<rect x={x(0)} y="8" width={x(POOR) - x(0)} height="10" fill="url(#hatch-short)" />
	<line x1={x(0)} x2={x(1)} y1="18" y2="18" stroke="currentColor" stroke-width="1" />
	{#each moved.lines as line, i (i)}
		<line
			x1={x(line.fit)}
			x2={x(line.fit)}
			y1="4"
			y2="18"
			stroke={line.fit < POOR ? 'var(--color-accent)' : 'var(--color-primary)'}
			stroke-width="2.5"
		/>
	{/each}
</svg>
