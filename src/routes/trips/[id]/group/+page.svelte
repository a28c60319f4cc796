<script lang="ts">
	import { onMount } from 'svelte';
	import { VERDICTS } from '$lib/core/document/verdict';
	import { isNotAllRight, worstPhase, type PlanState } from '$lib/core/plan/told/summary';
	import { groupSentence, phaseWords, placeWords } from '$lib/words/plan-story';
	import { firstName } from '$lib/words/labels';
	import { massWords } from '$lib/words/units';
	import { readerUnits } from '$lib/ui/parts/reader-units';
	import VerdictTag from '$lib/ui/parts/VerdictTag.svelte';

	let { data } = $props();
	const units = $derived(readerUnits());

	let plans = $state.raw<PlanState[]>([]);
	let message = $state('');
	let timer: ReturnType<typeof setTimeout> | undefined;
	const POLL_MS = 700;
	async function look(): Promise<void> {
		const response = await fetch(`/api/v1/trips/${data.trip.id}/plans`).catch(() => null);
		message = response?.ok ? '' : 'The server does not answer. The plans go on there; this page asks again.';
		if (response?.ok) ({ plans } = (await response.json()) as { plans: PlanState[] });
		if (!response?.ok || plans.some(({ state }) => state === 'wanted' || state === 'working'))
			timer = setTimeout(() => void look(), POLL_MS);
	}
	onMount(() => {
		void look();
		return () => clearTimeout(timer);
	});

	/** Clients with their worst phase, those who are not all right first. */
	const people = $derived(
		data.clients
			.map((client) => {
				const plan = plans.find(({ clientId }) => clientId === client.id) ?? null;
				const all = plan?.summary?.phases.filter(({ whatIf }) => !whatIf) ?? [];
				const bad = all.filter(isNotAllRight);
				// What nobody has asked about is not right by the phases of which all is known.
				const worst = worstPhase(bad.length > 0 ? bad : all);
				return { client, plan, bad, worst };
			})
			.sort(
				(a, b) =>
					rankOf(a) - rankOf(b) || b.bad.length - a.bad.length || a.client.name.localeCompare(b.client.name)
			)
	);
	type Person = { worst: ReturnType<typeof worstPhase>; bad: unknown[]; plan: PlanState | null };
	const rankOf = ({ worst, bad, plan }: Person): number =>
		// Who has no plan may be anything: they come before those who are right.
		plan?.state === 'failed'
			? 30
			: worst === null
				? 50
				: bad.length === 0
					? 40
					: VERDICTS.indexOf(worst.verdict) + (worst.holdsMinutes ?? 0) / 1000;
	const open = $derived(plans.filter(({ state }) => state === 'wanted' || state === 'working').length);
	const wrong = $derived(people.filter(({ bad, plan }) => bad.length > 0 && plan?.summary).length);
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
			wrong > 0 ? `${wrong} of ${data.clients.length} are not all right, the worst first.` : '',
			failed > 0
				? `${failed} of ${data.clients.length} plans could not be worked out, so nobody knows yet.`
				: '',
			everybodyRight ? 'Everybody is all right.' : ''
		].join(' ')
	);
	function sentence({ client, bad, worst, plan }: (typeof people)[number]): string {
		const first = firstName(client.name);
		if (client.things === 0) return groupSentence('unasked', first);
		if (plan?.state === 'failed') return groupSentence('failed', first);
		if (!plan?.summary || !worst) return groupSentence('waiting', first);
		if (bad.length === 0) return groupSentence('right', first);
		if (worst.verdict === 'not judged yet') return groupSentence('ask', first);
		const more = new Set(bad.map(({ stageId, phaseId }) => `${stageId} ${phaseId}`)).size - 1;
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
	{#if message}{message}{:else if data.trip.stages.length === 0}This trip has no days yet.{:else if open > 0}
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
<ol>
	{#each people as person (person.client.id)}
		{@const { client, plan, bad, worst } = person}
		<li class:bad={bad.length > 0}>
			<a class="name" href="/trips/{data.trip.id}/plan/{client.id}">{client.name}</a>
			<span class="tag">
				{#if worst && plan?.summary}<VerdictTag verdict={worst.verdict} text={worst.verdict} />{/if}
			</span>
			<span class="sentence">{sentence(person)}</span>
			<span class="soft small mass">{plan?.summary ? massWords(plan.summary.levels.massG, units) : ''}</span>
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
