<script lang="ts">
	/** The shortcuts of a view, along the foot; "?" opens the whole list. */
	export interface Shortcut {
		keys: string[];
		does: string;
		/** Only on the whole list. */
		rare?: boolean;
	}
	let { shortcuts, note = '' }: { shortcuts: Shortcut[]; note?: string } = $props();
	let dialog: HTMLDialogElement;

	function onkeydown(event: KeyboardEvent) {
		const typing =
			event.target instanceof HTMLElement &&
			event.target.matches('input:not([type=range]), textarea, select');
		if (event.key === '?' && !typing) {
			event.preventDefault();
			dialog.showModal();
		}
	}
</script>

<svelte:window {onkeydown} />

<footer class="border-base-300 text-soft no-print flex h-9 shrink-0 items-center gap-5 border-t px-4 text-xs">
	{#each shortcuts.filter((s) => !s.rare) as shortcut (shortcut.does)}
		<span class="whitespace-nowrap">
			{#each shortcut.keys as key (key)}<kbd class="mr-1">{key}</kbd>{/each}{shortcut.does}
		</span>
	{/each}
	<button class="whitespace-nowrap" onclick={() => dialog.showModal()}><kbd>?</kbd> all keys</button>
	<span class="flex-1"></span>
	<span class="truncate">{note}</span>
</footer>

<dialog bind:this={dialog} class="modal" aria-label="Keys">
	<div class="modal-box">
		<h2 class="mb-3 text-lg">Keys on this page</h2>
		<dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
			{#each shortcuts as shortcut (shortcut.does)}
				<dt>
					{#each shortcut.keys as key (key)}<kbd class="mr-1">{key}</kbd>{/each}
				</dt>
				<dd>{shortcut.does}</dd>
			{/each}
			<dt><kbd>?</kbd></dt>
			<dd>this list</dd>
		</dl>
		<form method="dialog" class="mt-4 text-right"><button class="btn btn-sm">Close</button></form>
	</div>
</dialog>
