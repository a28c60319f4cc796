import { unusualPair } from '../cloth/stacks';
import { covers, type Cloth } from '../cloth/things';
import { outermost } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { isAwake, isOut, limbsShallBeCovered } from '../conditions/needs';
import type { Doing } from '../document/types';
import { BOOTS_OFF_AFTER_MIN, PENALTY, SHELL_OFF_AFTER_MIN, STOP_CLOTHES_UNTIL_WM2 } from './objective';
import type { Requirement, Worn } from './requirement';

/** What one is doing asks for, and what is out of place there (common practice). */

const isMadeFor = ({ uses }: Cloth, doing: Doing): boolean => uses === null || uses.includes(doing);
const find = (worn: readonly Worn[], test: (cloth: Cloth, position: number) => boolean): Cloth | null =>
	worn.find(({ cloth, position }) => test(cloth, position))?.cloth ?? null;

const ROOMS: ReadonlySet<Doing> = new Set(['lodging', 'public-room', 'vehicle']);
const inHeatedRoom = (cell: Cell, minutes: number): boolean =>
	cell.heated && ROOMS.has(cell.doing) && cell.minutes > minutes;
const isWorking = (cell: Cell): boolean => isOut(cell) && cell.metabolicWm2 >= STOP_CLOTHES_UNTIL_WM2;

/** Where a helmet is worn whether anybody says so or not: on wheels, and on the pistes in the queue and on the lift too. */
const ON_WHEELS: ReadonlySet<Doing> = new Set(['cycle', 'motorbike']);
const asksForHelmet = (cell: Cell): boolean =>
	cell.marks.includes('helmet') ||
	(ON_WHEELS.has(cell.doing) && isOut(cell) && (cell.kind === 'move' || cell.kind === 'ride')) ||
	(cell.doing === 'pistes' && isOut(cell) && !cell.heated);

/** Where a helmet simply stays on between what asks for it. */
const HELMET_STAYS_ON: ReadonlySet<Doing> = new Set(['pistes', 'steep', 'cycle', 'motorbike']);

/** What comes off in a heated room, beside what is made for out of doors only. */
const COMES_OFF: ReadonlySet<Cloth['slot']> = new Set([
	'helmet',
	'armour',
	'rain',
	'coat',
	'visibility',
	'leg-armour',
	'overtrousers',
	'hand-liner',
	'glove',
	'overmitt',
	'wind',
	'hat',
	'head-base',
	'neck',
	'gaiter'
]);

const footwearNotFor = (worn: readonly Worn[], cell: Cell): Cloth | null =>
	find(worn, (cloth) => cloth.slot === 'footwear' && !isMadeFor(cloth, cell.doing));

/** What keeps legs out of the wind and the eye: not underwear, unless it is made for what one does. */
const isLegwear = (cloth: Cloth, doing: Doing): boolean =>
	cloth.slot === 'trousers' ||
	cloth.slot === 'leg-armour' ||
	(cloth.slot === 'leg-base' && cloth.features.includes('tights') && (doing === 'run' || doing === 'cycle'));

const isStopClothing = ({ slot, functions }: Cloth, position: number): boolean =>
	slot === 'coat' || (position === 5 && functions.includes('warmth') && slot !== 'helmet');

/** Out of doors and not at work nobody goes without a jacket below this, °C (common practice). */
const JACKET_BELOW_C = 8;
const JACKETS: ReadonlySet<Cloth['slot']> = new Set(['light-insulation', 'wind', 'armour', 'rain', 'coat']);
const isJacket = (cloth: Cloth): boolean => JACKETS.has(cloth.slot) && covers(cloth, 'arms');

const notMadeForIt = (factor: Requirement['factor'], part: Requirement['part']): Requirement => ({
	rule: 'outOfPlace',
	factor,
	part,
	severity: 'warning',
	penalty: PENALTY.fault,
	asks: isAwake,
	unmet: (worn, cell) => find(worn, (cloth) => cloth.slot !== 'footwear' && !isMadeFor(cloth, cell.doing))
});

const offIndoors = (factor: Requirement['factor'], part: Requirement['part']): Requirement => ({
	rule: 'indoorClothes',
	factor,
	part,
	severity: null,
	penalty: PENALTY.fault,
	asks: (cell) => inHeatedRoom(cell, SHELL_OFF_AFTER_MIN),
	unmet: (worn) => find(worn, ({ slot }, position) => COMES_OFF.has(slot) || position >= 5)
});

const stopClothes = (factor: Requirement['factor'], part: Requirement['part']): Requirement => ({
	rule: 'stopClothesInWork',
	factor,
	part,
	severity: 'warning',
	penalty: PENALTY.stopClothes,
	asks: isWorking,
	unmet: (worn) =>
		find(
			worn,
			(cloth, position) =>
				isStopClothing(cloth, position) ||
				// An insulated jacket is for stops as well, unless something goes over it.
				(cloth.slot === 'light-insulation' &&
					covers(cloth, 'arms') &&
					outermost(worn, 'torso')?.cloth === cloth)
		)
});

/** Air in which nobody wears gloves or a hat unless at work that asks for them, °C (our assumption). */
const MILD_C = 8;
/** Own speed and wind in which bare hands are a gap all the same, m/s (our assumption). */
const IN_THE_WIND_MS = 4;
const forNothing = (factor: Requirement['factor'], part: Requirement['part']): Requirement => ({
	rule: 'forNothing',
	factor,
	part,
	severity: null,
	penalty: PENALTY.unusual,
	asks: (cell) =>
		isAwake(cell) &&
		!cell.heated &&
		cell.feltTempC >= MILD_C &&
		cell.airVelocityMs < IN_THE_WIND_MS &&
		cell.rainMinutes === 0 &&
		cell.light !== 'dark',
	unmet: (worn) => find(worn, () => true)
});

const unusual = (factor: Requirement['factor'], part: Requirement['part']): Requirement => ({
	rule: 'unusual',
	factor,
	part,
	severity: 'note',
	penalty: PENALTY.unusual,
	asks: isAwake,
	unmet: (worn) => unusualPair(worn)?.[1] ?? null,
	with: (worn) => unusualPair(worn)?.[0] ?? null
});

export const DOING_REQUIREMENTS: readonly Requirement[] = [
	{
		rule: 'wrongFootwear',
		factor: 'feet',
		part: 'feet',
		severity: 'warning',
		penalty: PENALTY.needed,
		asks: (cell) => isOut(cell) && !cell.heated && !ROOMS.has(cell.doing) && cell.doing !== 'bed',
		unmet: footwearNotFor
	},
	{
		rule: 'wrongFootwear',
		factor: 'feet',
		part: 'feet',
		severity: null,
		penalty: PENALTY.fault,
		asks: (cell) =>
			(cell.doing === 'lodging' && cell.minutes > BOOTS_OFF_AFTER_MIN) ||
			(cell.doing === 'vehicle' && cell.minutes > BOOTS_OFF_AFTER_MIN),
		unmet: footwearNotFor
	},
	{
		rule: 'helmetWorn',
		factor: 'head',
		part: 'ears',
		severity: null,
		penalty: PENALTY.needed,
		asks: asksForHelmet,
		unmet: () => null,
		lacks: (worn, cell) => !worn.some(({ cloth }) => cloth.slot === 'helmet' && isMadeFor(cloth, cell.doing))
	},
	{
		rule: 'helmetWorn',
		factor: 'head',
		part: 'ears',
		severity: null,
		penalty: PENALTY.unusual,
		asks: (cell) => isAwake(cell) && !asksForHelmet(cell) && !HELMET_STAYS_ON.has(cell.doing),
		unmet: (worn) => find(worn, ({ slot }) => slot === 'helmet')
	},
	{
		rule: 'underwearOutside',
		factor: 'legs',
		part: 'thighs',
		severity: 'warning',
		penalty: PENALTY.fault,
		asks: isAwake,
		unmet: (worn, { doing }) =>
			worn.some(({ cloth }) => isLegwear(cloth, doing))
				? null
				: find(worn, (cloth) => cloth.slot !== 'briefs' && covers(cloth, 'thighs'))
	},
	{
		rule: 'underwearOutside',
		factor: 'trunk',
		part: 'torso',
		severity: 'warning',
		penalty: PENALTY.fault,
		asks: isAwake,
		unmet: (worn) => {
			const top = outermost(worn, 'torso')?.cloth;
			return top?.slot === 'support' ? top : null;
		}
	},
	{
		rule: 'bareLimbs',
		factor: 'legs',
		part: 'calves',
		severity: null,
		penalty: PENALTY.needed,
		asks: limbsShallBeCovered,
		unmet: () => null,
		lacks: (worn) =>
			!worn.some(({ cloth }) => covers(cloth, 'calves')) || !worn.some(({ cloth }) => covers(cloth, 'thighs'))
	},
	{
		rule: 'bareLimbs',
		factor: 'trunk',
		part: 'arms',
		severity: null,
		penalty: PENALTY.fault,
		asks: limbsShallBeCovered,
		unmet: () => null,
		lacks: (worn) => !worn.some(({ cloth }) => covers(cloth, 'arms'))
	},
	{
		rule: 'downInWork',
		factor: 'trunk',
		part: 'torso',
		severity: 'warning',
		penalty: PENALTY.fault,
		asks: isWorking,
		unmet: (worn) => find(worn, ({ fibre }) => fibre === 'down')
	},
	{
		rule: 'noJacket',
		factor: 'trunk',
		part: 'torso',
		severity: null,
		penalty: PENALTY.unusual,
		asks: (cell) =>
			isOut(cell) &&
			!cell.heated &&
			cell.airTempC < JACKET_BELOW_C &&
			cell.metabolicWm2 < STOP_CLOTHES_UNTIL_WM2,
		unmet: () => null,
		lacks: (worn) => !worn.some(({ cloth }) => isJacket(cloth))
	},
	{
		rule: 'brightForNothing',
		factor: 'trunk',
		part: 'torso',
		severity: null,
		penalty: PENALTY.unusual,
		asks: (cell) =>
			isAwake(cell) && !cell.terrain.includes('shooting-season') && !cell.terrain.includes('traffic'),
		unmet: (worn) => find(worn, ({ slot }) => slot === 'visibility')
	},
	notMadeForIt('trunk', 'torso'),
	notMadeForIt('legs', 'thighs'),
	notMadeForIt('head', 'ears'),
	notMadeForIt('hands', 'hands'),
	offIndoors('trunk', 'torso'),
	offIndoors('legs', 'thighs'),
	offIndoors('head', 'ears'),
	offIndoors('hands', 'hands'),
	stopClothes('trunk', 'torso'),
	stopClothes('legs', 'thighs'),
	stopClothes('hands', 'hands'),
	forNothing('hands', 'hands'),
	unusual('trunk', 'torso'),
	unusual('legs', 'thighs'),
	unusual('head', 'ears'),
	unusual('hands', 'hands'),
	unusual('feet', 'feet')
];
