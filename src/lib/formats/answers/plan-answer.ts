import { type Cell, foulStage } from '../../core/conditions/cells';
import type { Finding } from '../../core/document/finding';
import { gathered } from '../../core/judge/findings';
import { type Caution, cautionsOf } from '../../core/rules/cautions';
import { cautionSentence } from '../../words/cautions';
import type { Reason } from '../../core/document/reasons';
import type { Client, Site, Stage, Trip } from '../../core/document/types';
import type { LimitedBy, Verdict } from '../../core/document/verdict';
import type { WornThing } from '../../core/document/worn';
import type { Band } from '../../core/heat/debt';
import type { Moment } from '../../core/heat/simulation';
import { type Count, mostCounts, tooFew } from '../../core/kit/counting';
import type { CarriedThing, Pack } from '../../core/kit/pack';
import { type PlannedPhase, type PlannedStage } from '../../core/kit/planned-day';
import { simulationOf } from '../../core/plan/simulated-plan';
import { findingSentence } from '../../words/findings';
import { firstName, shortName } from '../../words/labels';
import { countWords } from '../../words/plan-story';
import { reasonInWords } from '../../words/reasons';
import { METRIC } from '../../words/units';

/** What of a cell is given out with its phase. */
const CONDITIONS = [
	'startMin',
	'minutes',
	'altitudeM',
	'airTempC',
	'wind10mKmh',
	'airVelocityMs',
	'feltTempC',
	'humidityPct',
	'precipitation',
	'rainMinutes',
	'ground',
	'rainPerMin',
	'water',
	'light',
	'metabolicWm2',
	'doing'
] as const satisfies (keyof Cell)[];

/** One phase of a plan, as `POST /api/v1/plan` answers it. */
export interface PhaseAnswer {
	weather: string;
	stageId: string;
	phaseId: string;
	round: number;
	/** of the foul-weather variant */
	foul: boolean;
	/** null where the ledger does not judge: heated places, sleep, air above 20 °C */
	band: Band | null;
	/** insulation as worn above which it is too warm; null where that cannot happen */
	tooWarmAboveClo: number | null;
	worn: WornThing[];
	carried: CarriedThing[];
	pack: Pack;
	resultantClo: number;
	debtWhm2: number;
	peakDebtWhm2: number;
	holdsMinutes: number | null;
	limitedBy: LimitedBy;
	verdict: Verdict;
	indicative: boolean;
	/** how long each part holds, minutes; null where it has no limit */
	limits: PlannedPhase['limits'];
	/** what it is like there */
	conditions: Pick<Cell, (typeof CONDITIONS)[number]>;
	/** how wet what is worn and carried is, by thing, 0…1 of what it can hold: on the average of the phase where it is worn */
	wetness: Readonly<Record<string, number>>;
	/** how wet what is worn is at the end, and how much of that is sweat */
	wet: PlannedPhase['wet'];
	/** codes of the cautions that apply in the phase */
	cautions: Caution['code'][];
}
/** A finding as it is given out: what was found, and the sentence beside it. */
export type FindingAnswer = Omit<Finding, 'reasons'> & {
	message: string;
	reasons: (Reason & { says: string; source: string })[];
};

export interface PlanAnswer {
	clientId: string;
	phases: PhaseAnswer[];
	/** code and values, and the sentence made from them in metric units */
	findings: FindingAnswer[];
	/** what can hurt people on each stage: the caution, and the sentence made from it */
	cautions: (Pick<Caution, 'code' | 'stageId' | 'parts' | 'values'> & {
		weather: string;
		foul: boolean;
		/** none where it is about the stage as a whole */
		phaseIds: string[];
		rule: Reason['rule'];
		message: string;
	})[];
	/** how many of each kind the trip asks for, in the weather that asks for most */
	counts: (Count & { words: string })[];
	/** per weather and stage: the four levels of the choice, and whether it is proven the best */
	stages: (Pick<
		PlannedStage,
		'weather' | 'stageId' | 'foul' | 'levels' | 'proven' | 'morning' | 'evening'
	> & {
		/** the simulated day: the minutes at which something goes wrong, and what would prevent it */
		moments: (Omit<Moment, 'phase'> & { phaseId: string; round: number })[];
	})[];
}

function phaseAnswer(
	{ weather, foul }: PlannedStage,
	phase: PlannedPhase,
	cautions: readonly Caution[]
): PhaseAnswer {
	const { cell } = phase;
	return {
		weather,
		stageId: phase.cell.stageId,
		phaseId: phase.cell.phaseId,
		round: phase.cell.round,
		foul,
		band: phase.band,
		tooWarmAboveClo: phase.tooWarmAboveClo,
		worn: phase.outfit.map(({ cloth, opening }) => ({ thingId: cloth.thingId, opening })),
		carried: phase.carried,
		pack: phase.pack,
		resultantClo: phase.resultantClo,
		debtWhm2: phase.debtWhm2,
		peakDebtWhm2: phase.peakDebtWhm2,
		holdsMinutes: phase.holdsMinutes,
		limitedBy: phase.limitedBy,
		verdict: phase.verdict,
		indicative: phase.indicative,
		limits: phase.limits,
		conditions: Object.fromEntries(CONDITIONS.map((name) => [name, cell[name]])) as PhaseAnswer['conditions'],
		wetness: phase.wetness,
		wet: phase.wet,
		cautions: cautions
			.filter(({ phases }) => phases.length === 0 || phases.some(({ id }) => id === cell.phaseId))
			.map(({ code }) => code)
	};
}

function findingAnswer(finding: Finding, client: Client, stages: readonly Stage[]): FindingAnswer {
	const names = new Map(client.things.map(({ id, name }) => [id, name]));
	return {
		...finding,
		message: findingSentence(finding, {
			who: firstName(client.name),
			nameOf: (id) => shortName(names.get(id) ?? id),
			dayOf: (stageId) => (stages.length > 1 ? stages.findIndex(({ id }) => id === stageId) + 1 : null),
			units: METRIC
		}),
		reasons: finding.reasons.map((reason) => reasonInWords(reason, METRIC))
	};
}

/** What is to be said of the terrain and the air of a planned stage. */
function cautionsOn(planned: PlannedStage, stages: readonly Stage[], site: Site | null): Caution[] {
	const stage = stages.find(({ id }) => id === planned.stageId);
	const lived = stage && ((planned.foul ? foulStage(stage) : null) ?? stage);
	return lived ? cautionsOf({ stage: lived, site, cells: planned.phases.map(({ cell }) => cell) }) : [];
}

/** Findings of all days, one for each cause in a weather, with those that are about the whole trip. */
const findingsIn = (
	planned: readonly PlannedStage[],
	counts: readonly Count[],
	clientId: string
): Finding[] =>
	[...new Set(planned.map(({ weather }) => weather))].flatMap((weather, i) =>
		gathered([
			...planned.filter((stage) => stage.weather === weather).flatMap(({ findings }) => findings),
			...(i === 0 ? tooFew(counts, clientId, weather) : [])
		])
	);

/** A plan in the form of the API. */
export function planAnswer(
	client: Client,
	planned: readonly PlannedStage[],
	{ stages, site }: Pick<Trip, 'stages' | 'site'>
): PlanAnswer {
	const counts = mostCounts(stages, planned, client);
	const cautions = planned.map((stage) => cautionsOn(stage, stages, site));
	return {
		clientId: client.id,
		phases: planned.flatMap((stage, i) =>
			stage.phases.map((phase) => phaseAnswer(stage, phase, cautions[i]!))
		),
		findings: findingsIn(planned, counts, client.id).map((finding) => findingAnswer(finding, client, stages)),
		cautions: planned.flatMap(({ weather, foul }, i) =>
			cautions[i]!.map((caution) => {
				const {
					code,
					stageId,
					phases,
					parts,
					values,
					reason: { rule }
				} = caution;
				return {
					weather,
					stageId,
					foul,
					code,
					phaseIds: phases.map(({ id }) => id),
					parts,
					values,
					rule,
					message: cautionSentence(caution, METRIC)
				};
			})
		),
		counts: counts.map((count) => ({ ...count, words: countWords(count) })),
		stages: planned.map(({ weather, stageId, foul, levels, proven, morning, evening, phases }) => ({
			weather,
			stageId,
			foul,
			levels,
			proven,
			morning,
			evening,
			moments: simulationOf(phases, client).moments.map(({ phase, ...moment }) => ({
				...moment,
				phaseId: phases[phase]!.cell.phaseId,
				round: phases[phase]!.cell.round
			}))
		}))
	};
}
