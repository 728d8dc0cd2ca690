<script lang="ts">
	import PartDone from '$lib/drawing/PartDone.svelte';
	import type { Unlocks } from './unlocks.svelte';

	/** What one thing more would unlock, best for the money first. */
	interface Props {
		unlocks: Unlocks;
		onlook: () => void;
		/** What to take for a sum of money. */
		onfill: (budget: number) => void;
	}
	let { unlocks, onlook, onfill }: Props = $props();
	let budget = $state(40);
	const SHOWN = 5;
</script>

<section class="mt-3" aria-label="What one purchase would unlock">
	<h2 class="text-[15px]">What would one thing more unlock?</h2>
	{#if unlocks.stop}
		<div class="text-soft flex items-center gap-2 text-[12.5px]" role="status">
			<PartDone part={unlocks.done / (unlocks.of || 1)} label="Things tried" />
			{unlocks.done} of {unlocks.of}
			<button class="btn btn-xs" onclick={() => unlocks.stop?.abort()}>Stop</button>
		</div>
	{:else}
		<button class="btn btn-xs mt-1" onclick={onlook}>Try the price list and the unchecked</button>
	{/if}
	{#if unlocks.trouble}<p class="text-accent text-[12.5px]" role="alert">{unlocks.trouble}</p>{/if}
	<ol class="mt-1">
		{#each unlocks.found.slice(0, SHOWN) as unlock (unlock.offer.id)}
			<li class="border-rule border-t py-1">
				<div class="flex justify-between gap-2 text-[13px] font-semibold">
					<span>{unlock.offer.words}</span>
					<span class="whitespace-nowrap">{unlock.offer.price}</span>
				</div>
				<p class="text-soft text-[12px]">
					worth {unlock.gain}{#if unlock.gainPerMoney !== null}, {unlock.gainPerMoney.toFixed(0)} for each unit
						of money{/if}{#if unlock.lines.length > 0}.
						{unlock.lines.slice(0, 2).join('; ')}{/if}.
				</p>
			</li>
		{/each}
	</ol>
	{#if unlocks.found.length > 1 && !unlocks.stop}
		<form
			class="mt-1 flex items-center gap-2 text-[12.5px]"
			onsubmit={(e) => {
				e.preventDefault();
				onfill(budget);
			}}
		>
			<label class="flex items-center gap-2"
				>For <input
					type="number"
					min="0"
					max="5000"
					class="input input-sm bg-base-100 w-20"
					bind:value={budget}
				/></label
			>
			<button class="btn btn-xs">what to take?</button>
		</form>
		{#if unlocks.basket}
			<p class="mt-1 text-[13px]" aria-live="polite">
				<b>{unlocks.basket.offers.map((o) => o.words).join(', ')}</b>: {unlocks.basket.together.offer.price},
				worth {unlocks.basket.together.gain} together.
			</p>
		{/if}
	{/if}
</section>
