<script lang="ts">
	import { untrack } from 'svelte';
	import { api, ask, Refusal, messageOf, type CatalogueExercise } from '$lib/api/client';
	import { JOINTS, plain } from '$lib/client/words';
	import { FIXTURE_NAMES, HOLD_NAMES } from '$lib/home/words';
	import { readNumber, trim } from '$lib/units';
	import Differs from './Differs.svelte';
	import {
		HEIGHTS,
		heightNear,
		LINES,
		RANGES,
		ROLES,
		SIDES,
		SKILLS,
		WANTS,
		type OwnExercise,
		type OwnFixture
	} from './own';

	/** An exercise of the practice's own: a name, what it is like, and what differs. */
	interface Props {
		begin: OwnExercise;
		catalogue: CatalogueExercise[];
		onsaved: (own: OwnExercise) => void;
		oncancel: () => void;
	}
	let { begin, catalogue, onsaved, oncancel }: Props = $props();
	let own = $state(untrack(() => structuredClone($state.snapshot(begin))));
	let typed = $state(untrack(() => catalogue.find((e) => e.id === begin.like)?.name ?? ''));
	let refusal = $state.raw<Refusal | null>(null);
	let trouble = $state('');
	let busy = $state(false);

	const offered = $derived(
		catalogue.filter((e) => !e.id.startsWith('own-')).toSorted((a, b) => a.name.localeCompare(b.name, 'en'))
	);
	const like = $derived(
		offered.find(
			(e) => e.name.toLowerCase() === typed.trim().toLowerCase() || (e.id === own.like && typed === e.name)
		)
	);
	const muscles = $derived([...new Set(catalogue.flatMap((e) => Object.keys(e.muscles)))].sort());

	const heights = (low: number, high: number) => `${wordsOf(low)} to ${wordsOf(high)}`;
	const wordsOf = (share: number) => HEIGHTS.find((h) => h.share === heightNear(share))?.words ?? '';
	const steps = (text: string) =>
		text
			.split('\n')
			.map((s) => s.trim())
			.filter(Boolean);
	const fixturesOf = (e: CatalogueExercise): OwnFixture[] =>
		e.fixtures.map((f) => ({
			role: f.role,
			kinds: f.kinds,
			lowest: heightNear(f.lowestOfStature),
			highest: heightNear(f.highestOfStature)
		}));

	async function save(event: SubmitEvent) {
		event.preventDefault();
		busy = true;
		try {
			const body = { ...$state.snapshot(own), like: like?.id ?? '' };
			onsaved(await ask(api.PUT('/api/practice/exercises', { body })));
			[refusal, trouble] = [null, ''];
		} catch (problem) {
			refusal = problem instanceof Refusal ? problem : null;
			trouble = messageOf(problem);
		} finally {
			busy = false;
		}
	}
	const wrong = (path: string) => refusal?.at(path).join(' ') ?? '';
</script>

{#snippet said(path: string)}
	{#if wrong(path)}<p class="text-accent text-[12.5px]">{wrong(path)}</p>{/if}
{/snippet}

<form onsubmit={save} aria-label="Exercise of your own">
	<h2 class="text-[19px] leading-tight">
		{begin.id ? `Change ${begin.name}` : 'An exercise of your own'}
	</h2>
	<label class="mt-2 block text-[13px]">
		<span class="text-soft">Name</span>
		<!-- svelte-ignore a11y_autofocus -->
		<input class="input input-sm w-full" maxlength="60" required autofocus bind:value={own.name} />
	</label>
	{@render said('name')}
	<label class="mt-1.5 block text-[13px]">
		<span class="text-soft">Also called, with commas between</span>
		<input
			class="input input-sm w-full"
			value={own.alsoCalled.join(', ')}
			onchange={(e) =>
				(own.alsoCalled = e.currentTarget.value
					.split(',')
					.map((n) => n.trim())
					.filter(Boolean))}
		/>
	</label>
	{@render said('alsoCalled')}
	<label class="mt-1.5 block text-[13px]">
		<span class="text-soft">Like which exercise</span>
		<input class="input input-sm w-full" list="like" required autocomplete="off" bind:value={typed} />
	</label>
	<datalist id="like"
		>{#each offered as e (e.id)}<option value={e.name}></option>{/each}</datalist
	>
	{@render said('like')}
	{#if like}
		<h3 class="text-soft mt-3 mb-0.5 text-[12.5px] font-semibold">
			As the {like.name.toLowerCase()}, but for what differs
		</h3>
		<Differs
			name="how heavy"
			as="as much is lifted"
			differs={own.strength !== null}
			onbegin={() => (own.strength = 0.9)}
			onback={() => (own.strength = null)}
		>
			<label class="flex items-center gap-1.5"
				><input
					class="input input-xs w-14"
					inputmode="decimal"
					aria-label="Percent of what is lifted in the other"
					value={trim(100 * (own.strength ?? 1), 0)}
					onchange={(e) => {
						const read = readNumber(e.currentTarget.value);
						if (read !== null) own.strength = read / 100;
					}}
				/>% of what is lifted there</label
			>
			{@render said('strength')}
		</Differs>
		<Differs
			name="of a load"
			as={like.load.loadCounts === 1
				? 'all of it arrives'
				: `${trim(100 * like.load.loadCounts, 0)} % arrives`}
			differs={own.test !== null}
			onbegin={() => (own.test = { put: 10, arrives: 8 })}
			onback={() => (own.test = null)}
		>
			{#if own.test}
				<div class="flex flex-wrap items-center gap-1.5">
					<label
						>put on <input
							class="input input-xs w-14"
							inputmode="decimal"
							aria-label="Test weight put on, kg"
							value={own.test.put}
							onchange={(e) => own.test && (own.test.put = readNumber(e.currentTarget.value) ?? 0)}
						/> kg,</label
					>
					<label
						>the scale shows <input
							class="input input-xs w-14"
							inputmode="decimal"
							aria-label="What the scale shows more, kg"
							value={own.test.arrives}
							onchange={(e) => own.test && (own.test.arrives = readNumber(e.currentTarget.value) ?? 0)}
						/> kg more where you press or pull</label
					>
				</div>
			{/if}
			{@render said('test')}
		</Differs>
		<Differs
			name="muscles"
			as={Object.entries(like.muscles)
				.sort((a, b) => b[1] - a[1])
				.map(([m, w]) => `${plain(m)} ${w}`)
				.join(', ')}
			differs={own.muscles !== null}
			onbegin={() => (own.muscles = { ...like.muscles })}
			onback={() => (own.muscles = null)}
		>
			<ul class="grid gap-0.5">
				{#each Object.entries(own.muscles ?? {}) as [muscle, weight] (muscle)}
					<li class="flex items-center gap-1.5">
						<input
							type="range"
							class="range range-xs w-24"
							min="0.1"
							max="1"
							step="0.1"
							aria-label="{plain(muscle)}, of 1"
							value={weight}
							oninput={(e) => own.muscles && (own.muscles[muscle] = Number(e.currentTarget.value))}
						/>
						<span class="w-6 tabular-nums">{weight}</span>{plain(muscle)}
						<button
							type="button"
							class="btn btn-xs btn-ghost"
							aria-label="Leave out {plain(muscle)}"
							onclick={() =>
								(own.muscles = Object.fromEntries(
									Object.entries(own.muscles ?? {}).filter(([m]) => m !== muscle)
								))}>out</button
						>
					</li>
				{/each}
			</ul>
			<select
				class="select select-xs"
				aria-label="One muscle more"
				onchange={(e) => {
					if (own.muscles && e.currentTarget.value) own.muscles[e.currentTarget.value] = 0.5;
					e.currentTarget.value = '';
				}}
			>
				<option value="">one muscle more</option>
				{#each muscles.filter((m) => !(m in (own.muscles ?? {}))) as m (m)}<option value={m}
						>{plain(m)}</option
					>{/each}
			</select>
			{@render said('muscles')}
		</Differs>
		<Differs
			name="direction"
			as={plain(like.line)}
			differs={own.line !== null}
			onbegin={() => (own.line = like.line)}
			onback={() => (own.line = null)}
		>
			<select class="select select-xs" aria-label="Direction of the load" bind:value={own.line}
				>{#each LINES as l (l)}<option value={l}>{plain(l)}</option>{/each}</select
			>
		</Differs>
		<Differs
			name="limbs"
			as={SIDES[like.sides]}
			differs={own.sides !== null}
			onbegin={() => (own.sides = like.sides)}
			onback={() => (own.sides = null)}
		>
			<select class="select select-xs" aria-label="Limbs" bind:value={own.sides}
				>{#each Object.entries(SIDES) as [key, words] (key)}<option value={key}>{words}</option
					>{/each}</select
			>
		</Differs>
		<Differs
			name="range"
			as={RANGES[like.range]}
			differs={own.range !== null}
			onbegin={() => (own.range = like.range)}
			onback={() => (own.range = null)}
		>
			<select class="select select-xs" aria-label="Hardest range" bind:value={own.range}
				>{#each Object.entries(RANGES) as [key, words] (key)}<option value={key}>{words}</option
					>{/each}</select
			>
		</Differs>
		<Differs
			name="load"
			as={like.needsLoad ? 'nothing without one' : 'also without one'}
			differs={own.needsLoad !== null}
			onbegin={() => (own.needsLoad = !like.needsLoad)}
			onback={() => (own.needsLoad = null)}
		>
			<label class="flex items-center gap-1.5"
				><input
					type="checkbox"
					class="checkbox checkbox-xs"
					checked={own.needsLoad ?? false}
					onchange={(e) => (own.needsLoad = e.currentTarget.checked)}
				/>nothing without a load</label
			>
			{@render said('needsLoad')}
		</Differs>
		<Differs
			name="held"
			as={like.holds.map((h) => HOLD_NAMES[h]).join(', ') || 'no load'}
			differs={own.holds !== null}
			onbegin={() => (own.holds = [...like.holds])}
			onback={() => (own.holds = null)}
		>
			<div class="grid grid-cols-2 gap-x-2">
				{#each Object.entries(HOLD_NAMES) as [hold, words] (hold)}
					{@const h = hold as keyof typeof HOLD_NAMES}
					<label class="flex items-center gap-1"
						><input
							type="checkbox"
							class="checkbox checkbox-xs"
							checked={own.holds?.includes(h)}
							onchange={(e) =>
								(own.holds = e.currentTarget.checked
									? [...(own.holds ?? []), h]
									: (own.holds ?? []).filter((x) => x !== h))}
						/>{words}</label
					>
				{/each}
			</div>
			{@render said('holds')}
		</Differs>
		<Differs
			name="kit"
			as={WANTS[like.wants]}
			differs={own.wants !== null}
			onbegin={() => (own.wants = like.wants)}
			onback={() => (own.wants = null)}
		>
			<select class="select select-xs" aria-label="Kit" bind:value={own.wants}
				>{#each Object.entries(WANTS) as [key, words] (key)}<option value={key}>{words}</option
					>{/each}</select
			>
		</Differs>
		<Differs
			name="fixtures"
			as={like.fixtures
				.map(
					(f) =>
						`${ROLES[f.role]} ${f.kinds.map((k) => FIXTURE_NAMES[k]).join(' or ')}, ${heights(f.lowestOfStature, f.highestOfStature)}`
				)
				.join('; ') || 'none'}
			differs={own.fixtures !== null}
			onbegin={() => (own.fixtures = fixturesOf(like))}
			onback={() => (own.fixtures = null)}
		>
			{#each own.fixtures ?? [] as fixture, i (i)}
				<div class="border-rule mb-1 grid gap-1 border-b pb-1">
					<div class="flex gap-1">
						<select class="select select-xs" aria-label="Use of fixture {i + 1}" bind:value={fixture.role}
							>{#each Object.entries(ROLES) as [key, words] (key)}<option value={key}>{words}</option
								>{/each}</select
						>
						<button
							type="button"
							class="btn btn-xs btn-ghost"
							aria-label="Leave out fixture {i + 1}"
							onclick={() => (own.fixtures = (own.fixtures ?? []).filter((_, at) => at !== i))}>out</button
						>
					</div>
					<div
						class="grid max-h-28 grid-cols-1 overflow-auto"
						role="group"
						aria-label="Kinds of fixture {i + 1}"
					>
						{#each Object.entries(FIXTURE_NAMES) as [key, words] (key)}
							{@const kind = key as keyof typeof FIXTURE_NAMES}
							<label class="flex items-center gap-1.5"
								><input
									type="checkbox"
									class="checkbox checkbox-xs"
									checked={fixture.kinds.includes(kind)}
									onchange={(e) =>
										(fixture.kinds = e.currentTarget.checked
											? [...fixture.kinds, kind]
											: fixture.kinds.filter((k) => k !== kind))}
								/>{words}</label
							>
						{/each}
					</div>
					<div class="flex items-center gap-1">
						<select
							class="select select-xs"
							aria-label="Lowest of fixture {i + 1}"
							bind:value={fixture.lowest}
							>{#each HEIGHTS as h (h.share)}<option value={h.share}>{h.words}</option>{/each}</select
						>
						to
						<select
							class="select select-xs"
							aria-label="Highest of fixture {i + 1}"
							bind:value={fixture.highest}
							>{#each HEIGHTS as h (h.share)}<option value={h.share}>{h.words}</option>{/each}</select
						>
					</div>
				</div>
			{/each}
			<button
				type="button"
				class="btn btn-xs"
				onclick={() =>
					(own.fixtures = [
						...(own.fixtures ?? []),
						{ role: 'hands', kinds: ['chair', 'table'], lowest: 0.15, highest: 0.53 }
					])}>one fixture more</button
			>
			{@render said('fixtures')}
		</Differs>
		<Differs
			name="joints"
			as={like.joints.map((j) => `${plain(j.joint)} ${j.level}`).join(', ') || 'none hard'}
			differs={own.joints !== null}
			onbegin={() => (own.joints = like.joints.map((j) => ({ ...j })))}
			onback={() => (own.joints = null)}
		>
			<div class="grid gap-y-0.5">
				{#each JOINTS as joint (joint)}
					<label class="flex items-center justify-between gap-1"
						>{plain(joint)}<select
							class="select select-xs w-28"
							value={own.joints?.find((j) => j.joint === joint)?.level ?? 0}
							onchange={(e) => {
								const level = Number(e.currentTarget.value);
								own.joints = [
									...(own.joints ?? []).filter((j) => j.joint !== joint),
									...(level > 0 ? [{ joint, level }] : [])
								];
							}}
							><option value={0}>-</option><option value={1}>a little</option><option value={2}
								>clearly</option
							><option value={3}>hard</option></select
						></label
					>
				{/each}
			</div>
			{@render said('joints')}
		</Differs>
		<Differs
			name="skill"
			as={SKILLS[like.skill - 1] ?? ''}
			differs={own.skill !== null}
			onbegin={() => (own.skill = like.skill)}
			onback={() => (own.skill = null)}
		>
			<select class="select select-xs" aria-label="Skill" bind:value={own.skill}
				>{#each SKILLS as words, i (i)}<option value={i + 1}>{words}</option>{/each}</select
			>
		</Differs>
		<Differs
			name="set-up"
			as={like.setUp.join('. ')}
			differs={own.setUp !== null}
			onbegin={() => (own.setUp = [...like.setUp])}
			onback={() => (own.setUp = null)}
		>
			<textarea
				class="textarea textarea-xs w-full"
				rows="3"
				aria-label="Set-up, a step a line"
				value={own.setUp?.join('\n')}
				onchange={(e) => (own.setUp = steps(e.currentTarget.value))}
			></textarea>
			{@render said('setUp')}
		</Differs>
		<Differs
			name="cues"
			as={like.cues.join('. ')}
			differs={own.cues !== null}
			onbegin={() => (own.cues = [...like.cues])}
			onback={() => (own.cues = null)}
		>
			<textarea
				class="textarea textarea-xs w-full"
				rows="3"
				aria-label="Cues, one a line"
				value={own.cues?.join('\n')}
				onchange={(e) => (own.cues = steps(e.currentTarget.value))}
			></textarea>
			{@render said('cues')}
		</Differs>
		<p class="text-soft mt-1 text-[12.5px]">
			Health answers, screens and cautions of the {like.name.toLowerCase()} hold for it too.
		</p>
	{:else if typed.trim()}
		<p class="text-soft mt-1 text-[12.5px]">Choose one from the list: all else is taken from it.</p>
	{/if}
	<div class="mt-2 flex items-center gap-2">
		<button class="btn btn-sm btn-neutral" disabled={busy || !like}>{begin.id ? 'Save it' : 'Add it'}</button>
		<button type="button" class="btn btn-sm btn-ghost" onclick={oncancel}>Cancel</button>
	</div>
	{#if trouble}<p role="alert" class="text-accent mt-1 text-[12.5px]">{trouble}</p>{/if}
</form>
