<script lang="ts">
	import type { ClientProfile, PlaceView, SurfaceStep } from '$lib/api/client';
	import Measure from './Measure.svelte';
	import { centimetres, massWithUnit, type MassUnit } from '$lib/units';

	/** The client's own surfaces as ladders: push-ups from the wall to feet raised, rows, pairs, anchors. */
	let { view, profile }: { view: PlaceView; profile: ClientProfile } = $props();
	const unit = $derived<MassUnit>(profile.unit);

	const most = $derived(Math.max(1, ...view.pushUps.map((s) => s.held), ...view.rows.map((s) => s.onHands)));

	function words(step: SurfaceStep): string {
		switch (step.use) {
			case 'feetRaised':
				return `${step.name}, feet raised`;
			case 'handsRaised':
				return step.name === 'Wall' ? 'Wall' : `${step.name}, hands on it`;
			default:
				return step.name;
		}
	}
	const signed = (metres: number) =>
		Math.abs(metres) < 0.005 ? 'right' : `${metres > 0 ? '+' : '-'}${Math.abs(Math.round(metres * 100))} cm`;
</script>

{#snippet rungs(steps: SurfaceStep[], title: string, note: string)}
	<section aria-label={title}>
		<h3 class="text-[15px]">{title}</h3>
		<p class="text-soft mb-1 text-[12px]">{note}</p>
		{#each steps as step, i (i)}
			{@const ok = step.verdict.verdict === 'pass'}
			<div
				class="border-rule grid grid-cols-[190px_48px_1fr_120px] items-center gap-2 border-t py-[3px] text-[13px]"
			>
				<span class="truncate font-semibold {ok ? '' : 'text-soft'}">{words(step)}</span>
				<span class="text-soft text-right">{step.height > 0 ? centimetres(step.height) : ''}</span>
				<svg
					width="100%"
					height="14"
					preserveAspectRatio="none"
					viewBox="0 0 100 14"
					role="img"
					aria-label="{massWithUnit(Math.round(step.onHands * 2) / 2, unit)} on the hands"
				>
					<rect
						x={(step.onHands / most) * 100}
						y="3"
						width={((step.held - step.onHands) / most) * 100}
						height="8"
						fill="var(--rule)"
					/>
					<rect
						x="0"
						y="3"
						width={(step.onHands / most) * 100}
						height="8"
						fill={ok ? 'var(--color-primary)' : 'none'}
						stroke={ok ? 'none' : 'var(--soft)'}
						stroke-width="0.4"
					/>
				</svg>
				<span
					>{massWithUnit(Math.round(step.onHands * 2) / 2, unit)}
					<span class="text-soft">{Math.round(step.share * 100)} %</span></span
				>
				{#if step.strapDrop !== null}
					<span class="text-soft col-span-4 text-[12px]"
						>strap hung {centimetres(step.strapDrop)} below it</span
					>
				{/if}
				{#if !ok}<span class="text-accent col-span-4 text-[12px]">{step.verdict.reason}</span>{/if}
			</div>
		{/each}
	</section>
{/snippet}

<div class="grid grid-cols-[1fr_1fr] gap-10 py-2">
	{@render rungs(
		view.pushUps,
		'Push-up ladder',
		'Share of the body on the hands, easiest first. The pale end: held still, up to this much.'
	)}
	<div class="space-y-4">
		{@render rungs(
			view.rows,
			'Rows from an edge or rail',
			'Heels on the floor, body straight, arms straight.'
		)}
		<section aria-label="Pairs and triples">
			<h3 class="text-[15px]">Level pairs and triples</h3>
			<p class="text-soft mb-1 text-[12px]">
				Within 2 cm: dips between two, a deep pike push-up on three. Each still has to pass.
			</p>
			{#each [...view.pairs, ...view.triples] as set, i (i)}
				<div class="border-rule border-t py-[3px] text-[13px]">
					<b>{set.fixtures.join(' + ')}</b>, {centimetres(set.height)}
					<span class="text-soft"
						>{set.difference < 0.001 ? 'one height' : `${(set.difference * 100).toFixed(1)} cm apart`}</span
					>
				</div>
			{:else}
				<div class="text-soft border-rule border-t py-[3px] text-[13px]">
					No two surfaces stand that level.
				</div>
			{/each}
		</section>
		<Measure {profile} {unit} />
		<section aria-label="Anchors">
			<h3 class="mb-1 text-[15px]">Anchors for bands and straps</h3>
			{#each view.anchors as anchor, i (i)}
				<div class="border-rule grid grid-cols-[60px_1fr_auto] gap-2 border-t py-[3px] text-[13px]">
					<b>{anchor.zone}</b>
					{#if anchor.fixture}
						<span>{anchor.fixture.name}, tied at {centimetres(anchor.height)}</span>
						<span class="text-soft">{signed(anchor.error)}</span>
					{:else}
						<span class="text-soft">nothing here; {centimetres(anchor.height)} wanted</span>
					{/if}
				</div>
			{/each}
		</section>
	</div>
</div>
