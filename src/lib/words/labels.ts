import type { PhaseVerdict } from '../core/judge/phase-verdict';
import { effortClass } from '../core/body/effort';
import { type Cell } from '../core/conditions/cells';
import { cellName } from '../core/conditions/cell-name';
import type { Row } from '../core/document/parts';
import type { Verdict } from '../core/document/verdict';
import type { Moment } from '../core/heat/simulation';
import type { CoverageCell } from '../core/judge/coverage';
import { EFFORT_WORDS } from './en/labels';
import { capital, message, small } from './message';
import { measureWords, METRIC, type Units, tempWords } from './units';

export * from './en/labels';

/** Figures and states in the words of a guide. */
/** More than the hardest class by half the step between classes, W/m². */
const FLAT_OUT_WM2 = 320;
const MINUS = '−';
/** A number with a real minus sign. */
export const signed = (value: number, digits = 0): string => {
	const text = Math.abs(value).toFixed(digits);
	return value < 0 && Number(text) !== 0 ? MINUS + text : text;
};
export const degrees = (tempC: number): string => `${signed(tempC)}°`;
/** How hard it is, in a word. @param metabolicWm2 0…600; above the classes it is as hard as one can */
export const effortWords = (metabolicWm2: number): string =>
	metabolicWm2 > FLAT_OUT_WM2 ? 'as hard as one can' : EFFORT_WORDS[effortClass(metabolicWm2)];
export const clo = (value: number): string => value.toFixed(2);

/** Minutes after midnight as a clock time. */
export function clock(minutes: number): string {
	const day = ((Math.round(minutes) % 1440) + 1440) % 1440;
	return `${String(Math.floor(day / 60)).padStart(2, '0')}:${String(day % 60).padStart(2, '0')}`;
}
/** A length of time, short. */
export const duration = (minutes: number): string =>
	minutes < 120
		? `${minutes} min`
		: `${Math.floor(minutes / 60)} h${minutes % 60 ? ` ${minutes % 60} min` : ''}`;

const dateFormat = (options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat =>
	new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' });
/** Made once: a formatter costs more than a hundred dates. */
const WEEKDAY = dateFormat({ weekday: 'short' });
const MONTH = dateFormat({ month: 'short' });
const MONTH_AND_YEAR = dateFormat({ month: 'long', year: 'numeric' });

/** The order in which somebody reads the day and the month. */
type DateOrder = Pick<Units, 'date'>;
/** An ISO date as "Sat 23 Jan" or "Sat Jan 23", the same on server and page; what is no date comes back as it is. */
export function shortDate(iso: string, { date: order }: DateOrder): string {
	const date = new Date(`${iso}T12:00:00Z`);
	if (Number.isNaN(date.getTime())) return iso;
	const [day, month] = [date.getUTCDate(), MONTH.format(date)];
	return `${WEEKDAY.format(date)} ${order === 'md' ? `${month} ${day}` : `${day} ${month}`}`;
}
/** Where there is no room for the month: "Sat 23". */
export const dayOfWeek = (iso: string): string => {
	const date = new Date(`${iso}T12:00:00Z`);
	return Number.isNaN(date.getTime()) ? iso : `${WEEKDAY.format(date)} ${date.getUTCDate()}`;
};
/** The same with its year: "Sat 23 Jan 2027" or "Sat Jan 23, 2027". */
export function longDate(iso: string, order: DateOrder): string {
	const short = shortDate(iso, order);
	return short === iso ? iso : `${short}${order.date === 'md' ? ',' : ''} ${iso.slice(0, 4)}`;
}
const MONTH_NAME = dateFormat({ month: 'long' });
/** Name of a month. @param month 1…12 */
export const monthName = (month: number): string =>
	MONTH_NAME.format(new Date(Date.UTC(2027, month - 1, 15)));
/** An ISO date as "January 2027". */
export const monthAndYear = (iso: string): string => MONTH_AND_YEAR.format(new Date(`${iso}T12:00:00Z`));

/** A thing in few words: what stands before the first comma of its name. */
export const shortName = (name: string): string => name.split(',')[0]!;
/** The first name of a person, by which sentences call them. */
export const firstName = (name: string): string => name.split(' ')[0]!;

const PART_WORDS: Partial<Record<Row | 'body', string>> = { body: 'body', hands: 'fingers', feet: 'toes' };
const held = (minutes: number): string => measureWords({ value: minutes, unit: 'min' }, METRIC);

/** A verdict as a sentence that a guide could say. @param who first name */
export const verdictSentence = (phase: PhaseVerdict, who: string): string => capital(sentenceOf(phase, who));
function sentenceOf(phase: PhaseVerdict, who: string): string {
	const { verdict, holdsMinutes, cell, limitedBy, reasons } = phase;
	const part = PART_WORDS[limitedBy] ?? limitedBy;
	switch (verdict) {
		case 'right':
			return message('verdict.right', { sleep: cell.kind === 'sleep' ? 'yes' : 'no' });
		case 'cool':
			return message('verdict.cool', { part, who });
		case 'short':
			return message('verdict.short', {
				part: limitedBy === 'sleep' ? 'sleep' : `the ${limitedBy === 'body' ? 'whole body' : part}`,
				who,
				start: holdsMinutes === 0 ? 'cold' : 'warm',
				held: holdsMinutes ?? cell.minutes,
				minutes: held(cell.minutes)
			});
		case 'warm':
			return message('verdict.warm', {
				who,
				hopeless: reasons.some(({ rule }) => rule === 'tooHotForAll') ? 'yes' : 'no'
			});
		case 'warm before a stop':
			return message('verdict.warm-before-stop', { who });
		case 'wet through':
			return message('verdict.wet-through', { who, part });
		case 'nothing suffices':
			return message('verdict.nothing-suffices', { who, minutes: held(cell.minutes) });
		case 'not judged yet':
			return message('verdict.not-judged', { who });
	}
}

/** A moment of the simulated day as a guide would tell it. */
export function momentSentence(
	{ kind, minute, does, thingId, thenMinute }: Moment,
	cell: Cell,
	nameOf: (thingId: string) => string,
	who: string
): string {
	const told = message('moment', {
		time: clock(cell.startMin + minute),
		minute,
		phase: cellName(cell),
		what: message(`moment.${kind}`, { who })
	});
	if (thingId === null) return told;
	const remedy = message('moment.remedy', {
		thing: small(nameOf(thingId)),
		does: does === 'take off' ? 'off' : 'on',
		then: thenMinute ?? 0
	});
	return `${told} ${remedy}`;
}

/** A verdict in the few words of a tag. */
export function verdictTag({ verdict, holdsMinutes, cell, limitedBy }: PhaseVerdict): string {
	if (verdict !== 'short' || limitedBy === 'sleep') return verdict;
	return message('tag.short', {
		start: holdsMinutes === 0 ? 'cold' : 'warm',
		held: holdsMinutes ?? cell.minutes,
		minutes: held(cell.minutes)
	});
}

/** Style class of a verdict. */
export const verdictClass = (verdict: Verdict): string =>
	({
		right: 'right',
		cool: 'cool',
		short: 'short',
		'nothing suffices': 'nothing',
		'wet through': 'wet',
		warm: 'warm',
		'warm before a stop': 'warm',
		'not judged yet': 'open'
	})[verdict];

/**
 * What stands in a cell of the ladder.
 * @param names of what is there, from the skin out
 * @param full names everything; otherwise the outermost and how many are under it
 */
export function coverageWords(cell: CoverageCell, names: readonly string[], full: boolean): string {
	const top = names.at(-1) ?? '';
	const covered = full
		? [...names].reverse().join(' over ')
		: names.length > 1
			? `${top} +${names.length - 1}`
			: top;
	switch (cell.state) {
		case 'covered':
			return covered;
		case 'assumed':
			return `assumed: ${covered}`;
		case 'not asked':
			return 'not asked';
		case 'missing':
			return names.length > 0 ? `missing (only ${covered})` : 'missing';
		case 'not needed':
			return 'not needed';
	}
}

/** "feels −19 °C", where that is not the air's own temperature. */
export const feltWords = (
	{ airTempC, feltTempC }: Pick<Cell, 'airTempC' | 'feltTempC'>,
	units: Units
): string => (Math.round(feltTempC) === Math.round(airTempC) ? '' : `feels ${tempWords(feltTempC, units)}`);

/** "−12 °C, feels −19 °C". */
export const airWords = (cell: Pick<Cell, 'airTempC' | 'feltTempC'>, units: Units): string =>
	[tempWords(cell.airTempC, units), feltWords(cell, units)].filter(Boolean).join(', ');

/** What it is like in a phase: "Top: −12 °C, feels like −19 °C". */
export const feltTitle = ({ name, airTempC, feltTempC }: Cell, units: Units): string =>
	message('title.felt', {
		phase: name,
		air: measureWords({ value: airTempC, unit: '°C' }, units),
		felt: measureWords({ value: feltTempC, unit: '°C' }, units)
	});

/** Languages of letters and of the client's page. */
export const LANGUAGE_NAMES = { en: 'English', de: 'German' } as const;
