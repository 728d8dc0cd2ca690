<script lang="ts">
	import type { GivenDrill } from '$lib/api/client';

	/** Warm-up or cool-down: what, how much, and how on a tap. */
	let { title, drills }: { title: string; drills: GivenDrill[] } = $props();
</script>

{#if drills.length > 0}
	<section class="mt-4">
		<h2 class="text-[19px]">{title}</h2>
		<ul>
			{#each drills as drill, i (i)}
				<li class="border-rule border-b py-1.5">
					<details>
						<summary class="flex cursor-pointer justify-between gap-3">
							<span>{drill.name}</span><span class="text-soft whitespace-nowrap">{drill.dose}</span>
						</summary>
						<p class="text-soft pt-1 text-[15px]">{[...drill.setUp, ...drill.cues].join('. ')}.</p>
					</details>
				</li>
			{/each}
		</ul>
	</section>
{/if}
