<script lang="ts" generics="T">
	import NumberField from '$lib/home/NumberField.svelte';
	import type { NumberRow } from './rules';

	/** Settings that are one number each: what it is, why it is there, and the number. */
	interface Props {
		rows: NumberRow<T>[];
		values: T;
		onchange: (part: Partial<T>) => void;
	}
	let { rows, values, onchange }: Props = $props();
</script>

{#each rows as { key, words, why, decimals } (key)}
	<div class="border-rule grid grid-cols-[1fr_72px] items-center gap-3 border-t py-1 text-[13px]">
		<span>{words}<span class="text-soft block text-[12px]">{why}</span></span>
		<NumberField
			small
			label={words}
			value={values[key] as number}
			{decimals}
			onread={(n) => onchange({ [key]: n ?? 0 } as Partial<T>)}
		/>
	</div>
{/each}
