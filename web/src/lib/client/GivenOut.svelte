<script lang="ts">
	import { goto } from '$app/navigation';
	import { api, ask, messageOf } from '$lib/api/client';
	import PhoneChecks from './PhoneChecks.svelte';

	/** What leaves the application about a client: a calendar's address, the whole case as a file; and erasing it all. */
	let { id, name }: { id: string; name: string } = $props();
	let at = $state('18:00');
	let remind = $state('30');
	let address = $state('');
	let typed = $state('');
	let erasing = $state(false);
	let receipt = $state('');
	let trouble = $state('');
	const asked = $derived(new URLSearchParams({ at, ...(remind ? { remind } : {}) }));

	async function subscribe() {
		try {
			const made = await ask(
				api.POST('/api/clients/{id}/calendar', {
					params: { path: { id } },
					body: { at, remind: remind ? Number(remind) : null }
				})
			);
			[address, trouble] = [made.address, ''];
		} catch (problem) {
			trouble = messageOf(problem);
		}
	}

	async function erase() {
		try {
			const done = await ask(
				api.DELETE('/api/clients/{id}', { params: { path: { id } }, body: { name: typed } })
			);
			[receipt, trouble] = [done.sentence, ''];
			const kept = new Blob([JSON.stringify(done, null, '\t')], { type: 'application/json' });
			const link = document.createElement('a');
			link.href = URL.createObjectURL(kept);
			link.download = 'erased receipt.json';
			link.click();
		} catch (problem) {
			trouble = messageOf(problem);
		}
	}
</script>

<section aria-label="Given out">
	<h2 class="mb-1 text-[16px]">Calendar and files</h2>
	<div class="border-rule border-t py-1.5 text-[13px]">
		<div class="flex flex-wrap items-end gap-2">
			<label class="text-soft"
				>Sessions begin at<input type="time" class="input input-xs block w-24" bind:value={at} /></label
			>
			<label class="text-soft"
				>remind<br /><select class="select select-xs w-36" bind:value={remind}>
					<option value="">not at all</option>
					<option value="0">at the time</option>
					<option value="15">15 minutes before</option>
					<option value="30">30 minutes before</option>
					<option value="60">an hour before</option>
				</select></label
			>
			<button class="btn btn-xs" onclick={subscribe}>Make an address</button>
			<a class="btn btn-xs" download href="/api/clients/{id}/files/training.ics?{asked}">As a file</a>
		</div>
		{#if address}
			<input
				class="input input-xs mt-1 w-full"
				readonly
				aria-label="Address of the calendar"
				value={address}
				onfocus={(event) => event.currentTarget.select()}
			/>
			<p class="text-soft text-[12px]">
				Shown once. A calendar that subscribes to it reads the days, and nothing else; closing the links
				closes it.
			</p>
		{/if}
	</div>
	<div class="border-rule flex items-center justify-between border-t py-1.5 text-[13px]">
		<span>Everything about this client as a case file</span>
		<span class="flex gap-2">
			<a class="btn btn-xs" download href="/api/clients/{id}/files/case.json">Take it out</a>
			<a class="btn btn-xs" download href="/api/clients/{id}/files/case.zip">With photos</a>
		</span>
	</div>
	<PhoneChecks {id} />
	<div class="border-rule border-t py-1.5 text-[13px]">
		{#if receipt}
			<p role="status">{receipt}</p>
			<button class="btn btn-xs mt-1" onclick={() => goto('/')}>To the Desk</button>
		{:else if erasing}
			<p>
				This takes out {name} with homes, plan, log, links, letters and photos, for good. Take the case file out
				first if they may come back.
			</p>
			<div class="mt-1 flex gap-2">
				<input
					class="input input-xs flex-1"
					aria-label="Their whole name"
					placeholder={name}
					bind:value={typed}
				/>
				<button class="btn btn-xs border-accent text-accent" disabled={typed.trim() === ''} onclick={erase}
					>Erase for good</button
				>
				<button class="btn btn-xs" onclick={() => (erasing = false)}>Keep</button>
			</div>
		{:else}
			<button class="text-accent underline underline-offset-2" onclick={() => (erasing = true)}
				>Erase everything about this client</button
			>
		{/if}
	</div>
	{#if trouble}<p class="text-accent text-[13px]" role="alert">{trouble}</p>{/if}
</section>
