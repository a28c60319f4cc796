<script lang="ts">
	import { Checkbox } from 'flowbite-svelte';
	import { CLIENT_FACTS, type ClientFactName, type ClientFactValue } from '$lib/core/document/client-facts';
	import type { Client, FactsOfClient } from '$lib/core/document/types';
	import { LANGUAGE_NAMES } from '$lib/words/labels';
	import Choice from '../parts/Choice.svelte';
	import Field from '../parts/Field.svelte';

	interface Props {
		client: Client;
		save: (change: Partial<FactsOfClient>) => void;
		errors: Readonly<Record<string, string>>;
	}
	let { client, save, errors }: Props = $props();

	const OFFSETS = {
		'-0.3': 'is always warm',
		'-0.15': 'is rather warm',
		'0': 'like most',
		'0.15': 'feels the cold',
		'0.3': 'is always cold'
	} as const;
	type OffsetKey = keyof typeof OFFSETS;
	const SIZES = { topSize: 'Top', legSize: 'Trousers', gloveSize: 'Gloves' } as const;
	const LEVELS = { plain: 'little', usual: 'the usual', fine: 'more' } as const;
	const RELIEF = { any: 'as it comes', opening: 'trousers must open' } as const;
	/** What is true of a client, in a few words each. */
	const TRUE_OF = {
		coldHands: 'cold hands',
		coldFeet: 'cold feet',
		bootsStayOn: 'boots stay on',
		itchyCollar: 'wool itches at the neck',
		glasses: 'glasses',
		blisters: 'blisters'
	} as const satisfies Partial<Record<ClientFactName, string>>;
	const NOTHING_WORKS = { hands: 'hands', feet: 'feet', ears: 'ears', torso: 'body' } as const;
	const UNWORN = { wool: 'wool', down: 'down', synthetic: 'synthetics', cotton: 'cotton' } as const;

	/** One fact as it is told now; nothing told is not asked. */
	function tell<K extends ClientFactName>(name: K, value: ClientFactValue<K> | undefined): void {
		save({
			[name]:
				value === undefined
					? { value: null, source: 'client', state: 'not asked' }
					: { value, source: 'client', state: 'has' }
		});
	}
	const listed = (name: 'willNotWear' | 'nothingWorks', word: string): boolean =>
		(client[name].value as readonly string[] | null)?.includes(word) ?? false;
	/** Puts a word on a list of what is told, or takes it off; an empty list is not told. */
	function tick(name: 'willNotWear' | 'nothingWorks', word: string, isOn: boolean): void {
		const rest = (client[name].value ?? []).filter((one) => one !== word);
		const next = isOn ? [...rest, word] : rest;
		tell(name, next.length > 0 ? (next as never) : undefined);
	}
	/** Typed here, told when the field is left. */
	let shoe = $derived<number | undefined>(client.shoeSize.value ?? undefined);
</script>

{#snippet ticks<Word extends string>(
	legend: string,
	words: Readonly<Record<Word, string>>,
	isOn: (word: Word) => boolean,
	set: (word: Word, isOn: boolean) => void
)}
	<fieldset>
		<legend class="label">{legend}</legend>
		<div class="ticks">
			{#each Object.keys(words) as Word[] as word (word)}
				<Checkbox checked={isOn(word)} onchange={(event) => set(word, event.currentTarget.checked)}
					>{words[word]}</Checkbox
				>
			{/each}
		</div>
	</fieldset>
{/snippet}

<div class="facts">
	<Choice
		id="offset"
		label="Warm or cold by nature"
		none="not asked"
		bind:value={
			() => (client.offsetClo.state === 'has' ? (String(client.offsetClo.value) as OffsetKey) : undefined),
			(value) => tell('offsetClo', value === undefined ? undefined : Number(value))
		}
		options={Object.keys(OFFSETS) as OffsetKey[]}
		words={OFFSETS}
	/>
	{#each Object.entries(SIZES) as [name, label] (name)}
		{@const size = name as keyof typeof SIZES}
		<Choice
			id={name}
			{label}
			none="?"
			bind:value={() => client[size].value ?? undefined, (value) => tell(size, value)}
			options={CLIENT_FACTS[size].oneOf}
		/>
	{/each}
	<Field
		id="shoeSize"
		label="Shoes, EU"
		type="number"
		min={CLIENT_FACTS.shoeSize.min}
		max={CLIENT_FACTS.shoeSize.max}
		step={0.5}
		bind:value={shoe}
		oncommit={() => tell('shoeSize', shoe)}
		error={errors['shoeSize.value']}
	/>
	<Choice
		id="priceLevel"
		label="Spends"
		none="not asked"
		bind:value={() => client.priceLevel.value ?? undefined, (value) => tell('priceLevel', value)}
		options={CLIENT_FACTS.priceLevel.oneOf}
		words={LEVELS}
	/>
	{@render ticks(
		'Does not wear',
		UNWORN,
		(fibre) => listed('willNotWear', fibre),
		(fibre, isOn) => tick('willNotWear', fibre, isOn)
	)}
	{@render ticks(
		'Also',
		TRUE_OF,
		(fact) => client[fact].value === true,
		(fact, isOn) => tell(fact, isOn || undefined)
	)}
	{@render ticks(
		'Nothing they tried works for the',
		NOTHING_WORKS,
		(part) => listed('nothingWorks', part),
		(part, isOn) => tick('nothingWorks', part, isOn)
	)}
	<Choice
		id="relief"
		label="Relief outside"
		none="not asked"
		bind:value={() => client.relief.value ?? undefined, (value) => tell('relief', value)}
		options={CLIENT_FACTS.relief.oneOf}
		words={RELIEF}
	/>
	<Choice
		id="language"
		label="Reads"
		none="not asked"
		bind:value={() => client.language.value ?? undefined, (value) => tell('language', value)}
		options={CLIENT_FACTS.language.oneOf}
		words={LANGUAGE_NAMES}
	/>
	<div class="careful">
		<Checkbox
			checked={client.careful.value === true}
			onchange={(event) =>
				save({ careful: { value: event.currentTarget.checked, source: 'guide', state: 'has' } })}
			><span
				>One level more careful <span class="tiny soft"
					>child, age, pregnancy, circulation, medicine; ask a doctor</span
				></span
			></Checkbox
		>
	</div>
</div>

<style>
	.facts {
		display: flex;
		flex-wrap: wrap;
		gap: 8px 16px;
		align-items: end;
	}
	.facts :global(#shoeSize) {
		width: 80px;
	}
	.ticks {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 12px;
		min-height: 34px;
		align-items: center;
	}
	.careful {
		font-size: 15px;
		min-height: 34px;
		display: flex;
		align-items: center;
	}
	.careful .tiny {
		display: block;
	}
	fieldset {
		border: 0;
		padding: 0;
		margin: 0;
	}
</style>
