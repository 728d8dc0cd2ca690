<script lang="ts">
	import type { ClientProfile, ClientView } from '$lib/api/client';
	import { HEALTH } from './words';

	/** The short health screen: until it is answered, and what applies is cleared, nothing goes to the client. */
	interface Props {
		health: ClientProfile['health'];
		sending: ClientView['sending'];
		today: string;
		onchange: (health: ClientProfile['health']) => void;
	}
	let { health, sending, today, onchange }: Props = $props();
	type Question = keyof typeof HEALTH;

	const answerOf = (question: Question) => health.answers.find((a) => a.question === question)?.applies;
	const answer = (question: Question, applies: boolean) =>
		onchange({
			...health,
			answers: [...health.answers.filter((a) => a.question !== question), { question, applies }]
		});
	const named = $derived(health.answers.some((a) => a.applies));
</script>

<p
	class={sending.allowed
		? 'text-soft text-[13px]'
		: 'border-accent bg-decide border-l-4 px-3 py-1.5 text-[13px]'}
>
	{sending.allowed ? 'Asked and clear: plans may go to the client.' : sending.why}
</p>
<div class="mt-1">
	{#each Object.entries(HEALTH) as [key, words] (key)}
		{@const question = key as Question}
		<div
			class="border-rule flex items-center gap-2 border-t py-0.5 text-[13px]"
			role="group"
			aria-label={words}
		>
			<span class="flex-1">{words}</span>
			{#each [['no', false], ['yes', true]] as const as [word, applies] (word)}
				<button
					class="h-6 w-12 rounded-full border {answerOf(question) === applies
						? 'border-base-content bg-base-content text-base-100'
						: 'border-base-300 bg-base-100'}"
					aria-pressed={answerOf(question) === applies}
					onclick={() => answer(question, applies)}>{word}</button
				>
			{/each}
		</div>
	{/each}
</div>
{#if named}
	<div class="mt-2 grid grid-cols-[1fr_150px] gap-3">
		<label class="block text-[13px]">
			<span class="text-soft">Cleared by (physician or physiotherapist)</span>
			<input
				class="input input-sm w-full"
				maxlength="200"
				value={health.clearedBy ?? ''}
				onchange={(event) =>
					onchange({
						...health,
						clearedBy: event.currentTarget.value.trim() || null,
						clearedOn: event.currentTarget.value.trim() ? (health.clearedOn ?? today) : null
					})}
			/>
		</label>
		<label class="block text-[13px]">
			<span class="text-soft">On</span>
			<input
				type="date"
				class="input input-sm w-full"
				value={health.clearedOn ?? ''}
				onchange={(event) => onchange({ ...health, clearedOn: event.currentTarget.value || null })}
			/>
		</label>
	</div>
{/if}
<p class="text-soft mt-2 text-[12px]">
	This is a coach's question list, not a diagnosis. Whatever is named goes to a physician or physiotherapist
	first; local rules come before it. Answers never leave this side; cautions do.
</p>
