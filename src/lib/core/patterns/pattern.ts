import type {
	BedKind,
	Doing,
	FoulVariant,
	Ground,
	Loop,
	Mark,
	Pace,
	PacedFigures,
	Phase,
	PhaseKind,
	PhasePlace,
	Sequence,
	Stage,
	Terrain
} from '../document/types';

/**
 * A phase of a pattern: code of its name, kind, minutes, effort in W/m², place, and where on the route (0 start, 1 high point, 2 low
 * point after it, 3 bed). Figures are those of an average guided group, our assumption.
 */
export type PatternPhase = readonly [
	code: string,
	kind: PhaseKind,
	minutes: number,
	effortWm2: number,
	place: PhasePlace,
	along: number,
	rest?: { ownSpeedKmh?: number; marks?: readonly Mark[]; fitWm2?: number; doing?: Doing }
];
export interface PatternLoop {
	/** code of its name */
	loop: string;
	count: number;
	of: readonly PatternItem[];
}
export type PatternItem = PatternPhase | PatternLoop;

/** How a day of an activity unfolds. */
export interface Pattern {
	id: string;
	/** what one is doing out of doors, where a phase says nothing else */
	doing: Doing;
	/** when such a day usually starts, minutes after midnight */
	startMin: number;
	ground?: Ground;
	terrain?: readonly Terrain[];
	bed: BedKind;
	day: readonly PatternItem[];
	/** what is done instead in foul weather */
	foul?: { name: string; bed: BedKind; day: readonly PatternItem[] };
}

/** What a pattern gives a stage. */
export type Unfolded = Pick<Stage, 'startMin' | 'terrain' | 'pace' | 'patternId' | 'sequence'> & {
	ground: Ground | null;
	bed: BedKind;
	foul: FoulVariant | null;
};

interface PaceFactors {
	minutes: number;
	effort: number;
	speed: number;
}
/** What a pace makes of moving, against a guided group (our assumption). */
export const PACE_FACTORS: Readonly<Record<Pace, PaceFactors>> = {
	guided: { minutes: 1, effort: 1, speed: 1 },
	fast: { minutes: 0.75, effort: 1.5, speed: 1.3 },
	gentle: { minutes: 1.25, effort: 0.85, speed: 0.8 }
};
/** Only moving is paced: stops, rides and nights take as long as they take. */
const isPaced = (phase: Phase): phase is Phase & { guided: PacedFigures } =>
	phase.kind === 'move' && phase.guided !== undefined;
/** Most effort that a document takes, W/m². */
const MOST_WM2 = 600;

/**
 * What a phase of a pattern becomes at a pace. Fit people keep up what a reference says, where the pattern has one.
 * @param guided figures of a guided group: minutes, W/m², km/h
 */
export function atPace(guided: PacedFigures, pace: Pace): Omit<PacedFigures, 'fitWm2'> {
	const { minutes, effort, speed } = PACE_FACTORS[pace];
	const paced = pace === 'fast' && guided.fitWm2 ? guided.fitWm2 : guided.effortWm2 * effort;
	return {
		minutes: Math.max(1, Math.round(guided.minutes * minutes)),
		effortWm2: Math.min(MOST_WM2, Math.round(paced / 5) * 5),
		ownSpeedKmh: Math.round(guided.ownSpeedKmh * speed * 10) / 10
	};
}

/** A sequence at another pace. Figures that somebody has typed over those of the pattern stay as they are. */
export function withPace(sequence: Sequence, from: Pace, to: Pace): Sequence {
	return sequence.map((item) => {
		if (item.type === 'loop') return { ...item, sequence: withPace(item.sequence, from, to) };
		if (!isPaced(item)) return item;
		const before = atPace(item.guided, from);
		const after = atPace(item.guided, to);
		const kept = <K extends keyof typeof after>(key: K): number =>
			item[key] === before[key] ? after[key] : item[key];
		return {
			...item,
			minutes: kept('minutes'),
			effortWm2: kept('effortWm2'),
			ownSpeedKmh: kept('ownSpeedKmh')
		};
	});
}

/** Whether somebody has typed something in a phase: over what its pattern gave, or over what the day gives. */
export function isTyped(phase: Phase, pace: Pace): boolean {
	const { guided, kind, startMin, altitudeM, minutes, effortWm2, ownSpeedKmh } = phase;
	if (startMin !== null || altitudeM !== null || Object.keys(phase.typed).length > 0) return true;
	if (!guided) return true;
	const given = kind === 'move' ? atPace(guided, pace) : guided;
	return minutes !== given.minutes || effortWm2 !== given.effortWm2 || ownSpeedKmh !== given.ownSpeedKmh;
}

const isLoop = (item: PatternItem): item is PatternLoop => 'loop' in item;

type NameOf = (code: string) => string;

function sequenceOf(items: readonly PatternItem[], newId: () => string, nameOf: NameOf): Sequence {
	return items.map((item): Phase | Loop => {
		if (isLoop(item)) {
			const { loop, count, of } = item;
			return {
				type: 'loop',
				id: newId(),
				name: nameOf(loop),
				count,
				sequence: sequenceOf(of, newId, nameOf)
			};
		}
		const [code, kind, minutes, effortWm2, place, along, rest = {}] = item;
		const { ownSpeedKmh = 0, marks = [], fitWm2, doing } = rest;
		return {
			type: 'phase',
			id: newId(),
			name: nameOf(code),
			kind,
			startMin: null,
			minutes,
			altitudeM: null,
			along,
			place,
			ownSpeedKmh,
			effortWm2,
			marks: [...marks],
			...(doing && { doing }),
			typed: {},
			guided: { minutes, effortWm2, ownSpeedKmh, ...(fitWm2 && { fitWm2 }) }
		};
	});
}

/**
 * A pattern as the phases of a stage.
 * @param newId makes an id that is used nowhere else
 * @param nameOf what a phase is called, by its code
 */
export function unfold(
	pattern: Pattern,
	pace: Pace,
	newId: () => string,
	nameOf: NameOf = (code) => code
): Unfolded {
	const { id, startMin, ground, terrain = [], bed, day, foul } = pattern;
	const paced = (items: readonly PatternItem[]): Sequence =>
		withPace(sequenceOf(items, newId, nameOf), 'guided', pace);
	return {
		startMin,
		ground: ground ?? null,
		terrain: [...terrain],
		bed,
		pace,
		patternId: id,
		sequence: paced(day),
		foul: foul
			? {
					name: nameOf(foul.name),
					bed: { kind: foul.bed, washing: false, drying: 'nothing' },
					sequence: paced(foul.day)
				}
			: null
	};
}

/** A sequence with ids of its own, for a copy. */
export const withNewIds = (sequence: Sequence, newId: () => string): Sequence =>
	sequence.map((item) =>
		item.type === 'loop'
			? { ...item, id: newId(), sequence: withNewIds(item.sequence, newId) }
			: { ...item, id: newId() }
	);
