<script lang="ts">
	import type { Alternative, RebuiltLine } from '$lib/api/client';
	import { between } from '$lib/forecast';
	import { massWithUnit, type MassUnit } from '$lib/units';

	/** How the figures of the line in hand came about. */
	let { line, chosen, unit }: { line: RebuiltLine; chosen: Alternative; unit: MassUnit } = $props();
	const percent = (share: number) => `${Math.round(share * 100)} %`;
</script>

<details class="border-base-300 mt-1 border-t pt-1 text-[13px]">
	<summary class="text-soft cursor-pointer">How these figures came about</summary>
	<dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
		{#if line.intent}
			<dt class="text-soft">gym maximum</dt>
			<dd>{massWithUnit(line.intent.anchor.maximum, unit)}: {line.intent.anchor.story}</dd>
			<dt class="text-soft">gym demand</dt>
			<dd>{line.intent.demand.toFixed(2)} of it, {line.intent.equivalent.toFixed(2)} on the common scale</dd>
		{/if}
		{#if chosen.anchor}
			<dt class="text-soft">home maximum</dt>
			<dd>
				{massWithUnit(chosen.anchor.maximum, unit)}{chosen.anchor.isTotal ? ', body counted' : ''}: {chosen
					.anchor.story}
			</dd>
		{/if}
		{#if chosen.bodyMoved !== null && chosen.bodyMoved > 0}
			<dt class="text-soft">body moved</dt>
			<dd>{percent(chosen.bodyMoved)} of body mass in this set-up</dd>
		{/if}
		{#if chosen.demand !== null && chosen.equivalent !== null}
			<dt class="text-soft">home demand</dt>
			<dd>{chosen.demand.toFixed(2)}, {chosen.equivalent.toFixed(2)} on the common scale</dd>
		{/if}
		<dt class="text-soft">sets</dt>
		<dd>
			{chosen.forecast
				.map((s, i) => {
					const range = chosen.ranges[i];
					return `${s.planned} of ${s.toFailure.toFixed(1)}${range ? ` (${between(range)})` : ''}`;
				})
				.join(', ')} possible, four of five times in brackets; effective
			{chosen.forecast.map((s) => s.effective.toFixed(1)).join(' + ')}
		</dd>
		<dt class="text-soft">fit</dt>
		<dd>
			{chosen.fit.score.toFixed(2)}, weighted for a {line.role} line; most lost on {chosen.fit.decisive}
		</dd>
	</dl>
	<p class="text-soft mt-1">
		Repetitions by demand: load chart of Haff and Triplett, Hoeger et al. 1990 below; pauses and lowering by
		Rohmert 1960. All sources in docs/method.md.
	</p>
</details>
