<script lang="ts">
	/** A time zone by its place; what the browser does not know can be typed, and the server says whether there is one. */
	interface Props {
		label: string;
		value: string | null;
		/** What holds where nothing is chosen. */
		otherwise: string;
		onpick: (zone: string | null) => void;
	}
	let { label, value, otherwise, onpick }: Props = $props();
	const zones = ['UTC', ...Intl.supportedValuesOf('timeZone')];
	const id = $props.id();
</script>

<label class="text-soft block text-[13px]">
	{label}
	<input
		class="input input-sm text-base-content block w-full"
		list={id}
		maxlength="60"
		placeholder={otherwise}
		value={value ?? ''}
		onchange={(event) => onpick(event.currentTarget.value.trim() || null)}
	/>
	<datalist {id}>
		{#each zones as zone (zone)}<option value={zone}></option>{/each}
	</datalist>
</label>
