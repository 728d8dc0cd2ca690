<script lang="ts">
	import { untrack } from 'svelte';
	import type { KitItem } from '$lib/api/client';
	import Notice from '$lib/shell/Notice.svelte';
	import type { MassUnit } from '$lib/units';
	import MassField from './MassField.svelte';
	import NumberField from './NumberField.svelte';

	/** One thing that loads, with what it is made of. */
	interface Props {
		item: KitItem;
		unit: MassUnit;
		trouble: string;
		onsave: (item: KitItem) => void;
		onremove: (() => void) | null;
		onclose: () => void;
	}
	let { item, unit, trouble, onsave, onremove, onclose }: Props = $props();
	let draft = $state(untrack(() => structuredClone($state.snapshot(item)) as KitItem));
	let dialog: HTMLDialogElement;
	/** What the thing is made of: plates, weights or contents, each so many of one mass. */
	type Piece = { mass: number; count: number; name?: string; litres?: number | null };
	const pieces: Piece[] = $derived(
		draft.kind === 'plateLoadedHandles'
			? draft.plates
			: draft.kind === 'fixedWeights'
				? draft.weights
				: draft.contents
	);

	$effect(() => dialog.showModal());
</script>

<dialog bind:this={dialog} class="modal" aria-label={item.name} {onclose}>
	<form
		class="modal-box max-w-xl"
		onsubmit={(event) => {
			event.preventDefault();
			onsave($state.snapshot(draft) as KitItem);
		}}
	>
		<h2 class="mb-3 text-lg">{item.name || 'New thing'}</h2>
		<div class="grid grid-cols-3 gap-3">
			<label class="col-span-3 block text-[13px]">
				<span class="text-soft">Name the client uses</span>
				<input class="input input-sm w-full" bind:value={draft.name} required maxlength="80" />
			</label>
			{#if draft.kind === 'plateLoadedHandles'}
				{@const handles = draft}
				<label class="block text-[13px]">
					<span class="text-soft">Handles</span>
					<select class="select select-sm w-full" bind:value={handles.handles}>
						<option value={1}>one</option>
						<option value={2}>two, a pair</option>
					</select>
				</label>
				<MassField
					label="One empty, with collars"
					kilograms={handles.handleMass}
					{unit}
					onread={(kg) => (handles.handleMass = kg ?? 0)}
				/>
				<NumberField
					label="Plates that fit one end"
					value={handles.platesPerEnd}
					decimals={0}
					onread={(n) => (handles.platesPerEnd = n === null ? null : Math.round(n))}
				/>
			{:else if draft.kind === 'container'}
				{@const container = draft}
				<MassField
					label="Empty"
					kilograms={container.ownMass}
					{unit}
					onread={(kg) => (container.ownMass = kg ?? 0)}
				/>
				<MassField
					label="Most in all"
					kilograms={container.mostInAll}
					{unit}
					onread={(kg) => (container.mostInAll = kg)}
				/>
				<NumberField
					label="Litres it holds"
					value={container.litres}
					onread={(n) => (container.litres = n)}
				/>
			{/if}
		</div>
		<table class="mt-3 w-full text-[13px]">
			<thead class="text-soft text-left">
				<tr>
					{#if draft.kind === 'container'}<th class="font-normal">what goes in</th>{/if}
					<th class="font-normal">mass of one</th>
					<th class="font-normal">how many</th>
					{#if draft.kind === 'container'}<th class="font-normal">litres each</th>{/if}
					<th><span class="sr-only">take out</span></th>
				</tr>
			</thead>
			<tbody>
				{#each pieces as piece, i (i)}
					<tr>
						{#if piece.name !== undefined}
							<td>
								<input
									class="input input-sm w-full"
									aria-label="Content {i + 1}"
									bind:value={piece.name}
									required
									maxlength="80"
								/>
							</td>
						{/if}
						<td
							><MassField
								small
								label="Mass {i + 1}"
								kilograms={piece.mass}
								{unit}
								onread={(kg) => (piece.mass = kg ?? 0)}
							/></td
						>
						<td
							><NumberField
								small
								label="How many of {i + 1}"
								value={piece.count}
								decimals={0}
								onread={(n) => (piece.count = Math.round(n ?? 0))}
							/></td
						>
						{#if piece.litres !== undefined}
							<td
								><NumberField
									small
									label="Litres of {i + 1}"
									value={piece.litres}
									decimals={2}
									onread={(n) => (piece.litres = n)}
								/></td
							>
						{/if}
						<td
							><button type="button" class="btn btn-xs btn-ghost" onclick={() => pieces.splice(i, 1)}
								>out</button
							></td
						>
					</tr>
				{/each}
			</tbody>
		</table>
		<button
			type="button"
			class="btn btn-xs mt-2"
			onclick={() => {
				if (draft.kind === 'plateLoadedHandles') draft.plates.push({ mass: 2.5, count: 4, thickness: null });
				else if (draft.kind === 'fixedWeights') draft.weights.push({ mass: 5, count: 2 });
				else draft.contents.push({ name: 'bottle', mass: 1.53, count: 2, litres: 1.7 });
			}}>Add a row</button
		>
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
