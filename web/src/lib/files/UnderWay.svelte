<script lang="ts">
	import type { HowFar } from '$lib/api/client';
	import PartDone from '$lib/drawing/PartDone.svelte';

	/** How far the server says it is. */
	let { howFar, label }: { howFar: HowFar | null; label: string } = $props();
</script>

<div class="mt-2 flex items-center gap-3">
	<PartDone part={howFar?.part ?? null} {label} words={howFar?.words} />
	<span class="text-soft text-[12.5px] tabular-nums">{howFar?.words ?? ''}</span>
</div>
