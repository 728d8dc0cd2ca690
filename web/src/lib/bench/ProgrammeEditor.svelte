<script lang="ts">
	import { untrack } from 'svelte';
	import { api, ask, type TemplateOffer } from '$lib/api/client';
	import type { Bench } from './bench.svelte';
	import Readings from './Readings.svelte';
	import { addHref } from '$lib/catalogue/own';
	import ProgrammeImport from '$lib/files/ProgrammeImport.svelte';
	import TemplateList from './TemplateList.svelte';
	import Underlined from './Underlined.svelte';

	/** The programme as text, read as it is typed; what is not understood is told with its place. */
	let { bench, client, ondone }: { bench: Bench; client: string; ondone: () => void } = $props();
	let text = $state(untrack(() => bench.text));
	let area: HTMLTextAreaElement;
	let scrolled = $state(0);
	let width = $state(0);
	let trouble = $state('');
	let file = $state.raw<File | null>(null);
	/** Line the caret stands on: its question is the one the keys answer. */
	let at = $state(1);
	const asked = $derived(bench.view.problems.find((p) => p.line === at && p.meant.length > 0));
	let timer: ReturnType<typeof setTimeout> | undefined;

	function typed() {
		clearTimeout(timer);
		timer = setTimeout(() => bench.retype(text), 250);
	}

	/** A programme for somebody who brings none; one step back brings the old text again. */
	async function take(offer: TemplateOffer) {
		clearTimeout(timer);
		text = offer.text;
		await bench.retype(offer.text, offer.block);
	}

	/** What a file holds, in place of the text or below it; one step back brings the old text again. */
	async function fromFile(typed: string, behind: boolean) {
		clearTimeout(timer);
		file = null;
		text = behind ? `${text.trimEnd()}\n\n${typed}` : typed;
		await bench.retype(text);
		area.focus();
	}

	const offers = ask(
		api.GET('/api/clients/{id}/templates', { params: { path: { id: untrack(() => client) } } })
	);

	async function done() {
		clearTimeout(timer);
		if (text !== bench.text) await bench.retype(text);
		else if (bench.busy) await bench.rebuild();
		if (bench.view.sessions.length > 0) ondone();
	}

	/** Puts the caret where a problem stands. */
	function show(line: number, column: number, length: number) {
		const start =
			text
				.split('\n')
				.slice(0, line - 1)
				.reduce((sum, l) => sum + l.length + 1, 0) +
			column -
			1;
		area.focus();
		area.setSelectionRange(start, start + Math.max(1, length));
	}

	function caret() {
		at = text.slice(0, area.selectionStart).split('\n').length;
	}

	type Question = Bench['view']['problems'][number];

	/** Writes the exercise that was meant in place of the name; kept, the practice never asks again. */
	async function mean(question: Question, meant: Question['meant'][number], always: boolean) {
		const rows = text.split('\n');
		const row = rows[question.line - 1] ?? '';
		const typed = row.slice(question.column - 1, question.column - 1 + question.length);
		trouble = '';
		clearTimeout(timer);
		if (always) {
			const { error } = await api.PUT('/api/practice/names', { body: { typed, exercise: meant.exercise } });
			if (error) {
				trouble = 'The name could not be kept; nothing was changed. Try again.';
				return;
			}
			if (text === bench.text) await bench.rebuild();
			else await bench.retype(text);
		} else {
			rows[question.line - 1] =
				row.slice(0, question.column - 1) + meant.name + row.slice(question.column - 1 + question.length);
			text = rows.join('\n');
			await bench.retype(text);
		}
		show(question.line, question.column, always ? typed.length : meant.name.length);
	}

	/** Alt with a figure answers the question of the caret's line; with Shift for good. */
	function answered(event: KeyboardEvent): boolean {
		const figure = /^Digit([1-9])$/.exec(event.code);
		const meant = asked?.meant[Number(figure?.[1]) - 1];
		if (!event.altKey || !asked || !meant) return false;
		mean(asked, meant, event.shiftKey);
		return true;
	}

	/** The words a question is about. */
	const wordsOf = ({ line, column, length }: Question) =>
		(text.split('\n')[line - 1] ?? '').slice(column - 1, column - 1 + length).trim();

	/** The name of its line is no exercise at all. */
	const isUnknown = (question: Question) =>
		question.length > 0 &&
		bench.view.sessions.some((s) =>
			s.lines.some(
				(l) =>
					l.outcome === 'unknown' &&
					l.written.textLine === question.line &&
					l.written.exerciseName === wordsOf(question)
			)
		);

	function lineLength(line: number): number {
		return text.split('\n')[line - 1]?.length ?? 1;
	}

	$effect(() => {
		area.focus();
		return () => clearTimeout(timer);
	});
</script>

<div
	class="flex h-full flex-col gap-3 p-4"
	role="presentation"
	ondragover={(event) => event.preventDefault()}
	ondrop={(event) => {
		const dropped = event.dataTransfer?.files[0];
		if (!dropped) return;
		event.preventDefault();
		file = dropped;
	}}
>
	<div class="flex min-h-0 flex-1 gap-5">
		<label class="flex min-h-0 flex-1 flex-col">
			<span class="text-soft mb-1 text-xs">Gym programme, as you would type it</span>
			<span class="bg-base-100 relative flex min-h-40 flex-1 rounded-[var(--radius-field)]">
				{#if width > 0}<Underlined {text} problems={bench.view.problems} {scrolled} {width} />{/if}
				<textarea
					bind:this={area}
					bind:value={text}
					bind:clientWidth={width}
					oninput={typed}
					onscroll={() => (scrolled = area.scrollTop)}
					onselect={caret}
					onclick={caret}
					onkeyup={caret}
					onkeydown={(event) => {
						if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) done();
						else if (answered(event)) event.preventDefault();
					}}
					spellcheck="false"
					class="textarea relative w-full flex-1 resize-none bg-transparent font-sans text-[15px] leading-relaxed"
					placeholder="Front squat 4 x 6 @ 72.5 kg, rest 3:00"
				></textarea>
			</span>
		</label>
		{#if bench.view.sessions.length > 0}
			<div class="flex w-[370px] shrink-0 flex-col gap-2">
				<Readings {bench} onshow={(line) => show(line, 1, lineLength(line))} />
				<details class="shrink-0">
					<summary class="cursor-pointer text-[13px] font-semibold">Take a template instead</summary>
					<div class="max-h-64 overflow-auto"><TemplateList {offers} ontake={take} /></div>
				</details>
			</div>
		{:else}
			<TemplateList {offers} ontake={take} />
		{/if}
	</div>
	{#if bench.view.problems.length > 0}
		<ul class="max-h-40 overflow-auto" aria-label="What could not be read">
			{#each bench.view.problems as problem, i (i)}
				<li class="border-accent border-l-4 py-0.5 pl-3 text-[13px]">
					<button class="text-left" onclick={() => show(problem.line, problem.column, problem.length)}>
						<b>line {problem.line}, column {problem.column}</b>
						{problem.message}
					</button>
					{#if problem.meant.length > 0 || isUnknown(problem)}
						<div class="flex flex-wrap items-center gap-x-1 gap-y-0.5 py-0.5">
							{#each problem.meant as meant, n (n)}
								<span class="border-rule inline-flex overflow-hidden rounded border">
									<button
										class="hover:bg-base-200 min-h-6 px-1.5"
										title="Write this name{asked === problem ? `, Alt ${n + 1}` : ''}"
										onclick={() => mean(problem, meant, false)}
										>{#if asked === problem}<kbd class="text-soft mr-1">{n + 1}</kbd>{/if}{meant.name}</button
									>
									<button
										class="border-rule hover:bg-base-200 text-soft min-h-6 border-l px-1.5"
										title="Always mean this by it{asked === problem ? `, Alt Shift ${n + 1}` : ''}"
										onclick={() => mean(problem, meant, true)}
										>always<span class="sr-only">: {meant.name}</span></button
									>
								</span>
							{/each}
							<a class="text-soft px-1 underline underline-offset-2" href={addHref(wordsOf(problem))}
								>{problem.meant.length > 0 ? 'none of these: ' : ''}add it as your own</a
							>
						</div>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
	<div class="flex items-center gap-3">
		<button class="btn btn-neutral btn-sm" onclick={done}>Rebuild for this home</button>
		<label class="btn btn-sm" title="A programme as .xlsx or .csv; dropping it here does the same"
			>From a file<input
				class="sr-only"
				type="file"
				accept=".xlsx,.csv,.tsv,.txt"
				onchange={(event) => {
					file = event.currentTarget.files?.[0] ?? null;
					event.currentTarget.value = '';
				}}
			/></label
		>
		<span class="text-soft text-xs"
			><kbd>Ctrl</kbd> <kbd>Enter</kbd> does the same{#if asked}; <kbd>Alt</kbd> with a figure answers what is
				asked of this line, with <kbd>Shift</kbd> for good{/if}</span
		>
		{#if trouble}<span role="alert" class="text-accent text-[13px]">{trouble}</span>{/if}
	</div>
</div>

{#if file}
	{#key file}
		<ProgrammeImport
			{client}
			{file}
			standing={text.trim() !== ''}
			ontake={fromFile}
			onclose={() => (file = null)}
		/>
	{/key}
{/if}
