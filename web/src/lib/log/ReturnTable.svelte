<script lang="ts">
	import { api, ask, messageOf, type ReturnView } from '$lib/api/client';
	import { massWithUnit, type MassUnit } from '$lib/units';

	/** The way back: the written programme with first loads from the log, its volume ramped over four weeks. */
	let { client, unit }: { client: string; unit: MassUnit } = $props();
	let view = $state.raw<ReturnView | null>(null);
	let trouble = $state('');
	$effect(() => {
		ask(api.GET('/api/clients/{id}/return', { params: { path: { id: client } } }))
			.then((found) => (view = found))
			.catch((problem: unknown) => (trouble = messageOf(problem)));
	});
	const sessions = $derived([...new Set(view?.lines.map((l) => l.session))]);
</script>

<div class="max-w-5xl p-4">
	<p class="text-soft mb-3 max-w-3xl">
		The swaps turn back. Volume starts at half, then 30, 20 and 10 percent below what was written, over four
		weeks; first loads come from the continuity line and leave three. Ramp after the joint CSCCa and NSCA
		guidance (Caterisano et al. 2019), a rule for conditioning, borrowed.
	</p>
	{#if trouble}<p role="alert" class="border-accent bg-decide border-l-4 px-4 py-2">{trouble}</p>{/if}
	{#if view && view.lines.length === 0}<p class="text-soft">
			No written gym programme to return to: it was made at home.
		</p>{/if}
	{#each sessions as session (session)}
		<h2 class="mt-4 text-[16px]">{session}</h2>
		<table class="w-full border-collapse text-[13.5px]">
			<thead>
				<tr class="text-soft border-base-300 border-b text-left text-xs">
					<th class="py-1 font-normal">as written</th>
					<th class="w-32 font-normal">first load</th>
					{#each [1, 2, 3, 4] as week (week)}<th class="w-16 text-right font-normal">week {week}</th>{/each}
				</tr>
			</thead>
			<tbody>
				{#each view?.lines.filter((l) => l.session === session) ?? [] as line, i (i)}
					<tr class="border-rule border-b align-top">
						<td class="py-1.5">
							{line.written}
							<details class="text-soft text-xs">
								<summary class="cursor-pointer">how the load came about</summary>{line.story}
							</details>
						</td>
						<td class="py-1.5 font-semibold"
							>{line.firstLoad === null
								? 'easy, by feel'
								: line.firstLoad === 0
									? 'own weight'
									: massWithUnit(line.firstLoad, unit)}</td
						>
						{#each line.weeks as week (week.week)}<td class="py-1.5 text-right"
								>{week.sets} {week.sets === 1 ? 'set' : 'sets'}</td
							>{/each}
					</tr>
				{/each}
			</tbody>
		</table>
	{/each}
	{#if view && view.better.length > 0}
		<h2 class="mt-5 text-[16px]">What got better at home</h2>
		<ul class="list-disc pl-5">
			{#each view.better as sentence, i (i)}<li>{sentence}</li>{/each}
		</ul>
	{/if}
</div>
