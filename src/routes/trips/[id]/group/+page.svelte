<script lang="ts">
	import { pictureMessage } from '$lib/words/figure/picture-message';
	import { onMount } from 'svelte';
	import { Button } from 'flowbite-svelte';
	import { isFailing } from '$lib/core/document/verdict';
	import { GROUP_PARTS, type GroupCell, groupDays, groupParts, groupScore } from '$lib/core/plan/told/group';
	import { PlansUnderway } from '$lib/ui/group/plans-underway.svelte';
	import GroupMatrix from '$lib/ui/group/GroupMatrix.svelte';

	import { PART_NAMES } from '$lib/words/figure/figure-words';
	import { isNotAllRight, type PhaseSummary, type PlanState, worstPhase } from '$lib/core/plan/told/summary';
	import { groupSentence, phaseWords, placeWords } from '$lib/words/plan-story';
	import { firstName, shortDate } from '$lib/words/labels';
	import { massWords } from '$lib/words/units';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import VerdictTag from '$lib/ui/parts/VerdictTag.svelte';

	let { data } = $props();
	const units = $derived(readerUnits());

	const POLL_MS = 700;
	// svelte-ignore state_referenced_locally
	const underway = new PlansUnderway(data.trip.id, POLL_MS);
	// svelte-ignore state_referenced_locally
	underway.plans = data.plans;
	const plans = $derived(underway.plans);
	onMount(() => {
		if (underway.isOpen) void underway.look();
		return () => underway.end();
	});

	const usualId = $derived(data.trip.weathers[0]!.id);
	const weatherName = (id: string): string => data.trip.weathers.find((one) => one.id === id)?.name ?? id;
	const isFailed = ({ verdict }: PhaseSummary): boolean => isFailing(verdict);
	/** Clients with their worst phase: by how bad, how long and how likely it is. */
	const people = $derived(
		data.clients
			.map((client) => {
				const plan = plans.find(({ clientId }) => clientId === client.id) ?? null;
				const all = plan?.summary?.phases.filter(({ whatIf }) => !whatIf) ?? [];
				const bad = all.filter(isNotAllRight);
				const usual = bad.filter(({ weather }) => weather === usualId);
				// The usual weather is told first, and what nobody was asked about by the phases of which all is known.
				const worst = worstPhase(usual.length > 0 ? usual : bad.length > 0 ? bad : all);
				return {
					client,
					plan,
					bad,
					usual,
					worst,
					score: groupScore(all, usualId),
					fails: usual.some(isFailed) ? 'usually' : bad.some(isFailed) ? 'rarely' : 'never'
				} as const;
			})
			.sort(
				(a, b) => rankOf(a) - rankOf(b) || b.score - a.score || a.client.name.localeCompare(b.client.name)
			)
	);
	interface Person {
		worst: PhaseSummary | null;
		bad: readonly PhaseSummary[];
		/** in the usual weather, or only in the others */
		fails: 'usually' | 'rarely' | 'never';
		plan: PlanState | null;
	}
	function rankOf({ worst, bad, fails, plan }: Person): number {
		// Who has no plan may be anything: they come before those who are right.
		if (plan?.state === 'failed') return 1;
		if (fails !== 'never') return fails === 'usually' ? 0 : 2;
		return worst === null ? 5 : bad.length > 0 ? 3 : 4;
	}
	const stageIds = $derived(data.trip.stages.map(({ id }) => id));
	let by = $state<'days' | 'parts'>('days');
	const matrix = $derived(
		people.map(({ client, plan }) => {
			const phases = plan?.summary?.phases;
			const cells =
				phases && client.things > 0
					? by === 'days'
						? groupDays(phases, stageIds, usualId)
						: GROUP_PARTS.map((part) => groupParts(phases, usualId)[part])
					: null;
			return { id: client.id, name: firstName(client.name), cells };
		})
	);
	/** The plan, on the day and in the weather of what a cell tells. */
	function causeOf(clientId: string, { usual, rare }: GroupCell): string {
		const told = usual && isNotAllRight(usual) ? usual : (rare ?? usual);
		const day = stageIds.indexOf(told?.stageId ?? '') + 1;
		const weather = told && told.weather !== usualId ? `&weather=${told.weather}` : '';
		return `/trips/${data.trip.id}/plan/${clientId}?day=${Math.max(1, day)}${weather}${told?.foul ? '&foul=1' : ''}`;
	}
	const open = $derived(plans.filter(({ state }) => state === 'wanted' || state === 'working').length);
	const wrong = $derived(people.filter(({ fails }) => fails === 'usually').length);
	const rare = $derived(people.filter(({ fails }) => fails === 'rarely').length);
	const unasked = $derived(data.clients.filter(({ things }) => things === 0).length);
	const failed = $derived(plans.filter(({ state }) => state === 'failed').length);
	/** Only plans that are there, and answer what is asked now, can say that somebody is all right. */
	const everybodyRight = $derived(
		people.every(
			({ plan, bad, worst }) =>
				plan?.state === 'there' && plan.isCurrent && worst !== null && bad.length === 0
		)
	);
	const groupWords = $derived(
		[
			pictureMessage('group.rank', { wrong, rare, unasked }),
			failed > 0
				? `${failed} of ${data.clients.length} plans could not be worked out, so nobody knows yet.`
				: '',
			everybodyRight ? 'Everybody is all right.' : ''
		].join(' ')
	);
	function sentence({ client, bad, usual, worst, plan }: (typeof people)[number]): string {
		const first = firstName(client.name);
		if (client.things === 0) return groupSentence('unasked', first);
		if (plan?.state === 'failed') return groupSentence('failed', first);
		if (!plan?.summary || !worst) return groupSentence('waiting', first);
		if (bad.length === 0) return groupSentence('right', first);
		if (worst.verdict === 'not judged yet') return groupSentence('ask', first);
		if (usual.length === 0)
			return groupSentence('rare', first, {
				phase: phaseWords(worst, first),
				place: '',
				more: 0,
				weather: weatherName(worst.weather).toLowerCase()
			});
		const more = new Set(usual.map(({ stageId, phaseId }) => `${stageId} ${phaseId}`)).size - 1;
		return groupSentence('wrong', first, {
			phase: phaseWords(worst, first),
			place: placeWords(worst, data.trip),
			more
		});
	}
</script>

<svelte:head><title>Who is not all right · {data.trip.name} · Snug Summit</title></svelte:head>

<h1>Who is not all right?</h1>
<p class="soft">
	<a href="/trips/{data.trip.id}">{data.trip.name}</a>{data.trip.place ? ` · ${data.trip.place}` : ''}
</p>

<p role="status" class="state">
	{#if underway.isSilent}The server does not answer. The plans go on there; this page asks again.{:else if data.trip.stages.length === 0}This
		trip has no days yet.{:else if open > 0}
		Planning in the background: {plans.length - open} of {data.clients.length} done.
	{:else if plans.length > 0}
		{groupWords}
	{/if}
</p>

{#if data.clients.length === 0}
	<p class="empty">
		Nobody is on this trip yet. <a href="/trips/{data.trip.id}#clients">Say who comes along</a>.
	</p>
{/if}
{#if matrix.some(({ cells }) => cells) && stageIds.length > 0}
	<section aria-label="At a glance" class="glance">
		<div class="switch no-print" role="group" aria-label="At a glance">
			<Button aria-pressed={by === 'days'} onclick={() => (by = 'days')}>By day</Button>
			<Button aria-pressed={by === 'parts'} onclick={() => (by = 'parts')}>By part of the body</Button>
		</div>
		<GroupMatrix
			caption={by === 'days'
				? 'The worst of each day for each client'
				: 'The worst of each part for each client'}
			columns={by === 'days'
				? data.trip.stages.map(({ id, name, date }) => ({ key: id, name, small: shortDate(date, units) }))
				: GROUP_PARTS.map((part) => ({ key: part, name: PART_NAMES[part] }))}
			rows={matrix}
			addressOf={(clientId, _, cell) => causeOf(clientId, cell)}
			{weatherName}
			nothing={by === 'days' ? pictureMessage('group.none') : 'right'}
		/>
	</section>
{/if}
<ol>
	{#each people as person (person.client.id)}
		{@const { client, plan, fails, worst } = person}
		<li class:bad={fails === 'usually'}>
			<a class="name" href="/trips/{data.trip.id}/plan/{client.id}">{client.name}</a>
			<span class="tag">
				{#if worst && plan?.summary}<VerdictTag verdict={worst.verdict} text={worst.verdict} />{/if}
			</span>
			<span class="sentence">{sentence(person)}</span>
			<span class="soft small mass"
				>{plan?.summary && client.things > 0 ? massWords(plan.summary.levels.massG, units) : ''}</span
			>
			<span class="bar">
				{#if plan && (plan.state === 'working' || plan.state === 'wanted')}
					<progress max={Math.max(1, plan.total)} value={plan.done} aria-label="Plan of {client.name}"
					></progress>
				{:else if plan && !plan.isCurrent}<span class="tiny">older</span>{/if}
			</span>
		</li>
	{/each}
</ol>
<p class="tiny soft">
	One sentence each, from the plan of the whole trip. Only what depends on a change is planned again. A plan
	is advice for a guide who is there.
</p>

<style>
	.glance {
		margin: 8px 0 16px;
	}
	.switch {
		display: inline-flex;
		border: 1px solid var(--ink);
		border-radius: 3px;
		margin-bottom: 6px;
	}
	.switch :global(button) {
		padding: 4px 12px;
	}
	.switch :global(button[aria-pressed='true']) {
		background: var(--ink);
		color: var(--sheet);
	}
	.state {
		min-height: 28px;
		margin: 8px 0;
	}
	li {
		display: grid;
		grid-template-columns: 190px 170px minmax(0, 1fr) 70px 120px;
		gap: 4px 16px;
		align-items: center;
		border-top: 1px solid var(--rule);
		border-left: 6px solid transparent;
		padding: 9px 0 9px 12px;
	}
	li.bad {
		border-left-color: var(--v-short);
	}
	.name {
		font-weight: 600;
		font-size: 17px;
	}
	progress {
		width: 110px;
		height: 10px;
		accent-color: var(--ink);
	}
	@media (max-width: 760px) {
		li {
			grid-template-columns: 1fr auto;
		}
		.sentence {
			grid-column: 1 / -1;
		}
		.mass,
		.bar:empty {
			display: none;
		}
	}
</style>
