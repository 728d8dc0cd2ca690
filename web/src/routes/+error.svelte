<script lang="ts">
	import { page } from '$app/state';
</script>

<main class="mx-auto max-w-lg p-10">
	<h1 class="mb-2 text-2xl">
		{page.status === 404 ? 'There is nothing at this address.' : 'This page did not open.'}
	</h1>
	<p class="text-soft mb-4">{page.status === 404 ? '' : page.error?.message}</p>
	<a class="btn" href="/">To the Desk</a>
</main>
