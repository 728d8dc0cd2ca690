<script lang="ts">
	import { untrack } from 'svelte';
	import { MediaQuery } from 'svelte/reactivity';
	import type { FigureView } from '$lib/api/client';
	import SetUpFigure from '$lib/drawing/SetUpFigure.svelte';
	import { Pacer, type PacePhase } from './pacer.svelte';

	/** The count in figures one reads from the floor, and where in the repetition one is. */
	let {
		figure,
		name,
		phases,
		goal,
		goalWords,
		tempoWords,
		counted,
		label,
		oncount,
		onstart
	}: {
		figure: FigureView | null;
		name: string;
		phases: PacePhase[];
		goal: number;
		goalWords: string;
		tempoWords: string;
		counted: number;
		label: string;
		oncount: (count: number) => void;
		onstart: () => void;
	} = $props();
	const pacer = untrack(() => new Pacer(phases, oncount));
	let shownFor = untrack(() => label);
	$effect(() => {
		if (label !== shownFor) {
			shownFor = label;
			pacer.set(phases, 0);
		}
	});
	$effect(() => () => pacer.stop());
	untrack(() => pacer.set(phases, counted));

	const W = 318;
	const HIGH = 14;
	const LOW = 74;
	const total = $derived(phases.reduce((sum, p) => sum + p.seconds, 0));
	const startsHigh = $derived(phases[0]?.word !== 'lift' && phases[0]?.word !== 'lift fast');
	/** The path of one repetition: down, along, up, along. */
	const corners = $derived.by(() => {
		let x = 14;
		let y = startsHigh ? HIGH : LOW;
		const list = [{ x, y }];
		for (const phase of phases) {
			x += (phase.seconds / total) * (W - 28);
			if (phase.word === 'lower') y = LOW;
			else if (phase.word.startsWith('lift')) y = HIGH;
			list.push({ x, y });
		}
		return list;
	});
	const path = $derived(corners.map((c) => `${c.x},${c.y}`).join(' '));
	const dot = $derived.by(() => {
		const a = corners[pacer.phase] ?? { x: 14, y: HIGH };
		const b = corners[pacer.phase + 1] ?? a;
		return { x: a.x + (b.x - a.x) * pacer.part, y: a.y + (b.y - a.y) * pacer.part };
	});
	const walked = $derived([...corners.slice(0, pacer.phase + 1), dot].map((c) => `${c.x},${c.y}`).join(' '));
	const still = new MediaQuery('prefers-reduced-motion: reduce');
	/** Where the body is: out with the first movement, back with the other, kept in the holds. */
	const moment = $derived.by(() => {
		if (!pacer.running || phases.length === 0 || still.current) return null;
		const moves = phases.map((p) => !p.word.startsWith('hold'));
		const before = moves.slice(0, pacer.phase).filter(Boolean).length;
		const into = moves[pacer.phase] ? pacer.part : 0;
		return before % 2 === 0 ? into : 1 - into;
	});
	const word = $derived(
		pacer.running
			? pacer.isHold
				? 'hold'
				: (phases[pacer.phase]?.word ?? '')
			: pacer.count >= goal
				? 'enough'
				: 'ready'
	);
</script>

<section class="bg-base-100 border-base-300 mt-3 rounded-[10px] border px-[18px] py-3" aria-label="Pacer">
	<div class="flex items-start justify-between gap-2">
		<div class="flex items-center gap-3">
			<b class="font-display min-w-[1.1em] text-[76px] leading-none" data-count>{pacer.count}</b>
			<span class="flex flex-col gap-1.5">
				<button class="step" aria-label="One more" onclick={() => pacer.correct(pacer.count + 1)}>+</button>
				<button class="step" aria-label="One less" onclick={() => pacer.correct(pacer.count - 1)}>−</button>
			</span>
		</div>
		{#if figure}
			<SetUpFigure
				{figure}
				at={moment}
				label="{name}: start pale, end dark"
				class="h-[92px] min-w-0 flex-1"
				letters={15}
			/>
		{/if}
	</div>
	<div class="mt-1 flex items-start justify-between gap-3">
		<span class="text-soft block text-[15px]">{goalWords}</span>
		<div class="shrink-0 text-right">
			<b class="font-display text-primary block text-[30px] leading-none" aria-live="off">{word}</b>
			<span class="text-soft mt-1 block text-[15px]">{tempoWords}</span>
			<label class="text-soft mt-1 flex items-center justify-end gap-2 text-sm">
				<input type="checkbox" class="checkbox checkbox-sm" bind:checked={pacer.sound} />tones
			</label>
		</div>
	</div>
	{#if phases.length > 0}
		<svg viewBox="0 0 {W} 92" class="mt-1 w-full" aria-hidden="true">
			<polyline
				points={path}
				class="stroke-base-300"
				fill="none"
				stroke-width="12"
				stroke-linejoin="round"
				stroke-linecap="round"
			/>
			{#if pacer.running}<polyline
					points={walked}
					class="stroke-primary"
					fill="none"
					stroke-width="12"
					stroke-linejoin="round"
					stroke-linecap="round"
				/>{/if}
			<circle cx={dot.x} cy={dot.y} r="13" class="fill-accent" />
			{#each phases as phase, i (i)}
				{@const a = corners[i]}
				{@const b = corners[i + 1]}
				{#if a && b}
					{@const flat = a.y === b.y}
					<text
						x={(a.x + b.x) / 2 + (flat ? 0 : b.y > a.y ? 14 : -14)}
						y={flat ? (a.y === HIGH ? a.y + 26 : a.y - 14) : (a.y + b.y) / 2 - 4}
						text-anchor={flat ? 'middle' : b.y > a.y ? 'start' : 'end'}
						class="fill-soft"
						font-size="15">{phase.seconds} s</text
					>
				{/if}
			{/each}
		</svg>
	{/if}
	<button
		class="answer mt-2 w-full {pacer.running ? 'quiet' : ''}"
		onclick={() => {
			if (pacer.running) return pacer.stop();
			onstart();
			pacer.start();
		}}
	>
		{pacer.running ? 'Stop the pacer' : phases.length > 0 ? 'Start the pacer' : 'Start the clock'}
	</button>
</section>
