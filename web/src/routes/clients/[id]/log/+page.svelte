<script lang="ts">
	import { untrack } from 'svelte';
	import { DayLog } from '$lib/log/entry.svelte';
	import { page } from '$app/state';
	import LogImport from '$lib/files/LogImport.svelte';
	import ContinuityView from '$lib/log/ContinuityView.svelte';
	import ReturnTable from '$lib/log/ReturnTable.svelte';
	import StepCell from '$lib/log/StepCell.svelte';
	import LineHistory from '$lib/plan/LineHistory.svelte';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';
	import type { LineProgress } from '$lib/api/client';
	import { shortDay } from '$lib/units';

	let { data } = $props();
	const log = untrack(
		() => new DayLog(data.client.id, data.progress, data.client.profile.unit, data.progress.today)
	);
	/** What was added to a line is named so far on from it, and its history is the line's. */
	const ADDED_FROM = 1000;
	let said = $state('');
	const tabs = [
		{ see: '', name: 'Set by set' },
		{ see: 'continuity', name: 'Continuity' },
		{ see: 'return', name: 'Back to the gym' }
	];
	const see = $derived(page.url.searchParams.get('see') ?? '');
	/** Sessions of the place in use, then what is done another way elsewhere. */
	const sections = $derived([
		...new Map(
			log.lines.map((line) => [
				`${line.session} ${line.place?.id ?? ''}`,
				{ title: line.session, place: line.place }
			])
		).values()
	]);
	const unitWord = $derived(data.client.profile.unit === 'pound' ? 'lb' : 'kg');
	/** Steps that go forward; those back or sideways are decided one by one. */
	const forward = new Set(['load', 'repetitions', 'set', 'variation', 'tempo', 'pause', 'rest']);
	const ready = $derived(log.lines.filter((l) => l.step?.next && forward.has(l.step.kind)));

	/** What was forecast of a set that is logged, else what is forecast of the next. */
	function forecast(line: LineProgress, i: number): string {
		const done = line.logs.find((set) => set.on === log.day && set.setNumber === i + 1);
		const seen = done && log.hindsight.find((h) => h.set === done.id);
		const range = seen ? seen.toFailure : line.forecast[i];
		return range ? `${Math.floor(range.low)}-${Math.ceil(range.high)}` : '';
	}

	const stops = { muscle: '', grip: 'grip', breath: 'breath', form: 'form', pain: 'pain' };

	/** What this day's sets of a line said before. */
	function before(line: LineProgress): string {
		return log.overwritten
			.filter((set) => set.line === line.line && set.on === log.day)
			.map(
				(set) =>
					`set ${set.setNumber} said ${set.repetitions}${set.reserve !== null ? `, ${set.reserve} left` : ''}`
			)
			.join('; ');
	}

	async function save() {
		said = '';
		if (await log.save()) said = [`Kept for ${shortDay(log.day)}.`, ...log.told].join(' ');
	}

	async function take(lines: string[]) {
		said = '';
		if (await log.take(lines)) {
			said = lines.length === 1 ? 'The step is in the plan.' : `${lines.length} steps are in the plan.`;
			log.blank();
		}
	}

	/** A log from elsewhere, looked at before it is taken. */
	let importing = $state.raw<File | null>(null);
	/** What a phone saved is taken as it is; a sheet is looked at first. */
	async function fromFile(file: File | undefined) {
		said = '';
		if (!file) return;
		// Told by what is in it: a phone's file may come under any name.
		const sheet = (await file.slice(0, 64).text()).trimStart()[0] !== '{';
		if (sheet) importing = file;
		else if (await log.takeFile(await file.text()))
			said = [`The sets of ${file.name} are in the log.`, ...log.told].join(' ');
	}

	function onkeydown(event: KeyboardEvent) {
		if ((event.ctrlKey || event.metaKey) && event.key === 'Enter') {
			event.preventDefault();
			save();
		}
	}
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Log, {data.client.profile.name} - Ingegno</title></svelte:head>

<div
	class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">Log</h1>
	<nav class="flex gap-1" aria-label="Log">
		{#each tabs as tab (tab.see)}
			<a
				class="btn btn-xs {see === tab.see ? 'btn-neutral' : ''}"
				aria-current={see === tab.see ? 'page' : undefined}
				href="?{tab.see ? `see=${tab.see}` : ''}">{tab.name}</a
			>
		{/each}
	</nav>
	{#if see === ''}
		<label class="flex items-center gap-2">
			day
			<input
				type="date"
				class="input input-xs w-36"
				bind:value={log.day}
				onchange={() => log.blank()}
				max={data.progress.today}
			/>
		</label>
	{/if}
	<span aria-live="polite">{said}</span>
	<span class="flex-1"></span>
	{#if see === ''}
		<span class="text-soft text-[13px]"
			>as a file
			<a class="underline underline-offset-2" download href="/api/clients/{data.client.id}/files/log.xlsx"
				>.xlsx</a
			>
			<a class="underline underline-offset-2" download href="/api/clients/{data.client.id}/files/log.csv"
				>.csv</a
			></span
		>
		<label
			class="btn btn-sm"
			title="A log as .csv or .xlsx, or sets a client saved to a file because the phone could not send them"
			>From a file<input
				class="sr-only"
				type="file"
				accept=".json,.csv,.tsv,.txt,.xlsx"
				onchange={(event) => {
					void fromFile(event.currentTarget.files?.[0]);
					event.currentTarget.value = '';
				}}
			/></label
		>
		{#if ready.length > 1}
			<button class="btn btn-sm" disabled={log.busy} onclick={() => take(ready.map((l) => l.key))}
				>Take all {ready.length} steps</button
			>
		{/if}
		<button class="btn btn-sm btn-neutral" disabled={log.busy || !log.anyTyped} onclick={save}
			>Keep this day</button
		>
	{/if}
</div>
<Notice text={log.trouble} />

<main
	class="min-h-0 flex-1 overflow-auto"
	ondragover={(event) => event.preventDefault()}
	ondrop={(event) => {
		event.preventDefault();
		void fromFile(event.dataTransfer?.files[0]);
	}}
>
	{#if see === 'continuity'}
		<ContinuityView view={data.progress} unit={data.client.profile.unit} />
	{:else if see === 'return'}
		<ReturnTable client={data.client.id} unit={data.client.profile.unit} />
	{:else if log.lines.length === 0}
		<div class="mx-auto max-w-md p-12 text-center">
			<h2 class="mb-2 text-xl">No plan to log against yet</h2>
			<p class="text-soft mb-4">
				Rebuild the written programme on the bench and save it; its lines then stand here.
			</p>
			<a class="btn btn-neutral" href="/clients/{data.client.id}/bench">To the bench</a>
		</div>
	{:else}
		{#each sections as { title: session, place } (session + (place?.id ?? ''))}
			<section aria-label={place ? `${session}, at ${place.name}` : session}>
				<div
					class="text-soft bg-base-200 sticky top-0 z-10 grid grid-cols-[300px_minmax(0,1fr)_400px] gap-4 px-4 py-1.5 text-xs"
				>
					<h2 class="text-base-content text-[15px]">
						{session}{#if place}<span class="text-accent ml-2 font-sans text-xs font-semibold"
								>at {place.name}</span
							>{/if}
						{#each data.progress.notes.filter((n) => n.session === session).slice(0, 1) as note (note.on)}
							<span class="text-soft font-sans text-xs font-normal"
								>{[
									note.felt ? `felt in ${note.felt === 'both' ? 'muscles and breath' : note.felt}` : '',
									note.sore !== null ? `sore ${note.sore} of 3` : ''
								]
									.filter(Boolean)
									.join(', ')} ({shortDay(note.on)})</span
							>
						{/each}
					</h2>
					<span class="pt-1">load {unitWord}, done, left, pain 0-10, ended by</span>
					<span class="pt-1">next week</span>
				</div>
				{#each log.lines.filter((l) => l.session === session && l.place?.id === place?.id) as line (line.key)}
					<div class="border-rule grid grid-cols-[300px_minmax(0,1fr)_400px] gap-4 border-t px-4 py-2">
						<div>
							<b class="font-display block text-[15px]">
								{#if line.tag}<span
										class="border-base-300 text-soft mr-1 rounded-sm border px-1 font-sans text-[11px]"
										>{line.tag}</span
									>{/if}{line.prescription.name}
							</b>
							<span class="block">
								{line.prescription.countInWords}{line.prescription.reserve !== null
									? `, leaving ${Math.round(line.prescription.reserve)}`
									: ''}
							</span>
							<span class="text-soft block text-[12.5px]">{line.prescription.loadInWords}</span>
							{#each line.former as former, i (i)}<span class="text-soft block text-[12.5px]"
									>before: {former.name}, {former.sets} sets to {shortDay(former.last)}, best {former.best}</span
								>{/each}
							{#if line.prescription.finishOn}<span class="text-soft block text-[12.5px]"
									>then {line.prescription.finishOn.name.toLowerCase()}, logged behind the +</span
								>{/if}
						</div>
						<div>
							<div class="flex flex-wrap gap-x-4 gap-y-1">
								{#each log.typed[line.key] ?? [] as set, i (i)}
									<div
										class="flex items-center gap-0.5"
										role="group"
										aria-label="{line.prescription.name}, set {i + 1}"
									>
										<span class="text-soft w-4 text-xs">{i + 1}</span>
										{#if line.prescription.kit}<input
												class="input input-xs w-12 px-1"
												inputmode="decimal"
												aria-label="load"
												bind:value={set.load}
											/>{/if}
										<input
											class="input input-xs w-10 px-1 font-semibold"
											inputmode="numeric"
											aria-label="done"
											bind:value={set.repetitions}
										/>
										<input
											class="input input-xs w-9 px-1"
											inputmode="decimal"
											aria-label="left"
											bind:value={set.reserve}
										/>
										<input
											class="input input-xs w-9 px-1"
											inputmode="numeric"
											aria-label="pain"
											bind:value={set.pain}
										/>
										<select
											class="select select-xs text-soft w-[52px] bg-none px-1 text-[11.5px]"
											aria-label="ended by"
											title="what ended the set"
											bind:value={set.stopped}
										>
											<option value="">-</option>
											{#each Object.keys(stops) as stop (stop)}<option value={stop}>{stop}</option>{/each}
										</select>
										{#if line.prescription.finishOn || set.finished !== ''}<span class="text-soft text-xs"
												>+</span
											>
											<input
												class="input input-xs w-9 px-1"
												inputmode="numeric"
												aria-label="on the easier variation"
												title="repetitions on {line.prescription.finishOn?.name ?? 'an easier variation'}"
												bind:value={set.finished}
											/>{/if}
										<span
											class="text-soft text-[11.5px] whitespace-nowrap"
											title="forecast: repetitions until failure, four of five times in this range"
											>{forecast(line, i)}</span
										>
									</div>
								{/each}
							</div>
							<div class="mt-1 flex flex-wrap gap-x-4 text-xs">
								<button class="text-soft underline underline-offset-2" onclick={() => log.asPrescribed(line)}
									>done as prescribed</button
								>
								{#if before(line)}
									<span class="text-accent" title="Corrected since, or another phone logged it later"
										>before: {before(line)}</span
									>
								{/if}
								{#each line.askedOtherwise.slice(0, 1) as asked (asked.on)}
									<span class="text-soft">asked on {shortDay(asked.on)}: {asked.words}</span>
								{/each}
								{#if line.logs[0]}
									<span class="text-soft">
										last {shortDay(line.logs[0].on)}: {line.logs
											.filter((set) => set.on === line.logs[0]?.on)
											.map(
												(set) =>
													`${set.repetitions}${set.otherSide !== null ? `|${set.otherSide}` : ''}${set.finished > 0 ? `+${set.finished}` : ''}${set.toLimit ? ' to the limit' : ''}${set.stopped && stops[set.stopped] ? ` (${stops[set.stopped]})` : ''}`
											)
											.join('/')}
									</span>
								{/if}
							</div>
						</div>
						<div>
							<StepCell {line} busy={log.busy} ontake={() => take([line.key])} />
							<div class="pl-4">
								<LineHistory
									client={data.client.id}
									line={line.line % ADDED_FROM}
									name={line.prescription.name}
									stamp={line.version}
									onchanged={() => log.refresh()}
								/>
							</div>
						</div>
					</div>
				{/each}
			</section>
		{/each}
		{#if log.gone.length > 0}
			<section aria-label="Not in the plan any more" class="px-4 py-3">
				<h2 class="text-[15px]">Trained on lines that the plan has no more</h2>
				<ul class="text-soft text-[12.5px]">
					{#each log.gone as line, i (i)}
						<li>
							<b class="text-base-content">{line.name}</b>: {[...new Set(line.logs.map((set) => set.on))]
								.slice(0, 4)
								.map(
									(on) =>
										`${shortDay(on)} ${line.logs
											.filter((set) => set.on === on)
											.map((set) => set.repetitions)
											.join('/')}`
								)
								.join('; ')}
						</li>
					{/each}
				</ul>
			</section>
		{/if}
	{/if}
</main>
{#if importing}
	{#key importing}
		<LogImport
			client={data.client.id}
			file={importing}
			onkept={() => void log.refresh()}
			onclose={() => (importing = null)}
		/>
	{/key}
{/if}
<Keys
	shortcuts={[
		{ keys: ['Tab'], does: 'next field' },
		{ keys: ['Ctrl', 'Enter'], does: 'keep this day' }
	]}
	note="Pain over 5 stops a line. Advice for a coach, not a medical opinion."
/>
