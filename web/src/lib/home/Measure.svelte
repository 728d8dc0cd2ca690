<script lang="ts">
	import { api, ask, messageOf, type ClientProfile } from '$lib/api/client';
	import { massWithUnit, type MassUnit } from '$lib/units';
	import { readDevice } from './kit/device';

	/** Two things a tape cannot tell: how far a body leans, and how much a foot helps. */
	let { profile, unit }: { profile: ClientProfile; unit: MassUnit } = $props();
	let shown = $state('');
	let outcome = $state('');
	let busy = $state(false);

	async function measure(kind: 'phoneLevel' | 'footScale') {
		busy = true;
		outcome = '';
		try {
			const value = await readDevice(kind, { name: profile.name }, (r) => (shown = r.value.toFixed(1)));
			const row = kind === 'phoneLevel';
			const told = await ask(
				api.POST('/api/engine/body-share', {
					body: {
						exercise: row ? 'standing-lean-row' : 'pull-up',
						bodyMass: profile.bodyMass,
						stature: profile.stature,
						sex: profile.sex,
						geometry: null,
						footReading: row ? null : value,
						rail: null,
						bodyAngle: row ? value : null
					}
				})
			);
			outcome = row
				? `Leaning at ${value.toFixed(0)} degrees the hands hold ${massWithUnit(told.onHands, unit)}, ${Math.round(told.share * 100)} % of the body.`
				: `The foot takes ${massWithUnit(value, unit)}; the arms are left with ${massWithUnit(told.onHands, unit)} of ${massWithUnit(told.moved, unit)}.`;
		} catch (problem) {
			outcome = messageOf(problem);
		} finally {
			[busy, shown] = [false, ''];
		}
	}
</script>

<section aria-label="Measure on the spot">
	<h3 class="mb-1 text-[15px]">Measure on the spot</h3>
	<div class="flex items-center gap-2">
		<button class="btn btn-xs" disabled={busy} onclick={() => measure('phoneLevel')}
			>Phone along the body</button
		>
		<button class="btn btn-xs" disabled={busy} onclick={() => measure('footScale')}>Foot on the scale</button>
		{#if busy}<output class="text-[15px] font-semibold">{shown}</output>{/if}
	</div>
	<p class="mt-1 text-[13px]" role="status">{outcome}</p>
</section>
