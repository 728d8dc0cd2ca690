<script lang="ts">
	import { api, ask, messageOf } from '$lib/api/client';
	import { massWithUnit, readMass, shownMass, type MassUnit } from '$lib/units';
	import { readDevice } from './device';

	/** Weighing by difference: on the scale with the thing, then without it; read by hand or off the practice's scale. */
	interface Props {
		unit: MassUnit;
		name: string;
		onweighed: (kilograms: number, error: number) => void;
	}
	let { unit, name, onweighed }: Props = $props();
	let open = $state(false);
	let withIt = $state('');
	let without = $state('');
	let outcome = $state('');

	async function work() {
		const [a, b] = [readMass(withIt, unit), readMass(without, unit)];
		if (a === null || b === null) {
			outcome = 'Give both readings as numbers.';
			return;
		}
		try {
			const weighed = await ask(
				api.POST('/api/engine/weighing', { body: { with: a, without: b, step: null } })
			);
			onweighed(Math.round(weighed.mass * 1000) / 1000, Math.round(weighed.error * 1000) / 1000);
			outcome = `${massWithUnit(weighed.mass, unit)}, give or take ${massWithUnit(weighed.error, unit)}. ${weighed.advice ?? ''}`;
		} catch (problem) {
			outcome = messageOf(problem);
		}
	}

	async function read(thing: string) {
		outcome = 'reading';
		try {
			const kilograms = await readDevice('bathroomScale', { name: thing, person: '70' }, () => {});
			if (thing) withIt = shownMass(kilograms, unit);
			else without = shownMass(kilograms, unit);
			outcome = '';
		} catch (problem) {
			outcome = messageOf(problem);
		}
	}
</script>

<button type="button" class="btn btn-xs" onclick={() => (open = !open)}>weigh</button>
{#if open}
	<div
		class="border-base-300 bg-base-200 mt-1 grid w-72 grid-cols-[1fr_auto] gap-2 border p-2 whitespace-normal"
	>
		<label class="text-[12.5px]"
			>on the scale with it, {unit === 'pound' ? 'lb' : 'kg'}<input
				class="input input-xs w-full"
				inputmode="decimal"
				bind:value={withIt}
			/></label
		>
		<button type="button" class="btn btn-xs self-end" onclick={() => read(name)}>read</button>
		<label class="text-[12.5px]"
			>and without it<input class="input input-xs w-full" inputmode="decimal" bind:value={without} /></label
		>
		<button type="button" class="btn btn-xs self-end" onclick={() => read('')}>read</button>
		<button type="button" class="btn btn-xs btn-neutral" onclick={work}>Take the difference</button>
		<p class="col-span-2 text-[12.5px]" role="status">{outcome}</p>
	</div>
{/if}
