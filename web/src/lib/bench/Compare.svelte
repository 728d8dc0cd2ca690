<script lang="ts">
	import type { Alternative } from '$lib/api/client';
	import { lineFigure } from '$lib/drawing/figures';
	import SetUpFigure from '$lib/drawing/SetUpFigure.svelte';
	import Beam from '$lib/drawing/Beam.svelte';
	import { FIT_PARTS } from '$lib/practice/rules';
	import { clock } from '$lib/units';
	import Leanings from './Leanings.svelte';

	/** Two ways to do a line side by side, part against part. */
	interface Props {
		client: string;
		written: string;
		chosen: Alternative;
		other: Alternative;
		ontake: (exercise: string) => void;
		onclose: () => void;
	}
	let { client, written, chosen, other, ontake, onclose }: Props = $props();
	let dialog: HTMLDialogElement;
	$effect(() => dialog.showModal());
	const both = $derived([chosen, other]);
	const part = (a: Alternative, i: number) => a.fit.parts[i] ?? 0;
</script>

<dialog bind:this={dialog} class="modal" aria-label="Compare two stand-ins" {onclose}>
	<div class="modal-box max-w-4xl">
		<h2 class="text-lg">In place of {written.toLowerCase()}</h2>
		<div class="mt-2 grid grid-cols-[1fr_112px_1fr] gap-x-4 text-[13px]">
			{#each both as side, at (at)}
				<div class={at === 0 ? 'order-1' : 'order-3'}>
					<h3 class="text-[16px]">{side.prescription.name}</h3>
					<p class="font-display text-[22px] leading-tight font-semibold">{side.fit.score.toFixed(2)}</p>
					<p>
						{side.prescription.countInWords}{side.prescription.tempo
							? `, tempo ${side.prescription.tempo}`
							: ''}, rest {clock(side.prescription.rest)}
					</p>
					<p class="text-soft">{side.prescription.loadInWords}</p>
					{#await lineFigure(client, null, side.prescription) then figure}
						{#if figure}<SetUpFigure
								{figure}
								label="{side.prescription.name}: start pale, end dark"
								class="h-32 w-44"
								letters={11}
							/>{/if}
					{/await}
					{#if side.bridge}<Beam bridge={side.bridge} />{/if}
					<p>{side.reason}</p>
					{#if side.loss && !side.decided.toLowerCase().includes(side.loss.toLowerCase())}<p
							class={side.lossMatters ? 'text-accent' : ''}
						>
							{side.loss}
						</p>{/if}
					<p>{side.decided}</p>
					{#if side.loses.length > 0}<p class="text-soft">Given up: {side.loses.join('; ')}</p>{/if}
					<Leanings leanings={side.leanings} />
					{#each side.prescription.placement as place, i (i)}<p class="text-soft">{place}</p>{/each}
					<button
						class="btn btn-sm mt-2 {at === 0 ? '' : 'btn-neutral'}"
						onclick={() => (at === 0 ? dialog.close() : ontake(side.prescription.exercise))}
						>{at === 0 ? 'Keep this one' : 'Take this one'}</button
					>
				</div>
			{/each}
			<table class="order-2 h-fit w-full text-center" aria-label="Parts of the fit">
				<tbody>
					{#each FIT_PARTS as name, i (name)}
						{@const mine = part(chosen, i)}
						{@const theirs = part(other, i)}
						<tr>
							<td class="w-9 {mine > theirs + 0.005 ? 'font-semibold' : 'text-soft'}">{mine.toFixed(2)}</td>
							<th class="text-[11.5px] font-normal">
								{name}
								<svg width="34" height="8" viewBox="0 0 34 8" aria-hidden="true" class="mx-auto block">
									<rect x={16 - mine * 16} y="1" width={mine * 16} height="6" fill="var(--color-primary)" />
									<rect
										x="18"
										y="1"
										width={theirs * 16}
										height="6"
										fill="var(--color-primary)"
										opacity="0.55"
									/>
								</svg>
							</th>
							<td class="w-9 {theirs > mine + 0.005 ? 'font-semibold' : 'text-soft'}">{theirs.toFixed(2)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	</div>
	<form method="dialog" class="modal-backdrop"><button aria-label="Close the comparison">close</button></form>
</dialog>
