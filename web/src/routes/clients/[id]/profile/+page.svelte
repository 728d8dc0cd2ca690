<script lang="ts">
	import ZonePick from '$lib/client/ZonePick.svelte';
	import { untrack } from 'svelte';
	import { invalidate } from '$app/navigation';
	import type { ClientProfile } from '$lib/api/client';
	import SchoolList from '$lib/practice/SchoolList.svelte';
	import BanList from '$lib/client/BanList.svelte';
	import ExercisePick from '$lib/client/ExercisePick.svelte';
	import GivenOut from '$lib/client/GivenOut.svelte';
	import Health from '$lib/client/Health.svelte';
	import Lifts from '$lib/client/Lifts.svelte';
	import { Dossier } from '$lib/client/profile.svelte';
	import { DAYS, GOALS, JOINTS, LEVELS, plain, SCREENS, TRAITS } from '$lib/client/words';
	import MassField from '$lib/home/MassField.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';

	let { data } = $props();
	const dossier = untrack(() => new Dossier(data.client));
	const profile = $derived(dossier.profile);
	const today = new Date().toISOString().slice(0, 10);
	const closeness = $derived(Math.round(dossier.view.closeness * 100));

	async function set(part: Partial<ClientProfile>) {
		if (await dossier.change(part)) await invalidate('app:client');
	}
	const toggle = <T,>(list: T[], item: T): T[] =>
		list.includes(item) ? list.filter((other) => other !== item) : [...list, item];
	const resultOf = (screen: keyof typeof SCREENS) => profile.screens.find((s) => s.screen === screen);
	const painAt = (joint: (typeof JOINTS)[number]) =>
		profile.soreJoints.find((s) => s.joint === joint)?.pain ?? 0;

	function screened(screen: keyof typeof SCREENS, result: 'passed' | 'failed' | null, note: string | null) {
		const others = profile.screens.filter((s) => s.screen !== screen);
		void set({ screens: result ? [...others, { screen, result, note }] : others });
	}
</script>

<svelte:head><title>{profile.name} - Ingegno</title></svelte:head>

<div
	class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">Who is {profile.name}?</h1>
	<span
		>home must copy the gym <b class="text-base-content"
			>{closeness === 0 ? 'not at all' : `${closeness} %`}</b
		></span
	>
	{#if !dossier.view.sending.allowed}<span class="text-accent font-semibold">nothing may be sent yet</span
		>{/if}
	<span class="flex-1"></span>
	<span aria-live="polite">{dossier.busy ? 'saving' : 'saved'}</span>
</div>
<Notice text={dossier.trouble} />

{#snippet choice(
	label: string,
	value: string,
	options: Record<string, string>,
	onpick: (value: string) => void
)}
	<label class="block text-[13px]">
		<span class="text-soft">{label}</span>
		<select class="select select-sm w-full" {value} onchange={(event) => onpick(event.currentTarget.value)}>
			{#each Object.entries(options) as [key, name] (key)}<option value={key}>{name}</option>{/each}
		</select>
	</label>
{/snippet}
{#snippet pill(name: string, on: boolean, onpress: () => void)}
	<button
		class="h-6 rounded-full border px-2.5 text-[12.5px] {on
			? 'border-base-content bg-base-content text-base-100'
			: 'border-base-300 bg-base-100'}"
		aria-pressed={on}
		onclick={onpress}>{name}</button
	>
{/snippet}
{#snippet line(label: string, value: string, onread: (text: string) => void, most = 80)}
	<label class="block text-[13px]">
		<span class="text-soft">{label}</span>
		<input
			class="input input-sm w-full"
			maxlength={most}
			{value}
			onchange={(event) => onread(event.currentTarget.value)}
		/>
	</label>
{/snippet}
{#snippet day(label: string, value: string | null, onread: (day: string | null) => void)}
	<label class="block text-[13px]">
		<span class="text-soft">{label}</span>
		<input
			type="date"
			class="input input-sm w-full"
			value={value ?? ''}
			onchange={(event) => onread(event.currentTarget.value || null)}
		/>
	</label>
{/snippet}

<main class="grid min-h-0 flex-1 grid-cols-[1fr_1fr_1.15fr] content-start gap-x-8 overflow-auto px-4 py-3">
	<div class="space-y-5">
		<section aria-label="The person">
			<h2 class="mb-1 text-[16px]">The person</h2>
			<div class="grid grid-cols-2 gap-x-3 gap-y-2">
				{@render line('Name', profile.name, (name) => set({ name }))}
				{@render line('What sets them apart', profile.note, (note) => set({ note }), 200)}
				{@render choice('Level', profile.level, LEVELS, (level) =>
					set({ level: level as ClientProfile['level'] })
				)}
				{@render choice('Goal', profile.goal, GOALS, (goal) => set({ goal: goal as ClientProfile['goal'] }))}
				<MassField
					label="Body mass"
					kilograms={profile.bodyMass}
					unit={profile.unit}
					onread={(kg) => set({ bodyMass: kg ?? 0 })}
				/>
				<NumberField
					label="Stature, cm"
					value={profile.stature * 100}
					onread={(cm) => set({ stature: (cm ?? 0) / 100 })}
				/>
				{@render choice('Segment table', profile.sex, { female: 'female', male: 'male' }, (sex) =>
					set({ sex: sex as ClientProfile['sex'] })
				)}
				<NumberField
					label={profile.overSixty && !profile.birthYear
						? 'Year of birth (noted: over sixty)'
						: 'Year of birth'}
					value={profile.birthYear ?? null}
					onread={(year) => set({ birthYear: year, overSixty: false })}
				/>
				{@render choice('Sees masses in', profile.unit, { kilogram: 'kilograms', pound: 'pounds' }, (unit) =>
					set({ unit: unit as ClientProfile['unit'] })
				)}
				<ZonePick
					label="Days begin and end in"
					value={profile.timeZone}
					otherwise="where the practice is"
					onpick={(timeZone) => set({ timeZone })}
				/>
				{@render day('Competition', profile.competitionOn, (competitionOn) => set({ competitionOn }))}
				{@render day('At home until', profile.homeUntil, (homeUntil) => set({ homeUntil }))}
				<NumberField
					label="Minutes a session"
					value={profile.sessionMinutes}
					decimals={0}
					onread={(n) => set({ sessionMinutes: n === null ? null : Math.round(n) })}
				/>
			</div>
			<div class="text-soft mt-2 text-[13px]">Days</div>
			<div class="flex flex-wrap gap-1" role="group" aria-label="Days they can train">
				{#each Object.entries(DAYS) as [key, name] (key)}
					{@const weekday = key as keyof typeof DAYS}
					{@render pill(name, profile.days.includes(weekday), () =>
						set({ days: toggle(profile.days, weekday) })
					)}
				{/each}
			</div>
			<div class="text-soft mt-2 text-[13px]">Habits worth knowing</div>
			<div class="flex flex-wrap gap-1" role="group" aria-label="Habits">
				{#each Object.entries(TRAITS) as [key, name] (key)}
					{@const trait = key as keyof typeof TRAITS}
					{@render pill(name, profile.traits.includes(trait), () =>
						set({ traits: toggle(profile.traits, trait) })
					)}
				{/each}
			</div>
		</section>
		<section aria-label="Bans and likes">
			<h2 class="mb-1 text-[16px]">For this client</h2>
			<BanList
				bans={profile.bans}
				preferred={profile.preferred}
				names={data.names}
				onbans={(bans) => set({ bans })}
				onpreferred={(preferred) => set({ preferred })}
			/>
			<details class="mt-2 text-[13px]" open={profile.teachings.length > 0}>
				<summary class="cursor-pointer"
					>House rules agreed with this client{profile.teachings.length > 0
						? `: ${profile.teachings.length} of their own`
						: ''}</summary
				>
				<SchoolList
					schools={data.schools}
					taken={profile.teachings}
					under={data.rules.teachings}
					onchange={(teachings) => set({ teachings })}
				/>
			</details>
		</section>
	</div>
	<div class="space-y-5">
		<section aria-label="Health screen">
			<h2 class="mb-1 text-[16px]">Health screen</h2>
			<Health
				health={profile.health}
				sending={dossier.view.sending}
				{today}
				onchange={(health) => set({ health })}
			/>
		</section>
		<section aria-label="Movement screens">
			<h2 class="mb-1 text-[16px]">Movement screens</h2>
			{#each Object.entries(SCREENS) as [key, screen] (key)}
				{@const id = key as keyof typeof SCREENS}
				{@const found = resultOf(id)}
				<div class="border-rule border-t py-1 text-[13px]" role="group" aria-label={screen.name}>
					<div class="flex items-center gap-2">
						<b class="flex-1">{screen.name}</b>
						{@render pill('passed', found?.result === 'passed', () =>
							screened(id, found?.result === 'passed' ? null : 'passed', found?.note ?? null)
						)}
						{@render pill('failed', found?.result === 'failed', () =>
							screened(id, found?.result === 'failed' ? null : 'failed', found?.note ?? null)
						)}
					</div>
					<div class="text-soft text-[12px]">{screen.mark}</div>
					{#if found}
						<input
							class="input input-xs mt-0.5 w-full"
							aria-label="Your remark on {screen.name}"
							placeholder="your pass mark or remark"
							maxlength="200"
							value={found.note ?? ''}
							onchange={(event) => screened(id, found.result, event.currentTarget.value || null)}
						/>
					{/if}
				</div>
			{/each}
		</section>
	</div>
	<div class="space-y-5">
		<section aria-label="Known lifts">
			<h2 class="mb-1 text-[16px]">Known lifts</h2>
			<Lifts {profile} names={data.names} {today} onchange={(lifts) => set({ lifts })} />
			<h3 class="mt-3 text-[14px]">Cannot do yet</h3>
			<div class="flex flex-wrap gap-1 py-1">
				{#each profile.notYet as id (id)}
					{@render pill(data.names.get(id) ?? id, true, () =>
						set({ notYet: profile.notYet.filter((n) => n !== id) })
					)}
				{/each}
			</div>
			<ExercisePick
				names={data.names}
				label="cannot do yet"
				onpick={(id) => set({ notYet: [...profile.notYet.filter((n) => n !== id), id] })}
			/>
		</section>
		<section aria-label="Sore joints">
			<h2 class="mb-1 text-[16px]">What is sore, 0 to 10</h2>
			{#each JOINTS as joint (joint)}
				{@const pain = painAt(joint)}
				<label
					class="border-rule grid grid-cols-[100px_1fr_28px] items-center gap-3 border-t py-[3px] text-[13px]"
				>
					<span>{plain(joint)}</span>
					<input
						type="range"
						class="range range-xs h-6 w-full"
						min="0"
						max="10"
						value={pain}
						aria-label="Pain of the {plain(joint)}"
						onchange={(event) => {
							const felt = Number(event.currentTarget.value);
							const others = profile.soreJoints.filter((s) => s.joint !== joint);
							set({ soreJoints: felt > 0 ? [...others, { joint, pain: felt }] : others });
						}}
					/>
					<b class={pain >= 3 ? 'text-accent' : ''}>{pain}</b>
				</label>
			{/each}
			<p class="text-soft mt-1 text-[12px]">
				From 3 the joint is not loaded hard, over 5 not at all. Pain that stays belongs to a physician or
				physiotherapist.
			</p>
		</section>
		<GivenOut id={data.client.id} name={profile.name} />
	</div>
</main>
<Keys shortcuts={[]} note="Advice for a coach, not a medical opinion." />
