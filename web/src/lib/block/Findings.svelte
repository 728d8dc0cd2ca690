<script lang="ts">
	import type { Finding } from '$lib/api/client';

	/** What the review found, gravest first, each with its reason and, where there is one, a remedy to take. */
	interface Props {
		findings: Finding[];
		at: number;
		benchHref: string;
		onpoint: (place: number) => void;
		onapply: (finding: Finding) => void;
	}
	let { findings, at, benchHref, onpoint, onapply }: Props = $props();

	const WEIGHT = { mend: 'to mend', decide: 'to decide', note: 'to know' } as const;
	let list = $state<HTMLElement>();

	$effect(() => {
		list?.children[at]?.scrollIntoView({ block: 'nearest' });
	});
</script>

<ol bind:this={list} aria-label="Findings">
	{#each findings as finding, i (i)}
		<li
			class="border-rule border-b py-2 pr-3 pl-3 {i === at ? 'bg-base-100' : ''} {finding.severity === 'note'
				? 'border-l-4 border-l-transparent'
				: 'border-l-accent border-l-4'}"
			aria-current={i === at}
		>
			<button class="w-full text-left" onclick={() => onpoint(i)}>
				<span
					class="mr-1 text-[11.5px] {finding.severity === 'note' ? 'text-soft' : 'text-accent font-semibold'}"
					>{WEIGHT[finding.severity]}</span
				>
				<span class="text-[14px] font-semibold">{finding.sentence}</span>
			</button>
			<p class="text-soft text-[12.5px]">{finding.why}</p>
			<p class="mt-0.5 flex flex-wrap items-center gap-2 text-[12.5px]">
				{#if finding.remedy}
					<button class="btn btn-xs" onclick={() => onapply(finding)}>{finding.remedy.words}</button>
				{:else}
					<span class="text-soft">yours to decide</span>
				{/if}
				{#if finding.lines.length > 0}
					<a class="underline underline-offset-2" href={benchHref}
						>{finding.lines.length === 1 ? 'line' : 'lines'} {finding.lines.join(', ')}</a
					>
				{/if}
			</p>
		</li>
	{:else}
		<li class="text-soft px-3 py-4 text-[13px]">Nothing found: the week hangs together.</li>
	{/each}
</ol>
