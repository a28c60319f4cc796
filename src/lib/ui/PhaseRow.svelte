<script lang="ts">
	import { MARKS, PHASE_KINDS, type Mark, type Phase } from '$lib/core/document/types';
	import type { Cell } from '$lib/core/plan/conditions';
	import { PLACES } from '$lib/core/weather/wind';
	import { PRECIPITATIONS, type Precipitation } from '$lib/core/weather/precipitation';
	import {
		KIND_WORDS,
		MARK_WORDS,
		PLACE_WORDS,
		PRECIPITATION_WORDS,
		clock,
		degrees,
		signed
	} from '$lib/formats/words';
	import Choice from './Choice.svelte';
	import Field from './Field.svelte';
	import { why } from './why.svelte';

	interface Props {
		phase: Phase;
		cell: Cell | undefined;
		path: string;
		errors: Record<string, string>;
		onchange: () => void;
		move: (by: -1 | 1) => void;
		remove: () => void;
	}
	let { phase = $bindable(), cell, path, errors, onchange, move, remove }: Props = $props();

	const id = $derived(`phase-${phase.id}`);
	const error = (field: string): string | undefined => errors[`${path}.${field}`];

	/** An emptied field is not typed any more: the value is computed again. */
	function typed(key: 'airTempC' | 'wind10mKmh', value: unknown): void {
		const next = { ...phase.typed };
		if (typeof value === 'number' && !Number.isNaN(value)) next[key] = value;
		else delete next[key];
		phase.typed = next;
		onchange();
	}
	function typedPrecipitation(value: Precipitation | undefined): void {
		const next = { ...phase.typed };
		if (value) next.precipitation = value;
		else delete next.precipitation;
		phase.typed = next;
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
			title: `${phase.name}: feels like ${degrees(cell.feltTempC)}`,
			sentence: `Air ${degrees(cell.airTempC)}, ${signed(cell.airVelocityMs, 1)} m/s of air past the body.`,
			reasons: [cell.reasons.feltTempC, cell.reasons.airTempC, cell.reasons.wind]
		});
	}
	function onkeydown(event: KeyboardEvent): void {
		if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
		event.preventDefault();
		move(event.key === 'ArrowUp' ? -1 : 1);
	}
</script>

{#snippet figure(key: 'minutes' | 'altitudeM' | 'effortWm2' | 'ownSpeedKmh', label: string, unit?: string)}
	<td class="number">
		<Field
			bare
			id="{id}-{key}"
			type="number"
			label="{label} of {phase.name}"
			{unit}
			bind:value={phase[key]}
			error={error(key)}
			{onchange}
		/>
	</td>
{/snippet}
{#snippet condition(
	key: 'airTempC' | 'wind10mKmh',
	label: string,
	unit: string,
	computed: string | undefined
)}
	<td class="number">
		<Field
			bare
			id="{id}-{key}"
			type="number"
			label="{label} of {phase.name}, typed"
			{unit}
			placeholder={computed ?? ''}
			bind:value={() => phase.typed[key], (value) => typed(key, value)}
			error={error(`typed.${key}`)}
			class={phase.typed[key] !== undefined ? 'typed' : ''}
		/>
	</td>
{/snippet}

<tr {onkeydown}>
	<td class="clock">{cell ? clock(cell.startMin) : ''}</td>
	<td><Field bare id="{id}-name" label="Name" bind:value={phase.name} error={error('name')} {onchange} /></td>
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
	{@render figure('altitudeM', 'Altitude', 'm')}
	<td
		><Choice
			bare
			id="{id}-place"
			label="Place of {phase.name}"
			bind:value={phase.place}
			options={PLACES}
			words={PLACE_WORDS}
			{onchange}
		/></td
	>
	{@render figure('effortWm2', 'Effort', 'W/m²')}
	{@render figure('ownSpeedKmh', 'Own speed', 'km/h')}
	{@render condition('airTempC', 'Air temperature', '°C', cell && signed(cell.airTempC, 1))}
	{@render condition('wind10mKmh', 'Wind at 10 m', 'km/h', cell && signed(cell.wind10mKmh))}
	<td>
		<Choice
			bare
			id="{id}-wet"
			label="Rain or snow of {phase.name}"
			none={cell ? `(${PRECIPITATION_WORDS[cell.precipitation]})` : ''}
			options={PRECIPITATIONS}
			words={PRECIPITATION_WORDS}
			bind:value={() => phase.typed.precipitation, typedPrecipitation}
			{onchange}
		/>
	</td>
	<td class="felt">
		{#if cell}<button
				class="quiet"
				onclick={showWhy}
				aria-label="Why {phase.name} feels like {degrees(cell.feltTempC)}">{degrees(cell.feltTempC)}</button
			>{/if}
	</td>
	<td class="tools">
		<details>
			<summary
				aria-label="Marks of {phase.name}: {phase.marks.map((mark) => MARK_WORDS[mark]).join(', ') || 'none'}"
				>{phase.marks.length || '–'}</summary
			>
			<div class="marks sheet" role="group" aria-label="Marks">
				{#each MARKS as mark (mark)}
					<label
						><input type="checkbox" checked={phase.marks.includes(mark)} onchange={() => toggle(mark)} />
						{MARK_WORDS[mark]}</label
					>
				{/each}
			</div>
		</details>
		<button class="square" onclick={() => move(-1)} aria-label="{phase.name} earlier" title="Alt + arrow up"
			>↑</button
		>
		<button class="square" onclick={() => move(1)} aria-label="{phase.name} later" title="Alt + arrow down"
			>↓</button
		>
		<button class="square" onclick={remove} aria-label="Remove {phase.name}">✕</button>
	</td>
</tr>

<style>
	td {
		padding: 3px 3px;
		vertical-align: top;
	}
	.clock {
		font-size: 14px;
		padding-top: 10px;
		color: var(--soft);
	}
	.number {
		width: 66px;
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
	:global(.typed input) {
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
		width: 330px;
		font-size: 14px;
		box-shadow: 0 8px 24px rgb(27 42 39 / 0.18);
	}
	.marks label {
		display: block;
	}
</style>
