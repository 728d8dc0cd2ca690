<script lang="ts">
	import { readMass, shownMass, type MassUnit } from '$lib/units';

	/** A mass typed in the client's unit and kept in kilograms. Empty means not known. */
	interface Props {
		label: string;
		kilograms: number | null;
		unit: MassUnit;
		small?: boolean;
		onread: (kilograms: number | null) => void;
	}
	let { label, kilograms, unit, small = false, onread }: Props = $props();
	const shown = $derived(kilograms === null ? '' : shownMass(kilograms, unit));
</script>

<label class="block text-[13px]">
	<span class={small ? 'sr-only' : 'text-soft'}>{label}, {unit === 'pound' ? 'lb' : 'kg'}</span>
	<input
		class="input input-sm w-full"
		inputmode="decimal"
		value={shown}
		onchange={(event) => onread(readMass(event.currentTarget.value, unit))}
	/>
</label>
