<script lang="ts">
	import type { CatalogueExercise, Possibility } from '$lib/api/client';
	import { plain } from '$lib/client/words';
	import { usualFigure } from '$lib/drawing/figures';
	import SetUpFigure from '$lib/drawing/SetUpFigure.svelte';
	import UsualDoses from './UsualDoses.svelte';

	/** Everything known of one exercise, with its neighbours on the ladder. */
	interface Props {
		exercise: CatalogueExercise;
		byId: Map<string, CatalogueExercise>;
		possibility: Possibility | undefined;
		ongo: (id: string) => void;
	}
	let { exercise: e, byId, possibility, ongo }: Props = $props();
	const easier = $derived(
		[...byId.values()].flatMap((other) =>
			other.harder.filter((h) => h.exercise === e.id).map((h) => ({ exercise: other.id, by: h.by }))
		)
	);
	const muscles = $derived(Object.entries(e.muscles).sort((a, b) => b[1] - a[1]));
	const facts = $derived([
		['pattern', `${plain(e.pattern)}, ${e.plane} plane, ${plain(e.line)}`],
		[
			'kind',
			`${e.kind}, ${e.sides === 'together' ? 'both limbs' : 'one limb at a time'}${e.grip === 'none' ? '' : `, ${e.grip} grip`}`
		],
		[
			'hardest',
			`${e.range} range${e.loadedAfterLowering ? ', loaded at the bottom' : ''}${e.loadedAfterLifting ? ', loaded at the top' : ''}`
		],
		['skill', `${e.skill} of 4, steadiness ${e.steadiness} of 4`],
		[
			'room',
			`headroom ${e.room.headroomOfStature.toFixed(2)} and floor ${e.room.floorOfStature.toFixed(2)} of stature${e.room.noise === 'loud' ? ', lands hard' : ''}`
		],
		['screens', e.screens.map(plain).join(', ') || 'none'],
		['joints', e.joints.map((j) => `${plain(j.joint)} ${j.level}`).join(', ') || 'none hard'],
		[
			'strength',
			e.strength
				? `${e.strength.ratio} of ${byId.get(e.strength.reference)?.name.toLowerCase() ?? e.strength.reference}${e.strength.basis === 'total' ? ', body counted' : ''}`
				: e.endurance === 'ownLogOnly'
					? 'its own log only'
					: 'a root of its family'
		],
		['techniques', e.techniques.map(plain).join(', ')]
	]);
</script>

<h2 class="text-[19px] leading-tight">{e.name}</h2>
{#if e.synonyms.length > 0}<p class="text-soft text-[12.5px]">also {e.synonyms.join(', ')}</p>{/if}
{#if e.sharedNames.length > 0}
	<p class="text-[12.5px]">Some call it {e.sharedNames.join(' or ')}; others mean something else by that.</p>
{/if}
{#if possibility}
	<p
		class="my-1 border-l-4 px-2 py-0.5 text-[12.5px] {possibility.possible
			? 'border-primary'
			: 'border-accent bg-decide'}"
	>
		{possibility.possible
			? `Possible there${possibility.how.length > 0 ? `: ${possibility.how.join(', ')}` : ''}.`
			: `Not there: ${possibility.against.map((a) => a.reason).join('; ')}.`}
	</p>
{/if}
{#if e.poses || e.frontPoses}
	{#await usualFigure(e.id)}
		<div class="h-48"></div>
	{:then figure}
		{#if figure}<SetUpFigure
				{figure}
				label="{e.name}: start pale, end dark"
				class="mx-auto h-48 w-80"
				letters={8}
			/>{/if}
	{/await}
{/if}
<ul class="grid grid-cols-[auto_1fr] items-center gap-x-2 text-[12.5px]" aria-label="Muscles">
	{#each muscles as [muscle, weight] (muscle)}
		<li class="contents">
			<span>{plain(muscle)}</span>
			<svg width="120" height="9" role="img" aria-label={weight.toFixed(1)}>
				<rect
					width={weight * 110}
					height="8"
					y="0.5"
					fill="var(--color-primary)"
					opacity={weight >= 0.8 ? 1 : 0.55}
				/>
			</svg>
		</li>
	{/each}
</ul>
<dl class="mt-1 grid grid-cols-[auto_1fr] gap-x-3 text-[12.5px]">
	{#each facts as [name, value] (name)}
		<dt class="text-soft">{name}</dt>
		<dd>{value}</dd>
	{/each}
</dl>
{#if easier.length > 0 || e.harder.length > 0}
	<div class="mt-1 text-[13px]">
		{#each easier as step (step.exercise)}
			<div>
				<span class="text-soft">easier by {step.by}</span>
				<button class="underline underline-offset-2" onclick={() => ongo(step.exercise)}
					>{byId.get(step.exercise)?.name}</button
				>
			</div>
		{/each}
		{#each e.harder as step (step.exercise)}
			<div>
				<span class="text-soft">harder by {step.by}</span>
				<button class="underline underline-offset-2" onclick={() => ongo(step.exercise)}
					>{byId.get(step.exercise)?.name}</button
				>
			</div>
		{/each}
	</div>
{/if}
<p class="mt-1 text-[13px]">{e.setUp.join('. ')}. <i>{e.cues.join('. ')}.</i></p>
<p class="text-soft text-[12.5px]">Goes wrong: {e.faults.join('; ').toLowerCase()}.</p>
{#each e.emphasis as shift, i (i)}
	<p class="text-[12.5px]"><b>{shift.change}</b>: more {shift.towards.map(plain).join(', ')}</p>
{/each}
<UsualDoses exercise={e.id} />
{#if e.offByDefault}<p class="text-accent text-[12.5px]">Off by default: {e.offByDefault}.</p>{/if}
{#if e.cautions.length > 0}
	<ul class="border-base-content mt-1 border-l-2 pl-2 text-[12.5px]" aria-label="Take care">
		{#each e.cautions as caution, i (i)}<li>{caution}</li>{/each}
	</ul>
{/if}
