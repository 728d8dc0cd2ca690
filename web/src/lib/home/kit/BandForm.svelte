<script lang="ts">
	import { untrack } from 'svelte';
	import { api, ask, messageOf, type Band, type BandDrawing } from '$lib/api/client';
	import BandCurve from '$lib/drawing/BandCurve.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import { readDevice } from './device';

	/** A band told by its own pulls, typed or read off a luggage scale, with its curve. */
	let { draft = $bindable() }: { draft: Band } = $props();
	let curve = $state.raw<BandDrawing | null>(null);
	let alone = $state.raw<BandDrawing[]>([]);
	let trouble = $state('');
	let reading = $state(-1);
	let shown = $state(0);

	async function fit() {
		try {
			const answer = await ask(
				api.POST('/api/engine/band-fit', {
					body: { restLength: draft.restLength, pulls: $state.snapshot(draft.pulls) }
				})
			);
			[curve, alone, trouble] = [answer.curve, answer.onePullOnly, ''];
		} catch (problem) {
			[curve, alone, trouble] = [null, [], messageOf(problem)];
		}
	}
	$effect(() => {
		JSON.stringify([draft.restLength, draft.pulls]);
		untrack(() => void fit());
	});

	async function read(i: number) {
		const pull = draft.pulls[i];
		if (!pull) return;
		reading = i;
		trouble = '';
		try {
			const newtons = await readDevice(
				'luggageScale',
				{ name: draft.name, restLength: String(draft.restLength), length: String(pull.length) },
				(r) => (shown = r.value)
			);
			pull.force = Math.round(newtons * 10) / 10;
		} catch (problem) {
			trouble = messageOf(problem);
		} finally {
			reading = -1;
		}
	}
</script>

<div class="grid grid-cols-[300px_1fr] gap-6">
	<div>
		<div class="grid grid-cols-2 gap-3">
			<label class="block text-[13px]">
				<span class="text-soft">Shape</span>
				<select class="select select-sm w-full" bind:value={draft.shape}>
					<option value="loop">loop</option>
					<option value="tube">tube with handles</option>
					<option value="miniLoop">mini band</option>
				</select>
			</label>
			<NumberField
				label="How many alike"
				value={draft.count}
				decimals={0}
				onread={(n) => (draft.count = Math.round(n ?? 1))}
			/>
			<NumberField
				label="Laid flat, end to end, cm"
				value={draft.restLength > 0 ? draft.restLength * 100 : null}
				onread={(cm) => (draft.restLength = (cm ?? 0) / 100)}
			/>
			<label class="block text-[13px]">
				<span class="text-soft">Swatch</span>
				<input
					type="color"
					class="border-base-300 h-8 w-full cursor-pointer border"
					value={`#${draft.swatch ?? '888888'}`}
					onchange={(event) => (draft.swatch = event.currentTarget.value.slice(1))}
				/>
			</label>
		</div>
		<table class="mt-3 w-full text-[13px]">
			<thead class="text-soft text-left">
				<tr>
					<th class="font-normal">pulled to, cm</th>
					<th class="font-normal">scale, N</th>
					<th><span class="sr-only">read or take out</span></th>
				</tr>
			</thead>
			<tbody>
				{#each draft.pulls as pull, i (i)}
					<tr>
						<td
							><NumberField
								small
								label="Length of pull {i + 1}"
								value={pull.length * 100}
								onread={(cm) => (pull.length = (cm ?? 0) / 100)}
							/></td
						>
						<td>
							{#if reading === i}
								<output class="block w-20 text-right text-[17px] font-semibold" aria-live="off"
									>{shown.toFixed(1)}</output
								>
							{:else}
								<NumberField
									small
									label="Force of pull {i + 1}"
									value={pull.force}
									onread={(n) => (pull.force = n ?? 0)}
								/>
							{/if}
						</td>
						<td class="whitespace-nowrap">
							<button type="button" class="btn btn-xs" disabled={reading >= 0} onclick={() => read(i)}
								>{reading === i ? 'hold it' : 'read scale'}</button
							>
							<button type="button" class="btn btn-xs btn-ghost" onclick={() => draft.pulls.splice(i, 1)}
								>out</button
							>
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
		<button
			type="button"
			class="btn btn-xs mt-2"
			onclick={() =>
				draft.pulls.push({ length: draft.restLength * (draft.pulls.length ? 2.5 : 1.5), force: 50 })}
			>Another pull</button
		>
		<p class="text-soft mt-2 text-[12px]">
			Two pulls, at half as long again and at two and a half times, make a curve. Inspect the band first;
			anchor it where it cannot slip, never towards the face. 1 kg on a scale that shows kilograms is 9.8 N.
		</p>
	</div>
	<div>
		{#if curve}
			<BandCurve {curve} {alone} pulls={draft.pulls} colour={draft.swatch} />
			<p class="text-[13px] {curve.rough ? 'text-accent' : 'text-soft'}">
				{curve.rough
					? 'From one pull this is rough: at small stretch it may be off by a quarter. Pull once more, well apart.'
					: 'The thin lines are what each pull alone would have said: that difference is why two are asked for.'}
			</p>
		{/if}
		{#if trouble}<p class="text-accent text-[13px]" role="alert">{trouble}</p>{/if}
	</div>
</div>
