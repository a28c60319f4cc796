<script lang="ts">
	import { Button, Checkbox, Range } from 'flowbite-svelte';
	import { dragHandle } from 'svelte-dnd-action';
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
	import { forField, tempWords, type Quantity } from '$lib/words/units';
	import {
		DOING_WORDS,
		GROUND_WORDS,
		KIND_WORDS,
		MARK_WORDS,
		PLACE_WORDS,
		PRECIPITATION_WORDS,
		clock
	} from '$lib/words/labels';
	import Choice from '../parts/Choice.svelte';
	import Field from '../parts/Field.svelte';
	import { readerUnits } from '../parts/reader-units';
	import { why } from '../parts/why.svelte';

	interface Props {
		phase: Phase;
		cell: Cell | undefined;
		path: string;
		errors: Record<string, string>;
		onchange: (key?: string) => void;
		move: (by: -1 | 1) => void;
		remove: () => void;
	}
	let { phase = $bindable(), cell, path, errors, onchange, move, remove }: Props = $props();

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
	function showWhy(): void {
		if (!cell) return;
		why.open({
			title: `${phase.name}: feels like ${Math.round(cell.feltTempC)} °C`,
			sentence: `Air ${Math.round(cell.airTempC)} °C, ${cell.airVelocityMs.toFixed(1)} m/s of air past the body.`,
			reasons: [
				cell.reasons.feltTempC,
				cell.reasons.airTempC,
				cell.reasons.wind,
				cell.reasons.wet,
				cell.reasons.altitude,
				cell.reasons.effort
			]
		});
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
	const feels = $derived(cell ? tempWords(cell.feltTempC, units) : '');
	function onkeydown(event: KeyboardEvent): void {
		if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
		event.preventDefault();
		move(event.key === 'ArrowUp' ? -1 : 1);
	}
</script>

{#snippet figure(key: 'minutes' | 'effortWm2' | 'ownSpeedKmh', label: string, quantity?: Quantity)}
	<td>
		<Field
			bare
			id="{id}-{key}"
			type="number"
			label="{label} of {phase.name}"
			unit={key === 'effortWm2' ? 'W/m²' : ''}
			{...quantity && { quantity }}
			bind:value={phase[key]}
			error={error(key)}
			onchange={() => changed(key)}
		/>
	</td>
{/snippet}
{#snippet condition(
	key: 'airTempC' | 'wind10mKmh',
	label: string,
	quantity: Quantity,
	value: number | undefined
)}
	<td>
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
	</td>
{/snippet}

<tr {onkeydown}>
	<td class="clock">
		<span use:dragHandle class="grip" aria-label="Drag {phase.name}" title="Drag, or Alt and an arrow">⠿</span
		>
		{cell && phase.kind !== 'what-if' ? clock(cell.startMin) : ''}
	</td>
	<td
		><Field
			bare
			id="{id}-name"
			label="Name"
			bind:value={phase.name}
			error={error('name')}
			onchange={() => changed('name')}
		/></td
	>
	<td
		><Choice
			bare
			id="{id}-kind"
			label="Kind of {phase.name}"
			bind:value={phase.kind}
			options={PHASE_KINDS}
			words={KIND_WORDS}
			{onchange}
		/></td
	>
	{@render figure('minutes', 'Minutes')}
	<td>
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
	</td>
	<td
		><Choice
			bare
			id="{id}-place"
			label="Place of {phase.name}"
			bind:value={phase.place}
			options={[...PLACES, 'bed']}
			words={PLACE_WORDS}
			{onchange}
		/></td
	>
	{@render figure('effortWm2', 'Effort')}
	{@render figure('ownSpeedKmh', 'Own speed', 'speed')}
	{@render condition('airTempC', 'Air temperature', 'temp', cell?.airTempC)}
	{@render condition('wind10mKmh', 'Wind at 10 m', 'speed', cell && Math.round(cell.wind10mKmh))}
	<td>
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
	</td>
	<td class="felt">
		{#if cell}<Button class="quiet" onclick={showWhy} aria-label="Why {phase.name} feels like {feels}"
				>{feels}</Button
			>{/if}
	</td>
	<td class="tools">
		<details>
			<summary
				aria-label="Doing and marks of {phase.name}: {phase.marks
					.map((mark) => MARK_WORDS[mark])
					.join(', ') || 'none'}">{phase.marks.length || '–'}</summary
			>
			<div class="marks sheet" role="group" aria-label="What one does, and marks">
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
					<Checkbox checked={phase.marks.includes(mark)} onchange={() => toggle(mark)}
						>{MARK_WORDS[mark]}</Checkbox
					>
				{/each}
			</div>
		</details>
		<Button class="square" onclick={() => move(-1)} aria-label="{phase.name} earlier" title="Alt + arrow up"
			>↑</Button
		>
		<Button class="square" onclick={() => move(1)} aria-label="{phase.name} later" title="Alt + arrow down"
			>↓</Button
		>
		<Button class="square" onclick={remove} aria-label="Remove {phase.name}">✕</Button>
	</td>
</tr>

<style>
	tr {
		background: var(--sheet);
	}
	td {
		padding: 3px 3px;
		vertical-align: top;
	}
	.clock {
		font-size: 14px;
		padding-top: 10px;
		color: var(--soft);
	}
	.grip {
		cursor: grab;
		color: var(--rule-strong);
		padding: 2px;
	}
	.along,
	.marks :global(.along) {
		column-span: all;
		padding-bottom: 8px;
	}
	.along :global(input) {
		display: block;
		width: 100%;
		accent-color: var(--ink);
	}
	.felt {
		text-align: right;
		padding-top: 6px;
		font-size: 16px;
	}
	.tools {
		white-space: nowrap;
		padding-top: 5px;
	}
	:global(.by-hand input) {
		font-weight: 700;
		border-left: 4px solid var(--ink) !important;
	}
	details {
		display: inline-block;
		position: relative;
	}
	summary {
		display: inline-block;
		min-width: 30px;
		text-align: center;
		cursor: pointer;
		border: 1px dashed var(--rule-strong);
		border-radius: 3px;
		height: 30px;
		line-height: 28px;
		font-size: 14px;
	}
	.marks {
		position: absolute;
		right: 0;
		z-index: 20;
		padding: 10px 14px;
		columns: 2;
		width: 360px;
		font-size: 14px;
		box-shadow: 0 8px 24px rgb(27 42 39 / 0.18);
	}
	.marks label {
		display: block;
	}
	.marks :global(.along) {
		min-width: 0;
		max-width: 330px;
	}
</style>
