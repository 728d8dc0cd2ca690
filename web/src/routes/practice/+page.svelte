<script lang="ts">
	import ZonePick from '$lib/client/ZonePick.svelte';
	import { untrack } from 'svelte';
	import { api, ask, messageOf, type HouseRules, type Practice } from '$lib/api/client';
	import NumberRows from '$lib/practice/NumberRows.svelte';
	import OwnNames from '$lib/practice/OwnNames.svelte';
	import { RuleTrial } from '$lib/practice/ruleTrial.svelte';
	import SchoolCards from '$lib/practice/SchoolCards.svelte';
	import Accounts from '$lib/practice/Accounts.svelte';
	import BackupList from '$lib/practice/BackupList.svelte';
	import Stair from '$lib/practice/Stair.svelte';
	import WeightBars from '$lib/practice/WeightBars.svelte';
	import ZoneTable from '$lib/practice/ZoneTable.svelte';
	import Hatches from '$lib/drawing/Hatches.svelte';
	import BanList from '$lib/client/BanList.svelte';
	import NumberField from '$lib/home/NumberField.svelte';
	import {
		DEFAULT_REASONS,
		FIT_PARTS,
		MARKS,
		RULES,
		SHRINK,
		SHRINK_ORDERS,
		WEEK_PRICES
	} from '$lib/practice/rules';
	import Keys from '$lib/shell/Keys.svelte';
	import Notice from '$lib/shell/Notice.svelte';
	import TopBar from '$lib/shell/TopBar.svelte';

	let { data } = $props();
	let practice = $state.raw(untrack(() => data.practice.practice));
	let version = untrack(() => data.practice.version);
	let trouble = $state('');
	let busy = $state(false);
	let last: Promise<void> = Promise.resolve();
	const names = $derived(
		new Map(data.catalogue.filter((e) => e.setting !== 'gym').map((e) => [e.id, e.name]))
	);
	const everyName = $derived(new Map(data.catalogue.map((e) => [e.id, e.name])));
	const rules = $derived(practice.rules);

	/** Changes follow each other in line; a refused one leaves what was saved. */
	function change(part: Partial<Practice>) {
		last = last.then(async () => {
			busy = true;
			try {
				const saved = await ask(
					api.PUT('/api/practice', { body: { practice: { ...practice, ...part }, version } })
				);
				[practice, version, trouble] = [saved.practice, saved.version, ''];
				if (part.rules) tried(trial.turn(saved.practice.rules, data.schools));
			} catch (problem) {
				trouble = messageOf(problem);
				practice = { ...practice };
			} finally {
				busy = false;
			}
		});
	}
	const trial = new RuleTrial();
	/** The page is whole without a line to try it on. */
	const tried = (work: Promise<void>) => void work.catch((problem) => (trouble = messageOf(problem)));
	$effect(() => {
		untrack(() => tried(trial.open(rules, data.schools)));
	});
	const rule = (part: Partial<HouseRules>) => change({ rules: { ...rules, ...part } });
	const weight = (role: 'main' | 'accessory', i: number, value: number) =>
		rule({
			weights: { ...rules.weights, [role]: rules.weights[role].map((w, at) => (at === i ? value : w)) }
		});
	const DEVICES = {
		luggageScale: 'Luggage scale, for bands',
		bathroomScale: 'Bathroom scale, for weighing',
		footScale: 'Bathroom scale under a foot',
		phoneLevel: 'Phone as a level'
	};
</script>

<svelte:head><title>Practice - Ingegno</title></svelte:head>

<Hatches />
<div class="flex h-full flex-col">
	<TopBar coach={data.session.coach?.name ?? ''} />
	<div
		class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
	>
		<h1 class="text-base-content text-[17px]">By which rules we work</h1>
		<span>for every client, unless the client’s own page says otherwise</span>
		<span class="flex-1"></span>
		{#if trial.lines.length > 0}
			<label class="flex items-center gap-2 whitespace-nowrap"
				>tried on
				<select
					class="select select-xs max-w-40"
					aria-label="Client it is tried on"
					value={trial.client}
					onchange={(event) => tried(trial.take(event.currentTarget.value, rules, data.schools))}
				>
					{#each trial.clients as client (client.id)}<option value={client.id}>{client.name}</option>{/each}
				</select>
			</label>
			<select class="select select-xs max-w-56" aria-label="Line it is tried on" bind:value={trial.at}>
				{#each trial.lines as line, i (i)}<option value={i}>{line.written.text}</option>{/each}
			</select>
		{/if}
		<span aria-live="polite">{busy ? 'saving' : 'saved'}</span>
	</div>
	<Notice text={trouble} />
	<main class="grid min-h-0 flex-1 grid-cols-[400px_1fr_320px] gap-x-6 overflow-hidden px-4">
		<section class="min-h-0 overflow-auto py-3" aria-label="When the load runs out">
			<h2 class="text-[16px]">When the load runs out</h2>
			<p class="text-soft text-[12.5px]">
				Climbed from the foot until the home set asks what the gym set asked. Move a step; the line below
				answers.
			</p>
			<Stair {rules} line={trial.line} before={trial.before} onchange={(stair) => rule({ stair })} />
			<h2 class="mt-4 mb-1 text-[16px]">Counts that serve a written one</h2>
			<ZoneTable zones={rules.zones} onchange={(zones) => rule({ zones })} />
			<p class="text-soft mt-1 text-[12px]">Common practice; never under six tenths of what was written.</p>
		</section>
		<section class="min-h-0 overflow-auto py-3" aria-label="Where coaches differ">
			<h2 class="mb-1 text-[16px]">Where coaches differ</h2>
			<SchoolCards
				schools={data.schools}
				taken={rules.teachings}
				moves={trial.moves}
				lines={trial.lines.length}
				onchange={(teachings) => rule({ teachings })}
			/>
		</section>
		<section class="min-h-0 overflow-auto py-3" aria-label="In this practice">
			<h2 class="text-[16px]">A stand-in copies first</h2>
			<WeightBars weights={rules.weights} />
			<details class="border-rule mt-2 border-t py-1.5">
				<summary class="font-display cursor-pointer text-[14px] font-semibold">Their numbers</summary>
				<p class="text-soft mb-1 text-[12.5px]">
					Main lifts copy the movement, accessory lines the workload. Only the proportions of a column count;
					secondary lines stand halfway.
				</p>
				<table class="w-full text-[13px]">
					<thead class="text-soft text-left">
						<tr
							><th class="font-normal">part</th><th class="w-20 font-normal">main</th><th
								class="w-20 font-normal">accessory</th
							></tr
						>
					</thead>
					<tbody>
						{#each FIT_PARTS as part, i (part)}
							<tr class="border-rule border-t">
								<td>{part}</td>
								{#each ['main', 'accessory'] as const as role (role)}
									<td
										><NumberField
											small
											label="{part}, {role}"
											value={rules.weights[role][i] ?? 0}
											decimals={2}
											onread={(n) => weight(role, i, n ?? 0)}
										/></td
									>
								{/each}
							</tr>
						{/each}
					</tbody>
				</table>
				<p class="text-soft mt-1 text-[12px]">{DEFAULT_REASONS}</p>
			</details>
			<details class="border-rule border-t py-1.5">
				<summary class="font-display cursor-pointer text-[14px] font-semibold"
					>House numbers: reserve, caps, tempo, weeks</summary
				>
				<NumberRows rows={RULES} values={rules} onchange={rule} />
				<label class="border-rule block border-t py-1 text-[13px]">
					A session that is too long is made shorter by
					<select
						class="select select-sm bg-base-100 mt-1 w-full truncate appearance-none! pr-8!"
						value={rules.shrinkOrder.join(' ')}
						onchange={(e) =>
							rule({ shrinkOrder: e.currentTarget.value.split(' ') as HouseRules['shrinkOrder'] })}
					>
						{#each SHRINK_ORDERS as order (order.join(' '))}
							<option value={order.join(' ')}>{order.map((means) => SHRINK[means]).join(', then ')}</option>
						{/each}
					</select>
				</label>
			</details>
			<h2 class="mt-3 mb-1 text-[16px]">Never here, and gladly</h2>
			<BanList
				bans={rules.bans}
				preferred={rules.preferred}
				{names}
				onbans={(bans) => rule({ bans })}
				onpreferred={(preferred) => rule({ preferred })}
			/>
			<OwnNames own={practice.names} names={everyName} onchange={(own) => change({ names: own })} />
			<details class="border-rule border-t py-1.5">
				<summary class="font-display cursor-pointer text-[14px] font-semibold">Prices</summary>
				<h2 class="mt-5 mb-1 flex items-center gap-2 text-[16px]">
					Prices in
					<input
						class="input input-xs w-16"
						aria-label="Currency"
						maxlength="5"
						value={practice.currency}
						onchange={(event) => change({ currency: event.currentTarget.value.trim() })}
					/>
				</h2>
				{#each practice.prices as price, i (i)}
					<div class="grid grid-cols-[1fr_80px_40px] items-center gap-2">
						<input
							class="input input-xs w-full"
							aria-label="Thing {i + 1}"
							maxlength="80"
							value={price.item}
							onchange={(event) =>
								change({
									prices: practice.prices.map((p, at) =>
										at === i ? { ...p, item: event.currentTarget.value } : p
									)
								})}
						/>
						<NumberField
							small
							label="Price of {price.item}"
							value={price.cost}
							decimals={2}
							onread={(n) =>
								change({ prices: practice.prices.map((p, at) => (at === i ? { ...p, cost: n ?? 0 } : p)) })}
						/>
						<button
							class="btn btn-xs btn-ghost"
							aria-label="Take out {price.item}"
							onclick={() => change({ prices: practice.prices.filter((_, at) => at !== i) })}>out</button
						>
					</div>
				{/each}
				<button
					class="btn btn-xs mt-1"
					onclick={() => change({ prices: [...practice.prices, { item: 'Something to buy', cost: 0 }] })}
					>Another thing</button
				>
			</details>
			<details class="border-rule border-t py-1.5">
				<summary class="font-display cursor-pointer text-[14px] font-semibold"
					>What a whole week is weighed by</summary
				>
				<p class="text-soft mb-1 text-[12.5px]">
					Points. The fit of every line counts for it, these against it; 0 says it does not matter here
					(common practice).
				</p>
				<NumberRows
					rows={WEEK_PRICES}
					values={practice.weekPrices}
					onchange={(part) => change({ weekPrices: { ...practice.weekPrices, ...part } })}
				/>
			</details>
			<details class="border-rule border-t py-1.5">
				<summary class="font-display cursor-pointer text-[14px] font-semibold"
					>Where the review speaks up</summary
				>
				<p class="text-soft mb-1 text-[12.5px]">
					At the mark itself it keeps quiet. Common practice where no source stands.
				</p>
				<NumberRows
					rows={MARKS}
					values={practice.marks}
					onchange={(part) => change({ marks: { ...practice.marks, ...part } })}
				/>
			</details>
			<details class="border-rule border-t py-1.5">
				<summary class="font-display cursor-pointer text-[14px] font-semibold">Days and devices</summary>
				<div class="mt-4 max-w-[260px]">
					<ZonePick
						label="Days begin and end in"
						value={practice.timeZone}
						otherwise="UTC"
						onpick={(zone) => change({ timeZone: zone ?? 'UTC' })}
					/>
				</div>
				{#each data.devices as device (device.device)}
					<div class="border-rule flex justify-between gap-3 border-t py-1 text-[13px]">
						<span>{device.device ? DEVICES[device.device] : ''}</span>
						<span class="text-soft">{device.simulated ? 'stand-in that ships' : 'real, by its address'}</span>
					</div>
				{/each}
			</details>
			<BackupList isOwner={data.session.coach?.isOwner ?? false} />
			<Accounts isOwner={data.session.coach?.isOwner ?? false} />
		</section>
	</main>
	<Keys shortcuts={[]} note="Rules do not replace physicians, physiotherapists or local rules." />
</div>
