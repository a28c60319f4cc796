<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { holdsWithoutOver, type Finding } from '$lib/core/plan/findings';
	import { reason } from '$lib/core/plan/reasons';
	import { personOf } from '$lib/core/plan/person';
	import { courseOf, type PlannedPhase } from '$lib/core/plan/plan';
	import { clo, clock, duration, longDate, shortName, verdictSentence, verdictTag } from '$lib/formats/words';
	import { tempWords, textInUnits } from '$lib/formats/units';
	import BodyStrip from '$lib/ui/BodyStrip.svelte';
	import Ladder from '$lib/ui/Ladder.svelte';
	import PlanDrawing from '$lib/ui/PlanDrawing.svelte';
	import VerdictTag from '$lib/ui/VerdictTag.svelte';
	import { columnWidths } from '$lib/ui/plan-columns';
	import { readerUnits } from '$lib/ui/reader-units';
	import { why } from '$lib/ui/why.svelte';

	let { data } = $props();

	const units = $derived(readerUnits());
	const degrees = (tempC: number): string => tempWords(tempC, units);
	/** The same page with another day, weather or course of the day. */
	function address(change: { day?: number; weather?: string; foul?: boolean; client?: string }): string {
		const day = change.day ?? data.day;
		const foul = change.foul ?? (change.day === undefined && data.foul);
		const weather = change.weather ?? data.weather.id;
		const query = [
			`day=${day + 1}`,
			...(weather === data.trip.weathers[0]!.id ? [] : [`weather=${weather}`]),
			...(foul ? ['foul=1'] : [])
		];
		return `/trips/${data.trip.id}/plan/${change.client ?? data.client.id}?${query.join('&')}`;
	}
	const hasFoul = $derived(Boolean(data.trip.stages[data.day]?.foul));

	const GUTTER = 118;
	let width = $state(1228);
	const phases = $derived(data.planned?.phases ?? []);
	const course = $derived(courseOf(phases, data.client));
	const names = $derived(new Map(data.client.things.map((thing) => [thing.id, shortName(thing.name)])));
	const widths = $derived(columnWidths(phases, width - GUTTER - 2));
	const findings = $derived(data.planned?.findings ?? []);
	const first = $derived(data.client.name.split(' ')[0]!);
	const KIND = { blocker: 'must be solved', warning: 'look at it', note: 'note' } as const;

	function whyVerdict(phase: PlannedPhase): void {
		const { band } = phase;
		const without = holdsWithoutOver(phase, personOf(data.client));
		why.open({
			title: `${phase.cell.name}: ${verdictTag(phase)}`,
			sentence: verdictSentence(phase, first),
			lines: [
				...(phase.drawn.length > 0
					? [{ label: 'Worn, in this wind and movement', text: `${clo(phase.resultantClo)} clo` }]
					: []),
				...(phase.tooWarmAboveClo !== null
					? [{ label: 'Too warm here from', text: `${clo(phase.tooWarmAboveClo)} clo` }]
					: []),
				...(band
					? [
							{ label: `Holds these ${phase.cell.minutes} min from`, text: `${clo(band.holdClo)} clo` },
							{ label: 'Comfortable from', text: `${clo(band.needClo)} clo` },
							{ label: 'For good, slightly cool', text: `${clo(band.steadyMinClo)} clo` },
							{
								label: 'Holds for',
								text: phase.holdsMinutes === null ? 'no limit' : `${phase.holdsMinutes} min`
							},
							...(without
								? [
										{
											label: `The body without ${without.names.map(shortName).join(', ')}`,
											text:
												without.minutes === null
													? 'holds as well'
													: `holds ${without.minutes} of ${phase.cell.minutes} min`
										}
									]
								: [])
						]
					: [])
			],
			reasons: band
				? [
						...phase.reasons,
						reason('band', [['minutes', phase.cell.minutes, 'min']]),
						reason('supply', [
							['worn', phase.resultantClo, 'clo'],
							['air past the body', phase.cell.airVelocityMs, 'm/s']
						]),
						reason('effort', [['effort', phase.cell.metabolicWm2, 'W/m²']])
					]
				: phase.reasons
		});
	}
	function whyFelt({ cell }: PlannedPhase): void {
		why.open({
			title: `${cell.name}: ${Math.round(cell.airTempC)} °C, feels like ${Math.round(cell.feltTempC)} °C`,
			sentence: `${Math.round(cell.airVelocityMs * 10) / 10} m/s of air past the body, effort ${Math.round(cell.metabolicWm2)} W/m².`,
			reasons: [
				cell.reasons.airTempC,
				cell.reasons.wind,
				cell.reasons.feltTempC,
				cell.reasons.wet,
				cell.reasons.altitude,
				cell.reasons.effort
			]
		});
	}
	const whyFinding = (finding: Finding): void =>
		why.open({ title: KIND[finding.severity], sentence: finding.message, reasons: finding.reasons });
</script>

<svelte:head><title>{data.client.name}, layer plan · Snug Summit</title></svelte:head>

<div class="head">
	<div>
		<h1>{data.client.name}</h1>
		<p class="soft">
			<a href="/trips/{data.trip.id}">{data.trip.name}</a>{data.trip.place ? ` · ${data.trip.place}` : ''}
		</p>
	</div>
	<nav class="no-print" aria-label="Clients of the trip">
		{#each data.others as other (other.id)}
			<a href={address({ client: other.id })} aria-current={other.id === data.client.id ? 'page' : undefined}
				>{other.name}</a
			>
		{/each}
	</nav>
	<p class="links no-print">
		<a href="/clients/{data.client.id}">Kit</a>
		<a href="/trips/{data.trip.id}/list/{data.client.id}">List to print</a>
	</p>
</div>

<nav class="days no-print" aria-label="Days">
	{#each data.trip.stages as stage, i (stage.id)}
		<a href={address({ day: i })} aria-current={i === data.day ? 'page' : undefined}
			><span class="tiny">{longDate(stage.date)}</span> {stage.name}</a
		>
	{/each}
</nav>
<div class="switches no-print">
	<nav class="switch" aria-label="Weather">
		{#each data.trip.weathers as weather (weather.id)}
			<a
				href={address({ weather: weather.id })}
				aria-current={weather.id === data.weather.id ? 'true' : undefined}>{weather.name}</a
			>
		{/each}
	</nav>
	{#if hasFoul}
		<nav class="switch" aria-label="Course of the day">
			<a href={address({ foul: false })} aria-current={data.foul ? undefined : 'true'}>As planned</a>
			<a href={address({ foul: true })} aria-current={data.foul ? 'true' : undefined}>In foul weather</a>
		</nav>
	{/if}
	<p class="small soft">{textInUnits(data.weather.meaning, units)}</p>
</div>

{#if !data.planned || phases.length === 0}
	<p class="empty">
		There is nothing to plan yet. <a href="/trips/{data.trip.id}">Add the day and its phases</a>.
	</p>
{:else if data.client.things.length === 0}
	<p class="empty">
		Nothing is known of {first}’s kit. <a href="/clients/{data.client.id}">Ask what {first} owns</a>, and the
		plan draws itself.
	</p>
{:else}
	{#if findings.length > 0}
		<ul class="findings" aria-label="What to say to {first}">
			{#each findings as finding, i (i)}
				<li class={finding.severity}>
					<button class="quiet" onclick={() => whyFinding(finding)}
						><span class="tiny">{KIND[finding.severity]}</span>{textInUnits(finding.message, units)}</button
					>
				</li>
			{/each}
		</ul>
	{:else}
		<p class="fine">Nothing to remark on this day with what {first} has.</p>
	{/if}

	<div class="scroll" bind:clientWidth={width}>
		<div class="columns" style:padding-left="{GUTTER}px">
			{#each phases as phase, k (k)}
				<div class="column" style:width="{widths[k]}px">
					<p class="tiny soft time">
						<span>{duration(phase.cell.minutes)}</span><span>{clock(phase.cell.startMin)}</span>
					</p>
					<p class="name">{phase.cell.name}{phase.cell.round > 1 ? ` ${phase.cell.round}` : ''}</p>
					<button
						class="temp"
						onclick={() => whyFelt(phase)}
						aria-label="{phase.cell.name}: {degrees(phase.cell.airTempC)}, feels like {degrees(
							phase.cell.feltTempC
						)}. Why?"
					>
						{degrees(phase.cell.airTempC)}
						{#if Math.round(phase.cell.feltTempC) !== Math.round(phase.cell.airTempC)}<span class="tiny"
								>feels {degrees(phase.cell.feltTempC)}</span
							>{/if}
					</button>
					<button
						class="verdict"
						onclick={() => whyVerdict(phase)}
						aria-label="{phase.cell.name}: {verdictSentence(phase, first)} Why?"
					>
						<VerdictTag verdict={phase.verdict} text={verdictTag(phase)} indicative={phase.indicative} />
					</button>
				</div>
			{/each}
		</div>
		<div class="drawing">
			<div class="legend tiny" style:width="{GUTTER}px">
				<span class="key hold">holds these minutes</span>
				<span class="key need">comfortable</span>
				<span class="key sweat">sweating starts</span>
				<span class="key cloth tone-skin">next to skin</span>
				<span class="key cloth tone-warmth">warmth</span>
				<span class="key cloth tone-weather">wind and wet</span>
				<span class="key cloth tone-over">over everything</span>
			</div>
			<PlanDrawing {phases} {widths} {names} clientName={first} />
		</div>
		{#if course.minutes.length > 0}
			<BodyStrip
				{course}
				{phases}
				{widths}
				gutter={GUTTER}
				holdWhm2={personOf(data.client).marks.holdWhm2}
				nameOf={(id) => names.get(id) ?? id}
			/>
		{/if}
		<Ladder {phases} {widths} {names} gutter={GUTTER} />
	</div>
	<p class="tiny soft note">
		A plan is advice for a guide who is there: local rules, the guide and, for health, a doctor come first.
		{data.planned.proven
			? 'Chosen from every legal outfit of this kit.'
			: 'Not every outfit was searched: the kit is large, or rounds of a long loop are dressed alike.'}
		<button class="quiet no-print" onclick={() => invalidateAll()}>Work it out again</button>
	</p>
{/if}

<style>
	.head {
		display: flex;
		gap: 30px;
		align-items: end;
		flex-wrap: wrap;
	}
	.head nav {
		display: flex;
		gap: 4px;
	}
	.head nav a,
	.days a {
		text-decoration: none;
		padding: 3px 10px 4px;
		border-bottom: 3px solid transparent;
	}
	.head nav a[aria-current],
	.days a[aria-current] {
		border-bottom-color: var(--ink);
		font-weight: 600;
	}
	.links {
		margin-left: auto;
		display: flex;
		gap: 18px;
	}
	.days {
		display: flex;
		flex-wrap: wrap;
		gap: 4px;
		margin: 8px 0 10px -10px;
	}
	.days .tiny {
		color: var(--soft);
		margin-right: 5px;
		font-weight: 400;
	}
	.switches {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 16px;
		align-items: center;
		margin-bottom: 12px;
	}
	.switch {
		display: flex;
		border: 1px solid var(--ink);
		border-radius: 3px;
	}
	.switch a {
		text-decoration: none;
		padding: 3px 12px;
	}
	.switch a + a {
		border-left: 1px solid var(--ink);
	}
	.switch a[aria-current] {
		background: var(--ink);
		color: var(--sheet);
	}
	.findings {
		columns: 2;
		column-gap: 26px;
		margin-bottom: 14px;
	}
	.findings li {
		break-inside: avoid;
		border-left: 5px solid var(--rule-strong);
		margin-bottom: 4px;
		background: var(--sheet);
	}
	.findings .blocker {
		border-left-color: var(--v-short);
	}
	.findings .warning {
		border-left: 5px double var(--v-warm);
	}
	.findings .quiet {
		text-align: left;
		text-decoration: none;
		font-size: 15px;
		line-height: 1.3;
		padding: 4px 10px;
	}
	.findings .quiet:hover {
		text-decoration: underline;
	}
	.findings .tiny {
		color: var(--soft);
		margin-right: 8px;
		white-space: nowrap;
	}
	.fine {
		border-left: 5px solid var(--v-right);
		padding: 4px 12px;
		margin-bottom: 14px;
		background: var(--sheet);
	}
	.scroll {
		overflow-x: auto;
		position: relative;
	}
	.columns {
		display: flex;
		align-items: stretch;
	}
	.column {
		flex: none;
		padding: 0 4px 6px 5px;
		display: flex;
		flex-direction: column;
		gap: 2px;
		border-left: 1px solid var(--rule);
	}
	.time {
		display: flex;
		flex-wrap: wrap;
		column-gap: 8px;
		height: 18px;
		overflow: hidden;
	}
	.name {
		font-weight: 600;
		font-size: 13.5px;
		line-height: 1.15;
		flex: 1;
		overflow-wrap: break-word;
		hyphens: auto;
	}
	.temp {
		font-size: 20px;
		font-weight: 700;
		line-height: 1.05;
		text-align: left;
		cursor: pointer;
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		column-gap: 5px;
	}
	.temp .tiny {
		color: var(--soft);
		font-weight: 400;
	}
	.temp:hover {
		text-decoration: underline;
	}
	.verdict {
		text-align: left;
		cursor: pointer;
		min-height: 22px;
	}
	.drawing {
		display: flex;
		border-top: 2px solid var(--ink);
	}
	.legend {
		flex: none;
		display: flex;
		flex-direction: column;
		justify-content: end;
		gap: 4px;
		padding: 0 6px 8px 0;
		line-height: 1.1;
	}
	.key {
		display: grid;
		grid-template-columns: 20px 1fr;
		gap: 6px;
		align-items: center;
	}
	.key::before {
		content: '';
		height: 0;
		border-top: 4px solid var(--ink);
	}
	.need::before {
		border-top-width: 1.4px;
	}
	.sweat::before {
		border-top: 2px dotted var(--ink);
	}
	.cloth::before {
		height: 11px;
		border: 1px solid var(--ink);
		background: var(--tone);
	}
	.empty {
		font-size: 18px;
		padding: 20px 0;
	}
	.note {
		margin-top: 10px;
	}
	@media (max-width: 760px) {
		.findings {
			columns: 1;
		}
	}
</style>
