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

/**
 * What a stack counts for what it does not meet.
 * @param limbs what hands and feet wear, for demands that look at both
 */
export function penaltyOfUnmet(
	demands: readonly Requirement[],
	worn: readonly Worn[],
	cell: Cell,
	limbs: readonly Worn[] = []
): number {
	let sum = 0;
	for (const demand of demands) {
		const seen = demand.seesLimbs ? [...worn, ...limbs] : worn;
		if (demand.unmet(seen, cell) || demand.lacks?.(seen, cell)) sum += demand.penalty;
	}
	return sum;
}
