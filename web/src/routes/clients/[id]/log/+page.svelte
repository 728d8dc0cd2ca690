<script lang="ts">
	import { untrack } from 'svelte';
	import { DayLog } from '$lib/log/entry.svelte';
	import StepCell from '$lib/log/StepCell.svelte';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';
	import { shortDay } from '$lib/units';

	let { data } = $props();
	const log = untrack(
		() => new DayLog(data.client.id, data.progress, data.client.profile.unit, data.progress.today)
	);
	let said = $state('');
	const sessions = $derived([...new Set(log.lines.map((line) => line.session))]);
	const unitWord = $derived(data.client.profile.unit === 'pound' ? 'lb' : 'kg');
	const ready = $derived(
		log.lines.filter((l) => l.step && (l.step.kind === 'load' || l.step.kind === 'repetitions'))
	);

	async function save() {
		said = '';
		if (await log.save()) said = `Kept for ${shortDay(log.day)}.`;
	}

	async function take(lines: number[]) {
		said = '';
		if (await log.take(lines)) {
			said = lines.length === 1 ? 'The step is in the plan.' : `${lines.length} steps are in the plan.`;
			log.blank();
		}
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
	<h1 class="text-base-content text-[17px]">What was done, what comes next</h1>
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
	<span aria-live="polite">{said}</span>
	<span class="flex-1"></span>
	{#if ready.length > 1}
		<button class="btn btn-sm" disabled={log.busy} onclick={() => take(ready.map((l) => l.line))}
			>Take all {ready.length} steps</button
		>
	{/if}
	<button class="btn btn-sm btn-neutral" disabled={log.busy || !log.anyTyped} onclick={save}
		>Keep this day</button
	>
</div>
<Notice text={log.trouble} />

<main class="min-h-0 flex-1 overflow-auto">
	{#if log.lines.length === 0}
		<div class="mx-auto max-w-md p-12 text-center">
			<h2 class="mb-2 text-xl">No plan to log against yet</h2>
			<p class="text-soft mb-4">
				Rebuild the written programme on the bench and save it; its lines then stand here.
			</p>
			<a class="btn btn-neutral" href="/clients/{data.client.id}/bench">To the bench</a>
		</div>
	{/if}
	{#each sessions as session (session)}
		<section aria-label={session}>
			<div
				class="text-soft bg-base-200 sticky top-0 z-10 grid grid-cols-[330px_minmax(0,1fr)_430px] gap-4 px-4 py-1.5 text-xs"
			>
				<h2 class="text-base-content text-[15px]">{session}</h2>
				<span class="pt-1">load {unitWord}, done, left, pain 0-10</span>
				<span class="pt-1">next week</span>
			</div>
			{#each log.lines.filter((l) => l.session === session) as line (line.line)}
				<div class="border-rule grid grid-cols-[330px_minmax(0,1fr)_430px] gap-4 border-t px-4 py-2">
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
						{#if line.prescription.finishOn}<span class="text-soft block text-[12.5px]"
								>then {line.prescription.finishOn.name.toLowerCase()}, logged behind the +</span
							>{/if}
					</div>
					<div>
						<div class="flex flex-wrap gap-x-4 gap-y-1">
							{#each log.typed[line.line] ?? [] as set, i (i)}
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
								</div>
							{/each}
						</div>
						<div class="mt-1 flex gap-4 text-xs">
							<button class="text-soft underline underline-offset-2" onclick={() => log.asPrescribed(line)}
								>done as prescribed</button
							>
							{#if line.logs[0]}
								<span class="text-soft">
									last {shortDay(line.logs[0].on)}: {line.logs
										.filter((set) => set.on === line.logs[0]?.on)
										.map((set) => (set.finished > 0 ? `${set.repetitions}+${set.finished}` : set.repetitions))
										.join('/')}
								</span>
							{/if}
						</div>
					</div>
					<StepCell {line} busy={log.busy} ontake={() => take([line.line])} />
				</div>
			{/each}
		</section>
	{/each}
</main>
<Keys
	shortcuts={[
		{ keys: ['Tab'], does: 'next field' },
		{ keys: ['Ctrl', 'Enter'], does: 'keep this day' }
	]}
	note="Pain over 5 stops a line. Advice for a coach, not a medical opinion."
/>
