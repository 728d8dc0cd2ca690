<script lang="ts">
	import type { Joint } from '$lib/api/client';
	import { onMount } from 'svelte';

	/** Where and how much; what follows is said before it is sent. */
	let {
		name,
		onclose,
		onpain
	}: { name: string; onclose: () => void; onpain: (pain: number, at: Joint | null) => void } = $props();
	let dialog: HTMLDialogElement;
	let at = $state<Joint | null>(null);
	let pain = $state<number | null>(null);
	const joints: { key: Joint; words: string }[] = [
		{ key: 'neck', words: 'neck' },
		{ key: 'shoulder', words: 'shoulder' },
		{ key: 'elbow', words: 'elbow' },
		{ key: 'wrist', words: 'wrist' },
		{ key: 'upperBack', words: 'upper back' },
		{ key: 'lowerBack', words: 'lower back' },
		{ key: 'hip', words: 'hip' },
		{ key: 'knee', words: 'knee' },
		{ key: 'ankle', words: 'ankle' }
	];
	const follows = $derived(
		pain === null
			? ''
			: pain > 5
				? `Stop ${name.toLowerCase()} now. It is left out, with all that loads the place, until the coach has looked at it. If it stays, or came with dizziness or chest pain, see a physician.`
				: pain >= 3
					? 'Go on only if it gets no worse. Nothing is made harder; the coach is told.'
					: 'Carry on, and watch it.'
	);
	onMount(() => dialog.showModal());
</script>

<dialog bind:this={dialog} class="modal modal-bottom" aria-labelledby="where" {onclose}>
	<div class="modal-box text-[17px]">
		<h2 id="where" class="text-[21px]">Where does it hurt?</h2>
		<div class="mt-2 grid grid-cols-3 gap-2">
			{#each joints as joint (joint.key)}
				<button class="answer small" aria-pressed={at === joint.key} onclick={() => (at = joint.key)}
					>{joint.words}</button
				>
			{/each}
		</div>
		<h2 class="mt-4 text-[21px]" id="much">How much, 0 to 10?</h2>
		<div class="mt-2 grid grid-cols-6 gap-2" role="group" aria-labelledby="much">
			{#each [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10] as much (much)}
				<button class="answer small" aria-pressed={pain === much} onclick={() => (pain = much)}>{much}</button
				>
			{/each}
		</div>
		<p class="mt-3 min-h-[4lh] pb-2 text-[15px]" aria-live="polite">{follows}</p>
		<div class="grid grid-cols-2 gap-2.5">
			<button class="go quiet" onclick={() => dialog.close()}>Back</button>
			<button
				class="go"
				disabled={pain === null || (pain > 0 && at === null)}
				onclick={() => pain !== null && (pain === 0 ? dialog.close() : onpain(pain, at))}
				>{pain !== null && pain > 5 ? 'Stop it' : 'Note it'}</button
			>
		</div>
	</div>
</dialog>
