import type { Finding } from '../../document/finding';
import type { Client } from '../../document/types';
import { type Cloth, isThere, wearableThings, clothOf } from '../../cloth/things';
import type { EveningDrying } from '../../heat/wetness';
import type { PlannedPhase, PlannedStage } from '../../kit/planned-day';
import { toldDay, type ToldStart } from './change-story';
import { isNotAllRight, type PhaseSummary, phasesOf } from './summary';

/** The evening before a day, and its morning, as a guide says them to one client. */

/** What one client does tonight; things by id. */
export interface Tonight {
	drying: EveningDrying | null;
	/** has a battery that is needed tomorrow */
	chargeIds: string[];
	/** what frost spoils or empties, in a night that is freezing where one sleeps */
	intoBagIds: string[];
	/** warmers that are used up and laid out in the evening */
	warmerIds: string[];
}
/** One client's morning and day in a few lines. */
export interface Tomorrow {
	start: ToldStart | null;
	/** the phase in which one sets out; null where none is lived through */
	phase: PlannedPhase | null;
	/** on top of the pack when one sets out */
	topIds: string[];
	/** gravest first, at most two */
	watch: Finding[];
	/** phases that are not all right, the worst ones first */
	wrong: PhaseSummary[];
}

/** Types that frost spoils (a filter's pores burst) or empties (common practice). */
const SPOILT_BY_FROST: ReadonlySet<string> = new Set(['filter', 'power-bank', 'batteries-spare']);
const WARMERS: ReadonlySet<string> = new Set(['warmers-hand', 'warmers-foot']);

const idsOf = (cloths: readonly Cloth[]): string[] => cloths.map(({ thingId }) => thingId);

/**
 * What is done in the evening before a day.
 * @param today the day that ends; null before the first one, which is spent at home
 * @param tomorrow the day that follows, planned
 */
export function toldTonight(today: PlannedStage | null, tomorrow: PlannedStage, client: Client): Tonight {
	const kit = client.things.filter(isThere).map((thing) => clothOf(thing, client.uses));
	const night = today?.phases.find(({ cell }) => cell.kind === 'sleep')?.cell;
	const freezes = night !== undefined && !night.heated && night.airTempC < 0;
	const taken = new Set(tomorrow.takenIds);
	return {
		drying: today?.evening ?? null,
		chargeIds: idsOf(
			kit.filter((cloth) => cloth.energyWh > 0 && (cloth.slot === null || taken.has(cloth.thingId)))
		),
		intoBagIds: freezes ? idsOf(kit.filter(({ typeId }) => SPOILT_BY_FROST.has(typeId))) : [],
		warmerIds: idsOf(kit.filter(({ typeId }) => WARMERS.has(typeId)))
	};
}

const SEVERITY = ['blocker', 'warning'] as const;
/** Findings that are told the evening before. */
const MOST_WATCHED = 2;

/** What is worn at the start of a day, what rides on top, what to watch, and what is not solved. */
export function toldTomorrow(day: PlannedStage, client: Client): Tomorrow {
	const { start } = toldDay(day, wearableThings(client));
	const phase = start ? (day.phases[start.phase] ?? null) : null;
	return {
		start,
		phase,
		topIds: phase?.carried.filter(({ where }) => where === 'top').map(({ thingId }) => thingId) ?? [],
		watch: SEVERITY.flatMap((severity) => day.findings.filter((one) => one.severity === severity)).slice(
			0,
			MOST_WATCHED
		),
		wrong: phasesOf(day).filter(isNotAllRight)
	};
}
