<script lang="ts">
	/** Four figures, each turned with its arrows: lowering, pause, lifting, pause. */
	let { tempo, onturn }: { tempo: string; onturn: (tempo: string) => void } = $props();

	const NAMES = ['down', 'hold low', 'up', 'hold high'];
	const MOST = [5, 3, 3, 3];
	const figures = $derived(tempo.split('-'));

	function turn(place: number, by: number) {
		const now = figures[place] === 'X' ? 1 : Number(figures[place]);
		const least = place === 0 || place === 2 ? 1 : 0;
		const next = Math.min(MOST[place] ?? 3, Math.max(least, now + by));
		onturn(figures.map((figure, i) => (i === place ? String(next) : figure)).join('-'));
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
		turn(place, by);
	}
</script>

<div class="text-soft text-[11.5px]">
	down, hold, up, hold
	<div class="flex gap-[3px]">
		{#each figures as figure, i (i)}
			<button
				class="border-base-300 bg-base-100 font-display text-base-content h-9 w-7 rounded-sm border text-[19px] font-semibold"
				role="spinbutton"
				aria-label={NAMES[i]}
				aria-valuenow={figure === 'X' ? 1 : Number(figure)}
				aria-valuemin={i === 0 || i === 2 ? 1 : 0}
				aria-valuemax={MOST[i]}
				aria-valuetext={figure === 'X' ? 'fast' : `${figure} s`}
				title="{NAMES[i]}: click adds a second, right click takes one away"
				onclick={() => turn(i, 1)}
				oncontextmenu={(event) => {
					event.preventDefault();
					turn(i, -1);
				}}
				onkeydown={(event) => onkeydown(event, i)}>{figure}</button
			>
		{/each}
	</div>
</div>
