<script lang="ts">
	import type { WeeklyLedger } from '$lib/api/client';
	import { plain } from '$lib/client/words';

	/** Movements of the week: written sets in the gym and at home, and at which muscle length each is hardest. */
	let { ledger, asked }: { ledger: WeeklyLedger; asked: string } = $props();

	const RANGES = ['long', 'middle', 'short'] as const;
</script>

<table class="w-full text-[12.5px]" aria-label="Movements of the week">
	<thead>
		<tr class="text-soft text-left text-[11.5px]">
			<th class="font-normal">movement</th>
			<th class="w-14 text-right font-normal">{asked}</th>
			<th class="w-14 text-right font-normal">home</th>
			<th class="w-[150px] pl-4 font-normal">hardest</th>
		</tr>
	</thead>
	<tbody>
		{#each ledger.patterns as row (row.pattern)}
			{@const lost = row.gym > 0 && row.home === 0}
			<tr class="border-rule border-t {lost ? 'text-accent font-semibold' : ''}">
				<td>{plain(row.pattern)}</td>
				<td class="text-right">{row.gym || '–'}</td>
				<td class="text-right">{row.home || (lost ? 'lost' : '–')}</td>
				<td class="pl-4">
					{#each RANGES as range (range)}
						{#if row.homeRanges.includes(range)}
							<span class="mr-1.5">{range}</span>
						{:else if row.gymRanges.includes(range)}
							<span class="text-accent mr-1.5 line-through">{range}</span>
						{/if}
					{/each}
				</td>
			</tr>
		{/each}
	</tbody>
</table>
<p class="text-soft mt-1 text-[12px]">
	{#each ledger.balances as balance, i (balance.name)}{i > 0 ? '; ' : ''}{balance.first}
		<b class="text-base-content">{Number(balance.firstSets.toFixed(1))}</b> against {balance.second}
		<b class="text-base-content">{Number(balance.secondSets.toFixed(1))}</b>{/each}.
</p>
