import { factorOf } from '../../cloth/factors';
import type { Cloth } from '../../cloth/things';
import { isFailing } from '../../document/verdict';
import { outermost, type WornLayer } from '../../cloth/worn';
import { cellName } from '../../conditions/cell-name';
import { isOut } from '../../conditions/needs';
import { DAMP_FROM, isChangedWhenWet, WET_FROM } from '../../heat/wet-cloth';
import type { Weather } from '../../document/types';
import type { Opening } from '../../document/worn';
import type { Where } from '../../kit/pack';
import type { PlannedPhase, PlannedStage } from '../../kit/planned-day';

/**
 * A day's changes as a guide would tell them: what goes on and off at which place, where it rides, what comes out when a
 * stop lasts longer, and what is different in the other weathers.
 */
export const HOWS = [
	'over everything',
	'over the harness',
	'under the shell',
	'dry',
	'dry one',
	'plain'
] as const;
export interface PutOn {
	thingId: string;
	how: (typeof HOWS)[number];
	/** worn before in its place, and taken off for it */
	instead: string | null;
	/** where a dry thing was kept that is put on for a wet one; null for everything else */
	from: Where | null;
}
export interface TakenOff {
	thingId: string;
	to: Where;
}
/** What changes when a phase begins. */
export interface ToldChange {
	/** index of the phase in the day */
	phase: number;
	name: string;
	/** last of the rounds in a row in which the same is done again; null where it is done once */
	untilRound: number | null;
	/** minutes after midnight */
	startMin: number;
	on: PutOn[];
	off: TakenOff[];
	/** the front, when it is opened or closed here */
	front: Opening | null;
	/** of a heated place: nothing of it hurries */
	indoors: boolean;
	/** after so many minutes more is needed, and what is at hand for it */
	longer: { minutes: number; thingIds: string[] } | null;
}

/** What is worn when the group sets out. */
export interface ToldStart {
	phase: number;
	name: string;
	startMin: number;
	/** from the skin out, seen from outside first */
	thingIds: string[];
	/** on the move from the first minute: slightly cool is right */
	coolAtFirst: boolean;
}

/** What another weather changes. */
export interface ToldWeather {
	weather: string;
	/** what makes it different */
	because: ('cold' | 'wind' | 'wet' | 'mild')[];
	/** the same difference on some phases, by name */
	differences: { names: string[]; on: string[]; off: string[] }[];
	/** phases that do not hold, or are not right, and were so in the first weather */
	worse: { name: string; verdict: PlannedPhase['verdict']; holdsMinutes: number | null; minutes: number }[];
}

const lived = (phases: readonly PlannedPhase[]): { phase: PlannedPhase; k: number }[] =>
	phases
		.map((phase, k) => ({ phase, k }))
		.filter(({ phase: { cell } }) => cell.kind !== 'sleep' && cell.kind !== 'what-if');

/** Whether a dry thing is put on for one that has got wet. */
function isForWet(layer: WornLayer, replaced: WornLayer | undefined, before: PlannedPhase): boolean {
	if (!replaced || !isChangedWhenWet(replaced.cloth)) return false;
	const wet = before.wet.find(({ thingId }) => thingId === replaced.cloth.thingId)?.share ?? 0;
	return wet >= WET_FROM && (before.wetness[layer.cloth.thingId] ?? 0) < DAMP_FROM;
}
const rodeIn = (before: PlannedPhase, id: string): Where | null =>
	before.carried.find(({ thingId }) => thingId === id)?.where ?? null;

const isOverEverything = ({ position, cloth }: WornLayer): boolean =>
	position === 5 && cloth.regions.trunk + cloth.regions.thighs > 0;
const isWarmOver = (cloth: Cloth): boolean =>
	cloth.positions[1] === 5 &&
	cloth.functions.includes('warmth') &&
	cloth.regions.trunk + cloth.regions.thighs > 0;

function howOf(layer: WornLayer, phase: PlannedPhase, before: PlannedPhase): PutOn['how'] {
	const { cloth, position } = layer;
	const factor = factorOf(cloth);
	const tied = phase.cell.marks.includes('harness') || phase.cell.marks.includes('roped');
	if (factor !== 'trunk' && factor !== 'legs') return 'plain';
	if (isOverEverything(layer)) return 'over everything';
	const shellStays = phase.outfit.some(
		(other) =>
			other.position > position &&
			other.position >= 4 &&
			factorOf(other.cloth) === factor &&
			isIn(before.outfit, other.cloth.thingId)
	);
	// A shell under another one is not put on under "the shell".
	if (shellStays && position < 4) return 'under the shell';
	return tied && position >= 4 ? 'over the harness' : 'plain';
}

/** Cloths of one kind: the one is worn in place of the other. */
const takesPlaceOf = (on: WornLayer, off: WornLayer): boolean =>
	factorOf(on.cloth) === factorOf(off.cloth) &&
	Math.abs(on.position - off.position) <= 1 &&
	Object.entries(on.cloth.covers).some(
		([part, share]) => share >= 0.5 && (off.cloth.covers[part as keyof Cloth['covers']] ?? 0) >= 0.5
	);

const frontOf = ({ outfit }: PlannedPhase): Opening => outermost(outfit, 'torso')?.opening ?? 'closed';
const isIn = (outfit: readonly WornLayer[], id: string): boolean =>
	outfit.some(({ cloth }) => cloth.thingId === id);

/** What comes out of the pack when a stop lasts longer than what is worn holds. */
function longerOf(phase: PlannedPhase, kit: ReadonlyMap<string, Cloth>): ToldChange['longer'] {
	// A coat is no help to toes; and where it is cold from the start, that is another thing to say.
	if (phase.cell.kind !== 'stop' || !isOut(phase.cell) || phase.limitedBy !== 'body') return null;
	if (phase.holdsMinutes === null || phase.holdsMinutes < 1) return null;
	const thingIds = phase.carried
		.filter(({ where }) => where === 'top' || where === 'pack')
		.map(({ thingId }) => kit.get(thingId))
		.filter((cloth) => cloth !== undefined)
		.filter((cloth) => isWarmOver(cloth))
		.map(({ thingId }) => thingId);
	return thingIds.length > 0 ? { minutes: Math.floor(phase.holdsMinutes), thingIds } : null;
}

/** What is worn at the start, and every change of the day, in order. */
export function toldDay(
	{ phases }: Pick<PlannedStage, 'phases'>,
	kit: readonly Cloth[]
): { start: ToldStart | null; changes: ToldChange[] } {
	const byId = new Map(kit.map((cloth) => [cloth.thingId, cloth]));
	const all = lived(phases);
	const first = all.find(({ phase: { cell } }) => !cell.heated) ?? all[0];
	if (!first) return { start: null, changes: [] };
	const start: ToldStart = {
		phase: first.k,
		name: first.phase.cell.name,
		startMin: first.phase.cell.startMin,
		thingIds: [...first.phase.outfit]
			.sort((a, b) => b.position - a.position)
			.filter(({ cloth }) => !(cloth.positions[1] === 0))
			.map(({ cloth }) => cloth.thingId),
		coolAtFirst:
			first.phase.cell.kind === 'move' && first.phase.verdict === 'right' && first.phase.cell.airTempC <= 10
	};
	const changes: ToldChange[] = [];
	let before = first.phase;
	for (const { phase, k } of all.slice(all.indexOf(first) + 1)) {
		const on = phase.outfit.filter(({ cloth }) => !isIn(before.outfit, cloth.thingId));
		const off = before.outfit.filter(({ cloth }) => !isIn(phase.outfit, cloth.thingId));
		const told = new Set<string>();
		const change: ToldChange = {
			phase: k,
			name: cellName(phase.cell),
			untilRound: null,
			startMin: phase.cell.startMin,
			on: on.map((layer): PutOn => {
				const replaced = off.find((other) => !told.has(other.cloth.thingId) && takesPlaceOf(layer, other));
				if (replaced) told.add(replaced.cloth.thingId);
				const { thingId } = layer.cloth;
				const dry = isForWet(layer, replaced, before);
				return {
					thingId,
					how: dry ? 'dry' : howOf(layer, phase, before),
					instead: replaced?.cloth.thingId ?? null,
					from: dry ? rodeIn(before, thingId) : null
				};
			}),
			off: off.map(({ cloth }) => ({
				thingId: cloth.thingId,
				to: phase.carried.find(({ thingId }) => thingId === cloth.thingId)?.where ?? 'pack'
			})),
			front: frontOf(phase) === frontOf(before) ? null : frontOf(phase),
			indoors: phase.cell.heated,
			longer: longerOf(phase, byId)
		};
		for (const thingId of phase.dryOnes)
			change.on.push({ thingId, how: 'dry one', instead: null, from: null });
		if (change.on.length + change.off.length > 0 || change.front !== null || change.longer)
			changes.push(change);
		before = phase;
	}
	return { start, changes: toldOnce(changes, phases) };
}

/** What is done again in round after round of a loop is told once, for the first of them. */
function toldOnce(changes: readonly ToldChange[], phases: readonly PlannedPhase[]): ToldChange[] {
	const told: ToldChange[] = [];
	for (const change of changes) {
		const { phaseId, round } = phases[change.phase]!.cell;
		const same = told.find((other) => {
			const { cell } = phases[other.phase]!;
			return (
				cell.phaseId === phaseId &&
				(other.untilRound ?? cell.round) === round - 1 &&
				doneIn(other) === doneIn(change)
			);
		});
		if (same) same.untilRound = round;
		else told.push({ ...change });
	}
	return told;
}
/** What is done, wherever it rides afterwards and however long it holds. */
const doneIn = ({ on, off, front, longer }: ToldChange): string =>
	JSON.stringify([on, off.map(({ thingId }) => thingId), front, longer?.thingIds]);

function becauseOf(weather: Weather, first: Weather): ToldWeather['because'] {
	const because: ToldWeather['because'] = [];
	if (weather.wetSpells.length > first.wetSpells.length) because.push('wet');
	if (weather.tempOffsetK < first.tempOffsetK - 0.5) because.push('cold');
	if (weather.windFactor > first.windFactor + 0.2) because.push('wind');
	if (because.length === 0) because.push('mild');
	return because;
}

/** How the day differs in another weather: the same difference on several phases is told once. */
export function toldWeather(
	first: PlannedStage,
	other: PlannedStage,
	weathers: { first: Weather; other: Weather }
): ToldWeather {
	const differences = new Map<string, ToldWeather['differences'][number]>();
	const worse: ToldWeather['worse'] = [];
	for (const { phase, k } of lived(other.phases)) {
		const was = first.phases[k];
		if (!was || phase.cell.heated) continue;
		const on = phase.outfit
			.filter(({ cloth }) => !isIn(was.outfit, cloth.thingId))
			.map(({ cloth }) => cloth.thingId);
		const off = was.outfit
			.filter(({ cloth }) => !isIn(phase.outfit, cloth.thingId))
			.map(({ cloth }) => cloth.thingId);
		if (on.length + off.length > 0) {
			const key = JSON.stringify([on, off]);
			const same = differences.get(key) ?? { names: [], on, off };
			if (!same.names.includes(phase.cell.name)) same.names.push(phase.cell.name);
			differences.set(key, same);
		}
		if (
			isFailing(phase.verdict) &&
			was.verdict !== phase.verdict &&
			!worse.some(({ name }) => name === phase.cell.name)
		)
			worse.push({
				name: phase.cell.name,
				verdict: phase.verdict,
				holdsMinutes: phase.holdsMinutes,
				minutes: phase.cell.minutes
			});
	}
	return {
		weather: weathers.other.id,
		because: becauseOf(weathers.other, weathers.first),
		differences: [...differences.values()],
		worse
	};
}
