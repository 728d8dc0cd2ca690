<script lang="ts">
	import type { Explained, TrialView } from '$lib/api/client';
	import { between } from '$lib/forecast';
	import { clock, massWithUnit, type MassUnit } from '$lib/units';

	/** What both sets come to, side by side; every figure opens to how it came about. */
	let { views, unit }: { views: (TrialView | null)[]; unit: MassUnit } = $props();

	interface Row {
		name: string;
		/** Which steps of the computation lead to it. */
		steps: RegExp;
		of: (view: TrialView) => string;
	}
	const one = (value: number) => value.toFixed(1);
	const rows: Row[] = [
		{
			name: 'to failure, rested',
			steps: /^(Maximum|Resistance|Demand|On the common|A second|Cost|To failure)/,
			of: ({ forecast: f }) => `${Math.floor(f.toFailure.middle)}  (${between(f.toFailure)})`
		},
		{
			name: 'effective reps',
			steps: /^(On the common|Set|Bout|Effective)/,
			of: ({ forecast: f }) =>
				`${one(f.effective)}  (${one(f.effectiveRange.low)} to ${one(f.effectiveRange.high)})`
		},
		{
			name: 'last set leaves',
			steps: /^(Cost|Set|Bout)/,
			of: ({ forecast: f }) => {
				const last = f.sets.at(-1);
				return last
					? last.reserve < -0.5
						? `stops at ${Math.floor(last.toFailure)}`
						: one(Math.max(0, last.reserve))
					: '';
			}
		},
		{
			name: 'demand, common scale',
			steps: /^(Maximum|Resistance|Demand|On the common)/,
			of: ({ forecast: f }) => `${f.equivalent.toFixed(2)}`
		},
		{
			name: 'time under load',
			steps: /^(A second|Cost)/,
			of: ({ forecast: f }) => clock(f.totals.underLoad)
		},
		{
			name: 'whole movements',
			steps: /^(Cost)/,
			of: ({ forecast: f }) => `${Number(f.totals.wholeMovements.toFixed(1))}`
		},
		{
			name: 'volume',
			steps: /^(Resistance)/,
			of: ({ forecast: f }) => massWithUnit(f.totals.volume, unit)
		},
		{ name: 'lasts in all', steps: /^(Set|Bout)/, of: ({ forecast: f }) => clock(f.lasts) },
		{
			name: 'rest to repeat set 1',
			steps: /^(Set 1|Bout 1|Cost)/,
			of: ({ forecast: f }) => (f.restToRepeat === null ? 'none is enough' : clock(f.restToRepeat))
		},
		{
			name: 'a pure hold lasts',
			steps: /^(A second|Demand)/,
			of: ({ forecast: f }) => (f.holdLasts === null ? 'unloaded' : `${Math.round(f.holdLasts)} s`)
		}
	];
	let open = $state(0);
	const shown = $derived(rows[open] ?? rows[0]);
	const steps = (view: TrialView | null): Explained[] =>
		view && shown ? view.forecast.story.filter((step) => shown.steps.test(step.what)) : [];
</script>

<div class="mt-2 grid min-h-0 flex-1 grid-cols-[330px_1fr] gap-4">
	<table class="self-start text-[13px] leading-[1.35]" aria-label="Both sets compared">
		<thead>
			<tr class="text-soft text-left text-xs">
				<th class="font-normal">one side, all sets</th>
				<th class="w-[92px] text-right font-normal">A</th>
				<th class="w-[92px] text-right font-normal">B</th>
			</tr>
		</thead>
		<tbody>
			{#each rows as row, i (row.name)}
				<tr class="border-rule border-t {i === open ? 'bg-decide' : ''}">
					<td>
						<button class="min-h-6 w-full text-left" aria-expanded={i === open} onclick={() => (open = i)}
							>{row.name}</button
						>
					</td>
					{#each views as view, n (n)}
						<td class="text-right align-top">
							{#if view}
								<button
									class="min-h-6 w-full text-right font-semibold whitespace-pre"
									onclick={() => (open = i)}
									>{row.of(view).split('  ')[0]}{#if row.of(view).includes('  ')}<span
											class="text-soft block text-[11px] font-normal">{row.of(view).split('  ')[1]}</span
										>{/if}</button
								>
							{/if}
						</td>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
	<!-- Scrolled with the arrow keys, so it must take the focus. -->
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div
		class="min-h-0 overflow-auto text-[12.5px]"
		role="region"
		aria-label="How {shown?.name} came about"
		tabindex="0"
	>
		<h3 class="text-[15px]">How “{shown?.name}” came about</h3>
		{#each views as view, n (n)}
			{#if view}
				<h4 class="text-soft mt-1 font-semibold">{'AB'[n]}</h4>
				<dl>
					{#each steps(view) as step, s (s)}
						<div class="border-rule border-t py-0.5">
							<dt class="inline">{step.what}</dt>
							<dd class="inline"><b>{step.value}</b> = {step.formula}</dd>
							<dd class="text-soft text-[11.5px]">{step.source}</dd>
						</div>
					{/each}
				</dl>
			{/if}
		{/each}
	</div>
</div>
