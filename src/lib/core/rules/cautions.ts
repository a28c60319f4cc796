import { WORK_WM2 } from '../body/effort';
import type { Cell } from '../conditions/cells';
import type { Part } from '../document/parts';
import { reason, type Reason } from '../document/reasons';
import type { Site, Stage } from '../document/types';
import { noonElevationDeg } from '../weather/daylight';
import { frostbiteClass, ROOFED } from '../weather/wind';

/** Something that can hurt people, said because the conditions bring it; local rules, the guide and the doctor decide. */
export interface Caution {
	code: string;
	stageId: string;
	/** phases in which it applies, in order, each once; none when it is about the stage as a whole */
	phases: { id: string; name: string }[];
	parts: Part[];
	message: string;
	reason: Reason;
}

/** What a rule looks at: one stage in one weather. */
export interface CautionFacts {
	stage: Stage;
	cells: readonly Cell[];
	site: Site | null;
}
type Told = Pick<Caution, 'message' | 'reason'> & { parts?: Part[]; cells?: readonly Cell[] };
type CautionRule = (facts: CautionFacts) => Told | null;

const outside = (cell: Cell): boolean => !ROOFED.has(cell.place);
const lived = (cell: Cell): boolean => cell.kind !== 'what-if';
const clockWords = (minutes: number): string =>
	`${Math.floor((minutes % 1440) / 60)}:${String(Math.round(minutes) % 60).padStart(2, '0')}`;
const feltC = (tempC: number): string => `${Math.round(tempC)} °C`;
const coldest = (cells: readonly Cell[]): Cell => cells.reduce((a, b) => (b.feltTempC < a.feltTempC ? b : a));

/** Height from which altitude is a matter of health, m (common practice). */
export const HIGH_ALTITUDE_M = 2500;
/** Rain that counts as soaking, minutes of ordinary rain (our assumption). */
const SOAKED_RAIN_MIN = 15;
/** A stop that is long enough to cool, minutes, and how soon it follows (our assumption). */
const COOLING_STOP_MIN = 10;
const SOON_MIN = 30;
/** Hard and long enough to sweat through, W/m² and minutes (our assumption). */
const SWEATY_WM2 = 280;
const SWEATY_MIN = 45;
/** Felt temperature at which a sweaty stop is said aloud, °C (our assumption). */
const BITTER_FELT_C = -15;
const MILD_C = 10;
/** Height of the sun at noon from which snow or height burns, and from which it burns anywhere, degrees (our assumption). */
const SUN_ON_SNOW_DEG = 20;
const SUN_ANYWHERE_DEG = 55;
/** Snow counts from this height even low in winter, m (our assumption). */
const UV_HEIGHT_M = 2000;
const HOT_C = 28;

const IMMERSED = ['immersed-ankle', 'immersed-knee', 'immersed-thigh', 'immersed-waist'] as const;
const isImmersed = (cell: Cell): boolean => IMMERSED.some((mark) => cell.marks.includes(mark));

/** Whether a cell leaves people wet: rain that has gathered, water from outside, or long, hard work. */
const wetFrom = (cell: Cell): 'water' | 'sweat' | null =>
	cell.rainMinutes >= SOAKED_RAIN_MIN || cell.marks.includes('splash') || isImmersed(cell)
		? 'water'
		: cell.metabolicWm2 >= SWEATY_WM2 && cell.minutes >= SWEATY_MIN
			? 'sweat'
			: null;

/** The stop at which wet people stand, if there is one. */
function wetStop(cells: readonly Cell[]): { wet: Cell; stop: Cell; from: 'water' | 'sweat' } | null {
	const day = cells.filter(lived);
	for (const [k, wet] of day.entries()) {
		const from = outside(wet) && wet.metabolicWm2 >= WORK_WM2 ? wetFrom(wet) : null;
		if (!from) continue;
		let passed = 0;
		for (const stop of day.slice(k + 1)) {
			if (stop.heated || passed > SOON_MIN) break;
			const cools = stop.kind === 'stop' && stop.minutes >= COOLING_STOP_MIN && stop.airTempC <= MILD_C;
			if (cools && outside(stop) && (from === 'water' || stop.feltTempC <= BITTER_FELT_C))
				return { wet, stop, from };
			passed += stop.minutes;
		}
	}
	return null;
}

/** Minutes until bare face, ears or hands freeze, phase by phase; each phase once, at its coldest. */
function frostbiteByPhase(cells: readonly Cell[]): [string, string][] {
	const byPhase = new Map<string, Cell>();
	for (const cell of cells) {
		const before = byPhase.get(cell.phaseId);
		if (!before || cell.feltTempC < before.feltTempC) byPhase.set(cell.phaseId, cell);
	}
	return [...byPhase.values()].map(({ name, feltTempC, startMin }): [string, string] => {
		const [from, to] = frostbiteClass(feltTempC).minutes!;
		const minutes = from === 0 ? `under ${to} min` : `${from} to ${to} min`;
		return [
			`${name}, ${clockWords(startMin)}`,
			`${feltC(feltTempC)} felt: face, ears, hands bare ${minutes}`
		];
	});
}

const frostbite: CautionRule = ({ cells }) => {
	const at = cells.filter(
		(cell) => outside(cell) && cell.kind !== 'sleep' && frostbiteClass(cell.feltTempC).level !== 'low'
	);
	if (at.length === 0) return null;
	const worst = coldest(at);
	const [from, to] = frostbiteClass(worst.feltTempC).minutes!;
	return {
		cells: at,
		parts: ['face', 'ears', 'hands'],
		message: `${worst.name}: feels like ${feltC(worst.feltTempC)}. Bare face, ears and hands can freeze ${from === 0 ? `in under ${to}` : `within ${from} to ${to}`} min; wet skin and skin on metal sooner. Cover up and look at each other’s faces; the guide decides whether to go.`,
		reason: reason('frostbite', frostbiteByPhase(at))
	};
};

const soakThenStand: CautionRule = ({ cells }) => {
	const found = wetStop(cells);
	if (!found) return null;
	const { wet, stop, from } = found;
	return {
		cells: [wet, stop],
		parts: ['torso', 'feet'],
		message: `${stop.name}: people arrive wet ${from === 'water' ? 'through' : 'with sweat'} from “${wet.name}” and stand ${stop.minutes} min at ${feltC(stop.feltTempC)} felt. Something dry and the stop coat go on at once, or the stop moves under cover.`,
		reason: reason('soakThenStand', [
			['rain gathered before it', wet.rainMinutes, 'min'],
			['effort before it', wet.metabolicWm2, 'W/m²'],
			['felt at the stop', stop.feltTempC, '°C']
		])
	};
};

const immersion: CautionRule = ({ cells, stage }) => {
	const at = cells.filter(isImmersed);
	if (at.length === 0 && !stage.terrain.includes('deep-water')) return null;
	return {
		cells: at,
		parts: ['thighs', 'calves', 'feet'],
		message:
			'Cold water takes the breath and the hands within minutes, waders flood, and no clothing keeps one afloat. Life vest, wading staff and rules as the local guide says; a dry change stays at the car.',
		reason: reason(
			'immersion',
			at[0] ? [['air', at[0].airTempC, '°C']] : [['the stage is marked', 'deep water']]
		)
	};
};

const altitude: CautionRule = ({ cells }) => {
	const at = cells.filter((cell) => cell.altitudeM > HIGH_ALTITUDE_M);
	if (at.length === 0) return null;
	const highest = Math.max(...at.map(({ altitudeM }) => altitudeM));
	const bed = at.find(({ kind }) => kind === 'sleep');
	return {
		cells: at,
		message: `Up to ${Math.round(highest)} m${bed ? `, sleeping at ${Math.round(bed.altitudeM)} m` : ''}: climb slowly, and never go higher with a headache, sickness or odd behaviour. Illness of altitude is not cold; clothes do not help. Ask a doctor beforehand; down is the cure.`,
		reason: reason('highAltitude', [['highest point', highest, 'm']])
	};
};

const ultraviolet: CautionRule = ({ cells, stage, site }) => {
	const elevation = site ? noonElevationDeg(stage.date, site.latitudeDeg, site.longitudeDeg) : null;
	const at = cells.filter(
		(cell) =>
			lived(cell) &&
			outside(cell) &&
			cell.light === 'day' &&
			(elevation === null
				? cell.ground !== 'bare' && cell.altitudeM > UV_HEIGHT_M
				: elevation >= SUN_ANYWHERE_DEG ||
					(elevation >= SUN_ON_SNOW_DEG && (cell.ground !== 'bare' || cell.altitudeM > HIGH_ALTITUDE_M)))
	);
	if (at.length === 0) return null;
	const highest = Math.max(...at.map(({ altitudeM }) => altitudeM));
	return {
		cells: at,
		parts: ['eyes', 'face'],
		message: `Strong sun${at.some(({ ground }) => ground !== 'bare') ? ', thrown back by the snow' : ''}: dark lenses, cream on nose, chin and ears from below too, and a second pair of glasses.`,
		reason: reason('ultraviolet', [
			...(elevation === null
				? []
				: ([['sun at noon', elevation, 'degrees high']] as [string, number, string][])),
			['highest point in the sun', highest, 'm'],
			['underfoot', at[0]!.ground]
		])
	};
};

const avalanche: CautionRule = ({ stage, cells }) =>
	stage.terrain.includes('avalanche') && cells.some(({ ground }) => ground === 'snow')
		? {
				message:
					'Avalanche terrain: this tool knows nothing of the snow. Read the bulletin of the day, carry transceiver, shovel and probe, and do what the licensed guide says.',
				reason: reason('avalanche')
			}
		: null;

const glacier: CautionRule = ({ stage }) =>
	stage.terrain.includes('glacier')
		? {
				message:
					'Glacier: rope, harness and the way are the licensed guide’s business; the coat has to go on over the harness.',
				reason: reason('guidesBusiness')
			}
		: null;

const steepGround: CautionRule = ({ stage, cells }) =>
	stage.terrain.includes('steep-ground') || cells.some(({ ground }) => ground === 'ice')
		? {
				message:
					'Steep or icy ground: light cleats are for paths, not for steep ice. Clothing does not protect against a fall.',
				reason: reason('iceUnderfoot')
			}
		: null;

const fire: CautionRule = ({ cells }) => {
	const at = cells.filter((cell) => cell.marks.includes('flame'));
	if (at.length === 0) return null;
	return {
		cells: at,
		parts: ['torso', 'hands'],
		message: `${at[0]!.name}: by an open fire synthetic fibres, fills and membranes melt into the skin, wax burns, cords dangle. Wool or cotton outside; no stove in a closed tent, for the fumes.`,
		reason: reason('openFire')
	};
};

const shooting: CautionRule = ({ stage }) =>
	stage.terrain.includes('shooting-season')
		? {
				message:
					'Shooting season: the high-visibility layer is the outermost in every phase, coat and rain shell included. Ask locally where and when.',
				reason: reason('shootingSeason')
			}
		: null;

const darkness: CautionRule = ({ cells }) => {
	const at = cells.filter(
		(cell) => cell.light === 'dark' && outside(cell) && cell.kind !== 'sleep' && lived(cell)
	);
	if (at.length === 0) return null;
	return {
		cells: at,
		parts: ['eyes'],
		message: `Dark in “${at[0]!.name}”${at.length > 1 ? ` and ${at.length - 1} more` : ''}: a torch each with fresh batteries, on top of the pack before it gets dark.`,
		reason: reason('darkness', [['from', at[0]!.startMin % 1440, 'o’clock']])
	};
};

const traffic: CautionRule = ({ stage, cells }) =>
	stage.terrain.includes('traffic') &&
	cells.some(
		(cell) => cell.light !== 'day' || (cell.precipitation !== 'dry' && cell.precipitation !== 'dry-snow')
	)
		? {
				message:
					'Among traffic in poor light or rain: reflective and lit, nothing dangling, and no hood over sight and hearing.',
				reason: reason('traffic')
			}
		: null;

const storm: CautionRule = ({ cells }) => {
	const at = cells.filter((cell) => outside(cell) && lived(cell) && cell.wind10mKmh >= 75);
	if (at.length === 0) return null;
	return {
		cells: at,
		message: `${at[0]!.name}: ${Math.round(at[0]!.wind10mKmh)} km/h of wind knocks people over on a ridge and takes gloves away. Another way or another day; the guide decides.`,
		reason: reason('storm', [['wind at 10 m', at[0]!.wind10mKmh, 'km/h']])
	};
};

const heat: CautionRule = ({ cells }) => {
	const at = cells.filter((cell) => outside(cell) && lived(cell) && cell.airTempC >= HOT_C);
	if (at.length === 0) return null;
	return {
		cells: at,
		message: `${at[0]!.name}: ${feltC(at[0]!.airTempC)}. Water, shade, an earlier start; confusion or no more sweat in the heat is an emergency.`,
		reason: reason('heat', [['air', at[0]!.airTempC, '°C']])
	};
};

/** Rules in the order in which they are said. Adding a caution is adding a row, and a test. */
export const CAUTION_RULES: Readonly<Record<string, CautionRule>> = {
	frostbite,
	storm,
	avalanche,
	'soak-then-stand': soakThenStand,
	immersion,
	altitude,
	glacier,
	'steep-ground': steepGround,
	heat,
	'open-fire': fire,
	'shooting-season': shooting,
	darkness,
	traffic,
	ultraviolet
};

/** What is to be said of a stage in one weather; empty when nothing applies. */
export function cautionsOf(facts: CautionFacts): Caution[] {
	return Object.entries(CAUTION_RULES).flatMap(([code, rule]) => {
		const told = rule(facts);
		if (!told) return [];
		const { cells = [], parts = [], message, reason: why } = told;
		const phases = [...new Map(cells.map(({ phaseId, name }) => [phaseId, { id: phaseId, name }])).values()];
		return [{ code, stageId: facts.stage.id, phases, parts, message, reason: why }];
	});
}
