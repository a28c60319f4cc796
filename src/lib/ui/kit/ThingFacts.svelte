<script lang="ts">
	import { Checkbox } from 'flowbite-svelte';
	import { SIZES } from '$lib/core/cloth/squeeze';
	import { factOf } from '$lib/core/cloth/things';
	import { catalogueType } from '$lib/core/cloth/catalogue';
	import { WATER_GRADES } from '$lib/core/document/weather';
	import {
		BAG_NUMBER_KINDS,
		BAG_NUMBER_UNITS,
		type BagNumber,
		BATTERY_UNITS,
		type BatteryCharge,
		END_WORN,
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
	/** The number on the bag as it is known; what nobody has said is the catalogue's comfort. */
	const bag = $derived<BagNumber>(
		value('bagNumber') ?? {
			value: value('comfortTempC'),
			unit: value('bagScale') === 'unclear' ? 'unclear' : '°C',
			kind: value('bagScale') === 'unclear' ? 'unclear' : 'comfort'
		}
	);
	/** A number and what it means; an emptied field takes back what was said. */
	const setNumber = <K extends 'bagNumber' | 'batteryCharge'>(
		key: K,
		next: NonNullable<Properties[K]>
	): void => set(key, next.value === undefined ? undefined : next);
	const setBag = (change: Partial<BagNumber>): void => setNumber('bagNumber', { ...bag, ...change });
	const charge = $derived<BatteryCharge>(value('batteryCharge') ?? { value: value('energyWh'), unit: 'Wh' });
	const setCharge = (change: Partial<BatteryCharge>): void =>
		setNumber('batteryCharge', { ...charge, ...change });
	const isOnHands = $derived((usual.covers.hands ?? 0) >= 0.5);
	/** An end that meets a sleeve or a boot: it goes over or under it. */
	const hasEnds = $derived(
		isOnHands || ((usual.covers.calves ?? 0) >= 0.5 && (usual.covers.thighs ?? 0) >= 0.5)
	);
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
					['full-side-zip', 'slim-cuff', 'hem-seal', 'abrasion', 'drop-seat'].includes(feature)) ||
				((usual.covers.ears ?? 0) >= 0.5 && feature === 'under-helmet') ||
				((usual.covers.torso ?? 0) >= 0.5 && feature === 'floats')
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
			id="fact-number-{thing.id}"
			type="number"
			label="Number on the bag"
			bind:value={() => bag.value, (number) => setBag({ value: number as number })}
		/>
		<Choice
			id="fact-unit-{thing.id}"
			label="It is in"
			options={BAG_NUMBER_UNITS}
			words={{ '°C': '°C', '°F': '°F', unclear: 'nobody knows' }}
			bind:value={() => bag.unit, (unit) => setBag({ unit })}
		/>
		<Choice
			id="fact-kind-{thing.id}"
			label="It means"
			options={BAG_NUMBER_KINDS}
			words={{ comfort: 'comfort', limit: 'limit', unclear: 'nobody knows' }}
			bind:value={() => bag.kind, (kind) => setBag({ kind })}
		/>
	{/if}
	{#if usual.energyWh > 0}
		<Field
			id="fact-charge-{thing.id}"
			type="number"
			label="Battery holds"
			bind:value={() => charge.value, (number) => setCharge({ value: number as number })}
		/>
		<Choice
			id="fact-charge-unit-{thing.id}"
			label="In"
			options={BATTERY_UNITS}
			bind:value={() => charge.unit, (unit) => setCharge({ unit })}
		/>
	{/if}
	{#if hasEnds}
		<Choice
			id="fact-end-{thing.id}"
			label={isOnHands ? 'Cuff goes' : 'Leg goes'}
			options={END_WORN}
			words={isOnHands
				? { over: 'over the sleeve', under: 'under the sleeve' }
				: { over: 'over the boot', under: 'inside the boot' }}
			bind:value={() => value('endWorn'), (end) => set('endWorn', end)}
		/>
	{/if}
	<Field
		id="fact-from-{thing.id}"
		type="date"
		label="Here from (empty: from the start)"
		bind:value={
			() => value('availableFrom'),
			(date) => set('availableFrom', date === '' || date === undefined ? undefined : String(date))
		}
	/>
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
	{#if isWorn}
		<fieldset>
			<legend class="tiny soft">For the night</legend>
			<Checkbox
				checked={value('dryForNight')}
				onchange={() => set('dryForNight', !value('dryForNight') || undefined)}
				>stays dry for the night: not worn in rain or hard work</Checkbox
			>
		</fieldset>
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
