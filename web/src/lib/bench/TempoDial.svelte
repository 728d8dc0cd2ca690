<script lang="ts">
	/**
	 * Four figures, each turned with its arrows, dragged up and down, or clicked: lowering, pause, lifting, pause. Below
	 * a second of lifting comes X, as fast as possible.
	 */
	interface Props {
		tempo: string;
		/** Longest of each phase. */
		most?: number[];
		onturn: (tempo: string) => void;
	}
	let { tempo, most = [5, 3, 3, 3], onturn }: Props = $props();

	const NAMES = ['down', 'hold low', 'up', 'hold high'];
	const LIFTING = 2;
	/** Pixels a second, when dragged. */
	const PULL = 14;
	const figures = $derived(tempo.split('-'));
	let dragged = $state<{ place: number; from: number; start: number; moved: boolean } | null>(null);

	const value = (place: number) => (figures[place] === 'X' ? 0 : Number(figures[place]));
	const least = (place: number) => (place === 0 ? 1 : 0);

	function set(place: number, to: number) {
		const next = Math.min(most[place] ?? 3, Math.max(least(place), to));
		const written = place === LIFTING && next === 0 ? 'X' : String(next);
		if (written !== figures[place]) onturn(figures.map((f, i) => (i === place ? written : f)).join('-'));
	}

	function onkeydown(event: KeyboardEvent, place: number) {
		const by =
			event.key === 'ArrowUp' || event.key === '+'
				? 1
				: event.key === 'ArrowDown' || event.key === '-'
					? -1
					: 0;
		if (!by) return;
		event.preventDefault();
		event.stopPropagation();
		set(place, value(place) + by);
	}

	function onpointermove(event: PointerEvent) {
		if (!dragged) return;
		const by = Math.round((dragged.start - event.clientY) / PULL);
		if (by !== 0) dragged.moved = true;
		if (dragged.moved) set(dragged.place, dragged.from + by);
	}
</script>

<div class="text-soft text-[11.5px]">
	down, hold, up, hold
	<div class="flex gap-[3px]">
		{#each figures as figure, i (i)}
			<button
				class="border-base-300 bg-base-100 font-display text-base-content h-9 w-7 cursor-ns-resize touch-none rounded-sm border text-[19px] font-semibold select-none"
				role="spinbutton"
				aria-label={NAMES[i]}
				aria-valuenow={value(i)}
				aria-valuemin={least(i)}
				aria-valuemax={most[i]}
				aria-valuetext={figure === 'X' ? 'fast' : `${figure} s`}
				title="{NAMES[i]}: drag up or down, or click to add a second, right click to take one away"
				onpointerdown={(event) => {
					if (event.button !== 0) return;
					event.currentTarget.setPointerCapture(event.pointerId);
					dragged = { place: i, from: value(i), start: event.clientY, moved: false };
				}}
				{onpointermove}
				onpointerup={() => {
					if (dragged && !dragged.moved) set(i, value(i) + 1);
					dragged = null;
				}}
				oncontextmenu={(event) => {
					event.preventDefault();
					set(i, value(i) - 1);
				}}
				onkeydown={(event) => onkeydown(event, i)}>{figure}</button
			>
		{/each}
	</div>
</div>
