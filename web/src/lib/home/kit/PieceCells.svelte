<script lang="ts">
	import MassField from '$lib/home/MassField.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import type { MassUnit } from '$lib/units';

	/** Two cells of a row: what one piece weighs, and how many there are. */
	interface Props {
		piece: { mass: number; count: number };
		row: number;
		unit: MassUnit;
	}
	let { piece = $bindable(), row, unit }: Props = $props();
</script>

<td
	><MassField
		small
		label="Mass {row}"
		kilograms={piece.mass}
		{unit}
		onread={(kg) => (piece.mass = kg ?? 0)}
	/></td
>
<td
	><NumberField
		small
		label="How many of {row}"
		value={piece.count}
		decimals={0}
		onread={(n) => (piece.count = Math.round(n ?? 0))}
	/></td
>
