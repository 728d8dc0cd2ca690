<script lang="ts">
	/** A bar that fills; one that only breathes while nobody can say how far it is. */
	interface Props {
		/** 0 to 1; null where nobody can say. */
		part: number | null;
		label: string;
		words?: string;
	}
	let { part, label, words }: Props = $props();
</script>

<div
	class="bg-base-300 h-1.5 min-w-20 flex-1 overflow-hidden rounded-sm"
	role="progressbar"
	aria-label={label}
	aria-valuemin={0}
	aria-valuemax={100}
	aria-valuenow={part === null ? undefined : Math.round(part * 100)}
	aria-valuetext={words}
>
	<div
		class="bg-primary h-full {part === null ? 'w-1/4 motion-safe:animate-pulse' : ''}"
		style:width={part === null ? undefined : `${part * 100}%`}
	></div>
</div>
