<script lang="ts">
	import type { Ban } from '$lib/api/client';
	import ExercisePick from './ExercisePick.svelte';
	import { ATTRIBUTES } from './words';

	/** What is never given and what is liked; each ban with its reason, which is shown wherever it bites. */
	interface Props {
		bans: Ban[];
		preferred: string[];
		names: Map<string, string>;
		onbans: (bans: Ban[]) => void;
		onpreferred: (ids: string[]) => void;
	}
	let { bans, preferred, names, onbans, onpreferred }: Props = $props();
	let reason = $state('');

	const words = (ban: Ban) =>
		ban.exercise ? (names.get(ban.exercise) ?? ban.exercise) : ATTRIBUTES[ban.attribute ?? 'jumps'];
	const add = (ban: Pick<Ban, 'exercise' | 'attribute'>) => {
		onbans([...bans, { ...ban, reason: reason.trim() || 'house rule' }]);
		reason = '';
	};
</script>

<h3 class="text-[14px]">Never</h3>
<ul class="text-[13px]">
	{#each bans as ban, i (i)}
		<li class="border-rule flex items-center gap-2 border-t py-0.5">
			<b>{words(ban)}</b><span class="text-soft flex-1">{ban.reason}</span>
			<button class="btn btn-xs btn-ghost" onclick={() => onbans(bans.filter((b) => b !== ban))}>lift</button>
		</li>
	{/each}
</ul>
<div class="flex flex-wrap items-center gap-2 pt-1">
	<input
		class="input input-xs w-44"
		aria-label="Reason of the next ban"
		placeholder="because"
		maxlength="200"
		bind:value={reason}
	/>
	<select
		class="select select-xs w-44"
		aria-label="Ban a kind of exercise"
		value=""
		onchange={(event) => {
			add({ exercise: null, attribute: event.currentTarget.value as keyof typeof ATTRIBUTES });
			event.currentTarget.value = '';
		}}
	>
		<option value="" disabled>ban a kind</option>
		{#each Object.entries(ATTRIBUTES) as [key, name] (key)}<option value={key}>{name}</option>{/each}
	</select>
	<ExercisePick {names} label="ban an exercise" onpick={(exercise) => add({ exercise, attribute: null })} />
</div>
<h3 class="mt-3 text-[14px]">Liked</h3>
<ul class="text-[13px]">
	{#each preferred as id (id)}
		<li class="border-rule flex items-center gap-2 border-t py-0.5">
			<b class="flex-1">{names.get(id) ?? id}</b>
			<button class="btn btn-xs btn-ghost" onclick={() => onpreferred(preferred.filter((p) => p !== id))}
				>take off</button
			>
		</li>
	{/each}
</ul>
<ExercisePick
	{names}
	label="prefer an exercise"
	onpick={(id) => onpreferred([...preferred.filter((p) => p !== id), id])}
/>
