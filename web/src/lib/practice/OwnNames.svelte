<script lang="ts">
	import type { components } from '$lib/api/schema';

	type OwnName = components['schemas']['OwnName'];

	/** What the coach means by names of their own: learned on the bench, forgotten here. */
	let {
		own,
		names,
		onchange
	}: { own: OwnName[]; names: ReadonlyMap<string, string>; onchange: (own: OwnName[]) => void } = $props();
</script>

<h2 class="mt-5 text-[16px]">Names of your own</h2>
{#if own.length === 0}
	<p class="text-soft text-[12.5px]">
		Where a pasted name is asked after, “always” keeps what you mean by it; it is listed here.
	</p>
{:else}
	<ul class="text-[13px]">
		{#each own as name, i (i)}
			<li class="border-rule flex items-center gap-2 border-t py-0.5">
				<span class="min-w-0 flex-1"
					>“{name.typed}” <span class="text-soft">is the</span>
					{names.get(name.exercise) ?? name.exercise}</span
				>
				<button
					class="btn btn-xs btn-ghost"
					aria-label="Forget {name.typed}"
					onclick={() => onchange(own.filter((_, at) => at !== i))}>forget</button
				>
			</li>
		{/each}
	</ul>
{/if}
