<script lang="ts">
	import type { WeeklyLedger } from '$lib/api/client';

	/** Each session as a strip on one scale of minutes: work, rests, and the rest of the time; the client's limit as a post. */
	interface Props {
		ledger: WeeklyLedger;
		limit: number | null;
		onfit: (session: number, minutes: number) => void;
	}
	let { ledger, limit, onfit }: Props = $props();

	/** Lengths people have, the client's own among them. */
	const lengths = $derived([...new Set([20, 30, 45, ...(limit ? [limit] : [])])].sort((a, b) => a - b));

	const WIDTH = 270;
	const most = $derived(Math.max(limit ?? 0, ...ledger.sessions.map((s) => s.length / 60)) * 1.05 || 60);
	const x = (seconds: number) => (Math.max(0, seconds) / 60 / most) * WIDTH;
</script>

{#each ledger.sessions as session, i (i)}
	{@const minutes = Math.round(session.length / 60)}
	{@const over = limit !== null && session.length / 60 > limit}
	{@const resting = Math.min(session.resting, session.length - session.work)}
	<section class="border-rule border-b py-2" aria-label={session.title}>
		<div class="flex items-baseline justify-between gap-2">
			<h3 class="truncate text-[15px]">{session.title}</h3>
			<span class="font-display text-[17px] font-semibold whitespace-nowrap {over ? 'text-accent' : ''}"
				>{minutes}<span class="text-soft text-[12px] font-normal">&nbsp;min</span></span
			>
		</div>
		<svg
			viewBox="0 0 {WIDTH} 18"
			class="my-1 block w-full"
			role="img"
			aria-label="{Math.round(session.work / 60)} minutes of work, {Math.round(
				resting / 60
			)} of rest, {minutes} in all{limit ? `, ${limit} are there` : ''}"
		>
			<rect width={x(session.length)} height="10" y="4" fill="var(--color-base-300)" />
			<rect width={x(session.work)} height="10" y="4" fill="var(--color-primary)" />
			<rect x={x(session.work)} width={x(resting)} height="10" y="4" fill="url(#hatch-shorterRest)" />
			{#if limit !== null}
				<line
					x1={x(limit * 60)}
					x2={x(limit * 60)}
					y1="0"
					y2="18"
					stroke={over ? 'var(--color-accent)' : 'currentColor'}
					stroke-width="2.5"
				/>
			{/if}
		</svg>
		<p class="text-soft text-[12px]">
			<b class="text-base-content">{Number(session.hardSets.toFixed(1))}</b> sets that count,
			{Math.round(session.work / 60)} min of work{#if session.failureSets > 0}, {session.failureSets} to failure{/if}{#if session.jumpContacts > 0},
				{session.jumpContacts} landings{/if}{#if session.lightWork > 0.01},
				<span class={session.lightWork > 0.5 ? 'text-accent font-semibold' : ''}
					>{Math.round(session.lightWork * 100)} % for the breath</span
				>{/if}
		</p>
		<p class="mt-0.5 flex flex-wrap items-center gap-1 text-[12px]">
			<span class="text-soft">fit into</span>
			{#each lengths.filter((l) => l < minutes) as length (length)}
				<button
					class="btn btn-xs {over && length === limit ? 'btn-neutral' : ''}"
					aria-label="{length} min for {session.title}"
					onclick={() => onfit(i, length)}>{length} min</button
				>
			{:else}<span class="text-soft">nothing shorter is needed</span>{/each}
		</p>
	</section>
{/each}
