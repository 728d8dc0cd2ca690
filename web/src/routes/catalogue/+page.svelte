<script lang="ts">
	import { onMount } from 'svelte';
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { api, ask, messageOf, type Possibility } from '$lib/api/client';
	import ExerciseDetail from '$lib/catalogue/ExerciseDetail.svelte';
	import { KIT, narrow, type Filters } from '$lib/catalogue/filters';
	import { blank, differences, type OwnExercise } from '$lib/catalogue/own';
	import OwnExerciseForm from '$lib/catalogue/OwnExerciseForm.svelte';
	import { plain } from '$lib/client/words';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';
	import TopBar from '$lib/shell/TopBar.svelte';

	let { data } = $props();
	let trouble = $state('');
	let panel = $state<HTMLElement>();
	let possible = $state.raw(new Map<string, Possibility>());
	const shown = $derived(page.url.searchParams);
	const client = $derived(shown.get('client') ?? '');
	const by = $derived<Filters>({
		typed: shown.get('name') ?? '',
		muscle: shown.get('muscle') ?? '',
		pattern: shown.get('pattern') ?? '',
		kit: shown.get('kit') ?? '',
		possible: shown.get('possible') === 'yes' && client !== ''
	});
	const byId = $derived(new Map(data.catalogue.map((e) => [e.id, e])));
	const muscles = $derived([...new Set(data.catalogue.flatMap((e) => Object.keys(e.muscles)))].sort());
	const patterns = $derived([...new Set(data.catalogue.map((e) => e.pattern))].sort());
	const found = $derived(narrow(data.catalogue, by, possible));
	const inHand = $derived(byId.get(shown.get('exercise') ?? '') ?? found[0]);
	const own = $derived(new Map(data.own.map((o) => [o.id, o])));
	const retired = $derived(data.own.filter((o) => o.isRetired));
	/** The one being added or changed; "new" has the name in the filter. */
	const editing = $derived(
		shown.get('own') === 'new' ? blank(by.typed) : (own.get(shown.get('own') ?? '') ?? null)
	);
	const drills = $derived(
		data.drills.filter((d) =>
			by.typed
				.toLowerCase()
				.split(' ')
				.every((w) => d.name.toLowerCase().includes(w))
		)
	);

	/** Where a change on its way leads, so that the next one does not undo it. */
	let pending: URL | null = null;

	/** Filters live in the address, so that a view can be linked to. */
	function set(key: string, value: string) {
		const url = new URL(pending ?? page.url);
		if (value) url.searchParams.set(key, value);
		else url.searchParams.delete(key);
		pending = url;
		goto(url, { replaceState: true, keepFocus: true, noScroll: true }).finally(() => {
			if (pending === url) pending = null;
		});
	}

	/** Where the form is done with, the exercise is shown. */
	async function saved(exercise: OwnExercise) {
		await invalidateAll();
		const url = new URL(page.url);
		url.searchParams.delete('own');
		url.searchParams.delete('name');
		if (exercise.isRetired) url.searchParams.delete('exercise');
		else url.searchParams.set('exercise', exercise.id);
		await goto(url, { noScroll: true });
		document.getElementById(`row-${exercise.id}`)?.scrollIntoView({ block: 'center' });
	}

	async function retire(exercise: OwnExercise, isRetired: boolean) {
		try {
			await saved(await ask(api.PUT('/api/practice/exercises', { body: { ...exercise, isRetired } })));
			trouble = '';
		} catch (problem) {
			trouble = messageOf(problem);
		}
	}

	onMount(() => document.getElementById(`row-${inHand?.id}`)?.scrollIntoView({ block: 'center' }));

	// What is shown anew is shown from its top.
	$effect(() => {
		if (shown.get('own') !== null || inHand) panel?.scrollTo(0, 0);
	});

	$effect(() => {
		const id = client;
		if (!id) {
			possible = new Map();
			return;
		}
		ask(api.GET('/api/clients/{id}/possible', { params: { path: { id } } }))
			.then((list) => {
				possible = new Map(list.map((p) => [p.exercise, p]));
				trouble = '';
			})
			.catch((problem) => (trouble = messageOf(problem)));
	});

	function onkeydown(event: KeyboardEvent) {
		if ((event.target as HTMLElement).matches('input, select, textarea') || event.ctrlKey || event.metaKey)
			return;
		const at = found.findIndex((e) => e.id === inHand?.id);
		const next = found[event.key === 'ArrowDown' ? at + 1 : event.key === 'ArrowUp' ? at - 1 : -1];
		if (event.key === 'n' && !editing) set('own', 'new');
		else if (event.key === '/') document.querySelector<HTMLInputElement>('#name')?.focus();
		else if (next) {
			set('exercise', next.id);
			document.getElementById(`row-${next.id}`)?.scrollIntoView({ block: 'nearest' });
		} else return;
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Catalogue - Ingegno</title></svelte:head>

<div class="flex h-full flex-col">
	<TopBar coach={data.session.coach?.name ?? ''} />
	<div
		class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-3 border-b px-4 text-[13px]"
	>
		<h1 class="text-base-content text-[17px]">Catalogue</h1>
		<input
			id="name"
			class="input input-sm w-40"
			aria-label="Name"
			placeholder="name or synonym"
			value={by.typed}
			oninput={(event) => set('name', event.currentTarget.value)}
		/>
		<select
			class="select select-sm w-36"
			aria-label="Muscle"
			value={by.muscle}
			onchange={(e) => set('muscle', e.currentTarget.value)}
		>
			<option value="">any muscle</option>
			{#each muscles as muscle (muscle)}<option value={muscle}>{plain(muscle)}</option>{/each}
		</select>
		<select
			class="select select-sm w-36"
			aria-label="Pattern"
			value={by.pattern}
			onchange={(e) => set('pattern', e.currentTarget.value)}
		>
			<option value="">any pattern</option>
			{#each patterns as pattern (pattern)}<option value={pattern}>{plain(pattern)}</option>{/each}
		</select>
		<select
			class="select select-sm w-40"
			aria-label="Kit"
			value={by.kit}
			onchange={(e) => set('kit', e.currentTarget.value)}
		>
			<option value="">any kit</option>
			{#each Object.entries(KIT) as [key, kit] (key)}<option value={key}>{kit.words}</option>{/each}
		</select>
		<select
			class="select select-sm w-40"
			aria-label="Home of"
			value={client}
			onchange={(e) => set('client', e.currentTarget.value)}
		>
			<option value="">in nobody’s home</option>
			{#each data.desk as row (row.id)}<option value={row.id}>{row.name}’s home</option>{/each}
		</select>
		<label class="flex items-center gap-1.5 whitespace-nowrap"
			><input
				type="checkbox"
				class="checkbox checkbox-xs"
				disabled={client === ''}
				checked={by.possible}
				onchange={(e) => set('possible', e.currentTarget.checked ? 'yes' : '')}
			/>possible there</label
		>
		<span class="flex-1"></span>
		<span class="whitespace-nowrap"
			><b class="text-base-content">{found.length}</b> of {data.catalogue.length}</span
		>
		<button class="btn btn-sm" onclick={() => set('own', 'new')}>Add your own</button>
	</div>
	<Notice text={trouble} />
	<main class="grid min-h-0 flex-1 grid-cols-[1fr_380px]">
		<div class="min-h-0 overflow-auto">
			{#if found.length === 0}
				<p class="p-6">
					Nothing passes all of these. Take one filter away{#if by.typed}, or
						<button class="underline underline-offset-2" onclick={() => set('own', 'new')}
							>add “{by.typed}” as one of your own</button
						>{/if}.
				</p>
			{:else}
				<ul aria-label="Exercises">
					{#each found as e (e.id)}
						{@const here = possible.get(e.id)}
						<li id="row-{e.id}">
							<button
								class="border-rule grid w-full grid-cols-[270px_150px_1fr_120px] items-baseline gap-3 border-t px-4 py-1 text-left text-[13px] {e.id ===
								inHand?.id
									? 'bg-base-100 shadow-[inset_4px_0_0_var(--color-accent)]'
									: ''}"
								aria-pressed={e.id === inHand?.id}
								onclick={() => set('exercise', e.id)}
							>
								<b class="font-display truncate text-[14px]"
									>{e.name}{#if own.has(e.id)}<span class="text-soft ml-1.5 font-sans text-[12px] font-normal"
											>yours</span
										>{/if}</b
								>
								<span class="text-soft truncate">{plain(e.pattern)}</span>
								<span class="text-soft truncate"
									>{Object.entries(e.muscles)
										.filter(([, w]) => w >= 0.8)
										.map(([m]) => plain(m))
										.join(', ')}</span
								>
								<span class="text-soft truncate text-[12px]"
									>{here
										? here.possible
											? 'possible'
											: here.against
													.map((a) => plain(a.cause))
													.filter((c, i, all) => all.indexOf(c) === i)
													.join(', ')
										: e.setting === 'gym'
											? 'gym'
											: e.setting === 'both'
												? 'gym and home'
												: 'home'}</span
								>
							</button>
						</li>
					{/each}
				</ul>
			{/if}
			{#if retired.length > 0}
				<details class="border-rule border-t px-4 py-2 text-[13px]">
					<summary class="cursor-pointer">Yours, retired: {retired.length}</summary>
					<ul class="mt-1">
						{#each retired as o (o.id)}
							<li class="flex items-center gap-2">
								<b>{o.name}</b>
								<span class="text-soft">like the {byId.get(o.like)?.name.toLowerCase() ?? o.like}</span>
								<button class="btn btn-xs" onclick={() => retire(o, false)}>Give it again</button>
							</li>
						{/each}
					</ul>
				</details>
			{/if}
			<details class="border-rule border-t px-4 py-2 text-[13px]">
				<summary class="cursor-pointer">Warm-up, mobility and cool-down: {drills.length}</summary>
				<ul class="mt-1 grid grid-cols-2 gap-x-6 gap-y-1">
					{#each drills as drill (drill.id)}
						<li>
							<b>{drill.name}</b>
							<span class="text-soft"
								>{plain(drill.kind)}{drill.opens ? `, for the ${plain(drill.opens)} screen` : ''}. {drill.setUp.join(
									'. '
								)}. {drill.cues.join('. ')}.</span
							>
						</li>
					{/each}
				</ul>
			</details>
		</div>
		<aside
			class="border-base-300 min-h-0 overflow-auto border-l px-4 py-2.5"
			aria-label="Exercise in hand"
			bind:this={panel}
		>
			{#if editing}
				{#key shown.get('own')}
					<OwnExerciseForm
						begin={editing}
						catalogue={data.catalogue}
						onsaved={saved}
						oncancel={() => set('own', '')}
					/>
				{/key}
			{:else if inHand}
				{@const mine = own.get(inHand.id)}
				{#if mine}
					<p class="text-soft mb-1 flex flex-wrap items-center gap-2 text-[12.5px]">
						<span
							>Yours, like the {byId.get(mine.like)?.name.toLowerCase() ?? mine.like}{differences(mine)
								.length > 0
								? `; other are ${differences(mine).join(', ')}`
								: ''}.</span
						>
						<button class="btn btn-xs" onclick={() => set('own', mine.id)}>Change it</button>
						<button class="btn btn-xs btn-ghost" onclick={() => retire(mine, true)}>Retire it</button>
					</p>
				{/if}
				<ExerciseDetail
					exercise={inHand}
					{byId}
					possibility={possible.get(inHand.id)}
					ongo={(id) => set('exercise', id)}
				/>
			{/if}
		</aside>
	</main>
	<Keys
		shortcuts={[
			{ keys: ['↑', '↓'], does: 'exercise' },
			{ keys: ['/'], does: 'find by name' },
			{ keys: ['n'], does: 'one of your own' }
		]}
		note="Advice for a coach, not a medical opinion. Sharp pain stops any exercise."
	/>
</div>
