<script lang="ts">
	import type { DayRemark } from '$lib/core/patterns/day-remarks';
	import { Button, Checkbox } from 'flowbite-svelte';
	import { GROUNDS, TERRAINS, type BaseField, type Stage, type Terrain } from '$lib/core/document/types';
	import { PRECIPITATIONS } from '$lib/core/document/weather';
	import { USUAL_POOL_K } from '$lib/core/weather/stage-air';
	import { ORIGIN_WORDS, PRECIPITATION_WORDS, TERRAIN_WORDS, clock } from '$lib/words/labels';
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { withUnit } from '$lib/words/units';
	import Choice from '../parts/Choice.svelte';
	import NightKnown from './NightKnown.svelte';
	import Explained from '../parts/Explained.svelte';
	import Field from '../parts/Field.svelte';
	import { readerUnits } from '../parts/reader-units';
	import { clockFrom } from './clock-typed';

	interface Props {
		stage: Stage;
		/** what looks like a slip, at its field */
		remarks: Partial<Record<DayRemark['field'], string>>;
		/** where its fields are in the document, for the errors */
		path: string;
		errors: Record<string, string>;
		onchange: (key?: string) => void;
		/** whose bed is shown: the stage's, or that of its foul-weather variant */
		foul: boolean;
	}
	let { stage = $bindable(), remarks, path, errors, onchange, foul }: Props = $props();

	const error = (field: string): string | undefined => errors[`${path}.${field}`];
	/** Where a figure came from, in a word or two; its reason says the rest. */
	const note = (field: BaseField): string => ORIGIN_WORDS[stage.origins[field]?.from ?? 'typed'];

	/** What is typed comes from the planner from now on. */
	function typed(field: BaseField): void {
		delete stage.origins[field];
		onchange(`${stage.id} ${field}`);
	}
	function setInversion(on: boolean): void {
		stage.base.inversion = on ? { topM: stage.base.altitudeM + 400, warmerAtTopK: USUAL_POOL_K } : null;
		typed('inversion');
	}
	function addSpell(): void {
		const last = stage.base.wetSpells.at(-1);
		const fromMin = Math.min(last?.toMin ?? 9 * 60, 23 * 60);
		stage.base.wetSpells.push({
			fromMin,
			toMin: Math.min(1440, fromMin + 180),
			kind: last?.kind ?? (stage.base.highTempC < 0 ? 'dry-snow' : 'rain')
		});
		typed('wetSpells');
	}
	function addHeight(): void {
		const { base, route } = stage;
		const altitudeM = base.heights.some((height) => height.altitudeM === route.highM)
			? base.altitudeM + 500 * (base.heights.length + 1)
			: route.highM;
		const colderK = (base.lapseKPerKm * (altitudeM - base.altitudeM)) / 1000;
		base.heights.push({
			altitudeM,
			lowTempC: Math.round(base.lowTempC - colderK),
			highTempC: Math.round(base.highTempC - colderK),
			wind10mKmh: base.wind10mKmh
		});
		typed('heights');
	}
	function toggleTerrain(terrain: Terrain): void {
		stage.terrain = stage.terrain.includes(terrain)
			? stage.terrain.filter((one) => one !== terrain)
			: [...stage.terrain, terrain];
		onchange();
	}
	const ROUTE = { startM: 'Start', highM: 'High point', lowM: 'Low point', bedM: 'Bed' } as const;
	const endClock = (minutes: number): string => (minutes === 1440 ? '24:00' : clock(minutes));
</script>

{#snippet air(field: 'lowTempC' | 'highTempC', label: string)}
	<Field
		id="base-{field}"
		type="number"
		{label}
		quantity="temp"
		note={note(field)}
		bind:value={stage.base[field]}
		error={error(`base.${field}`)}
		onchange={() => typed(field)}
	/>
{/snippet}

<div class="known">
	<fieldset class="way">
		<legend>The way</legend>
		{#each Object.entries(ROUTE) as [key, label] (key)}
			<Field
				id="route-{key}"
				type="number"
				{label}
				quantity="height"
				bind:value={stage.route[key as keyof typeof ROUTE]}
				error={error(`route.${key}`)}
				note={remarks[key as 'highM']}
				onchange={() => onchange(`${stage.id} ${key}`)}
			/>
		{/each}
		<Choice
			id="base-ground"
			label="Underfoot"
			bind:value={stage.base.ground}
			options={GROUNDS}
			onchange={() => typed('ground')}
		/>
		<div class="marks" role="group" aria-label="It goes through">
			{#each TERRAINS as terrain (terrain)}
				<Checkbox checked={stage.terrain.includes(terrain)} onchange={() => toggleTerrain(terrain)}
					>{TERRAIN_WORDS[terrain]}</Checkbox
				>
			{/each}
		</div>
	</fieldset>

	<fieldset class="air">
		<legend>The air</legend>
		{@render air('lowTempC', 'Low at dawn')}
		{@render air('highTempC', 'High by day')}
		<Field
			id="base-alt"
			type="number"
			label="both hold at"
			quantity="height"
			note={note('altitudeM')}
			bind:value={stage.base.altitudeM}
			error={error('base.altitudeM')}
			onchange={() => typed('altitudeM')}
		/>
		<Field
			id="base-wind"
			type="number"
			label="Wind at 10 m"
			quantity="speed"
			note={note('wind10mKmh')}
			bind:value={stage.base.wind10mKmh}
			error={error('base.wind10mKmh')}
			onchange={() => typed('wind10mKmh')}
		/>
		<Field
			id="base-rh"
			type="number"
			label="Humidity"
			unit="%"
			note={note('humidityPct')}
			bind:value={stage.base.humidityPct}
			error={error('base.humidityPct')}
			onchange={() => typed('humidityPct')}
		/>
		<Field
			id="base-lapse"
			type="number"
			label="Lapse"
			quantity="lapse"
			meaning={pictureMessage('explain.lapse', { usual: withUnit('lapse', 6.5, readerUnits(), 1) })}
			note={note('lapseKPerKm')}
			bind:value={stage.base.lapseKPerKm}
			error={error('base.lapseKPerKm')}
			onchange={() => typed('lapseKPerKm')}
		/>
		<div class="wide rows">
			<Explained id="inversion" text={pictureMessage('explain.inversion')}>
				<Checkbox
					checked={stage.base.inversion !== null}
					aria-describedby="inversion-meaning"
					onchange={(event) => setInversion(event.currentTarget.checked)}>inversion morning</Checkbox
				>
			</Explained>
			{#if stage.base.inversion}
				<Field
					id="inversion-top"
					type="number"
					label="top of the cold pool"
					quantity="height"
					bind:value={stage.base.inversion.topM}
					error={error('base.inversion.topM')}
					onchange={() => typed('inversion')}
				/>
				<Field
					id="inversion-warmer"
					type="number"
					label="warmer there by"
					quantity="difference"
					bind:value={stage.base.inversion.warmerAtTopK}
					error={error('base.inversion.warmerAtTopK')}
					onchange={() => typed('inversion')}
				/>
			{/if}
		</div>
		<div class="wide">
			<p class="tiny soft">
				Rain and snow{stage.base.wetSpells.length > 0
					? ` · ${note('wetSpells')}`
					: ': none'}{#if error('base.wetSpells')}
					<span class="error">{error('base.wetSpells')}</span>{/if}
			</p>
			{#each stage.base.wetSpells as spell, i (i)}
				<div class="rows">
					<Field
						id="wet-{i}-from"
						label="from"
						bind:value={
							() => endClock(spell.fromMin), (text) => (spell.fromMin = clockFrom(text) ?? spell.fromMin)
						}
						error={error(`base.wetSpells.${i}.fromMin`)}
						oncommit={() => typed('wetSpells')}
					/>
					<Field
						id="wet-{i}-to"
						label="to"
						bind:value={() => endClock(spell.toMin), (text) => (spell.toMin = clockFrom(text) ?? spell.toMin)}
						error={error(`base.wetSpells.${i}.toMin`) ?? error(`base.wetSpells.${i}`)}
						oncommit={() => typed('wetSpells')}
					/>
					<Choice
						id="wet-{i}-kind"
						label="kind"
						bind:value={spell.kind}
						options={PRECIPITATIONS.filter((kind) => kind !== 'dry')}
						words={PRECIPITATION_WORDS}
						onchange={() => typed('wetSpells')}
					/>
					<Button
						class="square"
						aria-label="Take these hours out"
						onclick={() => {
							stage.base.wetSpells.splice(i, 1);
							typed('wetSpells');
						}}>✕</Button
					>
				</div>
			{/each}
			<Button class="quiet small" onclick={addSpell}>+ hours of rain or snow</Button>
			<Button class="quiet small" onclick={addHeight}>+ forecast for another height</Button>
			{#each stage.base.heights as height, i (i)}
				<div class="rows">
					<Field
						id="height-{i}"
						type="number"
						label="at"
						quantity="height"
						bind:value={height.altitudeM}
						error={error(`base.heights.${i}.altitudeM`) ?? error(`base.heights.${i}`)}
						onchange={() => typed('heights')}
					/>
					<Field
						id="height-{i}-low"
						type="number"
						label="low"
						quantity="temp"
						bind:value={height.lowTempC}
						error={error(`base.heights.${i}.lowTempC`)}
						onchange={() => typed('heights')}
					/>
					<Field
						id="height-{i}-high"
						type="number"
						label="high"
						quantity="temp"
						bind:value={height.highTempC}
						error={error(`base.heights.${i}.highTempC`)}
						onchange={() => typed('heights')}
					/>
					<Field
						id="height-{i}-wind"
						type="number"
						label="wind"
						quantity="speed"
						bind:value={
							() => height.wind10mKmh ?? undefined, (value) => (height.wind10mKmh = (value as number) ?? null)
						}
						error={error(`base.heights.${i}.wind10mKmh`)}
						onchange={() => typed('heights')}
					/>
					<Button
						class="square"
						aria-label="Take this height out"
						onclick={() => {
							stage.base.heights.splice(i, 1);
							typed('heights');
						}}>✕</Button
					>
				</div>
			{/each}
			{#if error('base')}<p class="error">{error('base')}</p>{/if}
		</div>
	</fieldset>

	<NightKnown bind:stage {error} {foul} {onchange} />
</div>

<style>
	.known {
		display: grid;
		grid-template-columns: minmax(0, 1fr) minmax(0, 1.25fr) minmax(0, 0.8fr);
		gap: 14px 28px;
		padding: 10px 0 14px;
		border-bottom: 1px solid var(--rule);
	}
	fieldset {
		display: grid;
		gap: 8px 10px;
		align-content: start;
		min-width: 0;
	}
	.way {
		grid-template-columns: repeat(4, minmax(0, 1fr));
	}
	.air {
		grid-template-columns: repeat(3, minmax(0, 1fr));
	}
	legend {
		font-family: var(--font-head);
		font-size: 16px;
		margin-bottom: 4px;
	}
	.way > :global(:nth-child(6)) {
		grid-column: span 1;
	}
	.marks {
		grid-column: span 3;
		display: flex;
		flex-wrap: wrap;
		gap: 2px 14px;
		align-content: center;
		font-size: 14px;
	}
	.wide {
		grid-column: 1 / -1;
	}
	.rows {
		display: flex;
		gap: 8px;
		align-items: end;
		margin-top: 3px;
	}
	.rows > :global(.field),
	.rows > :global(div) {
		flex: 1;
		min-width: 0;
	}
	.error {
		color: var(--v-short);
		font-size: 13px;
		font-weight: 600;
	}
	@media (max-width: 1000px) {
		.known {
			grid-template-columns: minmax(0, 1fr);
		}
	}
	@media (max-width: 520px) {
		.way {
			grid-template-columns: repeat(2, minmax(0, 1fr));
		}
		.marks {
			grid-column: span 2;
		}
		.rows {
			flex-wrap: wrap;
		}
	}
</style>
