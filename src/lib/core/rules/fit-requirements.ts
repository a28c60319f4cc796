import { WORK_WM2 } from '../body/effort';
import { REGIONS, type Region } from '../cloth/parts';
import { tooTightBy } from '../cloth/squeeze';
import { type Cloth, covers } from '../cloth/things';
import { outermost } from '../cloth/worn';
import { isAwake, isOutside, isWaterproof } from '../conditions/needs';
import type { Fibre } from '../document/types';
import { PENALTY } from './objective';
import type { Requirement, Worn } from './requirement';

/** What worn things do to one another and to the day: each row is read by the search and by the findings alike. */

const clothsOf = (worn: readonly Worn[]): Cloth[] => worn.map(({ cloth }) => cloth);

type Tight = { cloth: Cloth; under: Cloth } | null;
/** A stack is squeezed alike in every cell, and the search asks for each: worked out once as long as the stack lives. */
const tightKnown = new WeakMap<readonly Worn[], Map<readonly Region[], Tight>>();
function tightOver(worn: readonly Worn[], regions: readonly Region[]): Tight {
	const known = tightKnown.get(worn) ?? new Map<readonly Region[], Tight>();
	tightKnown.set(worn, known);
	let made = known.get(regions);
	if (made === undefined) known.set(regions, (made = tightIn(worn, regions)));
	return made;
}

/** The outermost layer that is too tight for what is under it, with the layer just under it. */
function tightIn(worn: readonly Worn[], regions: readonly Region[]): Tight {
	for (const region of regions) {
		const here = clothsOf(worn).filter((cloth) => cloth.regions[region] >= 0.5);
		for (let i = here.length - 1; i > 0; i--)
			if (tooTightBy(here[i]!, here.slice(0, i)) > 0) return { cloth: here[i]!, under: here[i - 1]! };
	}
	return null;
}
const squeezed = (
	factor: Requirement['factor'],
	part: Requirement['part'],
	regions: readonly Region[]
): Requirement => ({
	rule: 'squeezed',
	factor,
	part,
	severity: 'warning',
	penalty: PENALTY.fault,
	asks: isAwake,
	unmet: (worn) => tightOver(worn, regions)?.cloth ?? null,
	with: (worn) => tightOver(worn, regions)?.under ?? null
});
const ONLY_FEET: readonly Region[] = ['feet'];
const NOT_FEET = REGIONS.filter((region) => region !== 'feet');

const isSock = ({ slot }: Cloth): boolean =>
	slot === 'sock' || slot === 'liner-sock' || slot === 'vapour-barrier';

/** Boots from this height on ask for a sock that is higher, cm (our assumption). */
const BOOT_FROM_CM = 6;
/** From so much rain on legs wet through to the sock, minutes of ordinary rain (our assumption). */
const CUFF_RAIN_MIN = 20;
/** Hoods over one another that a neck has room for (common practice). */
const MOST_HOODS = 2;
/** Ski boots reach at least so high, and leave room for little, cm and steps (our assumption). */
const SKI_BOOT_CM = 24;
const SKI_BOOT_ROOM = 3;
/** In air below this, and in water, something warm goes under waders, °C (our assumption). */
const WADERS_COLD_C = 12;
/** Water that lies long enough on cotton legs, minutes of ordinary rain, and air in which it chills, °C (our assumption). */
const COTTON_RAIN_MIN = 5;
const COTTON_LEGS_C = 15;
/** Cotton next to the skin is a danger where one works in air up to this, °C (common practice). */
const COTTON_SKIN_C = 10;
/** Above this snow melts on down, °C (common practice). */
const DOWN_WET_C = -5;

/** The outermost layer of a part, where it is of some fibre. */
const topOf =
	(part: 'torso' | 'thighs', fibre: Fibre) =>
	(worn: readonly Worn[]): Cloth | null => {
		const top = outermost(worn, part)?.cloth;
		return top?.fibre === fibre ? top : null;
	};

const cottonSkin = (factor: 'trunk' | 'legs', part: 'torso' | 'thighs'): Requirement => ({
	rule: 'cotton-next-to-skin',
	factor,
	part,
	severity: 'warning',
	penalty: PENALTY.fault,
	asks: (cell) => isOutside(cell) && cell.metabolicWm2 >= WORK_WM2 && cell.airTempC <= COTTON_SKIN_C,
	unmet: (worn) =>
		worn.find(({ cloth, position }) => position <= 1 && covers(cloth, part) && cloth.fibre === 'cotton')
			?.cloth ?? null
});

/** What is kept dry for the night is worn neither in rain nor at work, which wets it from within. */
const dryForNight = (factor: Requirement['factor'], part: Requirement['part']): Requirement => ({
	rule: 'dryForNight',
	factor,
	part,
	severity: 'warning',
	penalty: PENALTY.fault,
	asks: (cell) => isOutside(cell) && (cell.rainMinutes > 0 || cell.metabolicWm2 >= WORK_WM2),
	unmet: (worn) => clothsOf(worn).find((cloth) => cloth.dryForNight) ?? null
});

export const FIT_REQUIREMENTS: readonly Requirement[] = [
	squeezed('trunk', 'torso', NOT_FEET),
	squeezed('legs', 'thighs', NOT_FEET),
	squeezed('head', 'ears', NOT_FEET),
	squeezed('hands', 'hands', NOT_FEET),
	squeezed('feet', 'feet', ONLY_FEET),
	cottonSkin('trunk', 'torso'),
	cottonSkin('legs', 'thighs'),
	{
		rule: 'sockHeight',
		factor: 'feet',
		part: 'feet',
		severity: 'warning',
		penalty: PENALTY.fault,
		asks: isAwake,
		unmet: (worn) => {
			const boot = clothsOf(worn).find(
				({ slot, heightCm }) => slot === 'footwear' && heightCm >= BOOT_FROM_CM
			);
			const socks = clothsOf(worn).filter(isSock);
			const highest = Math.max(...socks.map(({ heightCm }) => heightCm));
			return boot && socks.length > 0 && highest <= boot.heightCm ? socks[0]! : null;
		}
	},
	{
		rule: 'wetCuff',
		factor: 'legs',
		part: 'feet',
		severity: 'note',
		penalty: PENALTY.remark,
		seesLimbs: true,
		asks: (cell) => isOutside(cell) && (cell.rainMinutes >= CUFF_RAIN_MIN || cell.marks.includes('splash')),
		unmet: (worn) => {
			const boot = clothsOf(worn).find(({ slot }) => slot === 'footwear');
			const leg = outermost(worn, 'calves')?.cloth;
			// A leg inside the boot leads the water in, whatever it is made of.
			const leads =
				leg && (!isWaterproof(leg) || leg.endWorn === 'under') && !leg.features.includes('hem-seal');
			return boot && isWaterproof(boot) && leads ? leg : null;
		}
	},
	dryForNight('trunk', 'torso'),
	dryForNight('legs', 'thighs'),
	dryForNight('head', 'ears'),
	dryForNight('hands', 'hands'),
	dryForNight('feet', 'feet'),
	{
		rule: 'downWet',
		factor: 'trunk',
		part: 'torso',
		severity: 'warning',
		penalty: PENALTY.fault,
		asks: (cell) => isOutside(cell) && cell.rainMinutes > 0 && cell.airTempC > DOWN_WET_C,
		unmet: topOf('torso', 'down')
	},
	{
		rule: 'cottonLegs',
		factor: 'legs',
		part: 'thighs',
		severity: 'warning',
		penalty: PENALTY.fault,
		asks: (cell) =>
			isOutside(cell) &&
			cell.airTempC < COTTON_LEGS_C &&
			(cell.rainMinutes >= COTTON_RAIN_MIN ||
				cell.marks.includes('splash') ||
				cell.marks.includes('snow-contact')),
		unmet: topOf('thighs', 'cotton')
	},
	{
		rule: 'hoods',
		factor: 'trunk',
		part: 'neck',
		severity: 'note',
		penalty: PENALTY.remark,
		asks: isAwake,
		unmet: (worn) => {
			const hooded = clothsOf(worn).filter(({ features }) => features.includes('hood'));
			return hooded.length > MOST_HOODS ? hooded.at(-1)! : null;
		}
	},
	{
		rule: 'vapourSock',
		factor: 'feet',
		part: 'feet',
		severity: 'warning',
		penalty: PENALTY.fault,
		asks: isAwake,
		unmet: (worn) => {
			const socks = clothsOf(worn).filter(isSock);
			const barrier = socks.find(({ vapourResistance }) => vapourResistance >= 500);
			return barrier && socks.length === 1 ? barrier : null;
		}
	},
	{
		rule: 'bottomsInBoot',
		factor: 'legs',
		part: 'legs',
		severity: 'note',
		penalty: PENALTY.remark,
		seesLimbs: true,
		asks: isAwake,
		unmet: (worn) => {
			const boot = clothsOf(worn).some(
				({ slot, heightCm, roomSteps }) =>
					slot === 'footwear' && heightCm >= SKI_BOOT_CM && roomSteps <= SKI_BOOT_ROOM
			);
			const long = ({ slot, covers: parts }: Cloth): boolean =>
				slot === 'leg-base' && (parts.calves ?? 0) >= 0.9;
			return boot ? (clothsOf(worn).find(long) ?? null) : null;
		}
	},
	{
		rule: 'underWaders',
		factor: 'legs',
		part: 'legs',
		severity: 'warning',
		penalty: PENALTY.fault,
		asks: (cell) => isOutside(cell) && cell.airTempC < WADERS_COLD_C,
		unmet: (worn) => {
			const legs = clothsOf(worn).filter((cloth) => covers(cloth, 'thighs'));
			const waders = legs.find(({ waterGrade }) => waterGrade === 'rubber');
			const under = legs.some((cloth) => cloth !== waders && cloth.functions.includes('skin'));
			return waders && !under ? waders : null;
		}
	}
];
