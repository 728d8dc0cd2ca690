<script lang="ts">
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import type { CommonThing, Fixture, KitItem } from '$lib/api/client';
	import Elevation from '$lib/drawing/Elevation.svelte';
	import Hatches from '$lib/drawing/Hatches.svelte';
	import Reach from '$lib/drawing/Reach.svelte';
	import FixtureDialog from '$lib/home/FixtureDialog.svelte';
	import { Survey } from '$lib/home/home.svelte';
	import KitDialog from '$lib/home/KitDialog.svelte';
	import KitList from '$lib/home/KitList.svelte';
	import { newFixture, newThing } from '$lib/home/newThing';
	import PlaceTabs from '$lib/home/PlaceTabs.svelte';
	import QuickStart from '$lib/home/QuickStart.svelte';
	import RoomBar from '$lib/home/RoomBar.svelte';
	import Surfaces from '$lib/home/Surfaces.svelte';
	import { KIT_NAMES } from '$lib/home/words';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';
	import { massWithUnit } from '$lib/units';

	let { data } = $props();
	const survey = $derived(new Survey(data.client.id, data.view));
	/** The bench sends here to check one. */
	let fixture = $state.raw<Fixture | null>(
		untrack(() => data.view.home.fixtures.find((f) => f.id === page.url.searchParams.get('check')) ?? null)
	);
	let thing = $state.raw<KitItem | null>(null);
	let quick = $state(false);
	let below = $state<'reach' | 'surfaces'>('reach');
	let opened = $state<string | null>(null);

	const unit = $derived(data.client.profile.unit);
	const view = $derived(survey.view);
	const home = $derived(view.home);
	const passed = $derived(home.fixtures.filter((f) => f.check?.verdict === 'passed').length);
	const short = $derived(view.reach.filter((f) => f.verdict === 'short' || f.verdict === 'outOfReach'));
	const out = $derived(short.filter((f) => f.verdict === 'outOfReach').length);
	const busyDialog = $derived(fixture !== null || thing !== null || quick);

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (
			event.ctrlKey ||
			event.metaKey ||
			event.altKey ||
			busyDialog ||
			target.matches('input:not([type=checkbox]), textarea, select')
		)
			return;
		if (event.key === 'n') quick = true;
		else if (event.key === 'f') fixture = newFixture();
		else if (event.key === 'd') thing = newThing('plateLoadedHandles');
		else if (event.key === 'w') thing = newThing('fixedWeights');
		else if (event.key === 'r') thing = newThing('container');
		else if (event.key === 'j') thing = newThing('vessels');
		else if (event.key === 'b') thing = newThing('band');
		else if (event.key === 'l') below = below === 'reach' ? 'surfaces' : 'reach';
		else if (event.key === 'z') survey.undo();
		else return;
		event.preventDefault();
	}

	async function add(things: CommonThing[]) {
		if (await survey.add(things)) quick = false;
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Home, {data.client.profile.name} - Ingegno</title></svelte:head>
<Hatches />

<div
	class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">What this place can do</h1>
	<span
		><b class="text-base-content">{home.fixtures.length}</b> fixtures,
		<b class="text-base-content">{passed}</b> passed</span
	>
	{#if short.length > 0}
		<span class="text-accent font-semibold">
			{out > 0 ? `${out} ${out === 1 ? 'family' : 'families'} out of reach` : ''}{out > 0 &&
			short.length > out
				? ', '
				: ''}{short.length > out ? `${short.length - out} a little short` : ''}
		</span>
	{/if}
	<span class="flex-1"></span>
	<PlaceTabs
		client={data.client.id}
		places={data.places}
		here={view.id}
		ontrouble={(message) => (survey.trouble = message)}
	/>
	<span aria-live="polite" class="w-12 text-right">{survey.busy ? 'saving' : 'saved'}</span>
</div>
<Notice text={busyDialog ? '' : survey.trouble}>
	{#if survey.stale}<button class="btn btn-xs" onclick={() => survey.reload()}>Load the newer one</button
		>{/if}
</Notice>
{#each view.doubts as doubt, i (i)}
	<Notice text={doubt.message}>
		<button class="btn btn-xs" onclick={() => survey.correct(doubt.path, doubt.instead)}
			>Make it {massWithUnit(doubt.instead, unit)}</button
		>
	</Notice>
{/each}

<main class="min-h-0 flex-1 overflow-auto">
	<div class="grid grid-cols-[600px_minmax(0,1fr)]">
		<section class="border-base-300 border-b px-3 pt-1" aria-label="Room and fixtures">
			<Elevation
				{home}
				landmarks={view.landmarks}
				expires={view.expires}
				today={view.today}
				onpick={(picked) => (fixture = picked)}
			/>
			<RoomBar
				room={home.room}
				onchange={(change) => survey.change((was) => ({ ...was, room: { ...was.room, ...change } }))}
			/>
		</section>
		<section
			class="border-base-300 bg-base-100 flex max-h-[345px] flex-col border-b border-l px-4 py-2"
			aria-label="Things that load"
		>
			<div class="mb-1 flex items-center gap-2">
				<h2 class="text-[16px]">Things that load</h2>
				<span class="flex-1"></span>
				<button class="btn btn-xs btn-neutral" onclick={() => (quick = true)}>Tick common things</button>
				<button class="btn btn-xs" onclick={() => (fixture = newFixture())}>New fixture</button>
				<select
					class="select select-xs w-36"
					aria-label="New thing"
					value=""
					onchange={(event) => {
						thing = newThing(event.currentTarget.value as KitItem['kind']);
						event.currentTarget.value = '';
					}}
				>
					<option value="" disabled>New thing</option>
					{#each Object.entries(KIT_NAMES) as [kind, name] (kind)}<option value={kind}>{name}</option>{/each}
				</select>
			</div>
			<div class="min-h-0 overflow-auto">
				{#if home.kit.length === 0}
					<p class="text-soft mt-4 max-w-md">
						Nothing yet. Tick what is there from the common list; then correct masses and lengths by clicking
						a thing.
					</p>
				{/if}
				<KitList {view} {unit} onpick={(item) => (thing = item)} />
			</div>
		</section>
	</div>
	<section class="px-4 py-1.5" aria-label={below === 'reach' ? 'Reach' : 'Surfaces'}>
		<div class="mb-0.5 flex items-center gap-2 text-[13px]" role="group" aria-label="Below">
			{#each [['reach', 'Reach against the gym programme'], ['surfaces', 'Own surfaces, pairs, anchors']] as const as [name, words] (name)}
				<button
					class="px-1 {below === name
						? 'border-base-content border-b-2 font-semibold'
						: 'text-soft underline underline-offset-2'}"
					aria-pressed={below === name}
					onclick={() => (below = name)}>{words}</button
				>
			{/each}
		</div>
		{#if below === 'reach'}
			<Reach
				families={view.reach}
				{unit}
				{opened}
				onopen={(family) => (opened = opened === family ? null : family)}
			/>
		{:else}
			<Surfaces {view} profile={data.client.profile} />
		{/if}
	</section>
</main>
{#if quick}
	<QuickStart
		common={data.common}
		trouble={survey.trouble}
		onadd={add}
		onclose={() => {
			quick = false;
			survey.dismiss();
		}}
	/>
{/if}
{#if fixture}
	<FixtureDialog
		{fixture}
		uses={view.uses[fixture.id] ?? []}
		reports={data.reports.filter((r) => r.report.fixture === fixture?.id && r.place === view.id)}
		client={data.client.id}
		expires={view.expires[fixture.id] ?? null}
		{unit}
		by={data.client.profile.name.split(' ')[0] ?? ''}
		today={view.today}
		trouble={survey.trouble}
		onclose={() => {
			fixture = null;
			survey.dismiss();
		}}
		onsave={async (changed) => {
			if (await survey.putFixture(changed)) fixture = null;
		}}
		onremove={home.fixtures.some((f) => f.id === fixture?.id)
			? async () => {
					if (fixture && (await survey.remove(fixture.id))) fixture = null;
				}
			: null}
	/>
{/if}
{#if thing}
	<KitDialog
		item={thing}
		{view}
		{unit}
		trouble={survey.trouble}
		onclose={() => {
			thing = null;
			survey.dismiss();
		}}
		onsave={async (changed) => {
			if (await survey.putKit(changed)) thing = null;
		}}
		onremove={home.kit.some((k) => k.id === thing?.id)
			? async () => {
					if (thing && (await survey.remove(thing.id))) thing = null;
				}
			: null}
	/>
{/if}
<Keys
	shortcuts={[
		{ keys: ['N'], does: 'common things' },
		{ keys: ['F'], does: 'fixture' },
		{ keys: ['D'], does: 'handles' },
		{ keys: ['W'], does: 'weights' },
		{ keys: ['R'], does: 'bag' },
		{ keys: ['J'], does: 'jugs' },
		{ keys: ['B'], does: 'band' },
		{ keys: ['L'], does: 'reach or surfaces' },
		{ keys: ['Z'], does: 'back' }
	]}
	note="Not passed, never prescribed. Ground: what the gym asks; hatched: out of reach."
/>
