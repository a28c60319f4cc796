<script lang="ts">
	import type { Client, Trip, Weather } from '$lib/core/document/types';
	import { firstName, shortDate } from '$lib/words/labels';
	import { weatherMeaning } from '$lib/words/weathers';
	import { readerUnits } from '../parts/reader-units';

	interface Props {
		trip: Trip;
		client: Client;
		others: readonly { id: string; name: string }[];
		day: number;
		weather: Weather;
		foul: boolean;
	}
	let { trip, client, others, day, weather, foul }: Props = $props();

	/** The same page with another day, weather or course of the day. */
	function address(change: { day?: number; weather?: string; foul?: boolean; client?: string }): string {
		const toDay = change.day ?? day;
		const toFoul = change.foul ?? (change.day === undefined && foul);
		const toWeather = change.weather ?? weather.id;
		const query = [
			`day=${toDay + 1}`,
			...(toWeather === trip.weathers[0]!.id ? [] : [`weather=${toWeather}`]),
			...(toFoul ? ['foul=1'] : [])
		];
		return `/trips/${trip.id}/plan/${change.client ?? client.id}?${query.join('&')}`;
	}
	/** A few are called by their whole name; a group by first names, with a letter more where two have the same. */
	const FEW = 3;
	const withLetter = (name: string): string => {
		const last = name.split(' ').at(-1)!;
		return last === name ? name : `${firstName(name)} ${last[0]}.`;
	};
	function calledName(name: string): string {
		if (others.length <= FEW) return name;
		const isOneOf = (short: (name: string) => string): boolean =>
			others.filter((other) => short(other.name) === short(name)).length > 1;
		return isOneOf(firstName) ? (isOneOf(withLetter) ? name : withLetter(name)) : firstName(name);
	}
	const hasFoul = $derived(Boolean(trip.stages[day]?.foul));
</script>

<div class="head">
	<h1>{client.name}</h1>
	<p class="soft"><a href="/trips/{trip.id}">{trip.name}</a></p>
	<nav class="no-print" aria-label="Clients of the trip">
		{#each others as other (other.id)}
			<a
				href={address({ client: other.id })}
				title={other.name}
				aria-current={other.id === client.id ? 'page' : undefined}>{calledName(other.name)}</a
			>
		{/each}
	</nav>
	<p class="links no-print">
		<a href="/trips/{trip.id}/tomorrow?day={day + 1}">Tonight</a>
		<a href="/trips/{trip.id}/group">Group</a>
		<a href="/clients/{client.id}">Kit</a>
		<a href="/trips/{trip.id}/list/{client.id}">List to print</a>
	</p>
</div>

<div class="switches no-print">
	<nav class="days" aria-label="Days">
		{#each trip.stages as stage, i (stage.id)}
			<a href={address({ day: i })} aria-current={i === day ? 'page' : undefined} title={stage.name}
				><span class="tiny">{shortDate(stage.date, readerUnits())}</span>
				<span class="of-day">{stage.name}</span></a
			>
		{/each}
	</nav>
	<nav class="switch" aria-label="Weather" title={weatherMeaning(weather, readerUnits())}>
		{#each trip.weathers as one (one.id)}
			<a href={address({ weather: one.id })} aria-current={one.id === weather.id ? 'true' : undefined}
				>{one.name}</a
			>
		{/each}
	</nav>
	{#if hasFoul}
		<nav class="switch" aria-label="Course of the day">
			<a href={address({ foul: false })} aria-current={foul ? undefined : 'true'}>As planned</a>
			<a href={address({ foul: true })} aria-current={foul ? 'true' : undefined}>In foul weather</a>
		</nav>
	{/if}
</div>

<style>
	.head {
		display: flex;
		gap: 2px 22px;
		align-items: baseline;
		flex-wrap: wrap;
	}
	.head nav {
		display: flex;
		flex-wrap: wrap;
		gap: 0 4px;
		min-width: 0;
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
		gap: 2px;
		margin-left: -10px;
		min-width: 0;
		flex: 1 1 auto;
		overflow-x: auto;
	}
	.days a {
		white-space: nowrap;
	}
	.days a:not([aria-current]) .of-day {
		display: inline-block;
		max-width: 11em;
		overflow: hidden;
		text-overflow: ellipsis;
		vertical-align: bottom;
	}
	.days .tiny {
		color: var(--soft);
		margin-right: 5px;
		font-weight: 400;
	}
	.switches {
		display: flex;
		flex-wrap: wrap;
		gap: 4px 16px;
		align-items: center;
		margin: 2px 0 6px;
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
	/* On a phone the name is the marked one of the row of clients, which is pushed sideways. */
	@media (max-width: 760px) {
		.head:has(nav a[aria-current]) h1 {
			position: absolute;
			clip-path: inset(50%);
			width: 1px;
			height: 1px;
			overflow: hidden;
		}
		.head nav {
			order: -1;
			flex: 1 0 100%;
			flex-wrap: nowrap;
			overflow-x: auto;
			margin-left: -10px;
			font-size: 19px;
			white-space: nowrap;
		}
		.head {
			position: relative;
		}
	}
	@media print {
		h1 {
			font-size: 18pt;
		}
		.head nav {
			display: none;
		}
	}
</style>
