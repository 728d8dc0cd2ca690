<script lang="ts">
	import { api, ask, messageOf, type GivenDrill, type ShrinkView } from '$lib/api/client';
	import Notice from '$lib/shell/Notice.svelte';
	import { clock, shortDay } from '$lib/units';

	let { data } = $props();
	const plan = $derived(data.plan.plan);
	const stopped = $derived(new Map(data.plan.stopped.map((line) => [line.line, line.reason])));
	const profile = $derived(data.client.profile);
	/** A day with less time: made to fit for today alone, the plan stays as it is. */
	let today = $state.raw<{ session: number; minutes: number; view: ShrinkView } | null>(null);
	let trouble = $state('');
	/** Id of another place the plan is looked at for; null for the one in use. */
	let elsewhere = $state<string | null>(null);
	const there = $derived(plan.elsewhere.find((p) => p.place === elsewhere));
	const sessions = $derived(
		there
			? there.sessions
			: plan.sessions.map((s, i) => (today && today.session === i ? today.view.session : s))
	);

	async function only(session: number, minutes: number) {
		try {
			const view = await ask(
				api.POST('/api/clients/{id}/shrink', {
					params: { path: { id: data.client.id } },
					body: { text: plan.text, choices: plan.choices, session, minutes, seen: null }
				})
			);
			today = { session, minutes, view };
			trouble = '';
		} catch (problem) {
			trouble = messageOf(problem);
		}
	}

	const inWords = (drills: GivenDrill[]) => drills.map((d) => `${d.name.toLowerCase()} ${d.dose}`).join(', ');
	const cautions = $derived([
		...new Set(plan.sessions.flatMap((s) => s.lines.flatMap((line) => line.prescription?.cautions ?? [])))
	]);
</script>

<svelte:head><title>{profile.name}, the week - Ingegno</title></svelte:head>

<div
	class="border-base-300 bg-base-100 text-soft no-print flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
>
	<h1 class="text-base-content text-[17px]">The sheet</h1>
	<span>{plan.savedAt ? `as saved on ${shortDay(plan.savedAt.slice(0, 10))}` : ''}</span>
	<span class="flex-1"></span>
	{#if plan.elsewhere.length > 0}
		<label class="flex items-center gap-2"
			>At
			<select class="select select-sm bg-base-100 w-40" bind:value={elsewhere}>
				<option value={null}>{plan.placeName}</option>
				{#each plan.elsewhere as place, i (i)}<option value={place.place}>{place.name}</option>{/each}
			</select>
		</label>
	{/if}
	{#if there}
		<span></span>
	{:else if today}
		<span class="text-accent"
			>{plan.sessions[today.session]?.title}, today only: {Math.round(today.view.session.length / 60)} minutes</span
		>
		<button class="btn btn-sm" onclick={() => (today = null)}>The whole session again</button>
	{:else if plan.sessions.length > 0}
		<label class="flex items-center gap-2"
			>Less time today
			<select
				class="select select-sm bg-base-100 w-52"
				value=""
				onchange={(e) => {
					const [session, minutes] = e.currentTarget.value.split(' ').map(Number);
					if (session !== undefined && minutes !== undefined) void only(session, minutes);
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
	{#if plan.sessions.length > 0}
		<a class="btn btn-sm" download href="/api/clients/{data.client.id}/files/programme.xlsx">As a workbook</a>
	{/if}
	<button
		class="btn btn-sm btn-neutral"
		disabled={plan.sessions.length === 0 || !data.client.sending.allowed}
		onclick={() => window.print()}>Print</button
	>
</div>

<Notice text={trouble} />
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<main class="min-h-0 flex-1 overflow-auto print:overflow-visible" tabindex="0">
	{#if plan.sessions.length === 0}
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
		<article
			class="bg-base-100 mx-auto my-6 w-[190mm] p-[10mm] text-[13px] print:m-0 print:w-auto print:bg-white print:p-0"
		>
			<header class="border-base-content mb-3 flex items-baseline justify-between border-b-2 pb-1">
				<h2 class="text-2xl">{profile.name}{there ? `, ${there.name}` : ''}</h2>
				<span>{plan.savedAt ? shortDay(plan.savedAt.slice(0, 10)) : ''}</span>
			</header>
			{#each sessions as session, s (s)}
				<section class="mb-4">
					<h3 class="mb-1 text-lg">
						{session.title}
						<span class="text-soft font-sans text-[13px] font-normal print:text-black"
							>{!there && today?.session === s ? 'today only, ' : ''}about {Math.round(session.length / 60)} minutes
							with warm-up and cool-down</span
						>
					</h3>
					{#if !there && today?.session === s}
						<p class="text-[12px]">
							{#if !today.view.fits}Shorter it does not get: the main work alone takes that long.{/if}
							{today.view.steps.join(' ')}
						</p>
					{/if}
					{#if session.layOut.length > 0}
						<p class="mb-1 text-[12px]">
							<b>Put out before you start:</b>
							{#each session.layOut as thing, t (t)}{t > 0 ? '; ' : ''}<b class="font-semibold"
									>{thing.thing}</b
								>{thing.settings.length > 0 ? `: ${thing.settings.join(', then ')}` : ''}{/each}.
						</p>
					{/if}
					{#if session.warmUp.length > 0}
						<p class="mb-1 text-[12px]"><b>Warm-up:</b> {inWords(session.warmUp)}.</p>
					{/if}
					<table class="w-full border-collapse">
						<thead>
							<tr class="border-base-300 border-b text-left text-[11.5px]">
								<th class="w-8 font-normal"><span class="sr-only">group</span></th>
								<th class="font-normal">exercise and set-up</th>
								<th class="w-40 font-normal">sets, tempo, rest</th>
								<th class="w-32 font-normal">done</th>
							</tr>
						</thead>
						<tbody>
							{#each session.lines as line (line.line)}
								<tr class="border-base-300 break-inside-avoid border-b align-top">
									{#if !there && stopped.has(line.line)}
										<td class="py-1">{line.tag}</td>
										<td class="py-1" colspan="3">
											<b class="font-display text-[15px]"><s>{line.prescription?.name ?? line.written}</s></b>
											<div class="font-semibold">{stopped.get(line.line)}</div>
										</td>
									{:else if line.prescription}
										{@const p = line.prescription}
										<td class="py-1 font-semibold">{line.tag}</td>
										<td class="py-1 pr-3">
											<b class="font-display text-[15px]">{p.name}</b>
											<div class="font-semibold">{p.loadInWords}</div>
											{#each p.placement as place, i (i)}<div>{place}</div>{/each}
											<div>{p.setUp.join('. ')}.</div>
											<div class="italic">{p.cues.join('. ')}.</div>
										</td>
										<td class="py-1">
											<b class="text-[15px]">{p.countInWords}</b>
											{#if p.reserve !== null}<div>
													{Math.round(p.reserve) > 0
														? `stop with ${Math.round(p.reserve)} left`
														: 'to the last clean one'}
												</div>{/if}
											{#if p.finishOn}<div>
													then {p.finishOn.name.toLowerCase()}, about {p.finishOn.expected}; write both down
												</div>{/if}
											<div>{p.tempo ? `tempo ${p.tempo}, ` : ''}rest {clock(p.rest)}</div>
										</td>
										<td class="py-1"
											>{#each p.counts as count, i (i)}<span
													class="border-base-content mr-1 inline-block h-6 w-6 border"
													role="img"
													aria-label="set {i + 1} of {count}"
												></span>{/each}</td
										>
									{:else}
										<td class="py-1">{line.tag}</td>
										<td class="py-1" colspan="3"
											>{line.written}: nothing stands in here yet; leave it out until the coach says.</td
										>
									{/if}
								</tr>
								{#each line.behind as drill, i (i)}
									<tr class="border-base-300 break-inside-avoid border-b align-top">
										<td></td>
										<td class="py-1 pr-3" colspan="2"
											><b class="font-display">{drill.name}</b>, {drill.dose}: {[
												...drill.setUp,
												...drill.cues
											].join('. ')}.</td
										>
										<td></td>
									</tr>
								{/each}
							{/each}
						</tbody>
					</table>
					{#if session.coolDown.length > 0}
						<p class="mt-1 text-[12px]"><b>Cool-down:</b> {inWords(session.coolDown)}.</p>
					{/if}
				</section>
			{/each}
			<footer class="text-[12px]">
				<b>Take care.</b> Sharp pain stops an exercise: stop, and tell the coach. Nothing heavy over the face
				without a safe way down, nobody alone under a bar. Use only what was checked, and look at it each
				time. With heart or blood pressure trouble, pregnancy, recent surgery, dizziness or chest pain, ask a
				physician before the first session; for joints, a physiotherapist. This sheet does not replace either.
				{#if cautions.length > 0}
					<ul class="mt-1 list-disc pl-4">
						{#each cautions as caution, i (i)}<li>{caution}</li>{/each}
					</ul>
				{/if}
			</footer>
		</article>
	{/if}
</main>
