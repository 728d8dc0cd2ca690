<script lang="ts">
	import type { GivenDrill } from '$lib/api/client';

	/** Warm-up or cool-down of the day: one line that opens. */
	let { title, drills }: { title: string; drills: GivenDrill[] } = $props();
</script>

{#if drills.length > 0}
	<details class="border-rule border-t px-4 py-1 text-[13px]">
		<summary class="text-soft cursor-pointer truncate">
			<b>{title}</b>: {drills.map((d) => `${d.name.toLowerCase()} ${d.dose}`).join(', ')}
		</summary>
		<ul class="grid grid-cols-2 gap-x-6 py-1">
			{#each drills as drill, i (i)}
				<li>
					<b>{drill.name}</b>
					{drill.dose} <span class="text-soft">{drill.why}</span>
					<span class="text-soft block">{[...drill.setUp, ...drill.cues].join('. ')}.</span>
					{#each drill.cautions as caution, i (i)}<span class="text-accent block">{caution}</span>{/each}
				</li>
			{/each}
		</ul>
	</details>
{/if}
