<script lang="ts">
	import ZonePick from '$lib/client/ZonePick.svelte';
	import { untrack } from 'svelte';
	import { api, ask, messageOf, type HouseRules, type Practice } from '$lib/api/client';
	import NumberRows from '$lib/practice/NumberRows.svelte';
	import OwnNames from '$lib/practice/OwnNames.svelte';
	import SchoolList from '$lib/practice/SchoolList.svelte';
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
			} catch (problem) {
				trouble = messageOf(problem);
				practice = { ...practice };
			} finally {
				busy = false;
			}
		});
	}
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

<div class="flex h-full flex-col">
	<TopBar coach={data.session.coach?.name ?? ''} />
	<div
		class="border-base-300 bg-base-100 text-soft flex h-11 shrink-0 items-center gap-5 border-b px-4 text-[13px]"
	>
		<h1 class="text-base-content text-[17px]">By which rules we work</h1>
		<span>for every client, unless the client's own page says otherwise</span>
		<span class="flex-1"></span>
		<span aria-live="polite">{busy ? 'saving' : 'saved'}</span>
	</div>
	<Notice text={trouble} />
	<main
		class="grid min-h-0 flex-1 grid-cols-[270px_250px_1fr_330px] content-start gap-x-7 gap-y-5 overflow-auto px-4 py-3"
	>
		<section aria-label="House rules">
			<h2 class="mb-1 text-[16px]">House rules</h2>
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
		</section>
		<section aria-label="Weights of the fit">
			<h2 class="mb-1 text-[16px]">What makes a good stand-in</h2>
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
			<h2 class="mt-5 text-[16px]">What a whole week is weighed by</h2>
			<p class="text-soft mb-1 text-[12.5px]">
				Points. The fit of every line counts for it, these against it; 0 says it does not matter here (common
				practice).
			</p>
			<NumberRows
				rows={WEEK_PRICES}
				values={practice.weekPrices}
				onchange={(part) => change({ weekPrices: { ...practice.weekPrices, ...part } })}
			/>
			<h2 class="mt-5 mb-1 text-[16px]">Measuring devices</h2>
			{#each data.devices as device (device.device)}
				<div class="border-rule flex justify-between gap-3 border-t py-1 text-[13px]">
					<span>{device.device ? DEVICES[device.device] : ''}</span>
					<span class="text-soft">{device.simulated ? 'stand-in that ships' : 'real, by its address'}</span>
				</div>
			{/each}
		</section>
		<section aria-label="Schools">
			<h2 class="mb-1 text-[16px]">Where coaches differ</h2>
			<SchoolList
				schools={data.schools}
				taken={rules.teachings}
				onchange={(teachings) => rule({ teachings })}
			/>
		</section>
		<section aria-label="Bans, likes, prices">
			<h2 class="mb-1 text-[16px]">In this practice</h2>
			<BanList
				bans={rules.bans}
				preferred={rules.preferred}
				{names}
				onbans={(bans) => rule({ bans })}
				onpreferred={(preferred) => rule({ preferred })}
			/>
			<div class="mt-4 max-w-[260px]">
				<ZonePick
					label="Days begin and end in"
					value={practice.timeZone}
					otherwise="UTC"
					onpick={(zone) => change({ timeZone: zone ?? 'UTC' })}
				/>
			</div>
			<OwnNames own={practice.names} names={everyName} onchange={(own) => change({ names: own })} />
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
			<h2 class="mt-5 text-[16px]">Where the review speaks up</h2>
			<p class="text-soft mb-1 text-[12.5px]">
				At the mark itself it keeps quiet. Common practice where no source stands.
			</p>
			<NumberRows
				rows={MARKS}
				values={practice.marks}
				onchange={(part) => change({ marks: { ...practice.marks, ...part } })}
			/>
		</section>
	</main>
	<Keys shortcuts={[]} note="Rules do not replace physicians, physiotherapists or local rules." />
</div>
