<script lang="ts">
	import { goto } from '$app/navigation';
	import { api, ask, messageOf, type ClientProfile } from '$lib/api/client';
	import { newProfile } from '$lib/client/newProfile';
	import BringIn from '$lib/files/BringIn.svelte';
	import Notice from '$lib/shell/Notice.svelte';
	import TopBar from '$lib/shell/TopBar.svelte';
	import { readNumber } from '$lib/units';

	let { data } = $props();
	let name = $state('');
	let note = $state('');
	let level = $state<ClientProfile['level']>('beginner');
	let sex = $state<ClientProfile['sex']>('female');
	let bodyMass = $state('70');
	let stature = $state('170');
	let trouble = $state('');

	async function add(event: SubmitEvent) {
		event.preventDefault();
		const mass = readNumber(bodyMass);
		const height = readNumber(stature);
		if (mass === null || height === null) {
			trouble = 'Give body mass in kilograms and stature in centimetres, as numbers.';
			return;
		}
		try {
			const profile = { ...newProfile(), name, note, level, sex, bodyMass: mass, stature: height / 100 };
			const made = await ask(api.POST('/api/clients', { body: { profile, home: null } }));
			await goto(`/clients/${made.id}/home`);
		} catch (problem) {
			trouble = messageOf(problem);
		}
	}
</script>

<svelte:head><title>New client - Ingegno</title></svelte:head>

<TopBar coach={data.session.coach?.name ?? ''} />
<main class="mx-auto max-w-xl p-8">
	<h1 class="mb-1 text-2xl">New client</h1>
	<p class="text-soft mb-5">
		Enough to start. Until a lift is known, loads stand on level and body mass, with a wide range.
	</p>
	<form class="grid grid-cols-2 gap-4" onsubmit={add}>
		<label class="col-span-2 block"
			>Name<input class="input w-full" bind:value={name} required maxlength="80" /></label
		>
		<label class="col-span-2 block">
			What sets them apart<input
				class="input w-full"
				bind:value={note}
				maxlength="200"
				placeholder="trains in the loft"
			/>
		</label>
		<label class="block">
			Level<select class="select w-full" bind:value={level}>
				<option value="beginner">beginner</option>
				<option value="intermediate">intermediate</option>
				<option value="advanced">advanced</option>
			</select>
		</label>
		<label class="block">
			Segment table<select class="select w-full" bind:value={sex}>
				<option value="female">female</option>
				<option value="male">male</option>
			</select>
		</label>
		<label class="block"
			>Body mass, kg<input class="input w-full" inputmode="decimal" bind:value={bodyMass} required /></label
		>
		<label class="block"
			>Stature, cm<input class="input w-full" inputmode="decimal" bind:value={stature} required /></label
		>
		<div class="col-span-2"><Notice text={trouble} /></div>
		<button class="btn btn-neutral">Add, then describe the home</button>
		<a class="btn btn-ghost" href="/">Back to the Desk</a>
	</form>
	<div class="mt-8"><BringIn /></div>
</main>
