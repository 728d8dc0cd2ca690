<script lang="ts">
	import type { BenchView, Block, BlockView, BlockWeek, WeekTarget } from '$lib/api/client';
	import { easierWeek, PURPOSES } from './phases';
	import { massWithUnit, shortDay, type MassUnit } from '$lib/units';

	/**
	 * The weeks of a block side by side: phases above, days and sets drawn to scale, and under them what every line asks, with the one thing
	 * that was raised. A cell opens in words below.
	 */
	interface Props {
		block: Block;
		view: BlockView;
		sessions: BenchView['sessions'];
		unit: MassUnit;
		onchange: (block: Block) => void;
	}
	let { block, view, sessions, unit, onchange }: Props = $props();

	const weeks = $derived(view.weeks);
	let open = $state<{ line: number; week: number } | null>(null);
	const lines = $derived(
		sessions.flatMap((session, s) =>
			session.lines.flatMap((line) => {
				const targets = view.targets.find((t) => t.line === line.written.number);
				return targets
					? [{ session: s, title: session.title, name: line.chosen?.prescription.name ?? '', targets }]
					: [];
			})
		)
	);
	const setsOf = (week: number) =>
		lines.reduce((sum, l) => sum + (l.targets.weeks[week]?.prescription.counts.length ?? 0), 0);
	const most = $derived(Math.max(1, ...weeks.map((_, w) => setsOf(w))));
	const opened = $derived(
		open ? lines.find((l) => l.targets.line === open!.line)?.targets.weeks[open.week] : null
	);

	const KIND = { full: 'full', lighter: 'lighter', easier: 'easier' } as const;

	/** Runs of weeks of one phase, as spans of columns. */
	const spans = $derived(
		block.phases.map((phase, i) => ({ phase, length: weeks.filter((w) => w.phase === i).length }))
	);

	function asked(target: WeekTarget): string {
		const p = target.prescription;
		const counts = [...new Set(p.counts)];
		return `${p.counts.length}×${counts.length === 1 ? counts[0] : counts.at(0) + '–' + counts.at(-1)}${p.count === 'seconds' ? ' s' : ''}`;
	}

	/** The first week and the last of a phase go by the block's own rules. */
	function mayChange(week: BlockWeek): boolean {
		const last = week.phase !== null && view.weeks[week.number]?.phase !== week.phase;
		return (
			week.starts !== null &&
			week.kind !== 'lighter' &&
			!(last && (block.phases[week.phase ?? 0]?.endsEasier ?? false))
		);
	}

	/** Where a week lies, as every line of it says. */
	function whenOf(week: number): 'past' | 'now' | 'ahead' {
		return lines[0]?.targets.weeks[week]?.when ?? 'ahead';
	}

	function days(week: BlockWeek): string {
		return `${week.sessions.length} ${week.sessions.length === 1 ? 'session' : 'sessions'}`;
	}
</script>

<div class="overflow-auto" role="region" aria-label="Weeks">
	<table class="border-separate border-spacing-0 text-[12.5px]">
		<thead>
			{#if spans.length > 0}
				<tr>
					<th class="bg-base-200 sticky left-0 z-10 w-[190px] min-w-[190px]"></th>
					{#each spans as span, i (i)}
						<th
							scope="colgroup"
							colspan={span.length}
							class="border-base-content border-l-2 px-1.5 pt-1 text-left align-bottom font-normal"
						>
							<span class="font-display block truncate text-[14px] font-semibold">{span.phase.name}</span>
							<span class="text-soft block truncate text-[11.5px]"
								>{PURPOSES[span.phase.purpose ?? 'growth'].split(':')[0]}</span
							>
						</th>
					{/each}
				</tr>
			{/if}
			<tr>
				<td class="bg-base-200 text-soft sticky left-0 z-10 pr-2 text-right align-bottom text-[11.5px]"
					>sets in the week</td
				>
				{#each weeks as week, w (w)}
					{@const sets = setsOf(w)}
					<th
						scope="col"
						class="w-[84px] min-w-[84px] border-l px-1 pt-1 text-left align-bottom font-normal {week.phase !==
							null && week.phase !== weeks[w - 1]?.phase
							? 'border-base-content border-l-2'
							: 'border-rule'}"
					>
						<svg viewBox="0 0 70 44" class="block h-11 w-[70px]" aria-hidden="true">
							<rect
								x="2"
								y={44 - (sets / most) * 40}
								width="26"
								height={(sets / most) * 40}
								fill={week.kind === 'full' ? 'var(--color-primary)' : 'url(#hatch-shorterRest)'}
							/>
							<text x="33" y="42" class="font-display fill-current text-[15px] font-semibold">{sets}</text>
						</svg>
						<span class="block font-semibold">week {week.number}</span>
						{#if whenOf(w) !== 'ahead'}<span class="block text-[11.5px] font-semibold"
								>{whenOf(w) === 'past' ? 'as trained' : 'in force now'}</span
							>{/if}
						{#if mayChange(week)}
							<button
								class="text-soft block text-[11.5px] underline decoration-dotted underline-offset-2"
								aria-pressed={week.kind === 'easier'}
								aria-label="Week {week.number}: {KIND[week.kind]}"
								title={week.kind === 'easier'
									? 'Train it in full again'
									: 'Make it easier: fewer sets, the same loads'}
								onclick={() => onchange(easierWeek(block, week))}>{KIND[week.kind]}</button
							>
						{:else}
							<span class="text-soft block text-[11.5px]">{KIND[week.kind]}</span>
						{/if}
						<span class="text-soft block text-[11.5px]"
							>{week.starts ? shortDay(week.starts) : days(week)}{week.starts &&
							block.rhythm === 'everySecondDay'
								? `, ${days(week)}`
								: ''}</span
						>
						{#if week.reviewOn}<span class="text-accent block text-[11.5px]"
								>look again {shortDay(week.reviewOn)}</span
							>{/if}
					</th>
				{/each}
			</tr>
		</thead>
		<tbody>
			{#each lines as line, i (line.targets.line)}
				{#if line.session !== lines[i - 1]?.session}
					<tr>
						<th
							scope="rowgroup"
							colspan={weeks.length + 1}
							class="font-display border-rule border-b pt-2 text-left text-[13.5px] font-semibold"
							>{line.title}</th
						>
					</tr>
				{/if}
				<tr>
					<th
						scope="row"
						class="bg-base-200 border-rule sticky left-0 z-10 max-w-[190px] truncate border-b py-0.5 pr-2 text-left font-normal"
						title={line.name}>{line.name}</th
					>
					{#each line.targets.weeks as target, w (w)}
						{@const raised = target.what !== null}
						<td class="border-rule max-w-[84px] border-b border-l p-0">
							<button
								class="block w-full px-1 py-0.5 text-left leading-tight {open?.line === line.targets.line &&
								open.week === w
									? 'bg-decide'
									: target.when === 'now'
										? 'bg-base-100'
										: ''} {weeks[w]?.kind === 'full' && target.when !== 'past' ? '' : 'text-soft'}"
								aria-pressed={open?.line === line.targets.line && open.week === w}
								onclick={() => (open = { line: line.targets.line, week: w })}
							>
								<span class="whitespace-nowrap"
									>{#if raised}<svg viewBox="0 0 8 8" class="mr-0.5 inline h-2 w-2" aria-hidden="true"
											><path d="M0 8V5h3V2h3V0h2v8z" fill="var(--color-accent)" /></svg
										>{/if}<span
										class={target.what === 'repetitions' || target.what === 'set' ? 'font-semibold' : ''}
										>{asked(target)}</span
									></span
								>
								<span
									class="block truncate text-[11px] {target.what === 'load'
										? 'text-accent font-semibold'
										: 'text-soft'}"
									>{target.what === 'variation'
										? target.prescription.name
										: target.prescription.load !== 0
											? massWithUnit(target.prescription.load, unit)
											: target.what === 'tempo' || target.what === 'pause'
												? (target.prescription.tempo ?? '')
												: 'own weight'}</span
								>
							</button>
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</div>
<p class="border-rule border-t px-1 py-1.5 text-[13px]" aria-live="polite">
	{#if open && opened}
		<b>Week {open.week + 1}, {opened.prescription.name}:</b>
		{opened.prescription.countInWords}, {opened.prescription.loadInWords}{opened.prescription.tempo
			? `, tempo ${opened.prescription.tempo}`
			: ''}, rest {Math.round(opened.prescription.rest)} s.
		{opened.when === 'past'
			? 'Asked so then.'
			: opened.raised
				? `Raised: ${opened.raised.replace(/\.$/, '')}.`
				: weeks[open.week]?.kind === 'full'
					? 'Nothing is raised.'
					: 'The same loads, fewer sets.'}
	{:else}
		<span class="text-soft"
			>Weeks behind show what was asked then; the weeks ahead start from what is in force and the step the log
			waits with, one thing raised a week as if each target were met. The small stair marks what went up.</span
		>
	{/if}
</p>
