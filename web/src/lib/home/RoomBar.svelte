<script lang="ts">
	import type { Home } from '$lib/api/client';
	import { FLOOR_NAMES } from './words';
	import NumberField from './NumberField.svelte';

	/** The room in one strip: headroom, clear floor, what the floor is, who is below. */
	let { room, onchange }: { room: Home['room']; onchange: (change: Partial<Home['room']>) => void } =
		$props();
	type FloorKind = Home['room']['floors'][number];

	const turn = (floor: FloorKind, on: boolean) =>
		onchange({ floors: on ? [...room.floors, floor] : room.floors.filter((f) => f !== floor) });
</script>

<div class="flex items-end gap-2 px-1 pb-2">
	<div class="w-[92px] shrink-0">
		<NumberField
			label="Headroom, cm"
			value={room.headroom === null ? null : room.headroom * 100}
			onread={(cm) => onchange({ headroom: cm === null ? null : cm / 100 })}
		/>
	</div>
	<div class="w-14 shrink-0">
		<NumberField
			label="Floor, m"
			value={room.floorLength}
			decimals={2}
			onread={(m) => onchange({ floorLength: m })}
		/>
	</div>
	<div class="w-14 shrink-0">
		<NumberField
			label="by, m"
			value={room.floorWidth}
			decimals={2}
			onread={(m) => onchange({ floorWidth: m })}
		/>
	</div>
	<div class="flex flex-1 flex-wrap gap-1 text-[12px]">
		<div class="contents" role="group" aria-label="What the floor is">
			{#each Object.entries(FLOOR_NAMES) as [floor, name] (floor)}
				{@render pill(name, room.floors.includes(floor as FloorKind), (on) => turn(floor as FloorKind, on))}
			{/each}
		</div>
		{@render pill('neighbours below', room.neighboursBelow, (on) => onchange({ neighboursBelow: on }))}
		{@render pill('ground outdoors', room.outdoors, (on) => onchange({ outdoors: on }))}
	</div>
</div>

{#snippet pill(name: string, on: boolean, change: (on: boolean) => void)}
	<button
		class="h-6 rounded-full border px-2 {on
			? 'border-base-content bg-base-content text-base-100'
			: 'border-base-300 bg-base-100'}"
		aria-pressed={on}
		onclick={() => change(!on)}>{name}</button
	>
{/snippet}
