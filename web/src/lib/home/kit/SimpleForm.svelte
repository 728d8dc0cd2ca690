<script lang="ts">
	import type { Scale, Sliders, Straps } from '$lib/api/client';
	import MassField from '$lib/home/MassField.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import type { MassUnit } from '$lib/units';

	/** Things told in two figures: straps, sliders, a scale. */
	let { draft = $bindable(), unit }: { draft: Straps | Sliders | Scale; unit: MassUnit } = $props();
</script>

<div class="grid grid-cols-2 gap-3">
	{#if draft.kind === 'straps'}
		{@const straps = draft}
		<NumberField
			label="Handles hang at most this far down, cm"
			value={straps.longestDrop * 100}
			onread={(cm) => (straps.longestDrop = (cm ?? 0) / 100)}
		/>
		<MassField label="They may carry" kilograms={straps.bears} {unit} onread={(kg) => (straps.bears = kg)} />
	{:else if draft.kind === 'sliders'}
		{@const sliders = draft}
		<label class="block text-[13px]">
			<span class="text-soft">What they are</span>
			<select class="select select-sm w-full" bind:value={sliders.slider}>
				<option value="paperPlate">paper plates</option>
				<option value="magazine">magazines</option>
				<option value="towel">towels</option>
				<option value="furnitureGlider">furniture gliders</option>
				<option value="sliderPad">slider pads</option>
			</select>
		</label>
		<NumberField
			label="How many"
			value={sliders.count}
			decimals={0}
			onread={(n) => (sliders.count = Math.round(n ?? 0))}
		/>
	{:else}
		{@const scale = draft}
		<label class="block text-[13px]">
			<span class="text-soft">Which</span>
			<select class="select select-sm w-full" bind:value={scale.measures}>
				<option value="bathroom">bathroom scale</option>
				<option value="luggage">luggage scale</option>
				<option value="kitchen">kitchen scale</option>
			</select>
		</label>
		<MassField
			label="Smallest step"
			kilograms={scale.step}
			{unit}
			onread={(kg) => (scale.step = kg ?? 0.1)}
		/>
	{/if}
</div>
<p class="text-soft mt-2 text-[12px]">
	{draft.kind === 'straps'
		? 'Straps of unknown strength are never used.'
		: draft.kind === 'sliders'
			? 'Whether they slide depends on the floor: choose it under the drawing.'
			: 'A bathroom scale under a foot reads how much the foot helps in a dip or pull-up.'}
</p>
