<script lang="ts">
	// The project's sign: a beam between two posts, the last part still open.
</script>

<svg width="26" height="22" viewBox="0 0 26 22" aria-hidden="true">
	<path d="M2 20V9M24 20V9" stroke="currentColor" stroke-width="3" />
	<path d="M1 8.5h14" stroke="currentColor" stroke-width="4" />
	<path d="M17 8.5h8" stroke="var(--color-accent)" stroke-width="4" stroke-dasharray="3 2" />
</svg>
