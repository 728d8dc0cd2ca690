<script lang="ts">
	import { untrack } from 'svelte';
	import type { Fixture, HeldImplement, KitItem } from '$lib/api/client';
	import Elevation from '$lib/drawing/Elevation.svelte';
	import Hatches from '$lib/drawing/Hatches.svelte';
	import Ruler from '$lib/drawing/Ruler.svelte';
	import FixtureDialog from '$lib/home/FixtureDialog.svelte';
	import { newId, Survey } from '$lib/home/home.svelte';
	import KitDialog from '$lib/home/KitDialog.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import { HOLD_NAMES, kitWords } from '$lib/home/words';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';
	import { massWithUnit, shownMass } from '$lib/units';

	let { data } = $props();
	const survey = untrack(() => new Survey(data.client.id, data.home));
	let fixture = $state.raw<Fixture | null>(null);
	let thing = $state.raw<KitItem | null>(null);

	const unit = $derived(data.client.profile.unit);
	const home = $derived(survey.home);
	const passed = $derived(home.fixtures.filter((f) => f.check?.verdict === 'passed').length);
	/** Ladders that differ: holds of one implement with the same loads share a ruler. */
	const ladders = $derived.by(() => {
		const groups: { name: string; holds: string[]; implement: HeldImplement }[] = [];
		for (const held of survey.implements) {
			const twin = groups.find(
				(g) =>
					g.implement.kitId === held.kitId &&
					sameLoads(g.implement, held) &&
					(g.implement.hold === 'pair') === (held.hold === 'pair')
			);
			if (twin) twin.holds.push(HOLD_NAMES[held.hold]);
			else groups.push({ name: held.name, holds: [HOLD_NAMES[held.hold]], implement: held });
		}
		return groups;
	});
	const loads = $derived(new Set(ladders.flatMap((l) => l.implement.ladder.rungs.map((r) => r.load))).size);

	const heaviest = $derived(
		Math.max(0, ...ladders.flatMap((l) => l.implement.ladder.rungs.map((r) => r.load)))
	);

	function sameLoads(a: HeldImplement, b: HeldImplement): boolean {
		return (
			a.ladder.rungs.length === b.ladder.rungs.length &&
			a.ladder.rungs.every((r, i) => r.load === b.ladder.rungs[i]?.load)
		);
	}

	const newFixture = (): Fixture => ({
		id: newId(),
		name: '',
		kind: 'chair',
		height: 0.45,
		count: 1,
		bears: null,
		check: null
	});

	function newThing(kind: KitItem['kind']): KitItem {
		const id = newId();
		switch (kind) {
			case 'plateLoadedHandles':
				return {
					kind,
					id,
					name: 'Two handles',
					handles: 2,
					handleMass: 2,
					plates: [{ mass: 2.5, count: 8, thickness: null }],
					platesPerEnd: null,
					sleeveRoom: null,
					mostPerHandle: null
				};
			case 'fixedWeights':
				return { kind, id, name: 'Dumbbells', shape: 'dumbbell', weights: [{ mass: 8, count: 2 }] };
			case 'container':
				return {
					kind,
					id,
					name: 'Rucksack',
					shape: 'rucksack',
					ownMass: 1,
					mostInAll: 15,
					litres: 30,
					contents: [{ name: 'big bottle', mass: 1.53, count: 6, litres: 1.7 }]
				};
		}
	}

	async function setRoom(change: Partial<typeof home.room>) {
		await survey.change({ ...home, room: { ...home.room, ...change } });
	}

	function onkeydown(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (
			event.ctrlKey ||
			event.metaKey ||
			event.altKey ||
			fixture ||
			thing ||
			target.matches('input, textarea, select')
		)
			return;
		if (event.key === 'f') fixture = newFixture();
		else if (event.key === 'd') thing = newThing('plateLoadedHandles');
		else if (event.key === 'w') thing = newThing('fixedWeights');
		else if (event.key === 'r') thing = newThing('container');
		else if (event.key === 'z') survey.undo();
		else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Home, {data.client.profile.name} - Ingegno</title></svelte:head>
<Hatches />

<div
	class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">What this place can do: {home.name}</h1>
	<span
		><b class="text-base-content">{home.fixtures.length}</b> fixtures,
		<b class="text-base-content">{passed}</b> passed</span
	>
	<span
		><b class="text-base-content">{loads}</b> loads from {home.kit.length}
		{home.kit.length === 1 ? 'thing' : 'things'}</span
	>
	<span class="flex-1"></span>
	<span aria-live="polite">{survey.busy ? 'saving' : 'saved'}</span>
</div>
<Notice text={fixture || thing ? '' : survey.trouble}>
	{#if survey.stale}<button class="btn btn-xs" onclick={() => survey.reload()}>Load the newer one</button
		>{/if}
</Notice>

<main class="min-h-0 flex-1 overflow-auto">
	<div class="grid grid-cols-[600px_minmax(0,1fr)]">
		<section class="border-base-300 border-b px-3 pt-2" aria-label="Room and fixtures">
			<Elevation {home} landmarks={survey.landmarks} onpick={(picked) => (fixture = picked)} />
			<div class="flex flex-wrap items-end gap-x-4 gap-y-2 px-2 pb-3">
				<div class="w-24">
					<NumberField
						label="Headroom, cm"
						value={home.room.headroom === null ? null : home.room.headroom * 100}
						onread={(cm) => setRoom({ headroom: cm === null ? null : cm / 100 })}
					/>
				</div>
				<div class="w-24">
					<NumberField
						label="Clear floor, m"
						value={home.room.floorLength}
						onread={(m) => setRoom({ floorLength: m })}
					/>
				</div>
				<div class="w-20">
					<NumberField
						label="by, m"
						value={home.room.floorWidth}
						onread={(m) => setRoom({ floorWidth: m })}
					/>
				</div>
				<span class="flex-1"></span>
				<button class="btn btn-sm border-base-300 bg-base-100" onclick={() => (fixture = newFixture())}
					>New fixture</button
				>
				<span class="w-full"></span>
				<label class="flex items-center gap-1.5 text-[13px]"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={home.room.neighboursBelow}
						onchange={(e) => setRoom({ neighboursBelow: e.currentTarget.checked })}
					/>neighbours below</label
				>
				<label class="flex items-center gap-1.5 text-[13px]"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={home.room.floorSlides}
						onchange={(e) => setRoom({ floorSlides: e.currentTarget.checked })}
					/>something slides</label
				>
				<label class="flex items-center gap-1.5 text-[13px]"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={home.room.outdoors}
						onchange={(e) => setRoom({ outdoors: e.currentTarget.checked })}
					/>ground outdoors</label
				>
			</div>
		</section>
		<section class="border-base-300 bg-base-100 border-b border-l px-4 py-3" aria-label="Things that load">
			<div class="flex items-baseline gap-3">
				<h2 class="text-[16px]">Things that load</h2>
				<span class="flex-1"></span>
				<button class="btn btn-xs" onclick={() => (thing = newThing('plateLoadedHandles'))}
					>Handles and plates</button
				>
				<button class="btn btn-xs" onclick={() => (thing = newThing('fixedWeights'))}>Fixed weights</button>
				<button class="btn btn-xs" onclick={() => (thing = newThing('container'))}>Bag</button>
			</div>
			{#if home.kit.length === 0}
				<p class="text-soft mt-4">
					Nothing yet. Handles with plates, a kettlebell, jugs, a rucksack with bottles: anything of known
					mass.
				</p>
			{/if}
			<ul class="mt-2 grid grid-cols-2 gap-x-5">
				{#each home.kit as item (item.id)}
					<li class="border-rule border-t py-1.5">
						<button class="w-full text-left" onclick={() => (thing = item)}>
							<b class="font-display block text-[15px]">{item.name}</b>
							<span class="block text-[13px]">{kitWords(item, unit)}</span>
							{#if item.kind === 'container' && item.mostInAll !== null}
								<span class="text-soft block text-[12.5px]"
									>stays under {massWithUnit(item.mostInAll, unit)}</span
								>
							{:else if item.kind === 'plateLoadedHandles' && item.platesPerEnd !== null}
								<span class="text-soft block text-[12.5px]">{item.platesPerEnd} plates fit an end</span>
							{/if}
						</button>
					</li>
				{/each}
			</ul>
		</section>
	</div>
	<section class="px-4 py-3" aria-label="Every load this place can make">
		{#if ladders.length > 0}
			<div class="text-soft mb-1 text-xs">
				Every load this place can make, in {unit === 'pound' ? 'pounds' : 'kilograms'}: a tick for each, all
				on one scale
			</div>
		{/if}
		{#each ladders as ladder (ladder.implement.kitId + ladder.implement.hold)}
			{@const rungs = ladder.implement.ladder.rungs}
			<div class="border-rule grid grid-cols-[250px_1fr_250px] items-center gap-4 border-t py-0.5">
				<div>
					<b class="font-display text-[15px]">{ladder.name}</b>
					<div class="text-soft text-xs">{ladder.holds.join(', ')}</div>
				</div>
				<Ruler
					loads={rungs.map((r) => r.load)}
					show={(load) => shownMass(load, unit)}
					width={700}
					most={heaviest}
				/>
				<div class="text-[13px]">
					{rungs.length}
					{rungs.length === 1 ? 'load' : 'loads'}, {shownMass(rungs[0]?.load ?? 0, unit)} to {massWithUnit(
						rungs.at(-1)?.load ?? 0,
						unit
					)}
					<details class="text-xs">
						<summary class="text-soft cursor-pointer">recipes</summary>
						<ul class="max-h-48 overflow-auto">
							{#each rungs as rung (rung.load)}<li>
									<b>{shownMass(rung.load, unit)}</b>
									{rung.recipe.text}
								</li>{/each}
						</ul>
					</details>
				</div>
			</div>
		{/each}
	</section>
</main>
{#if fixture}
	<FixtureDialog
		{fixture}
		{unit}
		by={data.client.profile.name.split(' ')[0] ?? ''}
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
		{ keys: ['F'], does: 'new fixture' },
		{ keys: ['D'], does: 'handles and plates' },
		{ keys: ['W'], does: 'fixed weights' },
		{ keys: ['R'], does: 'bag' },
		{ keys: ['Z'], does: 'back' }
	]}
	note="A thing that was not passed is never prescribed."
/>
