import { phasesIn } from '../document/sequence';
import type { BaseField, Pace, Phase, Sequence, Stage } from '../document/types';
import type { KnownBase } from '../weather/climate';
import { isTyped, withNewIds, type Unfolded } from './pattern';

/** What planners do with the days of a trip. Nothing is changed in place. */
const DAY_MS = 86_400_000;
/** An ISO date so many days later. @throws RangeError when it is no date */
export function daysLater(date: string, days: number): string {
	const at = Date.parse(`${date}T00:00:00Z`);
	if (Number.isNaN(at)) throw new RangeError(`date is ${date}, allowed is an ISO date`);
	return new Date(at + days * DAY_MS).toISOString().slice(0, 10);
}
/** Days from one ISO date to another. */
export const daysBetween = (from: string, to: string): number =>
	Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);

/**
 * The next day of a trip: it starts where the one before slept, and the air goes on as it was.
 * @param homeM height at which a trip without days begins, m
 */
export function nextStage(
	{ id, name }: Pick<Stage, 'id' | 'name'>,
	before: Stage | undefined,
	today: string,
	homeM = 1000
): Stage {
	const bedM = before?.route.bedM ?? homeM;
	return {
		id,
		name,
		date: before ? daysLater(before.date, 1) : today,
		startMin: before?.startMin ?? 8 * 60,
		base: before
			? structuredClone(before.base)
			: {
					lowTempC: -2,
					highTempC: 4,
					altitudeM: homeM,
					lapseKPerKm: 6.5,
					inversion: null,
					heights: [],
					wind10mKmh: 20,
					humidityPct: 70,
					wetSpells: [],
					ground: 'bare'
				},
		route: { startM: bedM, highM: before?.route.highM ?? bedM, lowM: bedM, bedM },
		bed: before ? { ...before.bed } : { kind: 'heated', washing: false, drying: 'small things' },
		provided: structuredClone(before?.provided ?? []),
		...(before?.groupLoadL !== undefined && { groupLoadL: before.groupLoadL }),
		terrain: [...(before?.terrain ?? [])],
		pace: before?.pace ?? 'guided',
		patternId: null,
		sequence: [],
		foul: null,
		origins: before
			? { ...before.origins }
			: Object.fromEntries(
					(['lowTempC', 'highTempC', 'altitudeM', 'wind10mKmh', 'humidityPct', 'lapseKPerKm'] as const).map(
						(field) => [field, { from: 'default', note: '' }]
					)
				)
	};
}

/** A copy of a day with ids of its own, a day later. */
export const copyOfStage = (stage: Stage, name: string, newId: () => string): Stage => ({
	...structuredClone(stage),
	id: newId(),
	name,
	date: daysLater(stage.date, 1),
	sequence: withNewIds(stage.sequence, newId),
	foul: stage.foul && { ...structuredClone(stage.foul), sequence: withNewIds(stage.foul.sequence, newId) }
});

/** Days in a new order keep the dates of the places in which they stand now. */
export function inOrder(stages: readonly Stage[], before: readonly Stage[]): Stage[] {
	return stages.map((stage, i) => ({ ...stage, date: before[i]?.date ?? stage.date }));
}

/** All days so many days later. */
export const shifted = (stages: readonly Stage[], days: number): Stage[] =>
	stages.map((stage) => ({ ...stage, date: daysLater(stage.date, days) }));

/** A day with figures that came from somewhere, and where from. */
export const withKnown = (stage: Stage, { base, origins }: KnownBase): Stage => ({
	...stage,
	base: { ...stage.base, ...structuredClone(base) },
	origins: { ...stage.origins, ...origins }
});

/**
 * Days whose start was the bed of the day before go with it when that bed is moved; a start that was typed otherwise stays.
 * @param before the days as they were ahead of the edit
 */
export function withBedsCarried(stages: readonly Stage[], before: readonly Stage[]): Stage[] {
	const was = new Map(before.map((stage) => [stage.id, stage]));
	return stages.map((stage, i) => {
		const night = stages[i - 1];
		const [oldNight, old] = [night && was.get(night.id), was.get(stage.id)];
		if (!night || !oldNight || !old) return stage;
		const followed = old.route.startM === oldNight.route.bedM && stage.route.startM === old.route.startM;
		const { bedM } = night.route;
		return followed && bedM !== stage.route.startM
			? { ...stage, route: { ...stage.route, startM: bedM } }
			: stage;
	});
}

/** What a day has of itself where nothing was typed: from its pattern, or else from the day before it. */
export type Untyped = Pick<Unfolded, 'startMin' | 'bed' | 'ground'>;
/** @param pattern the one that the day has now, if any */
export const untyped = (before: Stage | null, pattern: Untyped | null): Untyped =>
	pattern ?? {
		startMin: before?.startMin ?? 8 * 60,
		bed: before?.bed.kind ?? 'heated',
		ground: before?.base.ground ?? 'bare'
	};

/** The phases of a pattern, but those of the same name in which something was typed as they are. */
export function withTyped(sequence: Sequence, before: Sequence, pace: Pace): Sequence {
	const typed = new Map<string, Phase[]>();
	for (const phase of phasesIn(before))
		if (isTyped(phase, pace)) typed.set(phase.name, [...(typed.get(phase.name) ?? []), phase]);
	const kept = (items: Sequence): Sequence =>
		items.map((item) =>
			item.type === 'loop'
				? { ...item, sequence: kept(item.sequence) }
				: (typed.get(item.name)?.shift() ?? item)
		);
	return kept(sequence);
}

/**
 * A day with the phases of a pattern. Its ground, terrain, bed and start come along where nothing else was typed; route
 * and air stay, and so do phases of the same name in which something was typed.
 * @param own what the day has where nothing was typed
 */
export function withPattern(stage: Stage, unfolded: Unfolded, own: Untyped): Stage {
	const { ground, bed, terrain, startMin, pace, patternId, sequence, foul } = unfolded;
	const takesBed = stage.bed.kind === own.bed && bed !== own.bed;
	const takesGround = ground !== null && stage.base.ground === (own.ground ?? stage.base.ground);
	return {
		...stage,
		startMin: stage.startMin === own.startMin ? startMin : stage.startMin,
		pace,
		patternId,
		sequence: withTyped(sequence, stage.sequence, stage.pace),
		foul,
		terrain: [...new Set([...stage.terrain, ...terrain])],
		bed: takesBed ? { ...stage.bed, kind: bed } : stage.bed,
		base: takesGround ? { ...stage.base, ground } : stage.base
	};
}

/** The same day as a pattern: phases without their ids' past, and what goes with them. */
export const patternFrom = (stage: Stage): Omit<Unfolded, 'patternId'> => ({
	startMin: stage.startMin,
	ground: stage.base.ground,
	terrain: stage.terrain,
	bed: stage.bed.kind,
	pace: stage.pace,
	sequence: stage.sequence,
	foul: stage.foul
});

/** What the days after one can have as it has. */
export const FOLLOWING = ['wind', 'rain', 'bed', 'air'] as const;
export type Following = (typeof FOLLOWING)[number];
const FIELDS_OF: Readonly<Record<Exclude<Following, 'bed'>, readonly BaseField[]>> = {
	wind: ['wind10mKmh'],
	rain: ['wetSpells'],
	air: ['lowTempC', 'highTempC', 'altitudeM', 'lapseKPerKm', 'humidityPct', 'wind10mKmh', 'wetSpells']
};

/** All stages, those after one with its wind, its hours of rain, its bed, or all of its air; marked as copied from it. */
export function sameFollowing(stages: readonly Stage[], at: number, what: Following): Stage[] {
	const own = stages[at]!;
	return stages.map((stage, i) => {
		if (i <= at) return stage;
		if (what === 'bed') return { ...stage, bed: { ...own.bed } };
		const fields = FIELDS_OF[what];
		const base = Object.fromEntries(fields.map((field) => [field, structuredClone(own.base[field])]));
		const origins = Object.fromEntries(fields.map((field) => [field, { from: 'copied', note: own.name }]));
		return withKnown(stage, { base, origins } as KnownBase);
	});
}
