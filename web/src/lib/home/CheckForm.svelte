<script lang="ts">
	import type { Fixture } from '$lib/api/client';

	/** The check of a fixture: steps with rising force, ticked one by one; only all of them make a pass. */
	interface Props {
		check: Fixture['check'];
		by: string;
		today: string;
	}
	let { check = $bindable(), by, today }: Props = $props();

	const STEPS = [
		'joints, screws and feet looked at',
		'a door: pulled on the side it closes against',
		'pressed or pulled lightly, nothing moves',
		'half the body on it, nothing creaks',
		'the whole body, ten seconds'
	];
	let ticked = $state<string[]>([]);

	function judge(verdict: string) {
		check =
			verdict === ''
				? null
				: {
						verdict: verdict as 'passed' | 'notPassed' | 'never',
						on: verdict === check?.verdict ? check.on : today,
						by: check?.by ?? by,
						reason: verdict === 'passed' ? null : (check?.reason ?? null)
					};
	}
</script>

<fieldset class="border-base-300 col-span-2 border-t pt-2">
	<legend class="font-display pr-2 text-[14px] font-semibold">Check</legend>
	{#if check?.verdict !== 'passed'}
		<div class="mb-2 text-[13px]">
			{#each STEPS as step (step)}
				<label class="flex h-6 items-center gap-2"
					><input
						type="checkbox"
						class="checkbox checkbox-xs"
						value={step}
						bind:group={ticked}
					/>{step}</label
				>
			{/each}
			<button
				type="button"
				class="btn btn-xs mt-1"
				disabled={ticked.length < STEPS.length}
				onclick={() => judge('passed')}
				>{ticked.length < STEPS.length
					? `${STEPS.length - ticked.length} steps to a pass`
					: 'It holds: pass it'}</button
			>
		</div>
	{/if}
	<div class="grid grid-cols-3 gap-3">
		<label class="block text-[13px]">
			<span class="text-soft">Verdict</span>
			<select
				class="select select-sm w-full"
				value={check?.verdict ?? ''}
				onchange={(event) => judge(event.currentTarget.value)}
			>
				<option value="">not checked</option>
				<option value="passed">passed</option>
				<option value="notPassed">not passed</option>
				<option value="never">never to be used</option>
			</select>
		</label>
		{#if check}
			<label class="block text-[13px]">
				<span class="text-soft">On</span>
				<input class="input input-sm w-full" type="date" bind:value={check.on} required />
			</label>
			<label class="block text-[13px]">
				<span class="text-soft">By</span>
				<input class="input input-sm w-full" bind:value={check.by} required maxlength="80" />
			</label>
			{#if check.verdict !== 'passed'}
				<label class="col-span-3 block text-[13px]">
					<span class="text-soft">Why</span>
					<input class="input input-sm w-full" bind:value={check.reason} maxlength="200" />
				</label>
			{/if}
		{/if}
	</div>
</fieldset>
