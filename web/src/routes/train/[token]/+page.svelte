<script lang="ts">
	import FailedScreen from '$lib/train/FailedScreen.svelte';
	import TrainPage from '$lib/train/TrainPage.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Today's training</title></svelte:head>

<div class="mx-auto flex min-h-full max-w-[30rem] flex-col text-[17px]">
	{#if !data.view}
		<main class="p-6">
			<h1 class="mb-3 text-2xl">This does not open</h1>
			<p class="border-accent bg-decide border-l-4 px-4 py-3">{data.trouble}</p>
			<button class="go mt-5" onclick={() => location.reload()}>Try again</button>
		</main>
	{:else}
		<svelte:boundary>
			<TrainPage token={data.token} view={data.view} figures={data.figures} />
			{#snippet failed(error, reset)}<FailedScreen {error} onretry={reset} />{/snippet}
		</svelte:boundary>
	{/if}
</div>
