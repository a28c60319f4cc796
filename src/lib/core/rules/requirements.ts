import { type Cloth, covers } from '../cloth/things';
import { seenOn } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { isOut, isWaterproof } from '../conditions/needs';
import type { Part } from '../document/parts';
import type { Schools } from '../document/schools';
import type { Feature, Fibre } from '../document/types';
import type { Requirement, Worn } from './requirement';
import { DOING_REQUIREMENTS } from './doing-requirements';
import { FIT_REQUIREMENTS } from './fit-requirements';
import { PENALTY } from './objective';
import { schoolRequirementsOf } from './school-requirements';

/** Room under a helmet whose padding is taken out, and what a step of girth takes of it, mm (our assumption). */
const HELMET_GAP_MM = 6;
const MM_PER_STEP = 3;

/** It cannot be done like that; it does harm, or is out of place; it is worth a remark. */
const { needed: CANNOT, fault: FAULT, remark: REMARK } = PENALTY;
/** Out of doors, and wherever it is not heated. */
const unheated = (cell: Cell): boolean => !cell.heated;

const has = (cloth: Cloth, feature: Feature): boolean => cloth.features.includes(feature);
const marked =
	(...marks: Cell['marks'][number][]) =>
	(cell: Cell): boolean =>
		marks.some((mark) => cell.marks.includes(mark));
const topWithout =
	(part: Part, ...features: Feature[]) =>
	(worn: readonly Worn[]): Cloth | null => {
		const cloth = seenOn(worn, part);
		return cloth && !features.some((feature) => has(cloth, feature)) ? cloth : null;
	};
const topWith =
	(part: Part, feature: Feature) =>
	(worn: readonly Worn[]): Cloth | null => {
		const cloth = seenOn(worn, part);
		return cloth && has(cloth, feature) ? cloth : null;
	};
const any = (worn: readonly Worn[], test: (cloth: Cloth) => boolean): Cloth | null =>
	worn.find(({ cloth }) => test(cloth))?.cloth ?? null;

const MELTS: ReadonlySet<Fibre> = new Set(['synthetic', 'synthetic-fill', 'down', 'rubber', 'blend']);

const PHASE_REQUIREMENTS: readonly Requirement[] = [
	{
		rule: 'underHelmet',
		factor: 'head',
		part: 'ears',
		severity: 'warning',
		penalty: FAULT,
		asks: marked('helmet'),
		unmet: (worn) => {
			const under = worn
				.map(({ cloth }) => cloth)
				.filter((cloth) => covers(cloth, 'ears') && !has(cloth, 'hood') && cloth.slot !== 'helmet');
			const thick = under.find((cloth) => !has(cloth, 'under-helmet'));
			const mm = under.reduce((sum, { girthSteps }) => sum + girthSteps * MM_PER_STEP, 0);
			return thick ?? (mm > HELMET_GAP_MM ? under.at(-1)! : null);
		}
	},
	{
		rule: 'hoodOverHelmet',
		factor: 'trunk',
		part: 'torso',
		severity: 'warning',
		penalty: FAULT,
		asks: (cell) => cell.marks.includes('helmet') && cell.rainMinutes > 0,
		unmet: (worn) => {
			const shell = seenOn(worn, 'torso');
			return shell && isWaterproof(shell) && !has(shell, 'hood-over-helmet') ? shell : null;
		}
	},
	{
		rule: 'looseEnds',
		factor: 'head',
		part: 'neck',
		severity: 'warning',
		penalty: FAULT,
		asks: (cell) =>
			marked('pedals', 'controls')(cell) || (cell.kind === 'ride' && isOut(cell) && !cell.heated),
		unmet: (worn) => any(worn, (cloth) => has(cloth, 'loose-ends'))
	},
	{
		rule: 'shootingSeason',
		factor: 'trunk',
		part: 'torso',
		severity: 'warning',
		penalty: CANNOT,
		asks: (cell) => cell.terrain.includes('shooting-season') && isOut(cell) && !cell.heated,
		unmet: topWithout('torso', 'high-visibility')
	},
	{
		rule: 'traffic',
		factor: 'trunk',
		part: 'torso',
		severity: 'warning',
		penalty: FAULT,
		asks: (cell) =>
			cell.terrain.includes('traffic') && cell.light !== 'day' && isOut(cell) && cell.kind === 'move',
		unmet: topWithout('torso', 'reflective', 'high-visibility')
	},
	{
		rule: 'meltsAtFire',
		factor: 'trunk',
		part: 'torso',
		severity: 'note',
		penalty: REMARK,
		asks: marked('flame'),
		unmet: (worn) => {
			const cloth = seenOn(worn, 'torso');
			return cloth && MELTS.has(cloth.fibre) && !has(cloth, 'no-melt') ? cloth : null;
		}
	},
	{
		rule: 'tears',
		factor: 'legs',
		part: 'thighs',
		severity: 'warning',
		penalty: FAULT,
		asks: marked('abrasion'),
		unmet: topWithout('thighs', 'abrasion')
	},
	{
		rule: 'quietFace',
		factor: 'trunk',
		part: 'torso',
		severity: 'note',
		penalty: REMARK,
		asks: marked('quiet'),
		unmet: topWithout('torso', 'quiet-face')
	},
	{
		rule: 'overHarness',
		factor: 'trunk',
		part: 'torso',
		severity: 'note',
		penalty: REMARK,
		asks: marked('harness', 'roped'),
		unmet: topWithout('torso', 'two-way-zip', 'stays-tucked')
	},
	{
		rule: 'armsUp',
		factor: 'trunk',
		part: 'arms',
		severity: 'warning',
		penalty: FAULT,
		asks: (cell) => cell.marks.includes('arms-up') && (cell.rainMinutes > 0 || cell.marks.includes('splash')),
		seesLimbs: true,
		unmet: (worn) =>
			worn.some(({ cloth }) => covers(cloth, 'hands') && cloth.endWorn === 'over')
				? null
				: topWithout('arms', 'cuff-seal')(worn)
	},
	{
		rule: 'inWater',
		factor: 'legs',
		part: 'thighs',
		severity: null,
		penalty: CANNOT,
		asks: marked('immersed-knee', 'immersed-thigh', 'immersed-waist'),
		unmet: (worn, cell) => {
			const leg = seenOn(worn, cell.marks.includes('immersed-knee') ? 'calves' : 'thighs');
			return leg && leg.waterGrade !== 'rubber' ? leg : null;
		}
	},
	{
		rule: 'slimCuff',
		factor: 'legs',
		part: 'calves',
		severity: 'note',
		penalty: REMARK,
		asks: (cell) => cell.terrain.includes('glacier') && cell.ground !== 'bare' && cell.kind === 'move',
		unmet: (worn) => {
			const leg = topWithout('calves', 'slim-cuff', 'hem-seal')(worn);
			return leg?.endWorn === 'under' ? null : leg;
		}
	},
	{
		rule: 'longTail',
		factor: 'trunk',
		part: 'torso',
		severity: 'note',
		penalty: REMARK,
		asks: marked('pedals', 'harness'),
		unmet: topWith('torso', 'long-tail')
	},
	{
		rule: 'ponchoInWind',
		factor: 'trunk',
		part: 'torso',
		severity: 'warning',
		penalty: FAULT,
		asks: (cell) => cell.rainMinutes > 0 && cell.wind10mKmh >= 35 && isOut(cell),
		unmet: topWith('torso', 'loose-ends')
	},
	{
		rule: 'touchScreen',
		factor: 'hands',
		part: 'hands',
		severity: 'note',
		penalty: REMARK,
		asks: marked('screen'),
		unmet: topWithout('hands', 'touch-screen')
	},
	{
		rule: 'wristLeash',
		factor: 'hands',
		part: 'hands',
		severity: 'note',
		penalty: REMARK,
		asks: marked('tethered'),
		unmet: topWithout('hands', 'wrist-leash')
	},
	{
		rule: 'fitForTown',
		factor: 'trunk',
		part: 'torso',
		severity: 'note',
		penalty: REMARK,
		asks: marked('in-company'),
		unmet: topWithout('torso', 'town')
	},
	{
		rule: 'armour',
		factor: 'trunk',
		part: 'torso',
		severity: 'note',
		penalty: FAULT,
		asks: marked('controls'),
		unmet: (worn) => (worn.some(({ cloth }) => has(cloth, 'armour-room')) ? null : seenOn(worn, 'torso'))
	},
	{
		rule: 'darkLensDriving',
		factor: 'eyes',
		part: 'eyes',
		severity: 'warning',
		penalty: CANNOT,
		asks: marked('controls'),
		unmet: (worn) => any(worn, ({ lensCategory }) => lensCategory >= 4)
	}
];

/** Every demand that a phase can make, but those of the schools. Outside of heated places only, unless a row says more. */
export const REQUIREMENTS: readonly Requirement[] = [
	...PHASE_REQUIREMENTS.map((row) => ({ ...row, asks: (cell: Cell) => unheated(cell) && row.asks(cell) })),
	...DOING_REQUIREMENTS,
	...FIT_REQUIREMENTS
];

const known = new WeakMap<Cell, WeakMap<Schools, Map<Requirement['factor'], Requirement[]>>>();

/** Demands that a cell makes of a factor, those of the schools with them; worked out once, the search asks often. */
export function requirementsOf(cell: Cell, factor: Requirement['factor'], schools: Schools): Requirement[] {
	const bySchools = known.get(cell) ?? new WeakMap<Schools, Map<Requirement['factor'], Requirement[]>>();
	known.set(cell, bySchools);
	const byFactor = bySchools.get(schools) ?? new Map<Requirement['factor'], Requirement[]>();
	bySchools.set(schools, byFactor);
	let demands = byFactor.get(factor);
	if (!demands) {
		demands = [...REQUIREMENTS, ...schoolRequirementsOf(schools)].filter(
			(demand) => demand.factor === factor && demand.asks(cell)
		);
		byFactor.set(factor, demands);
	}
	return demands;
}

const demandNumbers = new WeakMap<Requirement, number>();
let demandsNumbered = 0;
const numberOf = (demand: Requirement): number => {
	const known = demandNumbers.get(demand) ?? demandsNumbered++;
	demandNumbers.set(demand, known);
	return known;
};

/** What demands on a factor say in a cell: where it is the same, they say the same of any stack. */
interface Say {
	key: string;
	seesLimbs: boolean;
}
const saysKnown = new WeakMap<readonly Requirement[], Say>();
function sayOf(demands: readonly Requirement[], { doing, marks }: Cell): Say {
	const known = saysKnown.get(demands);
	if (known) return known;
	const made = {
		key: `${demands.map(numberOf).join()}|${doing}|${marks.join()}`,
		seesLimbs: demands.some(({ seesLimbs }) => seesLimbs)
	};
	saysKnown.set(demands, made);
	return made;
}

/** Penalties of a stack that were worked out before, as long as the stack lives. */
const penaltiesKnown = new WeakMap<readonly Worn[], Map<string, number>>();

/**
 * What a stack counts for what it does not meet.
 * @param demands of the cell, as `requirementsOf` gives them
 * @param limbs what hands and feet wear, for demands that look at both
 */
export function penaltyOfUnmet(
	demands: readonly Requirement[],
	worn: readonly Worn[],
	cell: Cell,
	limbs: readonly Worn[] = []
): number {
	if (demands.length === 0) return 0;
	const say = sayOf(demands, cell);
	const key = say.seesLimbs
		? `${say.key}|${limbs.map(({ cloth, position }) => `${cloth.thingId}@${position}`).join()}`
		: say.key;
	const known = penaltiesKnown.get(worn) ?? new Map<string, number>();
	penaltiesKnown.set(worn, known);
	const before = known.get(key);
	if (before !== undefined) return before;
	let sum = 0;
	for (const demand of demands) {
		const seen = demand.seesLimbs ? [...worn, ...limbs] : worn;
		if (demand.unmet(seen, cell) || demand.lacks?.(seen, cell)) sum += demand.penalty;
	}
	known.set(key, sum);
	return sum;
}
