<script lang="ts">
	import TopBar from '$lib/shell/TopBar.svelte';

	let { data } = $props();
	let open = $state(0);
	const message = $derived(data.messages[open]);
	const when = (iso: string) =>
		new Date(iso).toLocaleString('en-GB', {
			day: 'numeric',
			month: 'short',
			hour: '2-digit',
			minute: '2-digit'
		});
	/** The text with its link made one that opens. */
	const parts = $derived((message?.text ?? '').split(/(https?:\/\/\S+)/));
</script>

<svelte:head><title>Outbox - Ingegno</title></svelte:head>

<div class="flex h-full flex-col">
	<TopBar coach={data.session.coach?.name ?? ''} />
	<div
		class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
	>
		<h1 class="text-base-content text-[17px]">Outbox</h1>
		<span
			>A stand-in for the post: messages stay here, as files in the data folder. Open a link as the client
			would.</span
		>
	</div>
	<main class="grid min-h-0 flex-1 grid-cols-[340px_minmax(0,1fr)]">
		{#if message}
			<ul class="border-base-300 overflow-auto border-r">
				{#each data.messages as letter, i (letter.name)}
					<li>
						<button
							class="border-rule block w-full border-b px-4 py-2 text-left {i === open ? 'bg-base-100' : ''}"
							aria-current={i === open}
							onclick={() => (open = i)}
						>
							<span class="font-display block text-[15px] font-semibold">{letter.to}</span>
							<span class="text-soft text-[13px]">{letter.subject}, {when(letter.at)}</span>
						</button>
					</li>
				{/each}
			</ul>
			<article class="overflow-auto p-8">
				<h2 class="text-xl">{message.subject}</h2>
				<p class="text-soft mb-4 text-[13px]">to {message.to}, {when(message.at)}</p>
				<p class="max-w-2xl text-[15px] whitespace-pre-line">
					{#each parts as part, i (i)}{#if part.startsWith('http')}<a
								class="break-all underline"
								href={new URL(part).pathname}>{part}</a
							>{:else}{part}{/if}{/each}
				</p>
			</article>
		{:else}
			<p class="text-soft col-span-2 p-12 text-center">
				Nothing was sent yet. A saved plan waits on the Desk to be sent.
			</p>
		{/if}
	</main>
</div>
