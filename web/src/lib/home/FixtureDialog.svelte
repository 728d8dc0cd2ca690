<script lang="ts">
	import { untrack } from 'svelte';
	import type { Fixture, FixtureUse, ReportView } from '$lib/api/client';
	import Notice from '$lib/shell/Notice.svelte';
	import { massWithUnit, shortDay, type MassUnit } from '$lib/units';
	import CheckForm from './CheckForm.svelte';
	import MassField from './MassField.svelte';
	import NumberField from './NumberField.svelte';
	import { FIXTURE_NAMES, HEIGHT_ASKED } from './words';

	/** One fixture: what it is, how high, what it may carry, its check, and what exercises would put on it. */
	interface Props {
		fixture: Fixture;
		uses: FixtureUse[];
		/** Checks done on the phone, newest first. */
		reports: ReportView[];
		client: string;
		expires: string | null;
		unit: MassUnit;
		by: string;
		today: string;
		trouble: string;
		onsave: (fixture: Fixture) => void;
		onremove: (() => void) | null;
		onclose: () => void;
	}
	let {
		fixture,
		uses,
		reports,
		client,
		expires,
		unit,
		by,
		today,
		trouble,
		onsave,
		onremove,
		onclose
	}: Props = $props();
	let draft = $state(untrack(() => structuredClone($state.snapshot(fixture))));
	let heightMissing = $state(false);
	let dialog: HTMLDialogElement;

	$effect(() => dialog.showModal());

	function save(event: SubmitEvent) {
		event.preventDefault();
		heightMissing = !(draft.height > 0);
		if (!heightMissing) onsave($state.snapshot(draft));
	}
</script>

<dialog bind:this={dialog} class="modal" aria-label={fixture.name || 'New fixture'} {onclose}>
	<form class="modal-box max-w-4xl" onsubmit={save}>
		<h2 class="mb-3 text-lg">{fixture.name || 'New fixture'}</h2>
		<div class="grid grid-cols-[1fr_1fr] gap-8">
			<div class="grid grid-cols-2 content-start gap-3">
				<label class="block text-[13px]">
					<span class="text-soft">Name the client uses</span>
					<input class="input input-sm w-full" bind:value={draft.name} required maxlength="80" />
				</label>
				<label class="block text-[13px]">
					<span class="text-soft">Kind</span>
					<select class="select select-sm w-full" bind:value={draft.kind}>
						{#each Object.entries(FIXTURE_NAMES) as [kind, name] (kind)}<option value={kind}>{name}</option
							>{/each}
					</select>
				</label>
				<NumberField
					label={HEIGHT_ASKED[draft.kind] ?? 'Height above the floor, cm'}
					value={draft.height > 0 ? draft.height * 100 : null}
					onread={(cm) => (draft.height = (cm ?? 0) / 100)}
				/>
				<NumberField
					label="How many of this height"
					value={draft.count}
					decimals={0}
					onread={(n) => (draft.count = Math.round(n ?? 1))}
				/>
				<MassField label="May carry" kilograms={draft.bears} {unit} onread={(kg) => (draft.bears = kg)} />
				{#if draft.kind === 'chair'}
					<NumberField
						label="Back, cm above the floor"
						value={draft.backHeight === null ? null : draft.backHeight * 100}
						onread={(cm) => (draft.backHeight = cm === null ? null : cm / 100)}
					/>
				{/if}
				<label class="flex h-8 items-center gap-2 self-end text-[13px]"
					><input type="checkbox" class="checkbox checkbox-sm" bind:checked={draft.glass} />glass in it</label
				>
				<CheckForm bind:check={draft.check} {by} {today} />
				{#each reports as { id, report, hasPhoto, judged } (id)}
					<figure class="border-rule col-span-2 flex gap-3 border-t pt-2 text-[12.5px]">
						{#if hasPhoto}
							<a href="/api/clients/{client}/reports/{id}/photo" target="_blank" rel="noopener">
								<img
									class="border-rule h-20 w-20 border object-cover"
									src="/api/clients/{client}/reports/{id}/photo"
									alt="{fixture.name}, taken during the check of {shortDay(report.on)}; opens large"
								/>
							</a>
						{/if}
						<figcaption>
							<b>Checked on the phone, {shortDay(report.on)}</b>{judged
								? ''
								: ', waits for your verdict on the Desk'}
							<ul class="text-soft">
								{#each report.steps as step, i (i)}
									<li>{step.held ? 'held' : 'did not hold'}: {step.step}</li>
								{/each}
							</ul>
							{#if report.remark}<span class="text-soft">"{report.remark}"</span>{/if}
						</figcaption>
					</figure>
				{/each}
				<p class="text-soft col-span-2 text-[12.5px]">
					{#if expires && draft.check?.verdict === 'passed'}This pass counts until {shortDay(expires)}; moving
						home ends it too.{/if}
					What a seat or table may carry is taken as 110 kg where it is not known; what one hangs or pulls from
					must be known. A thing that was not passed is never prescribed.
				</p>
			</div>
			<section aria-label="What exercises put on it">
				<h3 class="text-[15px]">What would be put on it</h3>
				<p class="text-soft mb-1 text-[12px]">As saved. Peak while moving, against what it may carry.</p>
				<div>
					{#each uses as use, i (i)}
						{@const limit = use.mayCarry ?? use.peak}
						<div class="border-rule border-t py-1 text-[13px]">
							<div class="flex justify-between gap-3">
								<span class={use.finding.verdict === 'pass' ? 'font-semibold' : 'text-soft'}>{use.name}</span>
								<span class="whitespace-nowrap"
									>{massWithUnit(use.peak, unit)}
									<span class="text-soft"
										>of {use.mayCarry === null ? 'unknown' : massWithUnit(use.mayCarry, unit)}</span
									></span
								>
							</div>
							<svg width="100%" height="6" viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true">
								<rect x="0" y="1" width="100" height="4" fill="var(--rule)" />
								<rect
									x="0"
									y="1"
									width={Math.min(100, (use.peak / Math.max(limit, 1)) * 100)}
									height="4"
									fill={use.mayCarry !== null && use.peak <= use.mayCarry
										? 'var(--color-primary)'
										: 'var(--color-accent)'}
								/>
							</svg>
							{#if use.finding.verdict !== 'pass'}<div class="text-accent text-[12px]">
									{use.finding.verdict === 'never' ? 'Never' : 'Not passed'}: {use.finding.reason}
								</div>{/if}
						</div>
					{:else}
						<p class="text-soft border-rule border-t py-1 text-[13px]">
							Nothing in the catalogue uses it at this height yet.
						</p>
					{/each}
				</div>
			</section>
		</div>
		<div class="mt-3">
			<Notice text={heightMissing ? 'Give the height above the floor in centimetres.' : trouble} />
		</div>
		<div class="mt-3 flex gap-2">
			<button class="btn btn-neutral btn-sm">Keep it</button>
			<button type="button" class="btn btn-sm" onclick={onclose}>Leave as it was</button>
			<span class="flex-1"></span>
			{#if onremove}<button type="button" class="btn btn-sm btn-ghost" onclick={onremove}>Take it out</button
				>{/if}
		</div>
	</form>
</dialog>
