import { type Cloth, covers } from '../cloth/things';
import type { Part } from '../document/parts';
import { type Schools } from '../document/schools';
import type { Dexterity, Doing } from '../document/types';
import { RAIN_MINUTES } from '../weather/precipitation';
import { ROOFED } from '../weather/wind';
import type { Cell } from './cells';

/** Felt temperature from which face, ears, neck and hands are covered, °C (common practice). */
export const COVER_FELT_C = -10;

/** Height from which eyes need shade without snow too, m. */
export const HIGH_LIGHT_M = 4500;

const outdoors = (cell: Cell): boolean => !ROOFED.has(cell.place);

/** Lived through awake: neither a night nor a what-if. */
export const isAwake = ({ kind }: Pick<Cell, 'kind'>): boolean => kind !== 'what-if' && kind !== 'sleep';

/** Where one stays for the evening, and how long a stay is worth dry things, minutes (our assumption). */
const RESTS: ReadonlySet<Doing> = new Set(['camp', 'lodging']);
const REST_MIN = 30;
/** Whether one rests in a phase as one does in the evening: dry things are put on for it. */
export const isRest = (cell: Pick<Cell, 'kind' | 'doing' | 'minutes'>): boolean =>
	isAwake(cell) && RESTS.has(cell.doing) && cell.minutes >= REST_MIN;

/** Outdoors and awake. */
export const isOut = (cell: Cell): boolean => outdoors(cell) && cell.kind !== 'sleep';

/** Outdoors and awake, where nothing heats. */
export const isOutside = (cell: Cell): boolean => isOut(cell) && !cell.heated;

/** Seats of their own have lifts and wheels; elsewhere one sits on snow, rock or a wet log. */
const HAS_SEATS: ReadonlySet<Doing> = new Set(['pistes', 'cycle', 'motorbike', 'vehicle']);
/** In air below this what one sits on is cold, °C (our assumption). */
const COLD_SEAT_C = 10;
/** Whether one sits on something cold, where a mat keeps the thighs' clothes from being pressed. */
export const sitsOnCold = (cell: Cell): boolean =>
	cell.marks.includes('seated') &&
	cell.kind !== 'ride' &&
	!cell.heated &&
	isOut(cell) &&
	cell.airTempC < COLD_SEAT_C &&
	!HAS_SEATS.has(cell.doing);

/** Whether a face keeps water out for hours. */
export const isWaterproof = ({ waterGrade }: Cloth): boolean =>
	waterGrade === 'light-membrane' || waterGrade === 'taped' || waterGrade === 'rubber';

export const needsFaceCover = (cell: Cell): boolean => outdoors(cell) && cell.feltTempC <= COVER_FELT_C;

/** The same for one part: ears may be left free to hear until skin can freeze. */
export const needsCover = (cell: Cell, part: Part, schools: Schools): boolean =>
	needsFaceCover(cell) && !(part === 'ears' && schools.ears === 'free' && cell.feltTempC > EARS_FREE_UNTIL_C);

/** Shorts and short sleeves are clothes in air above this, °C (common practice). */
export const BARE_LIMBS_FROM_C = 15;

const BARE_LIMBS_DOINGS: ReadonlySet<Cell['doing']> = new Set(['run', 'cycle']);
/** Whether arms and calves are covered out of doors: in cool air, but by those who run or ride a bicycle. */
export const limbsShallBeCovered = (cell: Cell): boolean =>
	isOut(cell) &&
	!cell.heated &&
	cell.airTempC < BARE_LIMBS_FROM_C &&
	!(BARE_LIMBS_DOINGS.has(cell.doing) && cell.kind === 'move');

/** Whether legs may get wet in a phase: on the move, where that is the school. */
export const acceptsWetLegs = (cell: Cell, schools: Schools): boolean =>
	cell.kind === 'move' && schools.rainLegs === 'accepted wet';

/** Smallest lens category that the light asks for; null where eyes need nothing. */
export function lensNeeded(cell: Cell): number | null {
	const onSnow = cell.ground !== 'bare';
	const high = cell.altitudeM > HIGH_LIGHT_M;
	if (!outdoors(cell) || cell.light === 'dark' || cell.kind === 'sleep' || !(onSnow || high)) return null;
	if (cell.precipitation !== 'dry') return 0;
	return high && onSnow ? 4 : 3;
}

/** Lowest dexterity of gloves that a phase allows; null where it does not matter. */
export const dexterityNeeded = (cell: Cell): Dexterity | null =>
	cell.marks.includes('fiddly') ? 'high' : cell.marks.includes('controls') ? 'medium' : null;

const DEXTERITY_RANK: Readonly<Record<Dexterity, number>> = { high: 2, medium: 1, low: 0 };
export function isTooClumsy(cloths: readonly Cloth[], needed: Dexterity | null): boolean {
	return needed !== null && cloths.some((cloth) => DEXTERITY_RANK[cloth.dexterity] < DEXTERITY_RANK[needed]);
}

/** A worn-out finish wets out in half the time (our assumption); rubber has none. */
const WORN_OUT_SHARE = 0.5;

/** Minutes of ordinary rain that the outer face of a cloth keeps out. */
export const rainKeptOutMin = (cloth: Cloth | undefined): number =>
	RAIN_MINUTES[cloth?.waterGrade ?? 'none'] * (cloth?.face === 'worn out' ? WORN_OUT_SHARE : 1);

/** Minutes of ordinary rain that fill a layer once its face lets them through (our assumption). */
export const FILLED_AFTER_MIN = 40;
/** A weave of this little warmth holds no water: it lets it through to what is under it, clo (our assumption). */
const WEAVE_CLO = 0.3;
/** Whether a thing is a weave that holds no water. */
export const holdsNoWater = ({ slot, localClo }: Cloth): boolean =>
	(slot === 'rain' || slot === 'wind' || slot === 'overtrousers') && localClo <= WEAVE_CLO;

/** Minutes of ordinary rain that layers keep from the skin of a part: by their faces, and by filling. */
export const rainKeptMin = (layers: readonly { cloth: Cloth }[], part: Part): number =>
	layers.reduce(
		(sum, { cloth }) =>
			covers(cloth, part) ? sum + rainKeptOutMin(cloth) + (holdsNoWater(cloth) ? 0 : FILLED_AFTER_MIN) : sum,
		0
	);
/**
 * Whether rain has half filled what is next to the skin: all that lies over it is full by then.
 * @param keptMin of all layers together
 */
export const isRainThrough = (keptMin: number, rainMinutes: number): boolean =>
	rainMinutes > Math.max(0, keptMin - FILLED_AFTER_MIN / 2);

/** A boot or shoe is on. */
export const isShod = (cloths: readonly Cloth[]): boolean =>
	cloths.some((cloth) => covers(cloth, 'feet') && cloth.positions[1] >= 4);

/** A sock is on; a liner alone is none. */
export const isSocked = (cloths: readonly Cloth[]): boolean =>
	cloths.some(({ slot }) => slot === 'sock' || slot === 'vapour-barrier');

/** Felt temperature from which ears are covered all the same, °C: skin can freeze. */
const EARS_FREE_UNTIL_C = -27;

/** Cells for which clothes are chosen: neither nights nor what-ifs. */
export const awakeCells = (cells: readonly Cell[]): Cell[] =>
	cells.filter(({ kind }) => kind !== 'sleep' && kind !== 'what-if');
