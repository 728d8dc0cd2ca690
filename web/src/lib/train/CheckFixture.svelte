<script lang="ts">
	import type { LinkFixture } from '$lib/api/client';
	import type { Outbox } from './outbox.svelte';
	import { localDay, newId } from './store';

	/** A fixture tried with rising force, step by step. The coach decides; nothing is used before. */
	let {
		outbox,
		place,
		fixture,
		ondone
	}: { outbox: Outbox; place: string; fixture: LinkFixture; ondone: () => void } = $props();
	const MOST = 1280;
	const id = newId();
	let answers = $state<(boolean | null)[]>([]);
	let remark = $state('');
	let photo = $state('');
	let trouble = $state('');
	let sent = $state(false);
	let busy = $state(false);
	const at = $derived(answers.length);
	const failed = $derived(answers.includes(false));
	const over = $derived(failed || at >= fixture.steps.length);

	/** Drawn anew and smaller: what a camera writes beside the picture stays behind. */
	async function take(event: Event & { currentTarget: HTMLInputElement }) {
		const file = event.currentTarget.files?.[0];
		if (!file) return;
		try {
			const picture = await createImageBitmap(file);
			const scale = Math.min(1, MOST / Math.max(picture.width, picture.height));
			const canvas = document.createElement('canvas');
			canvas.width = Math.round(picture.width * scale);
			canvas.height = Math.round(picture.height * scale);
			canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
			photo = canvas.toDataURL('image/jpeg', 0.8).split(',')[1] ?? '';
			trouble = '';
		} catch {
			trouble = 'This is no picture the phone can read: take it again.';
		}
	}

	/** Kept on the phone first, like every set: it goes when there is a signal. */
	async function send() {
		busy = true;
		await outbox.addCheck({
			id,
			place,
			report: {
				fixture: fixture.id,
				on: localDay(),
				steps: fixture.steps.slice(0, at).map((step, i) => ({ step, held: answers[i] === true })),
				force: null,
				remark
			},
			photo: photo || null
		});
		sent = true;
		busy = false;
	}
</script>

<main class="px-[18px] pb-6">
	<h1 class="mt-5 text-[26px] leading-tight">Check: {fixture.name}</h1>
	{#if sent}
		<p class="mt-4">
			{outbox.list.some((w) => w.id === id) ? 'Kept on the phone, and sent when there is a signal.' : 'Sent.'} The
			coach looks at it; until it is passed, leave it out.
		</p>
		<button class="go mt-5" onclick={ondone}>Back</button>
	{:else}
		<ol class="mt-3">
			{#each fixture.steps.slice(0, Math.min(at + 1, fixture.steps.length)) as step, i (i)}
				<li class="border-rule border-b py-3">
					<p class="text-[18px]">{i + 1}. {step}</p>
					{#if i === at && !over}
						<div class="mt-2 grid grid-cols-2 gap-2.5">
							<button class="answer" onclick={() => (answers = [...answers, false])}
								>It moved or creaked</button
							>
							<button class="answer" onclick={() => (answers = [...answers, true])}>It held</button>
						</div>
					{:else}
						<p class="text-soft text-[15px]">{answers[i] ? 'held' : 'moved or creaked: stop here'}</p>
					{/if}
				</li>
			{/each}
		</ol>
		{#if over}
			<label class="mt-4 block"
				>A photo, if you like
				<input
					class="file-input bg-base-100 mt-1 w-full"
					type="file"
					accept="image/*"
					capture="environment"
					onchange={take}
				/>
			</label>
			<label class="mt-3 block"
				>Anything to say?
				<textarea class="textarea bg-base-100 mt-1 w-full text-[17px]" maxlength="500" bind:value={remark}
				></textarea>
			</label>
			<button class="go mt-3" disabled={busy} onclick={send}>Send it to the coach</button>
		{/if}
		<button class="go quiet mt-3" onclick={ondone}>Not now</button>
	{/if}
	{#if trouble}<p role="alert" class="border-accent bg-decide mt-3 border-l-4 px-3 py-2">{trouble}</p>{/if}
</main>
