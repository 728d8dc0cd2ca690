<script lang="ts">
	import type { TemplateOffer } from '$lib/api/client';

	/** Programmes for clients who bring none: slots of intent that this home fills. */
	let { offers, ontake }: { offers: Promise<TemplateOffer[]>; ontake: (offer: TemplateOffer) => void } =
		$props();

	/** Line spacing of a small picture of a day: one stroke a line, pairs drawn together. */
	function strokes(text: string): { day: number; place: number; paired: boolean }[] {
		let day = -1;
		let place = 0;
		return text.split('\n').flatMap((line) => {
			if (line.startsWith('#')) {
				day++;
				place = 0;
				return [];
			}
			return line.trim() === '' ? [] : [{ day, place: place++, paired: /^[A-Z]\d /.test(line) }];
		});
	}
</script>

<aside class="flex w-[330px] shrink-0 flex-col overflow-auto" aria-label="Templates">
	<h2 class="text-[15px]">No programme to hand?</h2>
	<p class="text-soft mb-1 text-[12.5px]">
		A template asks for movements, not exercises: "any row" is filled with what this home has. Dosed for this
		client's level and goal; change whatever you like.
	</p>
	{#await offers}
		<p class="text-soft text-[13px]" role="status">looking…</p>
	{:then list}
		<ul>
			{#each list as offer (offer.id)}
				<li class="border-rule border-t py-1.5">
					<button class="flex w-full gap-3 text-left" onclick={() => ontake(offer)}>
						<svg viewBox="0 0 60 34" class="mt-0.5 h-[34px] w-[60px] shrink-0" aria-hidden="true">
							{#each strokes(offer.text) as stroke, i (i)}
								<rect
									x={stroke.day * 10}
									y={stroke.place * 5 + (stroke.paired && stroke.place % 2 === 1 ? -1.5 : 0)}
									width="8"
									height="3"
									fill={stroke.paired ? 'var(--color-primary)' : 'currentColor'}
								/>
							{/each}
						</svg>
						<span>
							<span class="font-semibold">{offer.name}</span>
							<span class="text-soft block text-[12px] leading-snug">{offer.words}</span>
						</span>
					</button>
				</li>
			{/each}
		</ul>
	{:catch}
		<p class="text-accent text-[13px]">
			The templates cannot be reached just now. Type or paste a programme.
		</p>
	{/await}
</aside>
