<script lang="ts">
	import { untrack } from 'svelte';
	import type { ChangeView } from '$lib/api/client';
	import { shortDay } from '$lib/units';
	import { History } from './history.svelte';

	/** What became of a line: day, what, why, by whom; each entry can be taken back or says why not. */
	interface Props {
		client: string;
		line: number;
		name: string;
		/** Changes with the plan: what is open is then read anew. */
		stamp: string | number | null;
		onchanged: () => void;
	}
	let { client, line, name, stamp, onchanged }: Props = $props();
	const history = untrack(() => new History(client, line, onchanged));
	const KIND: Record<ChangeView['kind'], string> = {
		written: 'written',
		rebuilt: 'afresh',
		nudged: 'by hand',
		stepped: 'step',
		swappedForPain: 'pain',
		held: 'held',
		deloaded: 'easier week',
		shifted: 'weeks',
		wentOver: 'place',
		setAside: 'left out',
		undone: 'taken back'
	};

	$effect(() => {
		void stamp;
		untrack(() => history.refresh());
	});

	/** For the key that opens it. */
	export function toggle() {
		void history.toggle();
	}
</script>

<section class="mt-2 text-[12.5px]" aria-label="History of {name}">
	<button
		class="text-soft underline decoration-dotted underline-offset-2"
		aria-expanded={history.open}
		onclick={() => history.toggle()}>How it came here</button
	>
	{#if history.open}
		{#if history.trouble}<p role="alert" class="border-accent bg-decide mt-1 border-l-4 px-2 py-1">
				{history.trouble}
			</p>{/if}
		<ol class="mt-1">
			{#each history.entries as entry (`${entry.id} ${entry.place ?? ''} ${entry.became ?? ''}`)}
				<li class="border-rule grid grid-cols-[52px_minmax(0,1fr)_auto] gap-x-2 border-t py-1">
					<span class="text-soft">{shortDay(entry.on)}</span>
					<span class={entry.undone ? 'text-soft' : ''}>
						<b class="font-semibold">{KIND[entry.kind]}</b>{entry.place ? ` at ${entry.place}` : ''}: {entry.cause}
						{#if entry.became && entry.was !== entry.became}
							<span class="text-soft block"
								>{entry.was ? `${entry.was} → ` : ''}<span class="text-base-content">{entry.became}</span
								></span
							>
						{/if}
						<span class="text-soft block">{entry.undone ? 'taken back since; ' : ''}{entry.who}</span>
					</span>
					{#if entry.againstUndoing === null}
						<button
							class="btn btn-xs self-start"
							disabled={history.busy}
							aria-label="Take back: {entry.cause}"
							onclick={() => history.undo(entry.id)}>Take back</button
						>
					{:else if !entry.undone}
						<span class="text-soft max-w-[110px] text-[11.5px]">{entry.againstUndoing}</span>
					{/if}
				</li>
			{:else}
				{#if !history.trouble}<li class="text-soft">
						Nothing yet: it comes into the plan when it is saved.
					</li>{/if}
			{/each}
		</ol>
	{/if}
</section>
