<script lang="ts">
	import { api, ask, messageOf, type HowFar, type LogFile } from '$lib/api/client';
	import { follow } from '$lib/api/underWay';
	import UnderWay from './UnderWay.svelte';
	import { shortDay } from '$lib/units';

	/** A log from a file: what is in it and what could not be read, row by row, before anything is kept. */
	interface Props {
		client: string;
		file: File;
		onkept: () => void;
		onclose: () => void;
	}
	let { client, file, onkept, onclose }: Props = $props();
	let dialog: HTMLDialogElement;
	let view = $state.raw<LogFile | null>(null);
	let trouble = $state('');
	let busy = $state(false);
	let howFar = $state.raw<HowFar | null>(null);
	$effect(() => dialog.showModal());

	async function read(keep: boolean) {
		busy = true;
		trouble = '';
		try {
			view = await follow(
				(run) =>
					ask(
						api.POST('/api/clients/{id}/log-file', {
							params: { path: { id: client }, query: { keep, run } },
							body: file as unknown as string,
							bodySerializer: () => file,
							headers: { 'Content-Type': 'application/octet-stream' }
						})
					),
				(told) => (howFar = told)
			);
			if (keep) onkept();
		} catch (problem) {
			trouble = messageOf(problem);
		} finally {
			busy = false;
		}
	}
	$effect(() => void read(false));
	const leftOut = $derived(view?.doubts.filter((d) => d.left) ?? []);
	const asked = $derived(view?.doubts.filter((d) => !d.left) ?? []);
</script>

<dialog bind:this={dialog} class="modal" aria-label="A log from a file" {onclose}>
	<div class="modal-box max-w-2xl text-[13px]">
		<h2 class="text-lg">A log from {file.name}</h2>
		{#if trouble}
			<p class="border-accent bg-decide mt-2 border-l-4 px-3 py-1.5" role="alert">{trouble}</p>
		{:else if !view}
			<p class="text-soft mt-2">Reading…</p>
		{:else}
			<p class="mt-1" role="status">
				{#if view.kept}
					<b>{view.sets} sets are in the log.</b> What the client can do was worked out anew from them.
				{:else if view.sets > 0}
					<b>{view.sets} sets</b>{view.from && view.to
						? `, ${shortDay(view.from)} ${view.from.slice(0, 4)} to ${shortDay(view.to)} ${view.to.slice(0, 4)}`
						: ''}{view.there > 0 ? `; ${view.there} more are there already and stay as they are` : ''}.
				{:else}
					Nothing new: {view.there} sets are there already.
				{/if}
			</p>
			<ul class="mt-2 grid grid-cols-3 gap-x-4">
				{#each view.exercises as exercise (exercise.name)}
					<li class="border-rule flex justify-between gap-2 border-t py-0.5">
						<span class="truncate">{exercise.name}</span><b>{exercise.sets}</b>
					</li>
				{/each}
			</ul>
			{#if view.unknown.length > 0}
				<p class="text-accent mt-2">
					Not known here, left out: {view.unknown.map((u) => `${u.name} (${u.sets} rows)`).join(', ')}. Say on
					the bench what the practice means by such a name, and take the file in again.
				</p>
			{/if}
			{#if leftOut.length > 0}
				<h3 class="mt-2 text-[14px]">Rows left out</h3>
				<ul class="max-h-40 overflow-auto">
					{#each leftOut as doubt, i (i)}<li>Row {doubt.row}: {doubt.words}</li>{/each}
				</ul>
			{/if}
			{#if asked.length > 0}
				<details class="mt-2">
					<summary class="cursor-pointer">{asked.length} rows taken with a question</summary>
					<ul class="max-h-40 overflow-auto">
						{#each asked as doubt, i (i)}<li>Row {doubt.row}: {doubt.words}</li>{/each}
					</ul>
				</details>
			{/if}
		{/if}
		{#if busy}
			<UnderWay {howFar} label={view ? `Keeping ${view.sets} sets` : `Reading ${file.name}`} />
		{/if}
		<div class="mt-3 flex gap-2">
			{#if view && !view.kept && view.sets > 0}
				<button class="btn btn-sm btn-neutral" disabled={busy} onclick={() => read(true)}
					>{busy ? `Keeping ${view.sets} sets…` : `Take ${view.sets} sets in`}</button
				>
			{/if}
			<button class="btn btn-sm" onclick={() => dialog.close()}>{view?.kept ? 'Done' : 'Leave it'}</button>
		</div>
	</div>
</dialog>
