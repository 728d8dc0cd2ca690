<script lang="ts">
	import { untrack } from 'svelte';
	import type { Band, HeldImplement, KitItem, PlaceView } from '$lib/api/client';
	import Notice from '$lib/shell/Notice.svelte';
	import type { MassUnit } from '$lib/units';
	import BagForm from './kit/BagForm.svelte';
	import BandForm from './kit/BandForm.svelte';
	import FindSetting from './kit/FindSetting.svelte';
	import PlatesForm from './kit/PlatesForm.svelte';
	import Rungs from './kit/Rungs.svelte';
	import SimpleForm from './kit/SimpleForm.svelte';
	import VesselsForm from './kit/VesselsForm.svelte';
	import WeightsForm from './kit/WeightsForm.svelte';
	import { KIT_NAMES } from './words';

	/** One thing, with what it is made of and every load it gives. */
	interface Props {
		item: KitItem;
		view: PlaceView;
		unit: MassUnit;
		trouble: string;
		onsave: (item: KitItem) => void;
		onremove: (() => void) | null;
		onclose: () => void;
	}
	let { item, view, unit, trouble, onsave, onremove, onclose }: Props = $props();
	let draft = $state(untrack(() => structuredClone($state.snapshot(item)) as KitItem));
	let dialog: HTMLDialogElement;
	/** The ladders as last saved; a pair first, as it differs from the single. */
	const ladders = $derived.by(() => {
		const own = view.implements.filter((h) => h.kitId === item.id);
		const single: HeldImplement | undefined = own.find((h) => h.hold !== 'pair');
		const pair = own.find((h) => h.hold === 'pair');
		return [single, pair].filter((h): h is HeldImplement => h !== undefined);
	});

	$effect(() => dialog.showModal());
</script>

<dialog bind:this={dialog} class="modal" aria-label={item.name || KIT_NAMES[item.kind]} {onclose}>
	<form
		class="modal-box {draft.kind === 'band' ? 'max-w-4xl' : 'max-w-2xl'}"
		onsubmit={(event) => {
			event.preventDefault();
			onsave($state.snapshot(draft) as KitItem);
		}}
	>
		<h2 class="mb-3 text-lg">
			{item.name || 'New thing'} <span class="text-soft text-[13px] font-normal">{KIT_NAMES[item.kind]}</span>
		</h2>
		<label class="mb-3 block text-[13px]">
			<span class="text-soft">Name the client uses</span>
			<input class="input input-sm w-full" bind:value={draft.name} required maxlength="80" />
		</label>
		{#if draft.kind === 'plateLoadedHandles' || draft.kind === 'plateLoadedBar'}
			<PlatesForm bind:draft {unit} />
		{:else if draft.kind === 'fixedWeights'}
			<WeightsForm bind:draft {unit} />
		{:else if draft.kind === 'container'}
			<BagForm bind:draft {unit} />
		{:else if draft.kind === 'vessels'}
			<VesselsForm bind:draft {unit} />
		{:else if draft.kind === 'band'}
			<BandForm bind:draft />
			<FindSetting
				bands={[...view.home.kit.filter((k): k is Band => k.kind === 'band' && k.id !== draft.id), draft]}
				{view}
				{unit}
			/>
		{:else}
			<SimpleForm bind:draft {unit} />
		{/if}
		{#each ladders as held (held.hold)}
			<Rungs {held} {unit} />
		{/each}
		<div class="mt-3"><Notice text={trouble} /></div>
		<div class="mt-3 flex gap-2">
			<button class="btn btn-neutral btn-sm">Keep it</button>
			<button type="button" class="btn btn-sm" onclick={onclose}>Leave as it was</button>
			<span class="flex-1"></span>
			{#if onremove}<button type="button" class="btn btn-sm btn-ghost" onclick={onremove}>Take it out</button
				>{/if}
		</div>
	</form>
</dialog>
