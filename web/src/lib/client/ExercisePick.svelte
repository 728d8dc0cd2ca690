<script lang="ts">
	/** An exercise of the catalogue by name, typed or picked. */
	interface Props {
		names: Map<string, string>;
		label: string;
		/** What the button says. */
		go?: string;
		onpick: (id: string) => void;
	}
	let { names, label, go = 'add', onpick }: Props = $props();
	let typed = $state('');
	let wrong = $state(false);
	const list = $props.id();

	function pick() {
		const found = [...names].find(([, name]) => name.toLowerCase() === typed.trim().toLowerCase());
		wrong = !found;
		if (!found) return;
		typed = '';
		onpick(found[0]);
	}
</script>

<span class="inline-flex items-center gap-1">
	<input
		class="input input-xs w-52"
		aria-label={label}
		aria-invalid={wrong}
		{list}
		bind:value={typed}
		placeholder={label}
		onkeydown={(event) => {
			if (event.key === 'Enter') {
				event.preventDefault();
				pick();
			}
		}}
	/>
	<datalist id={list}>
		{#each names as [id, name] (id)}<option value={name}></option>{/each}
	</datalist>
	<button type="button" class="btn btn-xs" onclick={pick}>{go}</button>
	{#if wrong}<span class="text-accent text-[12px]" role="alert">pick a name from the list</span>{/if}
</span>
