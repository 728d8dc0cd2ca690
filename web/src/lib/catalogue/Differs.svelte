<script lang="ts">
	import type { Snippet } from 'svelte';

	/** One thing that may differ: as there, in words, until the coach says otherwise; then the fields, and the way back. */
	interface Props {
		name: string;
		/** What it is there. */
		as: string;
		differs: boolean;
		onbegin: () => void;
		onback: () => void;
		children: Snippet;
	}
	let { name, as, differs, onbegin, onback, children }: Props = $props();
</script>

<div class="border-rule grid grid-cols-[84px_1fr_auto] items-start gap-2 border-t py-1 text-[13px]">
	<span class={differs ? 'font-semibold' : 'text-soft'}>{name}</span>
	<div class="min-w-0">
		{#if differs}{@render children()}{:else}<span class="text-soft break-words">{as}</span>{/if}
	</div>
	{#if differs}
		<button class="btn btn-xs btn-ghost" type="button" aria-label="{name}: as there" onclick={onback}
			>as there</button
		>
	{:else}
		<button class="btn btn-xs" type="button" aria-label="{name} differs" onclick={onbegin}>differs</button>
	{/if}
</div>
