import type { ReasonKind } from '../core/certainty';
import { type Cell, cellName } from '../core/conditions/cells';
import type { Row } from '../core/document/parts';
import type {
	BedKind,
	Drying,
	FactState,
	Feature,
	Mark,
	OriginKind,
	Pace,
	PhaseKind,
	PhasePlace,
	Terrain
} from '../core/document/types';
import type { Verdict } from '../core/document/verdict';
import type { Precipitation, WaterGrade } from '../core/document/weather';
import type { Moment } from '../core/heat/simulation';
import type { CoverageCell } from '../core/judge/coverage';
import type { PhaseVerdict } from '../core/judge/verdicts';
import type { Where } from '../core/kit/pack';

/** Figures and states in the words of a guide. */
const MINUS = '−';
/** A number with a real minus sign. */
export const signed = (value: number, digits = 0): string => {
	const text = Math.abs(value).toFixed(digits);
	return value < 0 && Number(text) !== 0 ? MINUS + text : text;
};
export const degrees = (tempC: number): string => `${signed(tempC)}°`;
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

/** An ISO date as "Sat 23 Jan 2027", the same on server and page; what is no date comes back as it is. */
export function longDate(iso: string): string {
	const date = new Date(`${iso}T12:00:00Z`);
	if (Number.isNaN(date.getTime())) return iso;
	return `${WEEKDAY.format(date)} ${date.getUTCDate()} ${MONTH.format(date)} ${date.getUTCFullYear()}`;
}
/** An ISO date as "January 2027". */
export const monthAndYear = (iso: string): string => MONTH_AND_YEAR.format(new Date(`${iso}T12:00:00Z`));
/** The same without the year: "Sat 23 Jan". */
export const shortDate = (iso: string): string => longDate(iso).replace(/ \d{4}$/, '');

export const KIND_WORDS: Readonly<Record<PhaseKind, string>> = {
	move: 'moving',
	stop: 'stop',
	ride: 'ride',
	indoors: 'indoors',
	sleep: 'night',
	'what-if': 'what if'
};
export const PLACE_WORDS: Readonly<Record<PhasePlace, string>> = {
	in: 'heated',
	'cold-in': 'unheated roof',
	tent: 'tent',
	'snow-hole': 'snow hole',
	lee: 'in the lee',
	forest: 'forest',
	trees: 'open trees',
	slope: 'open slope',
	ridge: 'ridge',
	bed: 'the lodging'
};
export const BED_WORDS: Readonly<Record<BedKind, string>> = {
	heated: 'heated house',
	unheated: 'unheated lodge',
	hut: 'hut without heating',
	tent: 'tent',
	'snow-hole': 'snow hole',
	none: 'at home, no night'
};
export const DRYING_WORDS: Readonly<Record<Drying, string>> = {
	nothing: 'nothing dries',
	'small things': 'small things dry',
	everything: 'a drying room'
};
export const TERRAIN_WORDS: Readonly<Record<Terrain, string>> = {
	avalanche: 'avalanche terrain',
	glacier: 'glacier',
	'shooting-season': 'shooting season',
	traffic: 'traffic',
	'deep-water': 'deep or cold water',
	'steep-ground': 'steep ground'
};
export const ORIGIN_WORDS: Readonly<Record<OriginKind, string>> = {
	typed: 'typed',
	usual: 'usual there',
	forecast: 'forecast',
	file: 'from a file',
	touch: 'touched by hand',
	copied: 'copied',
	default: 'starting value'
};
export const PACE_WORDS: Readonly<Record<Pace, string>> = {
	guided: 'guided group',
	fast: 'fast and fit',
	gentle: 'gentle'
};
export const PRECIPITATION_WORDS: Readonly<Record<Precipitation, string>> = {
	dry: 'dry',
	'dry-snow': 'dry snow',
	'wet-snow': 'wet snow',
	drizzle: 'drizzle',
	rain: 'rain',
	'heavy-rain': 'heavy rain'
};
export const MARK_WORDS: Readonly<Record<Mark, string>> = {
	helmet: 'helmet',
	harness: 'harness',
	fiddly: 'fiddly hands',
	'arms-up': 'arms up',
	seated: 'seated',
	'snow-contact': 'snow contact',
	splash: 'splash',
	'immersed-ankle': 'in water to the ankle',
	'immersed-knee': 'in water to the knee',
	'immersed-thigh': 'in water to the thigh',
	'immersed-waist': 'in water to the waist',
	quiet: 'quiet',
	flame: 'open fire',
	abrasion: 'abrasion',
	pedals: 'pedals',
	controls: 'controls',
	'boots-on': 'boots stay on',
	roped: 'tied in',
	dark: 'dark',
	'alone-with-pack': 'alone with the pack',
	'pack-away': 'pack not at hand',
	'free-movement': 'free movement',
	screen: 'a screen to work',
	tethered: 'gloves on a leash',
	'in-company': 'in company'
};
export const STATE_WORDS: Readonly<Record<FactState, string>> = {
	has: 'has',
	'has not': 'has not',
	assumed: 'assumed',
	'not asked': 'not asked'
};
export const WATER_WORDS: Readonly<Record<WaterGrade, string>> = {
	none: 'nothing',
	repellent: 'repellent: a shower',
	windproof: 'windproof: half an hour',
	'light-membrane': 'light membrane: hours',
	taped: 'taped membrane: all day',
	rubber: 'rubber: until it floods'
};
export const FEATURE_WORDS: Readonly<Record<Feature, string>> = {
	hood: 'hood',
	'hood-over-helmet': 'hood goes over a helmet',
	'under-helmet': 'goes under a helmet',
	'full-zip': 'full zip',
	'half-zip': 'half zip',
	'two-way-zip': 'zip opens from below',
	vents: 'vents',
	'full-side-zip': 'full side zips',
	'removable-sleeves': 'sleeves come off',
	'stays-tucked': 'stays tucked in',
	'slim-cuff': 'slim at the foot',
	'cuff-seal': 'seals at the cuff',
	'armour-room': 'room for armour',
	abrasion: 'stands abrasion',
	'quiet-face': 'quiet face',
	'high-visibility': 'bright colour',
	reflective: 'reflects',
	'no-melt': 'does not melt',
	'drop-seat': 'opens without undressing',
	'touch-screen': 'works a screen',
	'wrist-leash': 'wrist leash',
	'vehicle-fed': 'fed by the vehicle',
	'packs-into-itself': 'packs into itself',
	'long-tail': 'long tail',
	'short-tail': 'short tail',
	'loose-ends': 'loose ends',
	watertight: 'watertight',
	town: 'fit for town'
};
export const WHERE_WORDS: Readonly<Record<Where, string>> = {
	pocket: 'In a pocket',
	top: 'On top of the pack',
	pack: 'In the pack',
	base: 'Left at base'
};
export const REASON_WORDS: Readonly<Record<ReasonKind, string>> = {
	standard: 'published standard',
	practice: 'common practice',
	assumption: 'our assumption'
};

/** A thing in few words: what stands before the first comma of its name. */
export const shortName = (name: string): string => name.split(',')[0]!;

const WHO: Partial<Record<Row | 'body', string>> = { body: 'the whole body', hands: 'fingers', feet: 'toes' };

/** A verdict as a sentence that a guide could say. */
export function verdictSentence(phase: PhaseVerdict, name: string): string {
	const { verdict, holdsMinutes, cell, limitedBy } = phase;
	const who = WHO[limitedBy] ?? `the ${limitedBy}`;
	switch (verdict) {
		case 'right':
			return cell.kind === 'sleep' ? 'Right for the night.' : 'Right for these minutes.';
		case 'cool':
			return limitedBy === 'body'
				? `Holds, but ${name} will feel cold.`
				: limitedBy === 'sleep'
					? 'The bag holds, but the night will feel cold.'
					: `Holds, but ${who} get cold.`;
		case 'short':
			if (limitedBy === 'sleep') return 'The night is too cold for the bag.';
			return holdsMinutes === 0
				? `Cold already when it begins (${who}).`
				: `Holds ${holdsMinutes} of ${cell.minutes} min (${who}).`;
		case 'warm':
			return phase.reasons.some(({ rule }) => rule === 'tooHotForAll')
				? 'Too warm whatever is worn: shade, water, an earlier start.'
				: 'Too warm: open or take off.';
		case 'warm before a stop':
			return 'Too warm, and a stop follows: open or take off first.';
		case 'wet through':
			return `Wet through at the ${limitedBy}.`;
		case 'nothing suffices':
			return `No clothing holds ${cell.minutes} min here: shorten, shelter, heat, or do not go.`;
		case 'not judged yet':
			return `Not judged: nobody has asked ${name} yet.`;
	}
}

/** A moment of the simulated day as a guide would tell it. */
export function momentSentence(
	{ kind, minute, does, thingId, thenMinute }: Moment,
	cell: Cell,
	nameOf: (thingId: string) => string
): string {
	const where = `${clock(cell.startMin + minute)}, ${minute} min into “${cellName(cell)}”`;
	const what = {
		sweating: 'the skin is wetter with sweat than one likes',
		soaked: 'the layers next to the skin are wet',
		cold: 'the cold has got in',
		hot: 'nobody keeps this up: open, take off, go slower',
		ended: 'the body is beyond what this model can tell: shelter, warmth and help come first'
	}[kind];
	if (thingId === null) return `${where}: ${what}.`;
	const until = thenMinute === null ? 'it does not come to that' : `it comes to that after ${thenMinute} min`;
	return `${where}: ${what}. With ${nameOf(thingId)} ${does === 'take off' ? 'off' : 'on'} from the start of it ${until}.`;
}

/** A verdict in the few words of a tag. */
export function verdictTag({ verdict, holdsMinutes, cell, limitedBy }: PhaseVerdict): string {
	if (verdict === 'short' && limitedBy !== 'sleep') {
		return holdsMinutes === 0 ? 'short: cold already' : `short: ${holdsMinutes} of ${cell.minutes} min`;
	}
	return verdict;
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
