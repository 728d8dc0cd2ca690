<script lang="ts">
	import { api, ask, messageOf, type SheetView } from '$lib/api/client';
	import { save } from '$lib/files/save';
	import Notice from '$lib/shell/Notice.svelte';
	import SheetLine from '$lib/sheet/SheetLine.svelte';
	import { shortDay } from '$lib/units';

	let { data } = $props();
	const plan = $derived(data.plan.plan);
	const profile = $derived(data.client.profile);
	/** Asked for otherwise than as saved: another place, or a session made to fit the minutes there are today. */
	let asked = $state.raw<{ place?: string; session?: number; minutes?: number }>({});
	let other = $state.raw<SheetView | null>(null);
	let paper = $state<'a4' | 'letter'>('a4');
	let trouble = $state('');
	let printing = $state(false);

	const view = $derived(other ?? data.sheet);
	const sheet = $derived(view.sheet);
	const pages = $derived(paper === 'a4' ? view.a4 : view.letter);
	const place = $derived(asked.place ?? plan.place);
	const figureOf = (line: number) =>
		data.figures.find((f) => f.line === line && f.place === place)?.figure ?? null;
	const empty = $derived(sheet.sessions.length === 0);

	async function turn(to: typeof asked) {
		try {
			other = Object.keys(to).length
				? await ask(
						api.GET('/api/clients/{id}/sheet', { params: { path: { id: data.client.id }, query: to } })
					)
				: null;
			asked = to;
			trouble = '';
		} catch (problem) {
			trouble = messageOf(problem);
		}
	}

	async function pdf() {
		printing = true;
		trouble = await save(
			`/api/clients/${data.client.id}/sheet.pdf?${new URLSearchParams({ ...Object.fromEntries(Object.entries(asked).map(([k, v]) => [k, `${v}`])), paper })}`,
			`${profile.name} sheet.pdf`
		);
		printing = false;
	}
</script>

<svelte:head><title>{profile.name}, the sheet - Ingegno</title></svelte:head>

<div
	class="border-base-300 bg-base-100 text-soft no-print flex h-11 shrink-0 items-center gap-4 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">The sheet</h1>
	<span>{plan.savedAt ? `as saved on ${shortDay(plan.savedAt.slice(0, 10))}` : ''}</span>
	<span class="flex-1"></span>
	{#if plan.elsewhere.length > 0}
		<label class="flex items-center gap-2"
			>At
			<select
				class="select select-sm bg-base-100 w-40"
				value={asked.place ?? ''}
				onchange={(e) => void turn(e.currentTarget.value ? { place: e.currentTarget.value } : {})}
			>
				<option value="">{plan.placeName}</option>
				{#each plan.elsewhere as there, i (i)}<option value={there.place}>{there.name}</option>{/each}
			</select>
		</label>
	{/if}
	{#if asked.minutes}
		<span class="text-accent">today only: {asked.minutes} minutes</span>
		<button class="btn btn-sm" onclick={() => turn({})}>The whole session again</button>
	{:else if plan.sessions.length > 0 && !asked.place}
		<label class="flex items-center gap-2"
			>Less time today
			<select
				class="select select-sm bg-base-100 w-52"
				value=""
				onchange={(e) => {
					const [session, minutes] = e.currentTarget.value.split(' ').map(Number);
					if (session !== undefined && minutes !== undefined) void turn({ session, minutes });
				}}
			>
				<option value="" disabled>choose…</option>
				{#each plan.sessions as session, i (i)}
					{#each [15, 20, 30] as minutes (minutes)}
						<option value="{i} {minutes}">{session.title}: only {minutes} minutes</option>
					{/each}
				{/each}
			</select>
		</label>
	{/if}
	{#if !empty}
		<a class="btn btn-sm" href="/clients/{data.client.id}/sheet/changes">What changed</a>
		<span class="join">
			{#each [['xlsx', 'Workbook'], ['csv', 'CSV'], ['txt', 'Text']] as [kind, words] (kind)}
				<a
					class="join-item btn btn-sm"
					download
					aria-label="Programme as {words === 'CSV' ? words : words?.toLowerCase()}"
					href="/api/clients/{data.client.id}/files/programme.{kind}">{words}</a
				>
			{/each}
		</span>
	{/if}
	<span class="join">
		<select class="join-item select select-sm bg-base-100 w-[84px]" aria-label="Paper" bind:value={paper}>
			<option value="a4">A4</option>
			<option value="letter">Letter</option>
		</select>
		<button
			class="join-item btn btn-sm btn-neutral"
			disabled={empty || !data.client.sending.allowed || printing}
			onclick={pdf}>{printing ? 'One moment…' : 'As a PDF'}</button
		>
	</span>
	<button class="btn btn-sm" disabled={empty || !data.client.sending.allowed} onclick={() => window.print()}
		>Print</button
	>
</div>

<Notice text={trouble} />
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<main class="min-h-0 flex-1 overflow-auto print:overflow-visible" tabindex="0">
	{#if empty}
		<div class="mx-auto max-w-md p-12 text-center">
			<h2 class="mb-2 text-xl">Nothing saved to print yet</h2>
			<p class="text-soft mb-4">Rebuild the written programme on the bench and save it.</p>
			<a class="btn btn-neutral" href="/clients/{data.client.id}/bench">To the bench</a>
		</div>
	{:else if !data.client.sending.allowed}
		<div class="mx-auto max-w-md p-12 text-center">
			<h2 class="mb-2 text-xl">Not to be handed out yet</h2>
			<p class="border-accent bg-decide mb-4 border-l-4 px-4 py-2 text-left">{data.client.sending.why}</p>
			<a class="btn btn-neutral" href="/clients/{data.client.id}/profile">To the health screen</a>
		</div>
	{:else}
		<p class="text-soft no-print mx-auto mt-4 w-[190mm] text-[13px]">
			A page a session, two where one would be crowded. As a PDF it carries a code that opens the training on
			the phone{data.plan.plan.savedAt ? ', once it was sent' : ''}.
		</p>
		<article>
			{#each pages as laid, p (p)}
				{@const session = sheet.sessions[laid.session]!}
				<section
					class="page bg-base-100 mx-auto my-4 w-[190mm] p-[10mm] text-[13px] leading-snug print:m-0 print:w-auto print:bg-white print:p-0 print:text-[max(8.2pt,9.8pt*var(--set))] print:leading-[1.22] print:text-black"
					style:--set={laid.size}
				>
					<header class="border-base-content flex items-baseline justify-between border-b-2 pb-1.5">
						<div>
							<h2 class="text-2xl leading-tight print:text-[calc(20pt*var(--set))]">{session.title}</h2>
							<p>{session.under}{laid.part ? ` · ${laid.part}` : ''}</p>
						</div>
						<span>date ________________</span>
					</header>
					{#if session.today.length > 0 || (asked.minutes && asked.session === laid.session)}
						<p class="mt-1 font-semibold">
							For today only.
							{view.whyLonger ?? ''}
							{session.today.join(' ')}
						</p>
					{/if}
					{#if laid.from === 0 && session.putOut.length > 0}
						<h3 class="pt-2 font-sans text-[12px] font-normal print:hidden">Put out before you start:</h3>
						<ul class="grid grid-cols-4 gap-x-3 gap-y-1 pb-2 print:gap-y-0 print:pb-0.5">
							{#each session.putOut as thing, t (t)}
								<li>
									<b class="font-semibold">{thing.thing}</b>
									{#each thing.settings as setting, i (i)}
										<div class="text-[12px] print:text-[max(7pt,8pt*var(--set))]">
											{i > 0 ? 'then ' : ''}{setting}
										</div>
									{/each}
								</li>
							{/each}
						</ul>
					{/if}
					{#if laid.from === 0 && session.first}
						<p class="border-base-300 border-t py-1.5 print:py-0.5"><b>Warm-up:</b> {session.first}</p>
					{/if}
					{#each session.lines.slice(laid.from, laid.from + laid.count) as line (line.line)}
						<SheetLine {line} figure={figureOf(line.line)} full={laid.full} />
					{/each}
					<footer class="border-base-300 border-t pt-2 print:pt-1">
						{#if laid.from + laid.count === session.lines.length && session.then}<p class="mb-1">
								<b>Cool-down:</b>
								{session.then}
							</p>{/if}
						<p class="text-[11.5px] print:text-[max(7pt,8pt*var(--set))]">
							<b>{sheet.caution.split(':')[0]}:</b>{sheet.caution.slice(sheet.caution.indexOf(':') + 1)}
							{session.care.join(' ')}
						</p>
					</footer>
				</section>
			{/each}
		</article>
	{/if}
</main>

<style>
	@media print {
		.page {
			break-after: page;
		}
		.page:last-child {
			break-after: auto;
		}
	}
</style>
