<script lang="ts">
	import { untrack } from 'svelte';
	import MarkedLine from '$lib/bench/MarkedLine.svelte';
	import { api, ask, messageOf, type ColumnRole, type ProgrammeFile } from '$lib/api/client';

	/** A programme from a file: how its columns are taken, put right where the guess is wrong, and the text that comes of it. */
	interface Props {
		client: string;
		file: File;
		/** Whether something stands in the editor already. */
		standing: boolean;
		ontake: (text: string, behind: boolean) => void;
		onclose: () => void;
	}
	let { client, file, standing, ontake, onclose }: Props = $props();
	let dialog: HTMLDialogElement;
	let view = $state.raw<ProgrammeFile | null>(null);
	let trouble = $state('');
	let latest = 0;
	$effect(() => dialog.showModal());

	const roles: { role: ColumnRole; words: string }[] = [
		{ role: 'nothing', words: 'passed over' },
		{ role: 'whole', words: 'whole lines' },
		{ role: 'week', words: 'week' },
		{ role: 'session', words: 'day' },
		{ role: 'group', words: 'superset' },
		{ role: 'exercise', words: 'exercise' },
		{ role: 'sets', words: 'sets' },
		{ role: 'repetitions', words: 'repetitions' },
		{ role: 'load', words: 'load' },
		{ role: 'percent', words: 'percent' },
		{ role: 'rpe', words: 'RPE' },
		{ role: 'reserve', words: 'left (RIR)' },
		{ role: 'tempo', words: 'tempo' },
		{ role: 'rest', words: 'rest' },
		{ role: 'notes', words: 'notes' }
	];

	/** Reads the file anew; only the last answer counts. */
	async function read(query: { sheet?: number; together?: boolean; columns?: string; header?: number }) {
		const mine = ++latest;
		trouble = '';
		try {
			const answer = await ask(
				api.POST('/api/clients/{id}/programme-file', {
					params: { path: { id: client }, query },
					body: file as unknown as string,
					bodySerializer: () => file,
					headers: { 'Content-Type': 'application/octet-stream' }
				})
			);
			if (mine === latest) view = answer;
		} catch (refused) {
			if (mine === latest) trouble = messageOf(refused);
		}
	}

	function put(columns: ColumnRole[], header: number | null) {
		if (view)
			read({ sheet: view.sheet, together: view.together, columns: columns.join(','), header: header ?? -1 });
	}

	/** What stands over the columns is named in the text: the weeks or days side by side. */
	const isTitle = (row: string[]) => row.some((cell) => cell !== '' && view?.text.includes(`# ${cell}\n`));

	/** Columns with something in them that nothing is made of, by their names or places. */
	const passedOver = $derived(
		view?.columns.flatMap((role, c) =>
			role === 'nothing' && view!.rows.some((row, r) => r !== view!.headerRow && row[c])
				? [(view!.headerRow !== null && view!.rows[view!.headerRow]?.[c]) || `column ${c + 1}`]
				: []
		) ?? []
	);
	const lines = $derived(
		(view?.text.trim() ?? '').split('\n').filter((l) => l !== '' && !l.startsWith('# ')).length
	);
	const doubts = $derived(new Set(view?.problems.map((p) => p.line)).size);
	untrack(() => read({}));
</script>

<dialog bind:this={dialog} class="modal" aria-label="A programme from a file" {onclose}>
	<div class="modal-box flex max-h-[92vh] w-[1180px] max-w-[96vw] flex-col gap-3">
		<div class="flex items-center gap-4">
			<h2 class="max-w-72 truncate text-lg" title={file.name}>{file.name}</h2>
			{#if view && view.sheets.length > 1}
				<label class="flex items-center gap-2 text-[13px]"
					>sheet
					<select
						class="select select-xs w-44"
						value={view.sheet}
						onchange={(event) => read({ sheet: Number(event.currentTarget.value), together: view?.together })}
					>
						{#each view.sheets as name, i (i)}<option value={i}>{name}</option>{/each}
					</select></label
				>
				<label class="flex items-center gap-2 text-[13px] whitespace-nowrap">
					<input
						type="checkbox"
						class="checkbox checkbox-xs"
						checked={view.together}
						onchange={(event) => read({ sheet: view?.sheet, together: event.currentTarget.checked })}
					/>{view.sheets.length === 2 ? 'both sheets' : `all ${view.sheets.length} sheets`}, a {view.weekByWeek
						? 'week'
						: 'session'} each</label
				>
			{/if}
			<span class="text-soft text-[13px]"
				>Say what each column holds where the guess is wrong; a click on a row makes it the one that names
				them.</span
			>
		</div>
		{#if trouble}<p role="alert" class="text-accent">{trouble}</p>{/if}
		{#if view && view.waiting > 0}
			<p class="border-accent bg-decide border-l-4 px-2 text-[13px]">
				{view.week ?? 'What stands before the weeks'} comes first; what stands behind it waits in the text, and
				the bench goes on to it when you say so.
			</p>
		{:else if view?.weekByWeek && !view.together}
			<p class="border-accent bg-decide border-l-4 px-2 text-[13px]">
				The sheets are weeks, and only this one is taken: take all, and the others wait behind it.
			</p>
		{/if}
		{#if view}
			<div class="grid min-h-0 flex-1 grid-cols-[minmax(0,2fr)_minmax(0,1fr)] gap-5">
				<div class="overflow-auto">
					<table class="text-[13px]" aria-label="First rows of the file">
						<thead>
							<tr>
								{#each view.columns as role, c (c)}
									<th class="pr-2 pb-1 text-left align-bottom">
										<select
											class="select select-xs w-[94px]"
											aria-label="Column {c + 1} holds"
											value={role}
											onchange={(event) =>
												put(
													view!.columns.map((r, i) =>
														i === c ? (event.currentTarget.value as ColumnRole) : r
													),
													view!.headerRow
												)}
										>
											{#each roles as { role: one, words } (one)}<option value={one}>{words}</option>{/each}
										</select>
									</th>
								{/each}
							</tr>
						</thead>
						<tbody>
							{#each view.rows as row, r (r)}
								<tr
									class="cursor-pointer {r === view.headerRow
										? 'bg-decide font-semibold'
										: view.headerRow !== null && r < view.headerRow && !isTitle(row)
											? 'text-soft line-through'
											: ''}"
									title={r === view.headerRow
										? 'Names the columns; a click takes that away'
										: 'A click makes it the row that names the columns'}
									onclick={() => put(view!.columns, r === view!.headerRow ? null : r)}
								>
									{#each row as cell, c (c)}
										<td
											class="border-rule max-w-56 truncate border-b py-0.5 pr-2 {view.columns[c] === 'nothing'
												? 'text-soft'
												: ''}">{cell}</td
										>
									{/each}
								</tr>
							{/each}
						</tbody>
					</table>
					{#if passedOver.length > 0}
						<p class="text-accent mt-2 text-[13px]">Passed over: {passedOver.join(', ')}.</p>
					{/if}
				</div>
				<div class="flex min-h-0 flex-col">
					<h3 class="text-[13px] font-semibold">
						As text, {lines}
						{lines === 1 ? 'line' : 'lines'}{#if doubts > 0}<span class="text-accent"
								>, {doubts} to look at</span
							>{/if}
					</h3>
					<div
						class="bg-base-100 mt-1 flex-1 overflow-auto rounded-[var(--radius-field)] p-3 text-[13px]"
						role="region"
						aria-label="As the editor will read it"
					>
						{#each view.text.trim().split('\n') as line, i (i)}
							<div class="min-h-[1lh] break-words {line.startsWith('# ') ? 'font-semibold' : ''}">
								<MarkedLine {line} number={i + 1} problems={view.problems} />
							</div>
							{#each view.problems.filter((p) => p.line === i + 1) as problem, k (k)}
								<p class="text-soft mb-1 pl-3 text-[12px] {problem.isDoubt ? '' : 'text-accent'}">
									{problem.message}
								</p>
							{/each}
						{/each}
					</div>
				</div>
			</div>
		{:else if !trouble}
			<p aria-live="polite">Reading the file</p>
		{/if}
		<div class="flex items-center gap-3">
			<button
				class="btn btn-sm btn-neutral"
				disabled={!view || lines === 0}
				onclick={() => ontake(view!.text, false)}
				>{standing ? 'Put it in place of the text' : 'Put it in the editor'}</button
			>
			{#if standing}
				<button class="btn btn-sm" disabled={!view || lines === 0} onclick={() => ontake(view!.text, true)}
					>Add it below</button
				>
			{/if}
			<button class="btn btn-sm" onclick={() => dialog.close()}>Leave it</button>
			<span class="text-soft text-xs"
				>It is read and asked about in the editor; nothing is kept before you save.</span
			>
		</div>
	</div>
	<form method="dialog" class="modal-backdrop"><button aria-label="Close">close</button></form>
</dialog>
