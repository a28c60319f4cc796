<script lang="ts">
	import { onDestroy, untrack } from 'svelte';
	import { clothOf, wearableThings } from '$lib/core/cloth/things';
	import { holdsWithoutOver, type Finding } from '$lib/core/plan/findings';
	import { reason } from '$lib/core/plan/reasons';
	import { personOf } from '$lib/core/plan/person';
	import { courseOf, type PlannedPhase } from '$lib/core/plan/plan';
	import { isNotAllRight, worstPhase } from '$lib/core/trip/summary';
	import { toldDay, toldWeather } from '$lib/core/trip/told';
	import { SPARE_CHANGES, type Wish } from '$lib/core/trip/wishes';
	import { boundWords, phaseWords, priceSentence, whyNotSentence, whereWords } from '$lib/formats/plan-words';
	import { clo, clock, duration, longDate, shortName, verdictSentence, verdictTag } from '$lib/formats/words';
	import { massWords, tempWords, textInUnits } from '$lib/formats/units';
	import BodyStrip from '$lib/ui/BodyStrip.svelte';
	import Ladder from '$lib/ui/Ladder.svelte';
	import PlanDrawing from '$lib/ui/PlanDrawing.svelte';
	import PlanIf from '$lib/ui/PlanIf.svelte';
	import PlanPhone from '$lib/ui/PlanPhone.svelte';
	import PlanSay from '$lib/ui/PlanSay.svelte';
	import VerdictTag from '$lib/ui/VerdictTag.svelte';
	import WishTray from '$lib/ui/WishTray.svelte';
	import { columnWidths } from '$lib/ui/plan-columns';
	import { PlanSession } from '$lib/ui/plan-session.svelte';
	import { readerUnits } from '$lib/ui/reader-units';
	import { send } from '$lib/ui/send';
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

	const session = new PlanSession();
	onDestroy(() => session.end());
	let wishes = $state.raw<Wish[]>([]);
	let spareChanges = $state(0);
	let version = 0;
	let trouble = $state('');
	const stage = $derived(data.trip.stages[data.day]);
	const hasKit = $derived(data.client.things.length > 0);
	// What a plan is made of; a look at another day or weather is no new question.
	const question = $derived(JSON.stringify([data.trip, data.client]));
	$effect(() => {
		void question;
		untrack(() => {
			({ wishes, spareChanges, version } = data.wished);
			if (!stage || !hasKit) return;
			session.open($state.snapshot(data.trip), $state.snapshot(data.client));
			session.plan(wishes, spareChanges);
		});
	});
	$effect(() => {
		if (stage && session.summary) session.look(stage.id, data.foul);
	});

	let saving: Promise<void> = Promise.resolve();
	/** Plans at once, and keeps what was wished for. */
	function wish(next: Wish[], spare = spareChanges): void {
		const isOtherSetting = spare !== spareChanges;
		wishes = next;
		spareChanges = spare;
		session.trade = isOtherSetting ? session.trade : null;
		session.plan(next, spare);
		const url = `/api/v1/trips/${data.trip.id}/plans/${data.client.id}`;
		saving = saving.then(async () => {
			const answer = await send<{ version: number }>('PUT', url, {
				wishes: next,
				spareChanges: spare,
				version
			});
			trouble = answer.ok ? '' : answer.message;
			if (answer.data) version = answer.data.version;
		});
	}
	function dropOn(event: DragEvent, phase: PlannedPhase): void {
		event.preventDefault();
		const thingId = event.dataTransfer?.getData('text/x-thing');
		if (!thingId || !stage) return;
		const asked: Wish = { kind: 'wear', thingId, stageId: stage.id, phaseId: phase.cell.phaseId };
		wish([...wishes.filter((one) => one.thingId !== thingId || one.kind === 'wear'), asked]);
	}

	const GUTTER = 118;
	let width = $state(1228);
	const planned = $derived(session.days.find((day) => day.weather === data.weather.id) ?? null);
	const phases = $derived(planned?.phases ?? []);
	const course = $derived(courseOf(phases, data.client));
	const names = $derived(new Map(data.client.things.map((thing) => [thing.id, shortName(thing.name)])));
	const nameOf = (id: string): string => names.get(id) ?? id;
	const widths = $derived(columnWidths(phases, width - GUTTER - 2));
	const findings = $derived(planned?.findings ?? []);
	const others = $derived(session.days.filter((day) => day !== planned));
	const first = $derived(data.client.name.split(' ')[0]!);
	const KIND = { blocker: 'must be solved', warning: 'look at it', note: 'note' } as const;

	const kit = $derived(wearableThings(data.client));
	const told = $derived(planned ? toldDay(planned, kit) : { start: null, changes: [] });
	const toldOthers = $derived(
		planned
			? others.map((other) =>
					toldWeather(planned, other, {
						first: data.weather,
						other: data.trip.weathers.find(({ id }) => id === other.weather)!
					})
				)
			: []
	);

	/** Whether this client is all right, in one sentence. */
	const verdict = $derived.by(() => {
		const { summary } = session;
		if (!summary) return null;
		const bad = summary.phases.filter(isNotAllRight);
		const worst = worstPhase(bad);
		if (!worst)
			return { ok: true, text: `${first} is all right on every day, in all weathers that are planned for.` };
		const here = whereWords(worst, data.trip);
		const count = new Set(bad.map(({ stageId, phaseId }) => `${stageId} ${phaseId}`)).size;
		return {
			ok: false,
			text: `${first} is not all right: ${phaseWords(worst)} (${here})${count > 1 ? `, and ${count - 1} more ${count === 2 ? 'phase' : 'phases'}` : ''}.`
		};
	});
	const SPARE_WORDS = ['few changes', 'a change more', 'two more', 'light pack'];
	const massOf = (id: string): number => {
		const thing = data.client.things.find((one) => one.id === id);
		return thing ? clothOf(thing).massG : 0;
	};

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
		<a href="/trips/{data.trip.id}/group">The whole group</a>
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

{#if !stage}
	<p class="empty">
		There is nothing to plan yet. <a href="/trips/{data.trip.id}">Add the day and its phases</a>.
	</p>
{:else if !hasKit}
	<p class="empty">
		Nothing is known of {first}’s kit. <a href="/clients/{data.client.id}">Ask what {first} owns</a>, and the
		plan draws itself.
	</p>
{:else if session.state === 'failed'}
	<p class="empty" role="alert">
		The plan could not be worked out: {session.message}
		<button class="quiet" onclick={() => location.reload()}>Try again</button>
	</p>
{:else}
	<div class="searching no-print" role="status" aria-label="The search">
		{#if session.state === 'working'}
			<progress
				max={Math.max(1, session.progress.total)}
				value={session.progress.done}
				aria-label="Days planned"
			></progress>
			<span>
				{session.progress.task === 'days'
					? `Planning, ${session.progress.done} of ${session.progress.total || '…'} days`
					: session.progress.task === 'weight'
						? 'Making it lighter'
						: 'Making it fit the pack'}
			</span>
			<button class="quiet" onclick={() => session.stop()}>Stop and keep what is there</button>
		{:else if session.summary}
			<span class="soft small"
				>{boundWords(session.summary)} Worked out in {(session.took / 1000).toFixed(1)} s.</span
			>
			<button class="quiet small" onclick={() => session.plan(wishes, spareChanges)}>Work it out again</button
			>
		{/if}
	</div>
{/if}
{#if trouble}<p class="trouble" role="alert">{trouble}</p>{/if}

{#if session.summary && stage && hasKit && planned && phases.length === 0}
	<p class="empty">
		There is nothing to plan yet. <a href="/trips/{data.trip.id}">Add the day and its phases</a>.
	</p>
{:else if session.summary && stage && hasKit && !planned}
	<p class="empty">
		{session.days.length === 0 && session.state === 'done' && session.summary.daysDone < session.summary.days
			? 'This day has no plan yet: the search was stopped before it.'
			: 'Drawing the day …'}
	</p>
{:else if session.summary && planned}
	{#if verdict}
		<p class="all" class:ok={verdict.ok} role="status" aria-label="Is {first} all right?">{verdict.text}</p>
	{/if}
	<p class="print-only">
		{stage ? longDate(stage.date) : ''} · {planned.foul ? 'in foul weather' : stage?.name} · {data.weather
			.name}
	</p>
	<div class="top">
		<PlanSay name={first} start={told.start} changes={told.changes} {nameOf} />
		<section aria-label="What to look at">
			<h2>In other weather</h2>
			<PlanIf others={toldOthers} weathers={data.trip.weathers} {nameOf} />
			<h2>Look at</h2>
			{#if findings.length > 0}
				<ul class="findings" aria-label="What to say to {first}">
					{#each findings as finding, i (i)}
						<li class={finding.severity}>
							<button class="quiet" onclick={() => whyFinding(finding)}
								><span class="tiny">{KIND[finding.severity]}</span>{textInUnits(
									finding.message,
									units
								)}</button
							>
						</li>
					{/each}
				</ul>
			{:else}
				<p class="fine">Nothing to remark on this day with what {first} has.</p>
			{/if}
		</section>
	</div>
	<div class="small-screen"><PlanPhone {phases} clientName={first} onwhy={whyVerdict} /></div>

	<div class="scroll" bind:clientWidth={width}>
		<div class="columns" style:padding-left="{GUTTER}px">
			{#each phases as phase, k (k)}
				<div
					class="column"
					style:width="{widths[k]}px"
					role="group"
					aria-label="{phase.cell.name}, {phase.cell.round}"
					ondragover={(event) => event.preventDefault()}
					ondrop={(event) => dropOn(event, phase)}
				>
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
			<PlanDrawing {phases} {widths} {names} clientName={first} others={others.map((day) => day.phases)} />
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
	<div class="wanted">
		<div class="setting no-print" role="group" aria-label="Few changes or a light pack">
			<h2>Few changes or a light pack</h2>
			<div class="switch">
				{#each SPARE_CHANGES as spare, i (spare)}
					<button aria-pressed={spare === spareChanges} onclick={() => wish(wishes, spare)}>
						{SPARE_WORDS[i]}
						{#if session.trade?.[i]}
							<span class="tiny"
								>{session.trade[i].changes} changes, {massWords(session.trade[i].massG, units)}</span
							>
						{/if}
					</button>
				{/each}
			</div>
			<button class="quiet small" onclick={() => session.askTrade()}>Show what each one weighs</button>
			{#if session.price}
				<p class="price" role="status" aria-label="Price of the wishes">
					<strong>What the wishes cost:</strong>
					{priceSentence(session.price)}
				</p>
			{/if}
			{#if session.impossible.length > 0}
				<p class="trouble" role="alert">
					Nothing can be found for: {session.impossible.map(({ thingId }) => nameOf(thingId)).join(', ')}. The
					plan is without it.
				</p>
			{/if}
		</div>
		<WishTray
			things={data.client.things}
			summary={session.summary}
			{wishes}
			stageId={planned.stageId}
			{phases}
			{massOf}
			asked={session.asked &&
				whyNotSentence(nameOf(session.asked.thingId), session.asked.place, session.asked.price, data.trip)}
			asking={session.asking}
			onwishes={wish}
			onask={(thingId) => session.askWhyNot(thingId)}
		/>
	</div>
	<p class="tiny soft note">
		A plan is advice for a guide who is there: local rules, the guide and, for health, a doctor come first.
		{planned.proven
			? 'Chosen from every legal outfit of this kit.'
			: session.summary.cut
				? 'Chosen from the likeliest things of this kit: it is too large to search whole.'
				: 'Not every outfit was searched.'}
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
	.all {
		font-size: 20px;
		line-height: 1.25;
		border-left: 8px solid var(--v-short);
		padding: 3px 12px;
		margin: 4px 0 10px;
	}
	.all.ok {
		border-left-color: var(--v-right);
	}
	.top {
		display: grid;
		grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
		gap: 10px 28px;
		margin-bottom: 14px;
	}
	.searching {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 14px;
		align-items: center;
		min-height: 34px;
	}
	progress {
		width: 180px;
		height: 10px;
		accent-color: var(--ink);
	}
	.trouble {
		border-left: 5px solid var(--v-short);
		padding: 3px 12px;
	}
	.wanted {
		margin-top: 18px;
		display: grid;
		gap: 14px;
	}
	.setting {
		display: flex;
		flex-wrap: wrap;
		gap: 6px 18px;
		align-items: center;
	}
	.setting .switch button {
		padding: 4px 12px;
		cursor: pointer;
		text-align: left;
	}
	.setting .switch button + button {
		border-left: 1px solid var(--ink);
	}
	.setting .switch button[aria-pressed='true'] {
		background: var(--ink);
		color: var(--sheet);
	}
	.setting .switch .tiny {
		display: block;
	}
	.price {
		flex-basis: 100%;
	}
	.small-screen,
	.print-only {
		display: none;
	}
	.findings {
		margin-top: 6px;
		max-height: 290px;
		overflow-y: auto;
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
		.top {
			grid-template-columns: 1fr;
		}
		.small-screen {
			display: block;
		}
		.scroll {
			display: none;
		}
		.findings {
			max-height: none;
		}
	}
	/* One day, one sheet. */
	@page {
		size: A4 portrait;
		margin: 9mm;
	}
	@media print {
		.print-only {
			display: block;
			font-weight: 600;
		}
		.findings li.note {
			display: none;
		}
		.scroll {
			zoom: 0.53;
			overflow: visible;
			width: 1228px;
		}
		h1 {
			font-size: 18pt;
		}
		.all {
			font-size: 11.5pt;
			margin: 2px 0 4px;
		}
		.top {
			font-size: 8pt;
			gap: 4px 14px;
			margin-bottom: 4px;
			break-inside: avoid;
		}
		.findings .quiet {
			padding: 1px 6px;
		}
		.top :global(:is(ol, .if, .quiet, h2)) {
			font-size: 8pt;
		}
		.top :global(h2) {
			font-size: 11pt;
		}
		.top :global(li) {
			padding-top: 1px;
			padding-bottom: 1px;
		}
		.findings {
			max-height: none;
			margin-top: 2px;
		}
		.scroll :global(:is(.moments, .readout)) {
			display: none;
		}
		.note,
		.wanted,
		.small-screen,
		.head nav {
			display: none;
		}
	}
</style>
