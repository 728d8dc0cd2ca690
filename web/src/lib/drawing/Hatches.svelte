<script lang="ts">
	// Hatchings shared by the drawings of a page; shape tells the measure, not colour alone.
</script>

<svg width="0" height="0" class="absolute" aria-hidden="true">
	<defs>
		<pattern
			id="hatch-repetitions"
			width="6"
			height="6"
			patternUnits="userSpaceOnUse"
			patternTransform="rotate(45)"
		>
			<rect width="6" height="6" fill="var(--color-secondary)" />
			<line x1="0" y1="0" x2="0" y2="6" stroke="var(--color-primary)" stroke-width="3" />
		</pattern>
		<pattern id="hatch-slowerOrPaused" width="5" height="5" patternUnits="userSpaceOnUse">
			<rect width="5" height="5" fill="var(--color-secondary)" />
			<line x1="1" y1="0" x2="1" y2="5" stroke="var(--color-primary)" stroke-width="1.8" />
		</pattern>
		<pattern
			id="hatch-short"
			width="6"
			height="6"
			patternUnits="userSpaceOnUse"
			patternTransform="rotate(-45)"
		>
			<rect width="6" height="6" fill="var(--decide)" />
			<line x1="0" y1="0" x2="0" y2="6" stroke="var(--color-accent)" stroke-width="1.6" />
		</pattern>
	</defs>
</svg>
