<script lang="ts">
	import { untrack } from 'svelte';
	import { api, ask, messageOf } from '$lib/api/client';

	let { data } = $props();
	let forClient = $state(true);
	const note = $derived(data.note);
	const changed = $derived(note.sessions.some((s) => s.lines.length > 0));
	const usual = untrack(
		() =>
			`Hello ${data.note.client}, your training goes on at home. What the gym has and your place has not is done another way; this page says what you do instead. The effort stays the same: the last repetitions of a set should be hard and clean. Anything that hurts, leave out and tell me.`
	);
	/** The coach's own words over the client's page. */
	let words = $state(untrack(() => data.words ?? usual));
	let trouble = $state('');

	async function keep() {
		try {
			await ask(
				api.PUT('/api/clients/{id}/change-note/words', {
					params: { path: { id: data.client.id } },
					body: { words: words === usual ? null : words }
				})
			);
			trouble = '';
		} catch (problem) {
			trouble = messageOf(problem);
		}
	}

	function backToUsual() {
		words = usual;
		return keep();
	}
</script>

<svelte:head><title>What changed, {data.client.profile.name} - Ingegno</title></svelte:head>

<div
	class="border-base-300 bg-base-100 text-soft no-print flex h-11 shrink-0 items-center gap-4 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">What changed</h1>
	<div class="join" role="group" aria-label="In whose words">
		<button class="join-item btn btn-xs" aria-pressed={forClient} onclick={() => (forClient = true)}
			>for {note.client}</button
		>
		<button class="join-item btn btn-xs" aria-pressed={!forClient} onclick={() => (forClient = false)}
			>for the coach</button
		>
	</div>
	<span class="flex-1"></span>
	<a class="btn btn-sm" href="/clients/{data.client.id}/sheet">To the sheet</a>
	<button class="btn btn-sm btn-neutral" disabled={!changed} onclick={() => window.print()}>Print</button>
</div>
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<main class="min-h-0 flex-1 overflow-auto print:overflow-visible" tabindex="0">
	{#if !changed}
		<p class="mx-auto max-w-md p-12 text-center">Nothing changed: every line is done as written.</p>
	{:else}
		<article
			class="bg-base-100 mx-auto my-4 w-[190mm] p-[10mm] text-[13px] leading-snug print:m-0 print:w-auto print:bg-white print:p-0 print:text-black"
		>
			<header class="border-base-content mb-2 flex items-baseline justify-between border-b-2 pb-1">
				<h2 class="text-2xl">{note.client}, {note.place}</h2>
				<span>{note.coach}</span>
			</header>
			{#if forClient}
				<textarea
					class="border-base-300 no-print w-full rounded-sm border bg-transparent p-2 leading-relaxed"
					rows="4"
					maxlength="2000"
					aria-label="Your words to {note.client}"
					bind:value={words}
					onchange={keep}
				></textarea>
				{#if words !== usual}<button class="no-print text-soft text-[12px] underline" onclick={backToUsual}
						>Back to the usual words</button
					>{/if}
				{#if trouble}<p class="no-print text-accent" role="alert">{trouble}</p>{/if}
				<p class="hidden leading-relaxed whitespace-pre-line print:block">{words}</p>
			{/if}
			{#each note.sessions as session, s (s)}
				<section class="mt-3">
					<h3 class="text-lg">{session.title}</h3>
					{#each session.lines as line, i (i)}
						<div class="border-base-300 break-inside-avoid border-t py-1.5">
							{#if forClient}
								<p><b>{line.gym}</b></p>
								<p>{line.forClient}</p>
								{#if line.moveUp}<p class="text-soft print:text-black">{line.moveUp}</p>{/if}
							{:else}
								<p><s>{line.gym}</s></p>
								<p class="font-semibold">{line.home}</p>
								<p>{line.why}</p>
								{#if line.notTheOther}<p><span class="text-soft">Why not</span> {line.notTheOther}</p>{/if}
								{#if line.lost}<p><span class="text-soft">Given up:</span> {line.lost}</p>{/if}
								{#if line.moveUp}<p><span class="text-soft">Up:</span> {line.moveUp}</p>{/if}
							{/if}
						</div>
					{/each}
					{#if session.asBefore.length > 0}
						<p class="border-base-300 border-t py-1.5">
							<span class="text-soft print:text-black">As before:</span>
							{session.asBefore.join('; ')}.
						</p>
					{/if}
				</section>
			{/each}
			<p class="mt-3 text-[11.5px]">
				Sharp pain stops an exercise. With heart or blood pressure trouble, pregnancy, recent surgery,
				dizziness or chest pain ask a physician first; for joints a physiotherapist.
			</p>
		</article>
	{/if}
</main>
