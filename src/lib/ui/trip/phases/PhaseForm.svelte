<script lang="ts">
	import { Checkbox, Range } from 'flowbite-svelte';
	import {
		DOINGS,
		GROUNDS,
		MARKS,
		PHASE_KINDS,
		type Doing,
		type Mark,
		type Phase
	} from '$lib/core/document/types';
	import type { Cell } from '$lib/core/conditions/cells';
	import { PLACES, PRECIPITATIONS } from '$lib/core/document/weather';
	import { forField, type Quantity, unitWord } from '$lib/words/units';
	import {
		DOING_WORDS,
		GROUND_WORDS,
		KIND_WORDS,
		MARK_WORDS,
		PLACE_WORDS,
		PRECIPITATION_WORDS,
		effortWords
	} from '$lib/words/labels';
	import { MARK_MEANINGS } from '$lib/words/en/mark-meanings';
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import Choice from '../../parts/Choice.svelte';
	import Explained from '../../parts/Explained.svelte';
	import Field from '../../parts/Field.svelte';
	import { readerUnits } from '../../parts/reader-units';

	/** All that is known of a phase, to be changed. */
	interface Props {
		phase: Phase;
		cell: Cell | undefined;
		path: string;
		errors: Record<string, string>;
		onchange: (key?: string) => void;
	}
	let { phase = $bindable(), cell, path, errors, onchange }: Props = $props();

	const id = $derived(`phase-${phase.id}`);
	const water = $derived(cell?.water ?? cell?.fall);
	const units = $derived(readerUnits());
	const error = (field: string): string | undefined => errors[`${path}.${field}`];
	const changed = (key: string): void => onchange(`${phase.id} ${key}`);

	/** What is emptied is not typed any more: the value is computed again. */
	function setTyped<K extends keyof Phase['typed']>(key: K, value: Phase['typed'][K]): void {
		const next = { ...phase.typed };
		if (value === undefined) delete next[key];
		else next[key] = value;
		phase.typed = next;
	}
	const numberOf = (value: unknown): number | undefined =>
		typeof value === 'number' && !Number.isNaN(value) ? value : undefined;
	function typedNumber(key: 'airTempC' | 'wind10mKmh' | 'waterTempC', value: unknown): void {
		setTyped(key, numberOf(value));
		changed(key);
	}
	function typedAltitude(value: unknown): void {
		phase.altitudeM = numberOf(value) ?? null;
		changed('altitudeM');
	}
	function typedDoing(doing: Doing | undefined): void {
		if (doing) phase.doing = doing;
		else delete phase.doing;
		changed('doing');
	}
	function toggle(mark: Mark): void {
		phase.marks = phase.marks.includes(mark)
			? phase.marks.filter((other) => other !== mark)
			: [...phase.marks, mark];
		onchange();
	}
	const WAY = ['the start', 'the high point', 'the low point', 'the bed'] as const;
	/** Where on the way, in words. */
	const alongWords = (along: number): string => {
		const before = Math.floor(along);
		return along === before
			? `at ${WAY[before]}`
			: `${Math.round((along - before) * 100)} % from ${WAY[before]} to ${WAY[before + 1]}`;
	};
	const computed = (quantity: Quantity, value: number | undefined): string =>
		value === undefined ? '' : String(forField(quantity, value, units)).replace('-', '−');
</script>

{#snippet caption(text: string)}
	<span class="caption" aria-hidden="true">{text}</span>
{/snippet}
{#snippet condition(
	key: 'airTempC' | 'wind10mKmh',
	label: string,
	quantity: Quantity,
	value: number | undefined
)}
	<div>
		{@render caption(`${label}, ${unitWord(quantity, units)}`)}
		<Field
			bare
			id="{id}-{key}"
			type="number"
			label="{label} of {phase.name}, typed"
			{quantity}
			placeholder={computed(quantity, value)}
			bind:value={() => phase.typed[key], (next) => typedNumber(key, next)}
			error={error(`typed.${key}`)}
			class={phase.typed[key] !== undefined ? 'by-hand' : ''}
		/>
	</div>
{/snippet}

<div class="form">
	<div class="wide">
		{@render caption('Name')}
		<Field
			bare
			id="{id}-name"
			label="Name"
			bind:value={phase.name}
			error={error('name')}
			onchange={() => changed('name')}
		/>
	</div>
	{#snippet kind()}
		{@render caption('Kind')}
		<Choice
			bare
			id="{id}-kind"
			label="Kind of {phase.name}"
			bind:value={phase.kind}
			options={PHASE_KINDS}
			words={KIND_WORDS}
			{onchange}
		/>
	{/snippet}
	<div>
		{#if phase.kind === 'what-if'}
			<Explained id="{id}-what-if" text={pictureMessage('explain.what-if')}>{@render kind()}</Explained>
		{:else}{@render kind()}{/if}
	</div>
	<div>
		{@render caption('Place')}
		<Choice
			bare
			id="{id}-place"
			label="Place of {phase.name}"
			bind:value={phase.place}
			options={[...PLACES, 'bed']}
			words={PLACE_WORDS}
			{onchange}
		/>
	</div>
	<div>
		{@render caption(`Height, ${unitWord('height', units)}`)}
		<Field
			bare
			id="{id}-altitudeM"
			type="number"
			label="Altitude of {phase.name}, typed"
			quantity="height"
			placeholder={computed('height', cell?.altitudeM)}
			bind:value={() => phase.altitudeM ?? undefined, typedAltitude}
			error={error('altitudeM')}
			class={phase.altitudeM === null ? '' : 'by-hand'}
		/>
	</div>
	<div>
		<label class="caption" for="{id}-effortWm2">Effort: {effortWords(phase.effortWm2)}</label>
		<Range
			id="{id}-effortWm2"
			aria-label="Effort of {phase.name}"
			aria-valuetext={effortWords(phase.effortWm2)}
			min={40}
			max={600}
			step={5}
			bind:value={phase.effortWm2}
			oninput={() => changed('effortWm2')}
		/>
		{#if error('effortWm2')}<p class="error" role="alert">{error('effortWm2')}</p>{/if}
	</div>
	<div>
		{@render caption(`Own speed, ${unitWord('speed', units)}`)}
		<Field
			bare
			id="{id}-ownSpeedKmh"
			type="number"
			label="Own speed of {phase.name}"
			quantity="speed"
			bind:value={phase.ownSpeedKmh}
			error={error('ownSpeedKmh')}
			onchange={() => changed('ownSpeedKmh')}
		/>
	</div>
	{@render condition('airTempC', 'Air temperature', 'temp', cell?.airTempC)}
	{@render condition('wind10mKmh', 'Wind at 10 m', 'speed', cell && Math.round(cell.wind10mKmh))}
	<div>
		{@render caption('Rain or snow')}
		<Choice
			bare
			id="{id}-wet"
			label="Rain or snow of {phase.name}"
			none={cell ? `(${PRECIPITATION_WORDS[cell.precipitation]})` : ''}
			options={PRECIPITATIONS}
			words={PRECIPITATION_WORDS}
			bind:value={() => phase.typed.precipitation, (next) => setTyped('precipitation', next)}
			{onchange}
		/>
	</div>
	<details class="wide">
		<summary
			aria-label="Doing and marks of {phase.name}: {phase.marks.map((mark) => MARK_WORDS[mark]).join(', ') ||
				'none'}">What one does, and marks: {phase.marks.length || 'none'}</summary
		>
		<div class="marks" role="group" aria-label="What one does, and marks">
			<label class="along"
				>On the way: {alongWords(phase.along)}
				<Range
					min={0}
					max={3}
					step={0.05}
					bind:value={phase.along}
					oninput={() => changed('along')}
					aria-valuetext={alongWords(phase.along)}
				/></label
			>
			<Choice
				id="{id}-doing"
				class="along"
				label="What one does"
				none={cell ? `(${DOING_WORDS[cell.doing]})` : 'as the pattern says'}
				options={DOINGS}
				words={DOING_WORDS}
				bind:value={() => phase.doing, typedDoing}
			/>
			<Choice
				id="{id}-ground"
				class="along"
				label="Underfoot"
				none={cell ? `(${GROUND_WORDS[cell.ground]})` : 'as on the stage'}
				options={GROUNDS}
				words={GROUND_WORDS}
				bind:value={() => phase.typed.ground, (next) => setTyped('ground', next)}
				{onchange}
			/>
			{#if water}
				<Field
					id="{id}-waterTempC"
					class="along"
					type="number"
					label="Water"
					quantity="temp"
					placeholder={computed('temp', water.tempC)}
					bind:value={() => phase.typed.waterTempC, (next) => typedNumber('waterTempC', next)}
					error={error('typed.waterTempC')}
				/>
			{/if}
			{#each MARKS as mark (mark)}
				<Explained id="{id}-{mark}" text={MARK_MEANINGS[mark]}>
					<Checkbox
						aria-describedby="{id}-{mark}-meaning"
						checked={phase.marks.includes(mark)}
						onchange={() => toggle(mark)}>{MARK_WORDS[mark]}</Checkbox
					>
				</Explained>
			{/each}
		</div>
	</details>
</div>

<style>
	.form {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
		gap: 8px 12px;
		padding: 4px 0 12px 64px;
	}
	.wide {
		grid-column: span 2;
	}
	.caption {
		display: block;
		font-size: 12.5px;
		color: var(--soft);
	}
	.error {
		color: var(--v-short);
		font-size: 13px;
		font-weight: 600;
	}
	.along,
	.marks :global(.along) {
		grid-column: 1 / -1;
		padding-bottom: 8px;
	}
	.along :global(input) {
		display: block;
		width: 100%;
		accent-color: var(--ink);
	}
	:global(.by-hand input) {
		font-weight: 700;
		border-left: 4px solid var(--ink) !important;
	}
	summary {
		cursor: pointer;
		text-decoration: underline;
		text-underline-offset: 3px;
		padding-top: 22px;
	}
	details[open] {
		grid-column: 1 / -1;
	}
	.marks {
		padding: 8px 0;
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
		gap: 2px 12px;
		font-size: 14px;
	}
	.marks :global(.along) {
		max-width: 330px;
	}
	@media (max-width: 760px) {
		.form {
			padding-left: 0;
		}
	}
</style>
