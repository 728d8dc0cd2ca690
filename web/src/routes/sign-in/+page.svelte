<script lang="ts">
	import Door from '$lib/shell/Door.svelte';

	let { data } = $props();
</script>

<Door first={data.session.firstRun} />
