<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { api, ask, messageOf, type AccountView, type ActView } from '$lib/api/client';
	import { actInWords } from '$lib/practice/acts';
	import { shortDay } from '$lib/units';

	/** Who works here, the own password, and who changed what; the last two thirds are the owner's. */
	interface Props {
		isOwner: boolean;
	}
	let { isOwner }: Props = $props();
	let current = $state('');
	let next = $state('');
	let accounts = $state.raw<AccountView[] | null>(null);
	let acts = $state.raw<ActView[] | null>(null);
	let invitation = $state('');
	let invitedUntil = $state('');
	let said = $state('');
	let trouble = $state('');
	let busy = $state(false);

	async function doing(words: string, work: () => Promise<unknown>) {
		busy = true;
		trouble = said = '';
		try {
			await work();
			said = words;
		} catch (problem) {
			trouble = messageOf(problem);
		} finally {
			busy = false;
		}
	}
	const list = async () => (accounts = await ask(api.GET('/api/accounts')));
	function change(event: SubmitEvent) {
		event.preventDefault();
		void doing('Changed. Wherever else you were signed in, you are out.', async () => {
			await ask(api.POST('/api/account/password', { body: { current, next } }));
			current = next = '';
		});
	}
	const endAll = () =>
		doing('', async () => {
			await ask(api.DELETE('/api/account/sessions'));
			await invalidateAll();
		});
	const invite = () =>
		doing('', async () => {
			const made = await ask(api.POST('/api/accounts/invitations'));
			invitation = made.address;
			invitedUntil = shortDay(made.expires.slice(0, 10));
		});
	const remove = (account: AccountView) =>
		doing(`${account.name} is removed.`, async () => {
			await ask(api.DELETE('/api/accounts/{account}', { params: { path: { account: account.id } } }));
			await list();
		});
</script>

<details
	class="border-rule border-t py-1.5"
	ontoggle={(event) => {
		if (isOwner && event.currentTarget.open && !accounts) void doing('', list);
	}}
>
	<summary class="font-display cursor-pointer text-[14px] font-semibold">Accounts and passwords</summary>
	<form class="mt-1 flex flex-wrap items-end gap-2" onsubmit={change} aria-label="Change the password">
		<label class="text-[12.5px]"
			>Password now
			<input
				class="input input-xs block w-36"
				type="password"
				bind:value={current}
				autocomplete="current-password"
				required
			/></label
		>
		<label class="text-[12.5px]"
			>New one
			<input
				class="input input-xs block w-36"
				type="password"
				bind:value={next}
				autocomplete="new-password"
				required
			/></label
		>
		<button class="btn btn-xs" disabled={busy}>Change it</button>
		<button class="btn btn-xs" type="button" disabled={busy} onclick={endAll}
			>Sign out everywhere, here too</button
		>
	</form>
	{#if said}<p class="mt-1 text-[13px]" role="status">{said}</p>{/if}
	{#if trouble}<p class="text-accent mt-1 text-[13px]" role="alert">{trouble}</p>{/if}
	{#if isOwner}
		{#if invitation}
			<p class="mt-1 text-[12.5px]">
				Give this to one coach; it opens once, until {invitedUntil}, and is not shown again:
				<b class="block break-all select-all" aria-label="Invitation">{invitation}</b>
			</p>
		{/if}
		{#each accounts ?? [] as account (account.id)}
			<div class="border-rule mt-1 flex items-center gap-3 border-t py-1 text-[13px]">
				<span class="min-w-0 flex-1 truncate">{account.name}, {account.email}</span>
				<span class="text-soft"
					>{account.isOwner ? 'first account, ' : ''}{account.clients}
					{account.clients === 1 ? 'client' : 'clients'}</span
				>
				{#if !account.isOwner}
					<button class="btn btn-xs" disabled={busy || account.clients > 0} onclick={() => remove(account)}
						>Remove</button
					>
				{/if}
			</div>
		{/each}
		<div class="mt-1 flex flex-wrap gap-2">
			<button class="btn btn-xs" disabled={busy} onclick={invite}>Invite a coach</button>
			<button
				class="btn btn-xs"
				disabled={busy}
				onclick={() => doing('', async () => (acts = await ask(api.GET('/api/audit'))))}
				>Who changed what</button
			>
		</div>
		{#if acts}
			<ol class="mt-1 max-h-56 overflow-y-auto text-[12.5px]" aria-label="Who changed what">
				{#each acts as act, i (i)}
					<li class="border-rule flex gap-2 border-t py-0.5">
						<span class="text-soft w-28 shrink-0"
							>{shortDay(act.at.slice(0, 10))}, {act.at.slice(11, 16)}</span
						>
						<span class="flex-1">{act.coach}: {actInWords(act.did)}{act.client ? `, ${act.client}` : ''}</span
						>
					</li>
				{:else}
					<li class="text-soft">Nothing yet.</li>
				{/each}
			</ol>
		{/if}
	{/if}
</details>
