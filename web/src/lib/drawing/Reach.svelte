<script lang="ts">
	import type { FamilyReach } from '$lib/api/client';
	import { massWithUnit, type MassUnit } from '$lib/units';

	/**
	 * Per strength family one scale: a tick for every resistance the place can give, the zone the gym programme asks behind
	 * them, what is out of reach hatched. Every scale ends at the client's own maximum of the family's gym lift.
	 */
	interface Props {
		families: FamilyReach[];
		unit: MassUnit;
		opened: string | null;
		onopen: (family: string) => void;
	}
	let { families, unit, opened, onopen }: Props = $props();

	const WIDTH = 600;
	const shown = (kg: number) => massWithUnit(Math.round(kg * 2) / 2, unit);

	const scaleOf = (family: FamilyReach) =>
		WIDTH / Math.max(family.maximum, (family.askedTo ?? 0) * 1.06, family.rungs.at(-1)?.load ?? 0, 1);

	/** Ticks nearer than a pixel and a half are drawn as one. */
	function ticks(family: FamilyReach): number[] {
		const scale = scaleOf(family);
		const xs: number[] = [];
		for (const rung of family.rungs) {
			const x = rung.load * scale;
			if (xs.length === 0 || x - (xs.at(-1) ?? 0) > 1.5) xs.push(x);
		}
		return xs;
	}

	/** The zone asked, at least wide enough to see. */
	function zone(family: FamilyReach) {
		if (family.askedFrom === null || family.askedTo === null) return null;
		const scale = scaleOf(family);
		const top = family.rungs.at(-1)?.load ?? 0;
		const from = Math.max(0, family.askedFrom * 0.94) * scale;
		const to = Math.min(WIDTH, family.askedTo * 1.06 * scale);
		const reached = Math.min(Math.max(top * scale, from), to);
		return { from, to, reached: family.verdict === 'reached' ? to : reached };
	}

	const verdict = (family: FamilyReach) =>
		family.verdict === 'outOfReach'
			? 'short of all of it'
			: family.verdict === 'short'
				? `${shown(family.short)} short`
				: '';
</script>

<div role="list" aria-label="Reach by strength family">
	{#each families as family (family.name)}
		{@const asked = zone(family)}
		{@const short = verdict(family)}
		{@const top = family.rungs.at(-1)}
		<div role="listitem">
			<button
				class="hover:bg-base-100 grid h-[26.5px] w-full grid-cols-[256px_600px_minmax(0,1fr)] items-center gap-4 text-left"
				aria-expanded={opened === family.name}
				onclick={() => onopen(family.name)}
			>
				<span class="truncate">
					<b class="font-display text-[14.5px]">{family.name}</b>
					<span class="text-soft text-[11px]">as on {family.reference.toLowerCase()}</span>
				</span>
				<svg width={WIDTH} height="26" viewBox="0 0 {WIDTH} 26" aria-hidden="true">
					{#if asked}
						<rect
							x={asked.from}
							y="1"
							width={Math.max(3, asked.reached - asked.from)}
							height="22"
							fill="var(--reach)"
						/>
						{#if asked.reached < asked.to}
							<rect
								x={asked.reached}
								y="1"
								width={Math.max(5, asked.to - asked.reached)}
								height="22"
								fill="url(#hatch-short)"
								stroke="var(--color-accent)"
								stroke-dasharray="3 2"
							/>
						{/if}
					{/if}
					<line x1="0" x2={WIDTH} y1="23.5" y2="23.5" stroke="var(--color-base-300)" stroke-width="1.5" />
					{#each ticks(family) as x, i (i)}
						<line x1={x} x2={x} y1="10" y2="23" stroke="currentColor" stroke-width="1.2" />
					{/each}
				</svg>
				<span class="min-w-0 truncate text-[12.5px]">
					{#if short}<b class="text-accent">{short}.</b>{/if}
					<span class="text-soft">
						{#if family.askedTo !== null}asks {shown(family.askedTo)};{/if}
						{#if top}{family.rungs.length}
							{family.rungs.length === 1 ? 'rung' : 'rungs'} to {shown(top.load)}, {top.exercise.toLowerCase()}
						{:else}{family.blocked[0] ?? 'nothing here loads it'}{/if}
					</span>
				</span>
			</button>
			{#if opened === family.name}
				<div class="border-primary bg-base-100 mb-2 border-l-4 px-4 py-2 text-[13px]">
					<p class="text-soft mb-1 max-w-[860px]">
						Each tick is an exercise in a set-up that passed, placed where {family.reference.toLowerCase()} would
						allow as many repetitions; the scale ends at the estimated maximum of {shown(family.maximum)}.
						{#if family.askedTo !== null}The programme asks {shown(family.askedFrom ?? 0)} to {shown(
								family.askedTo
							)}.{:else}No line of the programme asks this family.{/if}
					</p>
					{#if family.blocked.length}
						<p class="mb-1">What keeps more out: {family.blocked.join('; ')}.</p>
					{/if}
					<ul class="grid max-h-52 grid-cols-2 gap-x-8 overflow-auto">
						{#each [...family.rungs].reverse() as rung, i (i)}
							<li class="border-rule border-t py-0.5">
								<b class="inline-block w-16 text-right">{shown(rung.load)}</b>
								{rung.words}
							</li>
						{/each}
					</ul>
				</div>
			{/if}
		</div>
	{/each}
</div>
