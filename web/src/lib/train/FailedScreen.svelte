<script lang="ts">
	import { onMount } from 'svelte';
	import { store, type Waiting } from './store';
	import WaitingList from './WaitingList.svelte';

	/** When the page itself fails: what was logged is still here, is tried again and can be taken along as a file. */
	let { error, onretry }: { error: unknown; onretry: () => void } = $props();
	let list = $state.raw<Waiting[]>([]);
	let read = $state(false);

	onMount(async () => {
		try {
			list = await store.all();
		} finally {
			read = true;
		}
	});
</script>

<main class="p-[18px]">
	<h1 class="mt-3 text-[26px]">This page could not be shown</h1>
	<p class="mt-2">
		{#if !read}Looking what waits on this phone…
		{:else if list.length === 0}Nothing that you logged is lost: all of it is with the coach.
		{:else}Nothing that you logged is lost. This is still on the phone and goes to the coach when the page
			opens again:{/if}
	</p>
	{#if list.length > 0}<WaitingList {list} client="" />{/if}
	<button class="go mt-4" onclick={onretry}>Try again</button>
	<p class="text-soft mt-4 text-[15px]">
		If it stays like this, tell the coach: "{error instanceof Error
			? error.message.slice(0, 200)
			: 'no reason given'}".
	</p>
</main>
