<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { api, ask, messageOf, type CaseFiles, type HowFar } from '$lib/api/client';
	import { follow } from '$lib/api/underWay';
	import UnderWay from './UnderWay.svelte';

	/** Clients from case files: looked at first, brought in all together or not at all. */
	let file = $state.raw<File | null>(null);
	let view = $state.raw<CaseFiles | null>(null);
	let rules = $state(false);
	let over = $state(false);
	let busy = $state(false);
	let howFar = $state.raw<HowFar | null>(null);
	let trouble = $state('');
	let picker: HTMLInputElement;

	async function bring(keep: boolean) {
		if (!file) return;
		busy = true;
		trouble = '';
		const given = file;
		try {
			view = await follow(
				(run) =>
					ask(
						api.POST('/api/case-files', {
							params: { query: { keep, rules: keep && rules, run } },
							body: given as unknown as string,
							bodySerializer: () => given,
							headers: { 'Content-Type': 'application/octet-stream' }
						})
					),
				(told) => (howFar = told)
			);
			if (view.kept) {
				await invalidateAll();
				if (view.clients.length === 1 && view.clients[0]?.id)
					await goto(`/clients/${view.clients[0].id}/bench`);
			}
		} catch (problem) {
			trouble = messageOf(problem);
		} finally {
			busy = false;
		}
	}

	function take(given: File | undefined) {
		if (!given) return;
		file = given;
		view = null;
		void bring(false);
	}
</script>

<section
	class="rounded-sm border border-dashed px-4 py-3 text-[13px] {over
		? 'border-primary bg-secondary'
		: 'border-base-300'}"
	aria-label="Clients from a file"
	ondragover={(event) => {
		event.preventDefault();
		over = true;
	}}
	ondragleave={() => (over = false)}
	ondrop={(event) => {
		event.preventDefault();
		over = false;
		take(event.dataTransfer?.files[0]);
	}}
>
	<div class="flex items-center gap-3">
		<p class="flex-1">
			<b>From a file.</b> A case file, or a whole practice as a ZIP: pick it or drop it here. Nothing is kept before
			you have seen what is in it.
		</p>
		<input
			bind:this={picker}
			type="file"
			class="hidden"
			accept=".json,.zip"
			aria-label="Case file or ZIP"
			onchange={(event) => {
				take(event.currentTarget.files?.[0]);
				event.currentTarget.value = '';
			}}
		/>
		<button type="button" class="btn btn-sm" disabled={busy} onclick={() => picker.click()}
			>{busy ? 'Reading…' : 'Pick a file'}</button
		>
	</div>
	{#if busy}
		<UnderWay {howFar} label={view ? 'Keeping the clients' : `Reading ${file?.name}`} />
	{/if}
	{#if trouble}<p class="text-accent mt-2" role="alert">{trouble}</p>{/if}
	{#if view}
		<div class="border-base-300 mt-2 border-t pt-2" role="status">
			{#if view.problems.length > 0}
				<p class="text-accent font-semibold">
					Nothing was brought in. {file?.name} has to be put right first:
				</p>
				<ul class="mt-1">
					{#each view.problems as problem, i (i)}<li><b>{problem.path}</b> {problem.message}</li>{/each}
				</ul>
			{:else}
				<ul>
					{#each view.clients as client, i (i)}
						<li class="border-base-300 border-b py-1 last:border-0">
							<b>{client.name}</b>
							<span class="text-soft"
								>{client.note ? `${client.note}, ` : ''}{client.places.join(', ')}; {client.sessions} sessions rebuilt,
								{client.sets}
								sets logged{client.newExercises.length > 0
									? `; brings ${client.newExercises.join(', ')}`
									: ''}</span
							>
							{#each client.told as told, t (t)}<div class="text-accent">{told}</div>{/each}
						</li>
					{/each}
				</ul>
				{#if view.kept}
					<p class="mt-1 font-semibold">
						{view.clients.length === 1 ? 'Brought in.' : `All ${view.clients.length} brought in.`}
						<a class="underline underline-offset-2" href="/">To the Desk</a>
					</p>
				{:else}
					{#if view.practice}
						<label class="mt-1 flex items-center gap-2"
							><input type="checkbox" class="checkbox checkbox-xs" bind:checked={rules} />with its house
							rules, prices and names, in place of mine</label
						>
					{/if}
					<div class="mt-2 flex gap-2">
						<button type="button" class="btn btn-sm btn-neutral" disabled={busy} onclick={() => bring(true)}
							>{view.clients.length === 1
								? `Bring ${view.clients[0]?.name.split(' ')[0]} in`
								: `Bring all ${view.clients.length} in`}</button
						>
						<button
							type="button"
							class="btn btn-sm"
							onclick={() => {
								view = null;
								file = null;
							}}>Leave it</button
						>
					</div>
				{/if}
			{/if}
		</div>
	{/if}
</section>
