<script lang="ts">
	import { api, ask, messageOf, type BackupLook, type BackupView } from '$lib/api/client';
	import { shortDay } from '$lib/units';

	/** Backups: taken, looked into, restored, by whom the practice belongs to. Nothing is restored before what would be lost was seen. */
	interface Props {
		isOwner: boolean;
	}
	let { isOwner }: Props = $props();
	let backups = $state.raw<BackupView[] | null>(null);
	let look = $state.raw<BackupLook | null>(null);
	let said = $state('');
	let trouble = $state('');
	let busy = $state(false);

	async function doing(work: () => Promise<void>) {
		busy = true;
		trouble = '';
		try {
			await work();
		} catch (problem) {
			trouble = messageOf(problem);
		} finally {
			busy = false;
		}
	}
	const list = () =>
		doing(async () => {
			backups = await ask(api.GET('/api/backups'));
			await lastRestore();
		});
	/** What came of a restore since the server was started; false where nothing was changed. */
	async function lastRestore(): Promise<boolean> {
		const outcome = await ask(api.GET('/api/backups/restored'));
		if (outcome?.done === false) trouble = outcome.sentence;
		else said = outcome?.sentence ?? '';
		return outcome?.done !== false;
	}
	const take = () =>
		doing(async () => {
			await ask(api.POST('/api/backups'));
			backups = await ask(api.GET('/api/backups'));
			said = 'Taken and read through.';
		});
	const into = (name: string) =>
		doing(
			async () => void (look = await ask(api.GET('/api/backups/{name}', { params: { path: { name } } })))
		);

	async function restore(name: string) {
		await doing(async () => {
			await ask(api.POST('/api/backups/{name}/restore', { params: { path: { name } } }));
			said = 'Restoring: the server starts anew with it…';
			// The server is gone for a moment; it is back when it answers.
			for (let tries = 0; tries < 120; tries++) {
				await new Promise((go) => setTimeout(go, 500));
				if (
					await fetch('/api/session').then(
						(a) => a.status < 500 && tries > 1,
						() => false
					)
				) {
					if (await lastRestore().catch(() => true)) location.assign('/');
					return;
				}
			}
			trouble = 'The server has not come back yet. Look again in a minute.';
		});
	}
	const when = (at: string) => `${shortDay(at.slice(0, 10))}, ${at.slice(11, 16)} UTC`;
</script>

<details
	class="border-rule border-t py-1.5"
	ontoggle={(event) => {
		if (isOwner && event.currentTarget.open && !backups) void list();
	}}
>
	<summary class="font-display cursor-pointer text-[14px] font-semibold">Backups and files</summary>
	<div class="mt-1 flex flex-wrap gap-2">
		{#if isOwner}
			<button class="btn btn-xs" disabled={busy} onclick={take}>Take a backup now</button>
		{/if}
		<a class="btn btn-xs" download href="/api/files/practice.zip">The whole practice as a ZIP</a>
		<a class="btn btn-xs" href="/clients/new">Bring clients in</a>
	</div>
	<p class="text-soft mt-1 text-[12.5px]">
		One is taken every day and read through before it counts; the last seven days and eight weeks are kept, in
		the folder with the data. Copy that folder to another machine as well.
	</p>
	{#if said}<p class="text-[13px]" role="status">{said}</p>{/if}
	{#if trouble}<p class="text-accent text-[13px]" role="alert">{trouble}</p>{/if}
	{#each backups ?? [] as backup (backup.name)}
		<div class="border-rule border-t py-1 text-[13px]">
			<div class="flex items-center gap-3">
				<span class="flex-1">{when(backup.at)}</span>
				<span class="text-soft">{(backup.bytes / 1e6).toFixed(1)} MB</span>
				<button class="btn btn-xs" disabled={busy} onclick={() => into(backup.name)}>Look into it</button>
			</div>
			{#if look?.name === backup.name}
				{#if look.against}
					<p class="text-accent">{look.against}</p>
				{:else}
					<ul class="mt-1">
						{#each look.clients as client, i (i)}
							<li class="flex justify-between gap-2">
								<span>{client.name}</span>
								<span class="text-soft"
									>{client.inBackup === null
										? 'not in it'
										: `${client.inBackup} sets${client.lastLogged ? `, last on ${shortDay(client.lastLogged)}` : ''}`}{client.now ===
									null
										? '; not here any more'
										: ''}</span
								>
							</li>
						{/each}
					</ul>
					{#if look.lost.length > 0}
						<p class="border-accent bg-decide mt-1 border-l-4 px-2 py-1">
							Restoring would lose: {look.lost.join(' ')}
						</p>
					{:else}
						<p class="mt-1">Nothing would be lost.</p>
					{/if}
					<p class="text-soft text-[12.5px]">
						A backup of now is taken first, and the server is away for some seconds. Phones keep what they
						have not sent.
					</p>
					<button
						class="btn btn-xs border-accent text-accent mt-1"
						disabled={busy}
						onclick={() => restore(backup.name)}>Restore this one</button
					>
				{/if}
			{/if}
		</div>
	{/each}
</details>
