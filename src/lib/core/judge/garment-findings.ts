import { REGIONS } from '../cloth/parts';
import { tooTightBy } from '../cloth/squeeze';
import { type Cloth, covers } from '../cloth/things';
import { outermost } from '../cloth/worn';
import { isAwake, isOut, isWaterproof } from '../conditions/needs';
import type { Person } from '../conditions/person';
import type { Finding, FindingCode, Measure } from '../document/finding';
import { reason, type RuleId } from '../document/reasons';
import type { Mark } from '../document/types';
import { balancePair } from '../heat/debt';
import { cellAir, debtCourse } from '../heat/ledger';
import { REQUIREMENTS, requirementsOf } from '../rules/requirements';
import { schoolRequirementsOf } from '../rules/school-requirements';
import { at, type FindingRule, firstRounds, type StageFacts } from './finding';
import type { PhaseVerdict } from './phase-verdict';

/** Rules about what worn things do to one another and to the day. Each is a row, and a case that fires beside one that does not. */
const clothsOf = (phase: PhaseVerdict): Cloth[] => phase.outfit.map(({ cloth }) => cloth);

/** The first phase in which something worn is at fault, as a finding. */
function firstAtFault(
	facts: StageFacts,
	code: FindingCode & RuleId,
	part: Finding['part'],
	severity: Finding['severity'],
	fault: (phase: PhaseVerdict) => Cloth | null,
	more: (phase: PhaseVerdict, cloth: Cloth) => Partial<Pick<Finding, 'thingIds' | 'values'>> = () => ({})
): Finding[] {
	for (const phase of facts.phases) {
		const cloth = isAwake(phase.cell) ? fault(phase) : null;
		if (cloth)
			return [
				{
					code,
					severity,
					...at(facts, phase),
					part,
					thingIds: [cloth.thingId],
					values: {},
					reasons: [reason(code)],
					...more(phase, cloth)
				}
			];
	}
	return [];
}

/** What phases requirement of what is worn, once for each requirement and thing. */
const unmetRequirements: FindingRule = (facts) =>
	[...REQUIREMENTS, ...schoolRequirementsOf(facts.person.schools)].flatMap((requirement) => {
		const { rule, part, severity, factor } = requirement;
		if (severity === null) return [];
		return firstAtFault(
			facts,
			rule,
			part,
			severity,
			({ cell, outfit }) =>
				requirementsOf(cell, factor, facts.person.schools).includes(requirement)
					? requirement.unmet(outfit, cell)
					: null,
			() => ({ values: requirement.madeBy ?? {} })
		);
	});

/** A layer that is too tight for what is under it; boots and the rest apart. */
const squeezed: FindingRule = (facts) =>
	[true, false].flatMap((feet) => {
		const tight = ({ outfit }: PhaseVerdict): { cloth: Cloth; steps: number; under: Cloth } | null => {
			for (const region of REGIONS.filter((name) => (name === 'feet') === feet)) {
				const here = outfit.filter(({ cloth }) => cloth.regions[region] >= 0.5);
				for (let i = here.length - 1; i > 0; i--) {
					const under = here.slice(0, i).map(({ cloth }) => cloth);
					const steps = tooTightBy(here[i]!.cloth, under);
					if (steps > 0) return { cloth: here[i]!.cloth, steps, under: under.at(-1)! };
				}
			}
			return null;
		};
		return firstAtFault(
			facts,
			'squeezed',
			feet ? 'feet' : 'body',
			'warning',
			(phase) => tight(phase)?.cloth ?? null,
			(phase, cloth) => ({ thingIds: [cloth.thingId, tight(phase)!.under.thingId] })
		);
	});

/** Boots from this height on ask for a sock that is higher, cm (our assumption). */
const BOOT_FROM_CM = 6;
const sockHeight: FindingRule = (facts) =>
	firstAtFault(facts, 'sockHeight', 'feet', 'warning', (phase) => {
		const worn = clothsOf(phase).filter((cloth) => covers(cloth, 'feet'));
		const boot = worn.find(({ positions, heightCm }) => positions[1] >= 4 && heightCm >= BOOT_FROM_CM);
		const socks = worn.filter(({ positions }) => positions[1] <= 2);
		const highest = Math.max(...socks.map(({ heightCm }) => heightCm));
		return boot && socks.length > 0 && highest <= boot.heightCm ? socks[0]! : null;
	});

/** From so much rain on legs wet through to the sock, minutes of ordinary rain (our assumption). */
const CUFF_RAIN_MIN = 20;
const wetCuff: FindingRule = (facts) =>
	firstAtFault(facts, 'wetCuff', 'feet', 'note', ({ cell, outfit }) => {
		const wet = cell.rainMinutes >= CUFF_RAIN_MIN || cell.marks.includes('splash');
		const boot = outfit.find(({ cloth }) => covers(cloth, 'feet') && cloth.positions[1] >= 4);
		const leg = outermost(outfit, 'calves');
		if (!wet || !isOut(cell) || !boot || !isWaterproof(boot.cloth) || !leg) return null;
		return isWaterproof(leg.cloth) ? null : leg.cloth;
	});

const downWet: FindingRule = (facts) =>
	firstAtFault(facts, 'downWet', 'torso', 'warning', ({ cell, outfit }) => {
		const top = outermost(outfit, 'torso')?.cloth;
		return cell.rainMinutes > 0 && cell.airTempC > -5 && isOut(cell) && top?.fibre === 'down' ? top : null;
	});

const cottonLegs: FindingRule = (facts) =>
	firstAtFault(facts, 'cottonLegs', 'legs', 'warning', ({ cell, outfit }) => {
		const top = outermost(outfit, 'thighs')?.cloth;
		const wet = cell.rainMinutes >= 5 || cell.marks.includes('splash') || cell.marks.includes('snow-contact');
		return wet && cell.airTempC < 15 && isOut(cell) && top?.fibre === 'cotton' ? top : null;
	});

const MOST_HOODS = 2;
const hoods: FindingRule = (facts) =>
	firstAtFault(facts, 'hoods', 'neck', 'note', (phase) => {
		const hooded = clothsOf(phase).filter(({ features }) => features.includes('hood'));
		return hooded.length > MOST_HOODS ? hooded.at(-1)! : null;
	});

/** Body surface that electric watts are spread over, m². */
const BODY_M2 = 1.8;

/** How long the body would hold with the heat on, beside how long it does with it off; for comfort, never for a verdict. */
function heatValues(phase: PhaseVerdict, watts: number, person: Person): Finding['values'] {
	const { cell } = phase;
	if (phase.band === null || cell.heated) return { compared: 'no' };
	const air = cellAir(cell);
	const { airTempC, airVelocityMs, humidityPct, metabolicWm2 } = cell;
	const balance = balancePair({
		airTempC,
		airVelocityMs,
		humidityPct,
		metabolicWm2,
		electricWm2: watts / BODY_M2
	});
	const heldIn = (one: typeof air): Measure => {
		const held = debtCourse(cell, one, phase.resultantClo, phase.startDebtWhm2, person).holdsMinutes;
		return { value: held === null ? cell.minutes : Math.min(cell.minutes, Math.floor(held)), unit: 'min' };
	};
	return { compared: 'yes', off: heldIn(air), on: heldIn({ ...air, balance }) };
}

const electricHeat: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'electricHeat',
		'body',
		'note',
		(phase) => clothsOf(phase).find(({ watts }) => watts > 0) ?? null,
		(phase, { watts, energyWh }) => ({
			values: {
				...heatValues(phase, watts, facts.person),
				battery: { value: Math.round((energyWh * 10) / watts) / 10, unit: 'h' }
			}
		})
	);

const vapourSock: FindingRule = (facts) =>
	firstAtFault(facts, 'vapourSock', 'feet', 'warning', (phase) => {
		const socks = clothsOf(phase).filter((cloth) => covers(cloth, 'feet') && cloth.positions[1] <= 2);
		const barrier = socks.find(({ vapourResistance }) => vapourResistance >= 500);
		return barrier && socks.length === 1 ? barrier : null;
	});

const DEPTHS: readonly [Mark, 'feet' | 'calves' | 'thighs'][] = [
	['immersed-ankle', 'feet'],
	['immersed-knee', 'calves'],
	['immersed-thigh', 'thighs'],
	['immersed-waist', 'thighs']
];
const inWater: FindingRule = (facts) =>
	firstRounds(facts.phases, ({ cell, outfit }) => {
		const depth = DEPTHS.find(([mark]) => cell.marks.includes(mark));
		return (
			depth !== undefined &&
			isAwake(cell) &&
			!outfit.some(({ cloth }) => cloth.waterGrade === 'rubber' && covers(cloth, depth[1]))
		);
	})
		.slice(0, 1)
		.map(({ phase, rounds }): Finding => ({
			code: 'inWater',
			severity: 'warning',
			...at(facts, phase, rounds),
			part: 'legs',
			thingIds: [],
			values: {},
			reasons: [reason('inWater')]
		}));

/** Ski boots reach at least so high, and leave room for little, cm and steps (our assumption). */
const SKI_BOOT_CM = 24;
const SKI_BOOT_ROOM = 3;
const bottomsInBoot: FindingRule = (facts) =>
	firstAtFault(facts, 'bottomsInBoot', 'legs', 'note', (phase) => {
		const worn = clothsOf(phase);
		const boot = worn.some(
			({ heightCm, roomSteps, positions }) =>
				positions[0] >= 4 && heightCm >= SKI_BOOT_CM && roomSteps <= SKI_BOOT_ROOM
		);
		const long = ({ positions, functions, covers: parts }: Cloth): boolean =>
			positions[0] <= 1 && functions.includes('skin') && (parts.calves ?? 0) >= 0.9;
		return boot ? (worn.find((cloth) => long(cloth) && !covers(cloth, 'feet')) ?? null) : null;
	});

/** In air below this, and in water, something warm goes under waders, °C (our assumption). */
const WADERS_COLD_C = 12;
const underWaders: FindingRule = (facts) =>
	firstAtFault(facts, 'underWaders', 'legs', 'warning', (phase) => {
		const legs = clothsOf(phase).filter((cloth) => covers(cloth, 'thighs'));
		const waders = legs.find(({ waterGrade }) => waterGrade === 'rubber');
		const under = legs.some((cloth) => cloth !== waders && cloth.functions.includes('skin'));
		return waders && !under && phase.cell.airTempC < WADERS_COLD_C ? waders : null;
	});

export const GARMENT_RULES: Readonly<Record<string, FindingRule>> = {
	unmetRequirements,
	squeezed,
	sockHeight,
	wetCuff,
	downWet,
	cottonLegs,
	hoods,
	electricHeat,
	vapourSock,
	inWater,
	bottomsInBoot,
	underWaders
};
