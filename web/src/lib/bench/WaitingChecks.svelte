<script lang="ts">
	import { api, ask, type WaitingCheck } from '$lib/api/client';
	import type { Bench } from './bench.svelte';

	/** What passing each fixture that waits for its check would open in this programme, best first. */
	interface Props {
		bench: Bench;
		client: string;
	}
	let { bench, client }: Props = $props();

	/** So many are named; the home page has them all. */
	const MOST = 3;
	let waiting = $state.raw<WaitingCheck[]>([]);

	$effect(() => {
		if (!bench.answered || bench.text.trim() === '') return;
		const body = { text: bench.text, choices: [], ask: null, block: null, seen: null };
		let late = false;
		// The bench is whole without it: what goes wrong here is told there too.
		ask(api.POST('/api/clients/{id}/waiting-checks', { params: { path: { id: client } }, body }))
			.then((found) => {
				if (!late) waiting = found;
			})
			.catch(() => undefined);
		return () => {
			late = true;
		};
	});

	const opens = (check: WaitingCheck) =>
		[...new Set(check.lines.map((l) => l.name))].map((name) => name.toLowerCase()).join(', ');
</script>

{#if waiting.length > 0}
	<section
		class="border-base-300 border-l-accent bg-base-100 flex items-baseline gap-x-4 border-b border-l-4 px-4 py-1.5 text-[13px]"
		aria-label="Waiting for a check"
	>
		<span class="text-soft shrink-0">Would open more here, once checked:</span>
		{#each waiting.slice(0, MOST) as check (check.fixtures.join())}
			<span class="min-w-0 truncate" title="{check.name}: {opens(check)}">
				<a
					class="font-semibold underline underline-offset-2"
					href="/clients/{client}/home?check={check.fixtures[0]}">{check.name}</a
				>{check.ranOut ? ' (its pass ran out)' : ''}: {opens(check)}
			</span>
		{/each}
		{#if waiting.length > MOST}<span class="text-soft shrink-0">and {waiting.length - MOST} more</span>{/if}
	</section>
{/if}
