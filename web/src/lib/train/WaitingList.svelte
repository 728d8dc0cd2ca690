<script lang="ts">
	import type { Waiting } from './store';
	import { entryWords, phoneFile, saveFile } from './words';

	/** Everything that is on this phone and not with the coach, with why; as a file it can be handed over by other ways. */
	let { list, client, onputaway }: { list: Waiting[]; client: string; onputaway?: (id: string) => void } =
		$props();
</script>

<ul class="text-[15px]" aria-label="Not with the coach yet">
	{#each list as waiting (waiting.id)}
		<li class="border-rule border-b py-1.5">
			<span class="break-words">{entryWords(waiting)}</span>
			{#if waiting.refused !== null}
				<span class="text-accent block break-words">Not taken: {waiting.refused}</span>
				{#if onputaway}<button class="underline underline-offset-2" onclick={() => onputaway(waiting.id)}
						>I told the coach, take it off the list</button
					>{/if}
			{:else if waiting.asked}<span class="text-accent block">{waiting.asked.question}</span>{/if}
		</li>
	{/each}
</ul>
<button
	class="go quiet mt-2"
	onclick={() =>
		saveFile(`training-log-${new Date().toISOString().slice(0, 10)}.json`, phoneFile(client, list))}
	>Save them to a file</button
>
