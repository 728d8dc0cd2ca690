<script lang="ts">
	import type { HouseRules } from '$lib/api/client';
	import NumberField from '$lib/home/NumberField.svelte';

	/** Counts that serve a written one: from, to, and never more than. */
	interface Props {
		zones: HouseRules['zones'];
		onchange: (zones: HouseRules['zones']) => void;
	}
	let { zones, onchange }: Props = $props();

	type Which = keyof HouseRules['zones'];
	const ROWS: { which: Which; words: string }[] = [
		{ which: 'upToFive', words: '1 to 5' },
		{ which: 'upToTwelve', words: '6 to 12' },
		{ which: 'upToTwenty', words: '13 to 20' },
		{ which: 'over', words: 'over 20' }
	];
	const PARTS = [
		{ part: 'least', words: 'from' },
		{ part: 'most', words: 'to' },
		{ part: 'ceiling', words: 'never over' }
	] as const;
</script>

<table class="w-full text-[13px]">
	<thead class="text-soft text-left">
		<tr>
			<th class="font-normal">written</th>
			{#each PARTS as { part, words } (part)}<th class="w-16 font-normal">{words}</th>{/each}
		</tr>
	</thead>
	<tbody>
		{#each ROWS as { which, words } (which)}
			<tr class="border-rule border-t">
				<td>{words}</td>
				{#each PARTS as { part, words: name } (part)}
					<td class="py-0.5 pr-1"
						><NumberField
							small
							label="{words} written, {name}"
							value={zones[which][part]}
							onread={(n) => onchange({ ...zones, [which]: { ...zones[which], [part]: Math.round(n ?? 0) } })}
						/></td
					>
				{/each}
			</tr>
		{/each}
	</tbody>
</table>
