import { WORK_WM2 } from '../body/effort';
import type { Cell } from '../conditions/cells';
import type { FindingValue } from '../document/finding';
import type { Part } from '../document/parts';
import { reason, type Reason, type ValueRow } from '../document/reasons';
import type { Site, Stage } from '../document/types';
import { noonElevationDeg } from '../weather/daylight';
import { frostbiteClass, ROOFED } from '../weather/wind';

/** Something that can hurt people, said because the conditions bring it; local rules, the guide and the doctor decide. */
export interface Caution {
	code: CautionCode;
	stageId: string;
	/** phases in which it applies, in order, each once; none when it is about the stage as a whole */
	phases: { id: string; name: string }[];
	parts: Part[];
	values: Readonly<Record<string, FindingValue>>;
	reason: Reason;
}

/** What a rule looks at: one stage in one weather. */
export interface CautionFacts {
	stage: Stage;
	cells: readonly Cell[];
	site: Site | null;
}
type Told = Pick<Caution, 'reason'> & { parts?: Part[]; cells?: readonly Cell[]; values?: Caution['values'] };
type CautionRule = (facts: CautionFacts) => Told | null;

const outside = (cell: Cell): boolean => !ROOFED.has(cell.place);
const lived = (cell: Cell): boolean => cell.kind !== 'what-if';
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

const isImmersed = ({ water, fall }: Cell): boolean => water !== null || fall !== null;

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

/** How cold it feels and when bare skin freezes, phase by phase; each phase once, at its coldest. */
function frostbiteByPhase(cells: readonly Cell[]): ValueRow[] {
	const byPhase = new Map<string, Cell>();
	for (const cell of cells) {
		const before = byPhase.get(cell.phaseId);
		if (!before || cell.feltTempC < before.feltTempC) byPhase.set(cell.phaseId, cell);
	}
	return [...byPhase.values()].flatMap(({ name, feltTempC }): ValueRow[] => {
		const [from, to] = frostbiteClass(feltTempC).minutes!;
		return [
			['feltIn', feltTempC, '°C', { of: name }],
			['freezesWithin', from, 'min', { to, of: name }]
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
		values: {
			phase: worst.name,
			felt: { value: worst.feltTempC, unit: '°C' },
			from: { value: from, unit: 'min' },
			to: { value: to, unit: 'min' }
		},
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
		values: {
			phase: stop.name,
			work: wet.name,
			from,
			minutes: { value: stop.minutes, unit: 'min' },
			felt: { value: stop.feltTempC, unit: '°C' }
		},
		reason: reason('soakThenStand', [
			['rainGatheredBeforeIt', wet.rainMinutes, 'min'],
			['effortBeforeIt', wet.metabolicWm2, 'W/m²'],
			['feltAtTheStop', stop.feltTempC, '°C']
		])
	};
};

const immersion: CautionRule = ({ cells, stage }) => {
	const at = cells.filter(isImmersed);
	if (at.length === 0 && !stage.terrain.includes('deep-water')) return null;
	return {
		cells: at,
		parts: ['thighs', 'calves', 'feet'],
		reason: reason(
			'immersion',
			at[0] ? [['air', at[0].airTempC, '°C']] : [['theStageIsMarked', 'deep-water']]
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
		values: {
			height: { value: highest, unit: 'm' },
			bed: bed ? { value: bed.altitudeM, unit: 'm' } : 'none'
		},
		reason: reason('highAltitude', [['highestPoint', highest, 'm']])
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
		values: { snow: at.some(({ ground }) => ground !== 'bare') ? 'yes' : 'no' },
		reason: reason('ultraviolet', [
			...(elevation === null ? [] : ([['sunAtNoon', elevation, 'degrees high']] as ValueRow[])),
			['highestPointInTheSun', highest, 'm'],
			['underfoot', at[0]!.ground]
		])
	};
};

const avalanche: CautionRule = ({ stage, cells }) =>
	stage.terrain.includes('avalanche') && cells.some(({ ground }) => ground === 'snow')
		? {
				reason: reason('avalanche')
			}
		: null;

const glacier: CautionRule = ({ stage }) =>
	stage.terrain.includes('glacier')
		? {
				reason: reason('guidesBusiness')
			}
		: null;

const steepGround: CautionRule = ({ stage, cells }) =>
	stage.terrain.includes('steep-ground') || cells.some(({ ground }) => ground === 'ice')
		? {
				reason: reason('iceUnderfoot')
			}
		: null;

const fire: CautionRule = ({ cells }) => {
	const at = cells.filter((cell) => cell.marks.includes('flame'));
	if (at.length === 0) return null;
	return {
		cells: at,
		parts: ['torso', 'hands'],
		values: { phase: at[0]!.name },
		reason: reason('openFire')
	};
};

const shooting: CautionRule = ({ stage }) =>
	stage.terrain.includes('shooting-season')
		? {
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
		values: { phase: at[0]!.name, more: String(at.length - 1) },
		reason: reason('darkness', [['from', at[0]!.startMin % 1440, 'o’clock']])
	};
};

const traffic: CautionRule = ({ stage, cells }) =>
	stage.terrain.includes('traffic') &&
	cells.some(
		(cell) => cell.light !== 'day' || (cell.precipitation !== 'dry' && cell.precipitation !== 'dry-snow')
	)
		? {
				reason: reason('traffic')
			}
		: null;

const storm: CautionRule = ({ cells }) => {
	const at = cells.filter((cell) => outside(cell) && lived(cell) && cell.wind10mKmh >= 75);
	if (at.length === 0) return null;
	return {
		cells: at,
		values: { phase: at[0]!.name, wind: { value: at[0]!.wind10mKmh, unit: 'km/h' } },
		reason: reason('storm', [['windAt10M', at[0]!.wind10mKmh, 'km/h']])
	};
};

const heat: CautionRule = ({ cells }) => {
	const at = cells.filter((cell) => outside(cell) && lived(cell) && cell.airTempC >= HOT_C);
	if (at.length === 0) return null;
	return {
		cells: at,
		values: { phase: at[0]!.name, air: { value: at[0]!.airTempC, unit: '°C' } },
		reason: reason('heat', [['air', at[0]!.airTempC, '°C']])
	};
};

/** Rules in the order in which they are said. Adding a caution is adding a row, its words, and a test. */
export const CAUTION_RULES = {
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
} as const satisfies Readonly<Record<string, CautionRule>>;
export type CautionCode = keyof typeof CAUTION_RULES;

/** What is to be said of a stage in one weather; empty when nothing applies. */
export function cautionsOf(facts: CautionFacts): Caution[] {
	return (Object.keys(CAUTION_RULES) as CautionCode[]).flatMap((code) => {
		const told = CAUTION_RULES[code](facts);
		if (!told) return [];
		const { cells = [], parts = [], values = {}, reason: why } = told;
		const phases = [...new Map(cells.map(({ phaseId, name }) => [phaseId, { id: phaseId, name }])).values()];
		return [{ code, stageId: facts.stage.id, phases, parts, values, reason: why }];
	});
}
