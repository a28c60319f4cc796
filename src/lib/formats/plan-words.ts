import { phasesIn } from '../core/document/sequence';
import type { Trip, Weather } from '../core/document/types';
import type { Where } from '../core/kit/pack';
import type { PutOn, ToldChange, ToldStart, ToldWeather } from '../core/plan/told/change-story';
import type { PhaseSummary, Price, TripSummary } from '../core/plan/told/summary';
import type { Place } from '../core/plan/told/why-not';
import { clock } from './words';

/** A plan in sentences that a guide could say. */
type NameOf = (thingId: string) => string;

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** Names inside a sentence begin small. */
const small = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
function listed(words: readonly string[]): string {
	if (words.length <= 1) return words[0] ?? '';
	return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

const TO: Readonly<Record<Where, string>> = {
	pocket: 'into a pocket',
	top: 'on top of the pack',
	pack: 'into the pack',
	base: 'stays behind'
};
/** "Start in soft shell, fleece and wool top. You should feel a little cool for ten minutes." */
export const startSentence = ({ thingIds, coolAtFirst, startMin }: ToldStart, nameOf: NameOf): string =>
	`${clock(startMin)} start in ${listed(thingIds.map((id) => small(nameOf(id))))}.${
		coolAtFirst ? ' A little cool for the first ten minutes is right.' : ''
	}`;

function putOnWords({ thingId, how, instead }: PutOn, nameOf: NameOf): string {
	const name = small(nameOf(thingId));
	if (instead) return `${name} instead of ${small(nameOf(instead))}`;
	return how === 'plain' ? `${name} on` : `${name} on ${how}`;
}

/** "big coat on over everything, mitten instead of light glove; soft shell off, on top of the pack". */
export function changeWords({ on, off, front, indoors }: ToldChange, nameOf: NameOf): string {
	const replaced = new Set(on.map(({ instead }) => instead));
	const rest = off.filter(({ thingId }) => !replaced.has(thingId));
	const byPlace = new Map<Where, string[]>();
	for (const { thingId, to } of rest) byPlace.set(to, [...(byPlace.get(to) ?? []), small(nameOf(thingId))]);
	return [
		...(on.length > 0 ? [listed(on.map((one) => putOnWords(one, nameOf)))] : []),
		...[...byPlace].map(([to, names]) =>
			indoors ? `${listed(names)} off` : `${listed(names)} off, ${TO[to]}`
		),
		...(front === 'closed'
			? ['front closed']
			: front
				? [`front ${front === 'open' ? 'wide open' : 'opened at the neck'}`]
				: [])
	].join('; ');
}

/** "At the col: hard shell on over the harness, mittens on; longer than 25 min: big coat over everything". */
export function changeSentence(change: ToldChange, nameOf: NameOf): string {
	const what = changeWords(change, nameOf);
	const { longer } = change;
	const more = longer
		? `longer than ${longer.minutes} min: ${listed(longer.thingIds.map((id) => small(nameOf(id))))} over everything`
		: '';
	const rounds = change.untilRound === null ? '' : ` and each time up to round ${change.untilRound}`;
	return `${clock(change.startMin)} ${change.name}${rounds}: ${[what, more].filter(Boolean).join('; ')}.`;
}

const IF: Readonly<Record<ToldWeather['because'][number], string>> = {
	wet: 'it gets wet',
	cold: 'it turns cold',
	wind: 'it blows',
	mild: 'it stays mild'
};

export interface WeatherWords {
	/** "If it turns cold" */
	lead: string;
	/** what no longer holds, in one sentence; empty when all does */
	worse: string;
	/** one sentence a difference of clothes */
	differences: string[];
}
/** "If it turns cold: skin up and lunch: hat on." */
export function weatherWords(told: ToldWeather, weather: Weather, nameOf: NameOf): WeatherWords {
	const lead = `If ${told.because.map((why) => IF[why]).join(' and ')} (${small(weather.name)})`;
	const sentences = told.differences.map(({ names, on, off }) => {
		const what = [
			...(on.length > 0 ? [`${listed(on.map((id) => small(nameOf(id))))} on`] : []),
			...(off.length > 0 ? [`without ${listed(off.map((id) => small(nameOf(id))))}`] : [])
		].join(', ');
		return `${listed(names)}: ${what}.`;
	});
	// Once the cold has got in, phase after phase begins cold: that is one thing to say, not seven.
	const coldAlready = told.worse.filter(
		({ holdsMinutes, verdict }) => verdict === 'short' && holdsMinutes === 0
	);
	const others = told.worse.filter((one) => !coldAlready.includes(one));
	const worse = [
		...others.map(
			({ name, verdict, holdsMinutes, minutes }) =>
				`${name} (${verdict === 'short' && holdsMinutes !== null ? `${holdsMinutes} of ${minutes} min` : verdict})`
		),
		...(coldAlready.length > 2
			? [
					`${coldAlready.length} phases that begin cold, ${coldAlready[0]!.name} to ${coldAlready.at(-1)!.name}`
				]
			: coldAlready.map(({ name }) => `${name} (cold when it begins)`))
	];
	return {
		lead,
		worse: worse.length > 0 ? `Does not hold: ${listed(worse)}.` : '',
		differences: sentences
	};
}

/** What was shown about a plan, in words. */
export function boundWords({
	levels,
	atLeastG,
	levelsProven,
	proven,
	fits,
	cut,
	daysDone,
	days
}: TripSummary): string {
	if (daysDone < days) return `Stopped after ${daysDone} of ${days} days: the others have no plan yet.`;
	const weight =
		proven || levels.massG <= atLeastG
			? 'no lighter set does as well'
			: atLeastG > 0
				? `at most ${Math.max(1, Math.ceil((100 * (levels.massG - atLeastG)) / atLeastG))} % heavier than the lightest possible`
				: 'the lightest found so far';
	const best = levelsProven
		? 'No plan is warmer, drier or takes fewer changes'
		: 'The best plan found in time';
	return `${best}, and ${weight}${cut ? ', among the likeliest things of this large kit' : ''}.${
		fits ? '' : ' Not everything goes into the pack.'
	}`;
}

/** One phase and how it is judged, short. */
export function phaseWords({ name, verdict, holdsMinutes, minutes }: PhaseSummary): string {
	if (verdict === 'short')
		return holdsMinutes === null
			? `${name} is short`
			: holdsMinutes === 0
				? `${name} is cold from the start`
				: `${name} holds ${holdsMinutes} of ${minutes} min`;
	return `${name} is ${verdict}`;
}

/** Where in a trip a phase is: "day 2, cold snap"; of a trip of one day the weather alone. */
export function whereWords(
	{ stageId, weather }: Pick<PhaseSummary, 'stageId' | 'weather'>,
	{
		stages,
		weathers
	}: { stages: readonly { id: string }[]; weathers: readonly Pick<Weather, 'id' | 'name'>[] }
): string {
	const day = stages.length > 1 ? `day ${stages.findIndex(({ id }) => id === stageId) + 1}` : '';
	const name = weathers.find(({ id }) => id === weather)?.name.toLowerCase() ?? '';
	return [day, name].filter(Boolean).join(', ');
}

const more = (value: number, unit: string, units: string): string =>
	`${Math.abs(value)} ${Math.abs(value) === 1 ? unit : units} ${value > 0 ? 'more' : 'fewer'}`;

/** What a wish costs: minutes held, changes, grams. */
export function priceWords({ phases, changes, massG, overheat }: Price): string[] {
	const told = phases
		.slice(0, 3)
		.map(({ now, before, worse }) => `${worse ? '' : 'better: '}${phaseWords(now)} (was ${before.verdict})`);
	const rest = phases.length - told.length;
	return [
		...told,
		...(rest > 0 ? [`and ${rest} more phases`] : []),
		...(Math.abs(changes) >= 0.1 ? [more(Math.round(changes * 10) / 10, 'change', 'changes')] : []),
		...(Math.abs(overheat) >= 10 && phases.length === 0
			? [overheat > 0 ? 'a little more sweat' : 'a little less sweat']
			: []),
		...(massG === 0 ? [] : [`${Math.abs(massG)} g ${massG > 0 ? 'heavier' : 'lighter'}`])
	];
}
/** The same in one sentence. */
export const priceSentence = (price: Price): string => {
	const words = priceWords(price);
	return words.length === 0
		? 'Costs nothing: as warm, as few changes, as light.'
		: `${capital(words.join(', '))}.`;
};

/** Why a thing stays at home: where it would be worn best, and what that costs. */
export function whyNotSentence(
	name: string,
	place: Place | null,
	price: Price | null,
	{ stages }: Pick<Trip, 'stages'>
): string {
	if (!place || !price) return `${name} cannot be worn anywhere over or under the rest.`;
	const at = stages.findIndex(({ id }) => id === place.stageId);
	const phase = phasesIn(stages[at]?.sequence ?? []).find(({ id }) => id === place.phaseId)?.name ?? '';
	const where = [phase, stages.length > 1 ? `day ${at + 1}` : ''].filter(Boolean).join(', ');
	return `${name} instead, best in ${where}: ${priceSentence(price)}`;
}
