<script lang="ts">
	import type { SetLog } from '$lib/api/client';

	/** How much was left, as anybody can tell it: nobody tells five from six, and past seven only that it was easy. */
	let { reserve = $bindable() }: { reserve: SetLog['reserve'] } = $props();
	const answers: SetLog['reserve'][] = [0, 1, 2, 3, 4, '5-6', '7+'];
	const id = $props.id();
</script>

<p class="text-soft mt-3.5 text-[15px]" {id}>How many more could you have done?</p>
<div class="mt-1.5 grid grid-cols-7 gap-1.5" role="group" aria-labelledby={id}>
	{#each answers as left (left)}
		<button
			class="answer px-0 text-[16px]"
			aria-pressed={reserve === left}
			onclick={() => (reserve = reserve === left ? null : left)}>{left}</button
		>
	{/each}
</div>
