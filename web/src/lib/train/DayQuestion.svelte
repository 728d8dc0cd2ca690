<script lang="ts">
	import type { Outbox } from './outbox.svelte';
	import { day, dayBefore, entries } from './words';

	/** This phone's clock cannot tell the day: the client can. */
	let { outbox }: { outbox: Outbox } = $props();
	let other = $state('');
</script>

{#each outbox.questions as question (question.phoneDay)}
	<section class="border-accent bg-decide mt-3 border-l-4 px-3 py-2">
		<h2 class="text-[17px]">{question.question}</h2>
		<p class="text-soft text-[15px]">
			{entries(question.entries)} of "{day(question.phoneDay)}" on this phone. Put its clock right when you
			can.
		</p>
		<div class="mt-2 grid grid-cols-2 gap-2">
			{#each [question.suggested, dayBefore(question.suggested)] as choice (choice)}
				<button class="answer" onclick={() => outbox.sayDay(question.phoneDay, choice)}>{day(choice)}</button>
			{/each}
		</div>
		<div class="mt-2 flex items-center gap-2 text-[15px]">
			<label class="flex flex-1 items-center gap-2"
				>another day <input
					type="date"
					class="input bg-base-100 flex-1"
					bind:value={other}
					max={question.suggested}
				/></label
			>
			<button
				class="answer small px-3"
				disabled={other === ''}
				onclick={() => outbox.sayDay(question.phoneDay, other)}>That day</button
			>
		</div>
	</section>
{/each}
