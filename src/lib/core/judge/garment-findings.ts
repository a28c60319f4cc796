import { factorOf } from '../cloth/factors';
import { type Cloth, covers } from '../cloth/things';
import type { Outfit } from '../cloth/worn';
import { isAwake } from '../conditions/needs';
import type { Person } from '../conditions/person';
import type { Finding, FindingCode, Measure } from '../document/finding';
import { reason, type RuleId } from '../document/reasons';
import type { Mark } from '../document/types';
import { balancePair } from '../heat/debt';
import { cellAir, debtCourse } from '../heat/ledger';
import type { Requirement } from '../rules/requirement';
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

/** What a requirement looks at, just as the search does: its own factor, and hands and feet where it says so. */
const seenBy = ({ factor, seesLimbs }: Requirement, outfit: Outfit): Outfit =>
	outfit.filter(({ cloth }) => {
		const own = factorOf(cloth);
		return own === factor || (seesLimbs === true && (own === 'hands' || own === 'feet' || own === 'eyes'));
	});

/** What phases ask of what is worn, once for each requirement. */
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
					? requirement.unmet(seenBy(requirement, outfit), cell)
					: null,
			({ cell, outfit }, cloth) => {
				const other = requirement.with?.(seenBy(requirement, outfit), cell);
				return {
					values: requirement.madeBy ?? {},
					thingIds: other ? [cloth.thingId, other.thingId] : [cloth.thingId]
				};
			}
		);
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

export const GARMENT_RULES: Readonly<Record<string, FindingRule>> = {
	unmetRequirements,
	electricHeat,
	inWater
};
