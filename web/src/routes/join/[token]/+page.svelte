<script lang="ts">
	import { page } from '$app/state';
	import Door from '$lib/shell/Door.svelte';
</script>

<Door invitation={page.params.token} />
