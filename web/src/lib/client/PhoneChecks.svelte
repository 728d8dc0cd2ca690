<script lang="ts">
	import { onMount } from 'svelte';
	import { api, ask, messageOf, type ReportView } from '$lib/api/client';
	import { shortDay } from '$lib/units';

	/** Checks of things at home that came from the phone, with their photos: how many are kept, and letting them go. */
	let { id }: { id: string } = $props();
	let reports: ReportView[] = $state([]);
	let opened = $state(false);
	/** The report whose photo, or that itself, is asked to be let go. */
	let asking: { report: string; photoOnly: boolean } | null = $state(null);
	let trouble = $state('');
	const photos = $derived(reports.filter((r) => r.hasPhoto).length);

	onMount(() => settle(() => ask(api.GET('/api/clients/{id}/reports', { params: { path: { id } } }))));

	async function settle(answer: () => Promise<ReportView[]>) {
		try {
			[reports, trouble, asking] = [await answer(), '', null];
		} catch (problem) {
			trouble = messageOf(problem);
		}
	}

	function remove({ report, photoOnly }: { report: string; photoOnly: boolean }) {
		const params = { path: { id, report } };
		return settle(() =>
			ask(
				photoOnly
					? api.DELETE('/api/clients/{id}/reports/{report}/photo', { params })
					: api.DELETE('/api/clients/{id}/reports/{report}', { params })
			)
		);
	}
</script>

<section class="border-rule border-t py-1.5 text-[13px]" aria-label="Checks from the phone">
	<div class="flex items-center justify-between">
		<span
			>{reports.length === 0
				? 'No checks from the phone are kept'
				: `${reports.length} ${reports.length === 1 ? 'check' : 'checks'} from the phone, ${photos} with a photo`}</span
		>
		{#if reports.length > 0}
			<button class="btn btn-xs" aria-expanded={opened} onclick={() => (opened = !opened)}
				>{opened ? 'Close' : 'Look through'}</button
			>
		{/if}
	</div>
	{#if opened}
		<p class="text-soft text-[12px]">
			What you decided on a check stands when it is deleted. Backups keep it until they are let go.
		</p>
		<ul>
			{#each reports as { id: report, thing, report: found, hasPhoto, judged } (report)}
				<li class="border-rule flex flex-wrap items-center gap-2 border-t py-1">
					{#if hasPhoto}
						<img
							class="border-rule h-10 w-10 border object-cover"
							src="/api/clients/{id}/reports/{report}/photo"
							alt="{thing}, taken during the check of {shortDay(found.on)}"
						/>
					{/if}
					<span class="flex-1"
						>{thing}, {shortDay(found.on)}{judged ? '' : ', waits for your verdict on the Desk'}</span
					>
					{#if asking?.report === report}
						<button class="btn btn-xs border-accent text-accent" onclick={() => asking && remove(asking)}
							>{asking.photoOnly ? 'Delete the photo for good' : 'Delete it for good'}</button
						>
						<button class="btn btn-xs" onclick={() => (asking = null)}>Keep</button>
					{:else}
						{#if hasPhoto}<button
								class="underline underline-offset-2"
								onclick={() => (asking = { report, photoOnly: true })}>Delete the photo</button
							>{/if}
						<button
							class="underline underline-offset-2"
							onclick={() => (asking = { report, photoOnly: false })}>Delete the check</button
						>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
	{#if trouble}<p class="text-accent" role="alert">{trouble}</p>{/if}
</section>
