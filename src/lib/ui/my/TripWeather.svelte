<script lang="ts">
	import type { PlannedPhase } from '$lib/core/kit/planned-day';
	import { guestDate, guestListed, guestMessage, type Language } from '$lib/words/guest/guest-words';
	import { withUnit } from '$lib/words/units';
	import DressedFigure from '../figure/DressedFigure.svelte';
	import { readerUnits } from '../parts/reader-units';

	/** What it will be like, in plain words, and how one sets out. */
	interface Day {
		id: string;
		date: string;
		lowC: number;
		highC: number;
		windKmh: number;
		wet: { kind: 'snow' | 'rain'; hours: number } | null;
		highM: number;
	}
	interface Props {
		language: Language;
		days: readonly Day[];
		picture: PlannedPhase | null;
		/** names of things, in the language of the page */
		nameOf: (thingId: string) => string;
		who: string;
	}
	let { language, days, picture, nameOf, who }: Props = $props();
	const units = $derived(readerUnits());
	const say = (id: Parameters<typeof guestMessage>[1], values = {}): string =>
		guestMessage(language, id, values);

	/** Hours from which on it is the whole day. */
	const ALL_DAY_H = 18;
	/** Below this nobody speaks of wind, km/h. */
	const CALM_KMH = 12;
	function weatherWords({ lowC, highC, windKmh, wet, highM }: Day): string {
		const [low, high] = [lowC, highC].map((tempC) => withUnit('temp', tempC, units)) as [string, string];
		const wind =
			windKmh < CALM_KMH
				? say('weather.calm')
				: say('weather.wind', { speed: withUnit('speed', windKmh, units) });
		const water = !wet
			? say('weather.dry')
			: wet.hours >= ALL_DAY_H
				? say(`weather.${wet.kind}AllDay`)
				: say(`weather.${wet.kind}`, { hours: wet.hours });
		const words = say(low === high ? 'weather.same' : 'weather.day', { low, high, wind, wet: water });
		return highM > 0
			? `${words}, ${say('weather.high', { height: withUnit('height', highM, units) })}`
			: words;
	}
</script>

<section aria-labelledby="weather-head">
	<h2 id="weather-head">{say('weather.head')}</h2>
	<div class="like">
		<ul>
			{#each days as day (day.id)}
				<li>
					<strong>{guestDate(language, day.date)}</strong>
					{weatherWords(day)}
				</li>
			{/each}
		</ul>
		{#if picture}
			<figure>
				<DressedFigure
					phase={picture}
					{nameOf}
					told={say('weather.wears', {
						name: who,
						things: guestListed(language, [
							...new Set(picture.outfit.map(({ cloth }) => nameOf(cloth.thingId)))
						])
					})}
					{who}
					height={190}
					id="my"
				/>
				<figcaption class="small soft">{say('weather.picture')}</figcaption>
			</figure>
		{/if}
	</div>
</section>

<style>
	section {
		margin-top: 22px;
	}
	.like {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 12px;
		align-items: start;
	}
	.like li {
		padding: 4px 0;
	}
	.like li strong {
		display: block;
	}
	figure {
		position: relative;
		text-align: center;
		max-width: 150px;
	}
</style>
