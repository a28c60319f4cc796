import type { Weather } from '../core/document/types';
import type { Count } from '../core/kit/counting';
import type { Where } from '../core/kit/pack';
import type { EveningDrying } from '../core/heat/wetness';
import type { PutOn, ToldChange, ToldStart, ToldWeather } from '../core/plan/told/change-story';
import type { PhaseSummary, TripSummary } from '../core/plan/told/summary';
import { clock } from './labels';
import { capital, listed, message, type MessageId, small } from './message';
import { measureWords, METRIC } from './units';

/** A plan in sentences that a guide could say. */
type NameOf = (thingId: string) => string;

const minutesWords = (value: number): string => measureWords({ value, unit: 'min' }, METRIC);
const things = (ids: readonly string[], nameOf: NameOf): string => listed(ids.map((id) => small(nameOf(id))));

/** "Start in soft shell, fleece and wool top. Feeling a little cool for the first ten minutes is right." */
export const startSentence = ({ thingIds, coolAtFirst, startMin }: ToldStart, nameOf: NameOf): string =>
	message('story.start', {
		time: clock(startMin),
		things: things(thingIds, nameOf),
		cool: coolAtFirst ? 'yes' : 'no'
	});

const HOW: Readonly<Record<PutOn['how'], string>> = {
	'over everything': 'everything',
	'over the harness': 'harness',
	'under the shell': 'shell',
	dry: 'dry',
	'dry one': 'fresh',
	plain: 'plain'
};
const putOnWords = ({ thingId, how, instead, from }: PutOn, nameOf: NameOf): string =>
	message('story.on', {
		thing: small(nameOf(thingId)),
		other: instead ? small(nameOf(instead)) : '',
		how: instead && how !== 'dry' ? 'instead' : HOW[how],
		from: from === 'dry-bag' ? 'bag' : (from ?? 'none')
	});

/** "big coat on over everything, mitten instead of light glove; soft shell off, on top of the pack". */
export function changeWords({ on, off, front, indoors }: ToldChange, nameOf: NameOf): string {
	const replaced = new Set(on.map(({ instead }) => instead));
	const rest = off.filter(({ thingId }) => !replaced.has(thingId));
	const byPlace = new Map<Where | 'nowhere', string[]>();
	// In a heated place nobody asks where things go.
	for (const { thingId, to } of rest) {
		const place = indoors ? 'nowhere' : to;
		byPlace.set(place, [...(byPlace.get(place) ?? []), thingId]);
	}
	return [
		...(on.length > 0 ? [listed(on.map((one) => putOnWords(one, nameOf)))] : []),
		...[...byPlace].map(([to, ids]) => message('story.off', { things: things(ids, nameOf), to })),
		...(front ? [message('story.front', { front })] : [])
	].join('; ');
}

/** "At the col: hard shell on over the harness, mittens on; longer than 25 min: big coat on over everything". */
export function changeSentence(change: ToldChange, nameOf: NameOf): string {
	const { longer, name, untilRound, startMin } = change;
	const more = longer
		? message('story.longer', {
				minutes: minutesWords(longer.minutes),
				things: things(longer.thingIds, nameOf)
			})
		: '';
	return message('story.change', {
		time: clock(startMin),
		phase: name,
		until: untilRound ?? 0,
		what: [changeWords(change, nameOf), more].filter(Boolean).join('; ')
	});
}

/**
 * "Evening: wool socks into bed with you, dry in one night; insoles out of the hiking boots."
 * @param isTonight said where it is clear that the evening is meant
 */
export const eveningSentence = (
	{ where, driedIds, footwearIds }: EveningDrying,
	nameOf: NameOf,
	isTonight = false
): string =>
	capital(
		message('story.evening', {
			tonight: isTonight ? 'yes' : 'no',
			what: driedIds.length > 0 ? where : 'boots',
			dried: things(driedIds, nameOf),
			boots: things(footwearIds, nameOf),
			with: driedIds.length > 0 && footwearIds.length > 0 ? 'yes' : 'no'
		})
	);

/** What to say when a phase begins: the start, or what changes; null where nothing is said. @param index of the phase in the day */
export function momentToSay(
	{ start, changes }: { start: ToldStart | null; changes: readonly ToldChange[] },
	index: number,
	nameOf: NameOf
): string | null {
	if (start?.phase === index) return startSentence(start, nameOf);
	const change = changes.find(({ phase }) => phase === index);
	return change ? changeSentence(change, nameOf) : null;
}

export interface WeatherWords {
	/** "If it turns cold" */
	lead: string;
	/** what is no longer warm or dry enough, in one sentence; empty when all is */
	worse: string;
	/** one sentence a difference of clothes */
	differences: string[];
}
/** "If it turns cold: skin up and lunch: hat on." */
export function weatherWords(told: ToldWeather, weather: Weather, nameOf: NameOf, who: string): WeatherWords {
	const lead = message('if.lead', {
		causes: listed(told.because.map((why) => message(`if.${why}`))),
		weather: small(weather.name)
	});
	const differences = told.differences.map(({ names, on, off }) =>
		message('if.difference', {
			phases: listed(names),
			what: [
				...(on.length > 0 ? [message('if.on', { things: things(on, nameOf) })] : []),
				...(off.length > 0 ? [message('if.off', { things: things(off, nameOf) })] : [])
			].join(', ')
		})
	);
	// Once the cold has got in, phase after phase begins cold: that is one thing to say, not seven.
	const coldAlready = told.worse.filter(
		({ holdsMinutes, verdict }) => verdict === 'short' && holdsMinutes === 0
	);
	const others = told.worse.filter((one) => !coldAlready.includes(one));
	const worse = [
		...others.map(({ name: phase, verdict, holdsMinutes, minutes }) =>
			verdict === 'short' && holdsMinutes !== null
				? message('if.short', { phase, held: holdsMinutes, minutes: minutesWords(minutes) })
				: message('if.verdict', { phase, verdict })
		),
		...(coldAlready.length > 2
			? [
					message('if.many-cold', {
						many: coldAlready.length,
						first: coldAlready[0]!.name,
						last: coldAlready.at(-1)!.name
					})
				]
			: coldAlready.map(({ name }) => message('if.cold-already', { phase: name })))
	];
	return {
		lead,
		worse: worse.length > 0 ? message('if.worse', { who, phases: listed(worse) }) : '',
		differences
	};
}

/** Up to so many changes a day a bound says something; beyond, a verdict could be another one. */
const MOST_CHANGES_SAID = 20;

/** What was shown about a plan, in words. */
export function boundWords({
	levels,
	atLeastG,
	gap,
	proven,
	fits,
	cut,
	daysDone,
	days
}: TripSummary): string {
	if (daysDone < days) return message('bound.stopped', { done: daysDone, days });
	const isLeast = proven || levels.loadG <= atLeastG;
	return message('bound.best', {
		proven: gap === 0 ? 'yes' : gap <= MOST_CHANGES_SAID ? 'near' : 'no',
		gap: Math.ceil(gap),
		weight: isLeast ? 'least' : atLeastG > 0 ? 'close' : 'found',
		percent:
			isLeast || atLeastG === 0 ? 0 : Math.max(1, Math.ceil((100 * (levels.loadG - atLeastG)) / atLeastG)),
		cut: cut ? 'yes' : 'no',
		fits: fits ? 'yes' : 'no'
	});
}

const PHASE_MESSAGE: Readonly<Record<PhaseSummary['verdict'], MessageId>> = {
	short: 'phase.short',
	'wet through': 'phase.wet-through',
	'nothing suffices': 'phase.nothing-suffices',
	'not judged yet': 'phase.not-judged',
	right: 'phase.right',
	cool: 'phase.cool',
	warm: 'phase.warm',
	'warm before a stop': 'phase.warm-before-stop'
};
/** One phase and how it is judged, short: "Teo stays warm for 12 of 18 min in “Top”". */
export function phaseWords(
	{ name, round, verdict, holdsMinutes, minutes }: PhaseSummary,
	who: string
): string {
	const phase = message('where', {
		phase: name,
		round: round > 1 ? round : 0,
		from: 0,
		day: 0,
		more: 0,
		days: 0
	});
	if (verdict === 'short' && holdsMinutes === null) return message('phase.short-unknown', { who, phase });
	return message(PHASE_MESSAGE[verdict], {
		who,
		phase,
		start: holdsMinutes === 0 ? 'cold' : 'warm',
		held: holdsMinutes ?? 0,
		minutes: minutesWords(minutes)
	});
}

/** Where in a trip a phase is: "day 2, cold snap"; of a trip of one day the weather alone. */
export function placeWords(
	{ stageId, weather }: Pick<PhaseSummary, 'stageId' | 'weather'>,
	{
		stages,
		weathers
	}: { stages: readonly { id: string }[]; weathers: readonly Pick<Weather, 'id' | 'name'>[] }
): string {
	const day = stages.length > 1 ? stages.findIndex(({ id }) => id === stageId) + 1 : 0;
	const name = weathers.find(({ id }) => id === weather)?.name.toLowerCase() ?? '';
	return message('phase.where', { day, both: day > 0 && name ? 'yes' : 'no', weather: name });
}

/** What is counted, for as many as are needed: "pairs of socks". */
export const countWords = ({ kind, needed }: Pick<Count, 'kind' | 'needed'>): string =>
	message(`count.${kind}`, { many: needed });

interface Worst {
	/** the worst phase, in words */
	phase: string;
	/** where in the trip it is */
	place: string;
	/** how many phases more are not all right */
	more: number;
}
/** Whether a client is all right, in one sentence. */
export const allRightSentence = (who: string, worst?: Worst): string =>
	worst
		? message('client.wrong', { who, phase: worst.phase, place: worst.place, more: worst.more })
		: message('client.right', { who });

/** One client of a group, in one sentence. */
export const groupSentence = (
	state: 'unasked' | 'failed' | 'waiting' | 'right' | 'ask' | 'wrong' | 'rare',
	who: string,
	worst: Worst & { weather?: string } = { phase: '', place: '', more: 0 }
): string => capital(message(`group.${state}`, { who, weather: '', ...worst }));
