<script lang="ts">
	import type { PartialPart, SetForm, TechniqueRefusal } from '$lib/api/client';
	import { FORMS, PARTS, TECHNIQUE_OF } from './techniques';

	/** How repetitions and sets are made harder without load; what may not be used here is shown with its reason. */
	interface Props {
		partial: PartialPart;
		pulses: number;
		form: SetForm;
		refused: TechniqueRefusal[];
		onchoose: (change: { partial?: PartialPart; pulses?: number; form?: SetForm }) => void;
	}
	let { partial, pulses, form, refused, onchoose }: Props = $props();

	const against = (choice: string): string | null => {
		if (!(choice in TECHNIQUE_OF)) return null;
		const technique = TECHNIQUE_OF[choice as keyof typeof TECHNIQUE_OF];
		return refused.find((r) => r.technique === technique)?.reason ?? null;
	};
	const noPulses = $derived(against('pulses'));
	const BOX =
		'border-base-300 bg-base-100 text-base-content h-8 w-full min-w-0 rounded-sm border px-1 text-[13px] disabled:opacity-60';
</script>

<div class="text-soft grid grid-cols-[5fr_4fr_5fr] items-end gap-1.5 text-[11.5px]">
	<label class="min-w-0">
		repetitions<span class="block">
			<select
				class={BOX}
				value={partial}
				onchange={(event) => onchoose({ partial: event.currentTarget.value as PartialPart })}
			>
				{#each Object.entries(PARTS) as [part, name] (part)}
					{@const why = against(part)}
					<option value={part} disabled={why !== null}>{name}{why ? `: ${why}` : ''}</option>
				{/each}
			</select>
		</span>
	</label>
	<label class="min-w-0" title={noPulses ?? 'small movements at the hard end of each repetition'}>
		pulses<span class="block">
			<select
				class={BOX}
				value={pulses}
				disabled={noPulses !== null && pulses === 0}
				onchange={(event) => onchoose({ pulses: Number(event.currentTarget.value) })}
			>
				{#each [...new Set([0, 2, 3, 4, 5, pulses])].sort((a, b) => a - b) as count (count)}
					<option value={count}>{count === 0 ? 'none' : count}</option>
				{/each}
			</select>
		</span>
	</label>
	<label class="min-w-0">
		sets<span class="block">
			<select
				class={BOX}
				value={form}
				onchange={(event) => onchoose({ form: event.currentTarget.value as SetForm })}
			>
				{#each Object.entries(FORMS) as [kind, name] (kind)}
					{@const why = against(kind)}
					<option value={kind} disabled={why !== null}>{name}{why ? `: ${why}` : ''}</option>
				{/each}
			</select>
		</span>
	</label>
</div>
