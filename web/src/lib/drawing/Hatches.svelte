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
		<pattern id="hatch-shorterRest" width="5" height="5" patternUnits="userSpaceOnUse">
			<rect width="5" height="5" fill="var(--color-secondary)" />
			<line x1="0" y1="1.5" x2="5" y2="1.5" stroke="var(--color-primary)" stroke-width="1.6" />
		</pattern>
		<pattern id="hatch-hold" width="6" height="6" patternUnits="userSpaceOnUse">
			<rect width="6" height="6" fill="var(--color-secondary)" />
			<circle cx="1.8" cy="1.8" r="1.4" fill="var(--color-primary)" />
			<circle cx="4.8" cy="4.8" r="1.4" fill="var(--color-primary)" />
		</pattern>
		<pattern id="hatch-restPause" width="7" height="7" patternUnits="userSpaceOnUse">
			<rect width="7" height="7" fill="var(--color-secondary)" />
			<path d="M0 5 L3.5 1.5 L7 5" fill="none" stroke="var(--color-primary)" stroke-width="1.5" />
		</pattern>
		<pattern id="hatch-moreSets" width="6" height="6" patternUnits="userSpaceOnUse">
			<rect width="6" height="6" fill="var(--color-secondary)" />
			<path d="M1 1h3v3h-3z" fill="none" stroke="var(--color-primary)" stroke-width="1.2" />
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
