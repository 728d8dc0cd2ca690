<script lang="ts">
	import type { RebuiltLine } from '$lib/api/client';

	/** One line as typed, with what it asks of this client. */
	let { line, unread }: { line: RebuiltLine; unread: string[] } = $props();
	const written = $derived(line.written);
	const tag = $derived(
		written.group ? written.group + (written.placeInGroup || '') : line.role === 'main' ? 'main' : ''
	);
	/** What stands behind the exercise name in the typed line. */
	const rest = $derived(
		written.text.slice(written.text.indexOf(written.exerciseName) + written.exerciseName.length).trim()
	);
</script>

<div class="font-display text-[15px] leading-tight font-semibold">
	{#if tag}<span
			class="border-base-300 text-soft mr-1.5 rounded-sm border px-1 align-[2px] font-sans text-[11px]"
			>{tag}</span
		>{/if}{written.exerciseName}
</div>
<div class="truncate" title={written.text}>{rest}</div>
{#if unread.length > 0}
	<div
		class="decoration-accent mt-0.5 w-fit text-xs underline decoration-wavy underline-offset-2"
		title={unread.join(' ')}
	>
		not wholly read<span class="sr-only">: {unread.join(' ')}</span>
	</div>
{/if}
{#if line.intent}
	<div class="text-soft mt-1 text-xs" title="of what could be lifted, on one scale for all exercises">
		asks {Math.round(line.intent.effective)} effective {Math.round(line.intent.effective) === 1
			? 'rep'
			: 'reps'} at {Math.round(line.intent.equivalent * 100)} %
	</div>
{:else if line.outcome !== 'unknown'}
	<div class="text-soft mt-1 text-xs">counted, no load asked</div>
{/if}
