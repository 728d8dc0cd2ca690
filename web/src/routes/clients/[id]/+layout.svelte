<script lang="ts">
	import TopBar from '$lib/shell/TopBar.svelte';

	let { data, children } = $props();
</script>

<div class="flex h-full flex-col print:block">
	<TopBar coach={data.session.coach?.name ?? ''} client={data.client} />
	{@render children()}
</div>
