<script lang="ts">
	/** A message that stays until the next attempt: what is wrong and what to do. */
	let { text, children }: { text: string; children?: import('svelte').Snippet } = $props();
</script>

{#if text}
	<div role="alert" class="border-accent bg-decide flex items-center gap-3 border-l-4 px-4 py-2">
		<span>{text}</span>
		{@render children?.()}
	</div>
{/if}
