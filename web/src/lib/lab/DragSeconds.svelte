<script lang="ts">
	import { clock } from '$lib/units';

	/** A rest, dragged to the right for longer, or turned with the arrow keys in steps of five seconds. */
	interface Props {
		label: string;
		seconds: number;
		most: number;
		onturn: (seconds: number) => void;
	}
	let { label, seconds, most, onturn }: Props = $props();

	const STEP = 5;
	/** Pixels for one step, when dragged. */
	const PULL = 6;
	let from = $state<{ seconds: number; x: number } | null>(null);

	function set(to: number) {
		const next = Math.min(most, Math.max(0, Math.round(to / STEP) * STEP));
		if (next !== seconds) onturn(next);
	}

	function onkeydown(event: KeyboardEvent) {
		const steps: Record<string, number> = {
			ArrowUp: 1,
			ArrowRight: 1,
			ArrowDown: -1,
			ArrowLeft: -1,
			PageUp: 6,
			PageDown: -6
		};
		const by = steps[event.key];
		if (!by) return;
		event.preventDefault();
		event.stopPropagation();
		set(seconds + by * STEP);
	}
</script>

<div class="text-soft text-[11.5px]">
	{label}
	<div
		role="slider"
		tabindex="0"
		aria-label={label}
		aria-valuemin="0"
		aria-valuemax={most}
		aria-valuenow={seconds}
		aria-valuetext={clock(seconds)}
		title="{label}: drag right for longer, left for shorter"
		class="border-base-300 bg-base-100 font-display text-base-content h-9 w-16 cursor-ew-resize touch-none rounded-sm border pt-1 text-center text-[19px] leading-tight font-semibold select-none"
		onpointerdown={(event) => {
			event.currentTarget.setPointerCapture(event.pointerId);
			from = { seconds, x: event.clientX };
		}}
		onpointermove={(event) => from && set(from.seconds + Math.round((event.clientX - from.x) / PULL) * STEP)}
		onpointerup={() => (from = null)}
		{onkeydown}
	>
		{clock(seconds)}
	</div>
</div>
