<script lang="ts">
	import type { HowFar } from '$lib/api/client';

	/** A bar that fills as the server says how far it is; one that only moves while nobody can say. */
	let { howFar, label }: { howFar: HowFar | null; label: string } = $props();
</script>

<div class="mt-2 flex items-center gap-3">
	<progress class="progress block flex-1" aria-label={label} value={howFar?.part ?? undefined} max={1}
	></progress>
	<span class="text-soft text-[12.5px] tabular-nums">{howFar?.words ?? ''}</span>
</div>
