<script lang="ts">
	import type { SetLog } from '$lib/api/client';
	import ReserveAnswer from './ReserveAnswer.svelte';
	import type { Run } from './run.svelte';

	/** What was logged today; a slip of the thumb is put right here. */
	let { run }: { run: Run } = $props();
	let changing = $state<string | null>(null);
	let repetitions = $state(0);
	let otherSide = $state<number | null>(null);
	let reserve = $state<SetLog['reserve']>(null);

	function change(set: SetLog) {
		changing = set.id;
		repetitions = set.repetitions;
		otherSide = set.otherSide;
		reserve = set.reserve;
	}

	async function keep(set: SetLog) {
		await run.correct(set, { repetitions, otherSide, reserve });
		changing = null;
	}

	const words = (set: SetLog) =>
		`${set.repetitions}${set.otherSide !== null ? ` and ${set.otherSide}` : ''}${set.reserve !== null ? `, ${set.reserve} left` : ''}${set.pain > 0 ? `, pain ${set.pain}` : ''}`;
</script>

{#if run.doneSets.length > 0}
	<details class="mt-5">
		<summary class="cursor-pointer font-semibold">Logged today: {run.doneSets.length}</summary>
		<ul class="mt-1 text-[15px]">
			{#each run.doneSets as { set, name }, i (i)}
				<li class="border-rule border-b py-1.5">
					<div class="flex items-baseline justify-between gap-3">
						<span>{name}, set {set.setNumber}: <b>{words(set)}</b></span>
						<button
							class="underline underline-offset-2"
							aria-label="Correct {name}, set {set.setNumber}"
							onclick={() => change(set)}>correct</button
						>
					</div>
					{#if changing === set.id}
						<div class="mt-2 flex items-center gap-3">
							<span class="flex-1">{otherSide === null ? 'Done' : 'First side'}</span>
							<button
								class="step"
								aria-label="One less"
								onclick={() => (repetitions = Math.max(0, repetitions - 1))}>−</button
							>
							<b class="font-display w-8 text-center text-[22px]">{repetitions}</b>
							<button class="step" aria-label="One more" onclick={() => (repetitions += 1)}>+</button>
						</div>
						{#if otherSide !== null}
							<div class="mt-2 flex items-center gap-3">
								<span class="flex-1">Other side</span>
								<button
									class="step"
									aria-label="One less, other side"
									onclick={() => (otherSide = Math.max(0, (otherSide ?? 0) - 1))}>−</button
								>
								<b class="font-display w-8 text-center text-[22px]">{otherSide}</b>
								<button
									class="step"
									aria-label="One more, other side"
									onclick={() => (otherSide = (otherSide ?? 0) + 1)}>+</button
								>
							</div>
						{/if}
						{#if !set.toLimit}<ReserveAnswer bind:reserve />{/if}
						<div class="mt-2 grid grid-cols-2 gap-2.5">
							<button class="answer" onclick={() => (changing = null)}>Leave it</button>
							<button class="answer" onclick={() => keep(set)}>Keep this</button>
						</div>
					{/if}
				</li>
			{/each}
		</ul>
	</details>
{/if}
