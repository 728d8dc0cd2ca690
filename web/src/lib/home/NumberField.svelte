<script lang="ts">
	import { readNumber, trim } from '$lib/units';

	/** A number with its unit in the label; empty means not known. */
	interface Props {
		label: string;
		value: number | null;
		decimals?: number;
		small?: boolean;
		onread: (value: number | null) => void;
	}
	let { label, value, decimals = 1, small = false, onread }: Props = $props();
</script>

<label class="block text-[13px]">
	<span class={small ? 'sr-only' : 'text-soft'}>{label}</span>
	<input
		class="input input-sm w-full"
		inputmode="decimal"
		value={value === null ? '' : trim(value, decimals)}
		onchange={(event) => onread(readNumber(event.currentTarget.value))}
	/>
</label>
