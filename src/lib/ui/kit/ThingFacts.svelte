<script lang="ts">
	import { Checkbox } from 'flowbite-svelte';
	import { SIZES } from '$lib/core/cloth/squeeze';
	import { factOf } from '$lib/core/cloth/things';
	import { catalogueType } from '$lib/core/cloth/catalogue';
	import { WATER_GRADES } from '$lib/core/document/weather';
	import {
		BAG_SCALES,
		FACES,
		FEATURES,
		type Fact,
		type FactSource,
		type Feature,
		type Properties,
		type PropertyName,
		type Thing
	} from '$lib/core/document/types';
	import { FEATURE_WORDS, WATER_WORDS } from '$lib/words/labels';
	import Choice from '../parts/Choice.svelte';
	import Field from '../parts/Field.svelte';

	interface Props {
		thing: Thing;
		save: (facts: Thing['facts']) => void;
		rename: (name: string) => void;
		error?: string;
	}
	let { thing, save, rename, error }: Props = $props();

	// The name is typed here and saved when the field is left.
	// svelte-ignore state_referenced_locally
	let name = $state(thing.name);
	const usual = $derived(catalogueType(thing.typeId).properties);
	const value = <K extends PropertyName>(key: K): Properties[K] => factOf(thing, key).value as Properties[K];
	function set<K extends PropertyName>(
		key: K,
		next: Properties[K] | undefined,
		source: FactSource = 'client'
	): void {
		const facts: Record<string, Fact<unknown> | undefined> = { ...thing.facts };
		if (next === undefined) delete facts[key];
		else facts[key] = { value: next, source, state: 'has' };
		save(facts as Thing['facts']);
	}
	const isBag = $derived(usual.comfortTempC < 20);
	const isPack = $derived(usual.holdsL >= 5);
	const isWorn = $derived(Object.keys(usual.covers).length > 0);
	const isHigh = $derived((usual.covers.feet ?? 0) >= 0.5);
	const hasFace = $derived(value('waterGrade') !== 'none' && value('waterGrade') !== 'rubber');
	/** How a try-on went; it beats the table of sizes. */
	const tried = $derived(
		thing.facts.roomSteps?.source !== 'measured' ? undefined : value('roomSteps') > 0 ? 'fits' : 'tight'
	);
	const EVERYTHING_STEPS = 20;
	const typed = <K extends PropertyName>(key: K): number | undefined =>
		thing.facts[key] ? (value(key) as number) : undefined;
	const has = (feature: Feature): boolean => value('features').includes(feature);
	const toggle = (feature: Feature): void =>
		set(
			'features',
			FEATURES.filter((one) => (one === feature ? !has(one) : has(one)))
		);
	/** What a garment of its kind is asked: what it can do as usual, what it is said to do, and what phases demand of it. */
	const asked = $derived(
		FEATURES.filter(
			(feature) =>
				has(feature) ||
				usual.features.includes(feature) ||
				((usual.covers.torso ?? 0) >= 0.5 &&
					[
						'hood',
						'hood-over-helmet',
						'full-zip',
						'two-way-zip',
						'stays-tucked',
						'cuff-seal',
						'quiet-face',
						'high-visibility',
						'reflective',
						'abrasion',
						'no-melt',
						'long-tail'
					].includes(feature)) ||
				((usual.covers.thighs ?? 0) >= 0.5 &&
					['full-side-zip', 'slim-cuff', 'abrasion', 'drop-seat'].includes(feature)) ||
				((usual.covers.ears ?? 0) >= 0.5 && feature === 'under-helmet')
		)
	);
</script>

<div class="facts" role="group" aria-label="What is known of {thing.name}">
	<Field
		id="fact-name-{thing.id}"
		label="Called"
		bind:value={name}
		oncommit={() => name.trim() !== thing.name && rename(name)}
		{error}
	/>
	{#if isWorn}
		<Choice
			id="fact-size-{thing.id}"
			label="Size"
			none="not asked"
			options={SIZES}
			bind:value={() => SIZES.find((size) => size === value('size')), (size) => set('size', size)}
		/>
		<Choice
			id="fact-tried-{thing.id}"
			label="Tried on over the rest"
			none="not tried"
			options={['fits', 'tight'] as const}
			words={{ fits: 'goes over everything', tight: 'too tight for anything under it' }}
			bind:value={
				() => tried,
				(how) =>
					set('roomSteps', how === undefined ? undefined : how === 'fits' ? EVERYTHING_STEPS : 0, 'measured')
			}
		/>
		<Choice
			id="fact-water-{thing.id}"
			label="Against water"
			options={WATER_GRADES}
			words={WATER_WORDS}
			bind:value={() => value('waterGrade'), (grade) => set('waterGrade', grade)}
		/>
	{/if}
	{#if isWorn && hasFace}
		<Choice
			id="fact-face-{thing.id}"
			label="Its finish"
			options={FACES}
			words={{ fresh: 'drops run off', 'worn out': 'wets out' }}
			bind:value={() => value('face'), (face) => set('face', face)}
		/>
	{/if}
	{#if isBag}
		<Field
			id="fact-comfort-{thing.id}"
			type="number"
			label="Comfort"
			quantity="temp"
			bind:value={
				() => typed('comfortTempC') ?? usual.comfortTempC, (tempC) => set('comfortTempC', tempC as number)
			}
		/>
		<Choice
			id="fact-scale-{thing.id}"
			label="What the number means"
			options={BAG_SCALES}
			words={{ comfort: 'comfort, as stated', unclear: 'nobody knows' }}
			bind:value={() => value('bagScale'), (scale) => set('bagScale', scale)}
		/>
	{/if}
	{#if isHigh}
		<Field
			id="fact-height-{thing.id}"
			type="number"
			label="Height above the ankle, cm"
			bind:value={() => typed('heightCm') ?? usual.heightCm, (cm) => set('heightCm', cm as number)}
		/>
	{/if}
	{#if isPack}
		<Field
			id="fact-holds-{thing.id}"
			type="number"
			label="Holds, litres"
			bind:value={() => typed('holdsL') ?? usual.holdsL, (litres) => set('holdsL', litres as number)}
		/>
	{/if}
	{#if asked.length > 0}
		<fieldset>
			<legend class="tiny soft">What it can do</legend>
			{#each asked as feature (feature)}
				<Checkbox checked={has(feature)} onchange={() => toggle(feature)}>{FEATURE_WORDS[feature]}</Checkbox>
			{/each}
		</fieldset>
	{/if}
	<p class="tiny soft">
		{Object.keys(thing.facts).length === 0
			? 'Assumed from the catalogue: nobody has said anything about this one yet.'
			: 'What was said here beats the catalogue.'}
	</p>
</div>

<style>
	.facts {
		grid-column: 1 / -1;
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
		gap: 8px 14px;
		padding: 8px 12px 10px 22px;
		background: var(--paper);
		border-left: 5px solid var(--ink);
		margin: 2px 0 8px;
	}
	fieldset,
	p {
		grid-column: 1 / -1;
	}
	fieldset {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 16px;
	}
	legend {
		float: left;
		width: 100%;
	}
	fieldset :global(label) {
		display: inline-flex;
		gap: 6px;
		align-items: center;
		font-size: 14.5px;
	}
</style>
