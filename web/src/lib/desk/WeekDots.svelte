<script lang="ts">
	import type { WeekDot } from '$lib/api/client';

	/** This week: a filled ring was trained, an open one is due, a dash is free. */
	let { week }: { week: WeekDot[] } = $props();
	const letters = ['M', 'T', 'W', 'T', 'F', 'S', 'S'];
	const names = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
	const words = $derived(
		[
			`trained: ${names.filter((_, i) => week[i]?.done).join(', ') || 'not yet'}`,
			`due: ${names.filter((_, i) => week[i]?.planned && !week[i]?.done).join(', ') || 'nothing more'}`
		].join('; ')
	);
</script>

<span class="flex gap-1.5" role="img" aria-label="This week {words}" title="This week {words}">
	{#each week as day, i (day.day)}
		<span class="flex w-4 flex-col items-center text-[10px] leading-none" aria-hidden="true">
			<span class="text-soft mb-0.5">{letters[i]}</span>
			{#if day.done}
				<span class="bg-primary size-2.5 rounded-full"></span>
			{:else if day.planned}
				<span class="border-primary size-2.5 rounded-full border-2"></span>
			{:else}
				<span class="bg-base-300 mt-1 h-0.5 w-2"></span>
			{/if}
		</span>
	{/each}
</span>
