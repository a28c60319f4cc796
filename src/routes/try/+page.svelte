<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { Button, Checkbox, Input, Range } from 'flowbite-svelte';
	import { replaceState } from '$app/navigation';
	import { page } from '$app/state';
	import { onMount } from 'svelte';
	import { CATALOGUE } from '$lib/core/cloth/catalogue';
	import { groupName, typeName } from '$lib/words/garments';
	import { kitHits } from '$lib/words/kit-search/kit-search';
	import { CATALOGUE_GROUPS } from '$lib/core/cloth/catalogue-rows';
	import { PRECIPITATIONS } from '$lib/core/document/weather';
	import { personOf } from '$lib/core/conditions/person';
	import { tryIt, type Tried, TRIED_PERSONS, type TriedPerson } from '$lib/core/plan/told/try-it';
	import { FIRST_TRY, TRY_DAYS, TRY_PLACES, type TryDay, triedFrom, tryQuery } from '$lib/formats/try-link';
	import { tempWords, withUnit } from '$lib/words/units';
	import {
		PLACE_WORDS,
		PRECIPITATION_WORDS,
		clo,
		shortName,
		verdictSentence,
		verdictTag
	} from '$lib/words/labels';

	import DressedFigure from '$lib/ui/figure/DressedFigure.svelte';
	import BodyStrip from '$lib/ui/plan/drawing/BodyStrip.svelte';
	import PlanDrawing from '$lib/ui/plan/drawing/PlanDrawing.svelte';
	import Choice from '$lib/ui/parts/Choice.svelte';
	import VerdictTag from '$lib/ui/parts/VerdictTag.svelte';
	import { columnWidths } from '$lib/ui/plan/drawing/plan-columns';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import { toneOf } from '$lib/ui/parts/tone';
	import { why } from '$lib/ui/parts/why.svelte';
	import { reason } from '$lib/core/document/reasons';
	import type { PlannedPhase } from '$lib/core/kit/planned-day';

	const units = $derived(readerUnits());
	let tried = $state<Tried>(triedFrom(page.url.searchParams));
	const seen = $derived(tryIt(tried, typeName));
	const phases = $derived(seen.planned.phases);
	/** Short where that is enough to tell things apart. */
	const times = CATALOGUE.reduce((count, { id }) => {
		const short = shortName(typeName(id));
		return count.set(short, (count.get(short) ?? 0) + 1);
	}, new Map<string, number>());
	const nameOf = (name: string): string => (times.get(shortName(name)) === 1 ? shortName(name) : name);
	const names = $derived(new Map(seen.client.things.map(({ id, name }) => [id, nameOf(name)])));
	const GUTTER = 124;
	let width = $state(700);
	const widths = $derived(columnWidths(phases, width - GUTTER - 2));
	const last = $derived(phases.at(-1)!);
	let figureWidth = $state(400);
	const dayKeys = Object.keys(TRY_DAYS) as TryDay[];
	/** Whether weather and work are as on a day. */
	const isDay = (day: TryDay): boolean =>
		Object.entries(TRY_DAYS[day]).every(([key, value]) => tried[key as keyof Tried] === value);
	const personWords = Object.fromEntries(
		TRIED_PERSONS.map((person) => [
			person,
			pictureMessage(`try.person.${person.replace(' ', '-')}` as 'try.person.usual')
		])
	) as Record<TriedPerson, string>;

	let ready = false;
	onMount(() => void (ready = true));
	let waiting: ReturnType<typeof setTimeout> | undefined;
	// The link keeps the state: a moment after the last move, so that a slider does not write history.
	$effect(() => {
		const query = tryQuery(tried);
		if (!ready) return;
		clearTimeout(waiting);
		waiting = setTimeout(() => replaceState(`/try?${query}`, {}), 250);
	});

	let words = $state('');
	const groups = CATALOGUE_GROUPS.filter((group) => group !== 'other' && group !== 'sleep');
	const found = $derived(new Set(kitHits(words).map(({ type }) => type.id)));
	const fitting = $derived(CATALOGUE.filter(({ id }) => tried.typeIds.includes(id) || found.has(id)));
	/** What most people own; the rest is found by typing. */
	const USUAL = new Set(['briefs', 'top-wool-light', 'top-wool-mid', 'tshirt-cotton', 'fleece-thin', 'fleece', 'jacket-down-light', 'soft-shell', 'rain-shell', 'hard-shell', 'coat-synthetic', 'coat-down', 'bottoms-wool', 'trousers-trek', 'jeans', 'trousers-soft-shell', 'trousers-hard-shell', 'overtrousers-warm', 'sock-mid', 'sock-heavy', 'boot-hiking', 'boot-winter', 'shoe-trail', 'glove-liner', 'glove-light', 'glove-winter', 'mitten', 'cap-thin', 'hat-warm', 'neck-tube', 'sunglasses']); // prettier-ignore
	const shown = $derived(CATALOGUE.filter((type) => USUAL.has(type.id) || fitting.includes(type)));
	function toggle(id: string): void {
		tried.typeIds = tried.typeIds.includes(id)
			? tried.typeIds.filter((one) => one !== id)
			: [...tried.typeIds, id];
	}
	const EFFORT_WORDS = (effort: number): string =>
		effort < 80
			? 'standing, sitting'
			: effort < 110
				? 'fiddling, belaying'
				: effort < 165
					? 'strolling'
					: effort < 215
						? 'level walk'
						: effort < 255
							? 'with a day pack'
							: 'uphill';
	function whyVerdict(phase: PlannedPhase): void {
		why.open({
			title: `${phase.cell.name}: ${verdictTag(phase)}`,
			sentence: verdictSentence(phase, 'whoever wears this'),
			lines: [{ label: 'Worn, in this wind and movement', text: `${clo(phase.resultantClo)} clo` }],
			reasons: [...phase.reasons, reason('band', [['minutes', phase.cell.minutes, 'min']])]
		});
	}
	const local = (which: 'fingers' | 'toes'): string => {
		const { endC, holdsMinutes } = last[which];
		return `${withUnit('temp', endC, units, 0)} at the end${holdsMinutes === null ? '' : `, below ${withUnit('temp', 15, units, 0)} after ${Math.round(holdsMinutes)} min`}`;
	};
</script>

<svelte:head><title>Try it · Snug Summit</title></svelte:head>

<h1>Try it</h1>
<p class="soft">Start from a day, dress somebody for it, and see at once what holds. The address keeps it.</p>
<div class="days" role="group" aria-label="Start from a day">
	{#each dayKeys as day (day)}
		<Button
			class="small-button"
			aria-pressed={isDay(day)}
			onclick={() => (tried = { ...tried, ...TRY_DAYS[day] })}>{pictureMessage(`try.day.${day}`)}</Button
		>
	{/each}
</div>

<div class="bench">
	<form class="dials" aria-label="Weather and work" onsubmit={(event) => event.preventDefault()}>
		<Choice
			id="try-person"
			label="Worn by"
			bind:value={tried.person}
			options={TRIED_PERSONS}
			words={personWords}
		/>
		<label>
			<span>Air <strong>{tempWords(tried.airTempC, units)}</strong></span>
			<Range
				min={-40}
				max={30}
				step={1}
				bind:value={tried.airTempC}
				aria-valuetext={tempWords(tried.airTempC, units)}
			/>
		</label>
		<label>
			<span>Wind <strong>{withUnit('speed', tried.wind10mKmh, units, 0)}</strong></span>
			<Range
				min={0}
				max={100}
				step={2}
				bind:value={tried.wind10mKmh}
				aria-valuetext={withUnit('speed', tried.wind10mKmh, units, 0)}
			/>
		</label>
		<label>
			<span>Work <strong>{EFFORT_WORDS(tried.effortWm2)}</strong></span>
			<Range
				min={65}
				max={290}
				step={5}
				bind:value={tried.effortWm2}
				aria-valuetext={EFFORT_WORDS(tried.effortWm2)}
			/>
		</label>
		<label>
			<span>For <strong>{tried.minutes} min</strong></span>
			<Range min={5} max={240} step={5} bind:value={tried.minutes} />
		</label>
		<Choice
			id="try-falls"
			label="Falls"
			bind:value={tried.precipitation}
			options={PRECIPITATIONS}
			words={PRECIPITATION_WORDS}
		/>
		<Choice id="try-place" label="Where" bind:value={tried.place} options={TRY_PLACES} words={PLACE_WORDS} />
		<Checkbox bind:checked={tried.afterClimb}>after an hour uphill in the same clothes</Checkbox>
		<Button class="quiet small" onclick={() => (tried = { ...FIRST_TRY })}>Begin anew</Button>
	</form>
	<div class="dressed" bind:clientWidth={figureWidth}>
		<DressedFigure
			phase={last}
			nameOf={(id) => names.get(id) ?? id}
			who="Whoever wears this"
			height={400}
			width={Math.max(300, figureWidth)}
			id="try"
		/>
	</div>
	<div class="result">
		<p class="verdicts">
			{#each phases as phase, k (k)}
				<Button
					class="verdict"
					onclick={() => whyVerdict(phase)}
					aria-label="{phase.cell.name}: {verdictSentence(phase, 'whoever wears this')} Why?"
				>
					<strong>{phase.cell.name}</strong>
					<VerdictTag verdict={phase.verdict} text={verdictTag(phase)} indicative={phase.indicative} />
				</Button>
			{/each}
		</p>
		<p role="status" aria-label="What holds">
			{verdictSentence(last, 'whoever wears this')} Feels like {tempWords(last.cell.feltTempC, units)}.
		</p>
		<div bind:clientWidth={width} class="drawing">
			<PlanDrawing
				{phases}
				{widths}
				{names}
				gutter={GUTTER}
				clientName="whoever wears this"
				height={230}
				shown={null}
				onpoint={() => undefined}
			/>
			{#if seen.course.minutes.length > 0}
				<BodyStrip
					who="whoever wears this"
					course={seen.course}
					{phases}
					{widths}
					gutter={GUTTER}
					holdWhm2={personOf(seen.client).marks.holdWhm2}
					nameOf={(id) => names.get(id) ?? id}
				/>
			{/if}
		</div>
		<dl class="ends">
			<dt>Fingers</dt>
			<dd>{local('fingers')}</dd>
			<dt>Toes</dt>
			<dd>{local('toes')}</dd>
		</dl>
	</div>
</div>

<section aria-label="Clothes">
	<div class="find">
		<label for="more-clothes">More clothes</label>
		<Input id="more-clothes" type="search" bind:value={words} placeholder="poncho, ski jacket, jeans" />
	</div>
	{#each groups as group (group)}
		<div class="group" role="group" aria-label={groupName(group)}>
			<span class="soft small">{groupName(group)}</span>
			{#each shown.filter((type) => type.group === group) as type (type.id)}
				<Button
					class="chip tone-{toneOf({
						cloth: { functions: type.properties.functions },
						position: type.properties.positions[1]
					})}"
					aria-pressed={tried.typeIds.includes(type.id)}
					onclick={() => toggle(type.id)}>{nameOf(typeName(type.id))}</Button
				>
			{/each}
		</div>
	{/each}
</section>
<p class="tiny soft">
	Advice for somebody who is there, by the same figures as every plan: local rules, the guide and, for health,
	a doctor come first.
</p>

<style>
	.bench {
		display: grid;
		grid-template-columns: 240px minmax(300px, 1fr) minmax(0, 1.15fr);
		gap: 24px;
		margin: 14px 0;
	}
	.days {
		display: flex;
		flex-wrap: wrap;
		gap: 6px;
		margin-top: 8px;
	}
	.dressed {
		min-width: 0;
		overflow: hidden;
	}
	.dials {
		display: grid;
		gap: 10px;
		align-content: start;
	}
	.dials label {
		display: grid;
		gap: 2px;
	}
	.verdicts {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 22px;
	}
	:global(.button.verdict) {
		cursor: pointer;
		display: flex;
		gap: 8px;
		align-items: center;
	}
	.drawing {
		margin-top: 8px;
		overflow: hidden;
	}
	.ends {
		display: grid;
		grid-template-columns: 70px 1fr;
		gap: 2px 10px;
		margin-top: 6px;
	}
	dt {
		color: var(--soft);
	}
	.group {
		display: flex;
		flex-wrap: wrap;
		gap: 5px;
		align-items: baseline;
		border-top: 1px solid var(--rule);
		padding: 6px 0;
	}
	.group > .soft {
		width: 110px;
	}
	:global(.button.chip) {
		border: 1px solid var(--rule-strong);
		border-left: 6px solid var(--tone);
		padding: 3px 9px;
		font-size: 15px;
		cursor: pointer;
		background: transparent;
	}
	:global(.button.chip[aria-pressed='true']) {
		background: var(--tone);
		color: var(--on-tone);
		border-color: var(--ink);
		font-weight: 600;
	}
	.find {
		display: flex;
		gap: 10px;
		align-items: center;
		max-width: 460px;
		margin-bottom: 8px;
		white-space: nowrap;
	}
	@media (max-width: 1100px) {
		.bench {
			grid-template-columns: 240px minmax(0, 1fr);
		}
		.dressed {
			grid-column: 1 / -1;
			order: 2;
		}
	}
	@media (max-width: 760px) {
		.bench {
			grid-template-columns: minmax(0, 1fr);
		}
		.result {
			order: -1;
			position: sticky;
			top: 0;
			background: var(--paper);
			z-index: 3;
			border-bottom: 2px solid var(--ink);
			padding-bottom: 6px;
		}
		:global(.button.chip) {
			font-size: 16px;
			padding: 8px 12px;
		}
		.group > .soft {
			width: 100%;
		}
	}
</style>
