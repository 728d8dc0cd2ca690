<script lang="ts">
	import { api, ask, type UsualDose } from '$lib/api/client';
	import { plain } from '$lib/client/words';
	import { clock } from '$lib/units';

	/** What the exercise is given where nobody wrote a dose, by purpose and level. */
	let { exercise }: { exercise: string } = $props();
	let doses = $state.raw<UsualDose[]>([]);
	$effect(() => {
		const id = exercise;
		ask(api.GET('/api/catalogue/{exercise}/doses', { params: { path: { exercise: id } } }))
			.then((list) => {
				if (id === exercise) doses = list;
			})
			.catch(() => (doses = []));
	});
	const levels = ['beginner', 'intermediate', 'advanced'] as const;
	const purposes = $derived([...new Set(doses.map((d) => d.purpose ?? 'growth'))]);
	const unit = $derived(
		doses[0]?.counted === 'seconds' ? ' s' : doses[0]?.counted === 'steps' ? ' steps' : ''
	);
	const words = (d: UsualDose | undefined) =>
		d ? `${d.sets} x ${d.low === d.high ? d.low : `${d.low}-${d.high}`}${unit}` : '';
	const at = (purpose: UsualDose['purpose'], level: string) =>
		doses.find((d) => d.purpose === purpose && d.level === level);
</script>

{#if doses.length > 0}
	<details class="mt-1 text-[12.5px]">
		<summary class="text-soft cursor-pointer"
			>Usual dose{doses[0]?.perSide ? ', a side' : ''}, where none is written</summary
		>
		<table class="w-full">
			<thead class="text-soft text-left">
				<tr
					><th class="font-normal">for</th>{#each levels as level (level)}<th class="font-normal">{level}</th
						>{/each}<th class="font-normal">rest</th></tr
				>
			</thead>
			<tbody>
				{#each purposes as purpose (purpose)}
					<tr
						><td>{plain(purpose)}</td>{#each levels as level (level)}<td>{words(at(purpose, level))}</td
							>{/each}<td>{clock(at(purpose, 'intermediate')?.rest ?? 0)}</td></tr
					>
				{/each}
			</tbody>
		</table>
	</details>
{/if}
