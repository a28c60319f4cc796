import { comfortableWettedness, HOT_CORE_C, minuteOf, steppedBody, type SteppedBody } from '../body/two-node';
import { type Cloth, covers } from '../cloth/things';
import { innermost, type Outfit, outfitClo } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { reason, type Reason } from '../document/reasons';
import { cellAir } from './ledger';
import { aroundIn } from './clothed-body';
import { SWEAT_STORE } from './sweat-store';

/** The layers next to the skin are wet from this share of what they hold (our assumption). */
export const SOAKED_SHARE = 0.2;
/** A skin wetter than comfortable counts from this minute of a phase on (our assumption). */
const SWEATING_MIN = 10;
/** Skin temperature at which the model ends, °C. */
const END_SKIN_C = 15;
const END_CORE_C = 40;

/** What is done in a phase, as far as the body feels it. */
export interface WornPhase {
	cell: Cell;
	outfit: Outfit;
	/** factor that opening the front leaves on the trunk */
	opening: number;
	/** rain is through to the skin */
	wetThrough: boolean;
}
/** What is asked of the day beside what is worn. */
export interface DayQuestion {
	/** heat debt up to which the body holds, Wh/m² */
	holdWhm2: number;
	/** what could be put on in a phase: carried and not worn; null when no remedies are asked for */
	atHand: ((phase: number) => readonly Cloth[]) | null;
}

/** One minute of the simulated day. */
export interface BodyMinute {
	/** index of the phase */
	phase: number;
	/** minute within the phase, from 1 */
	minute: number;
	skinTempC: number;
	coreTempC: number;
	/** how full of water the layers next to the skin are, 0…1 */
	soaked: number;
	/** wettedness of the skin, 0…1 */
	wettedness: number;
	/** heat missing since the start of the day, Wh/m² */
	debtWhm2: number;
}

export const MOMENT_KINDS = ['sweating', 'soaked', 'cold', 'hot', 'ended'] as const;
export type MomentKind = (typeof MOMENT_KINDS)[number];

/** The minute at which something goes wrong, and what would prevent it. */
export interface Moment {
	kind: MomentKind;
	phase: number;
	minute: number;
	/** a thing that would prevent it when it comes off or goes on; null when nothing at hand does */
	thingId: string | null;
	does: 'take off' | 'put on' | null;
	/** minute at which it then happens in the same phase; null when it does not */
	thenMinute: number | null;
	reasons: Reason[];
}
export interface SimulatedDay {
	minutes: BodyMinute[];
	moments: Moment[];
}

interface Carried {
	body: SteppedBody;
	skinThingId: string | null;
	debtWhm2: number;
}
const copyOf = ({ body, ...rest }: Carried): Carried => ({ body: { ...body }, ...rest });

/**
 * Steps the body through one phase, from what it brings along.
 * @param see called after every minute; true ends the phase
 */
function through(
	phase: WornPhase,
	carried: Carried,
	see: (minute: number, carried: Carried, soaked: number) => boolean
): void {
	const { cell, outfit, opening } = phase;
	const skin = innermost(outfit, 'torso');
	const store = SWEAT_STORE[skin?.fibre ?? 'other'];
	const around = aroundIn(cell, outfit, outfitClo(outfit, cellAir(cell).air, opening));
	const { body } = carried;
	// What is put on next to the skin is dry.
	if (skin?.thingId !== carried.skinThingId) {
		body.moistureGm2 = 0;
		body.layerWm2 = 0;
	}
	carried.skinThingId = skin?.thingId ?? null;
	body.metabolicWm2 = cell.metabolicWm2;
	for (let minute = 1; minute <= cell.minutes; minute++) {
		if (phase.wetThrough && minute * 2 > cell.minutes) body.moistureGm2 = store.capacityGm2;
		minuteOf(around, body);
		carried.debtWhm2 -= body.storedWm2 / 60;
		if (see(minute, carried, body.moistureGm2 / store.capacityGm2)) return;
	}
}

/** What is wrong with the body in a minute; null when nothing is. */
function troubleOf(
	cell: Cell,
	minute: number,
	{ body, debtWhm2 }: Carried,
	soaked: number,
	holdWhm2: number
): MomentKind | null {
	if (body.skinTempC < END_SKIN_C || body.coreTempC > END_CORE_C) return 'ended';
	if (body.coreTempC >= HOT_CORE_C) return 'hot';
	if (soaked >= SOAKED_SHARE) return 'soaked';
	if (debtWhm2 > holdWhm2 && !cell.heated) return 'cold';
	if (minute >= SWEATING_MIN && body.wettedness > comfortableWettedness(cell.metabolicWm2)) return 'sweating';
	return null;
}

/** First minute of a phase with a trouble; null when it has none. */
function firstMinute(phase: WornPhase, before: Carried, kind: MomentKind, holdWhm2: number): number | null {
	let at: number | null = null;
	through(phase, copyOf(before), (minute, now, soaked) => {
		const trouble = troubleOf(phase.cell, minute, now, soaked, holdWhm2);
		if (trouble === kind || trouble === 'ended') at = minute;
		return at !== null;
	});
	return at;
}

/** A later minute is better by at least this much to be worth saying. */
const WORTH_SAYING_MIN = 5;

type Remedy = Pick<Moment, 'thingId' | 'does' | 'thenMinute'>;
const NO_REMEDY: Remedy = { thingId: null, does: null, thenMinute: null };

/** The one change of the outfit that puts a trouble off the longest. */
function remedyFor(
	phase: WornPhase,
	before: Carried,
	kind: MomentKind,
	at: number,
	atHand: readonly Cloth[],
	holdWhm2: number
): Remedy {
	const warmSide = kind === 'soaked' || kind === 'hot' || kind === 'sweating';
	if (phase.wetThrough && kind === 'soaked') return NO_REMEDY;
	const on = phase.outfit;
	const tries: { cloth: Cloth; outfit: Outfit }[] = warmSide
		? on
				.filter(({ cloth, position }) => position >= 2 && covers(cloth, 'torso'))
				.map((layer) => ({ cloth: layer.cloth, outfit: on.filter((other) => other !== layer) }))
		: atHand
				.filter((cloth) => cloth.functions.includes('warmth') && cloth.positions[1] >= 3)
				.map((cloth) => ({
					cloth,
					outfit: [...on, { cloth, position: cloth.positions[1], opening: 'closed' as const }]
				}));
	let best: Remedy = NO_REMEDY;
	let latest = at + WORTH_SAYING_MIN - 1;
	for (const { cloth, outfit } of tries) {
		const then = firstMinute({ ...phase, outfit }, before, kind, holdWhm2);
		const cold = warmSide ? firstMinute({ ...phase, outfit }, before, 'cold', holdWhm2) : null;
		if (cold !== null && cold < (then ?? Infinity)) continue;
		if ((then ?? Infinity) > latest) {
			latest = then ?? Infinity;
			best = { thingId: cloth.thingId, does: warmSide ? 'take off' : 'put on', thenMinute: then };
		}
	}
	return best;
}

/**
 * The body minute by minute through the phases of a stage, with the sweat in the layers next to the skin. It explains; the
 * verdicts rest on the ledger of heat debt. What-ifs take no time and nights are left out.
 * @param phases in order, each with what is worn
 */
export function simulateDay(phases: readonly WornPhase[], { holdWhm2, atHand }: DayQuestion): SimulatedDay {
	const minutes: BodyMinute[] = [];
	const moments: Moment[] = [];
	let carried: Carried | null = null;
	let last: MomentKind | null = null;
	let isOver = false;
	phases.forEach((phase, index) => {
		const { cell } = phase;
		if (isOver || cell.kind === 'what-if' || cell.kind === 'sleep') return;
		if (carried === null || cell.fresh)
			carried = { body: steppedBody(cell.metabolicWm2), skinThingId: null, debtWhm2: 0 };
		const before = copyOf(carried);
		/** what goes and comes back within a phase is told once */
		const told = new Set<MomentKind>();
		let atEnd: MomentKind | null = null;
		through(phase, carried, (minute, now, soaked) => {
			const { body, debtWhm2 } = now;
			minutes.push({
				phase: index,
				minute,
				skinTempC: body.skinTempC,
				coreTempC: body.coreTempC,
				soaked,
				wettedness: body.wettedness,
				debtWhm2
			});
			const trouble = troubleOf(cell, minute, now, soaked, holdWhm2);
			if (trouble !== null && trouble !== last && !told.has(trouble)) {
				told.add(trouble);
				moments.push({
					kind: trouble,
					phase: index,
					minute,
					...(atHand ? remedyFor(phase, before, trouble, minute, atHand(index), holdWhm2) : NO_REMEDY),
					reasons: [
						reason('simulatedDay', [
							['skin', body.skinTempC, '°C'],
							['core', body.coreTempC, '°C'],
							['wettednessOfTheSkin', body.wettedness],
							['soakedShare', Math.round(soaked * 100), '%'],
							['heatMissingSinceTheMorning', debtWhm2, 'Wh/m²']
						]),
						...(trouble === 'soaked' ? [reason('sweatStore')] : [])
					]
				});
			}
			atEnd = trouble;
			last = trouble ?? last;
			isOver = trouble === 'ended';
			return isOver;
		});
		last = atEnd;
	});
	return { minutes, moments };
}
