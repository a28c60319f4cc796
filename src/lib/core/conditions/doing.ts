import { phasesIn } from '../document/sequence';
import type { Doing, Mark, Phase, Stage } from '../document/types';
import { PATTERNS } from '../patterns';

/** Marks that say what one is doing, the first one that is there. */
const DOING_OF_MARK: readonly (readonly [Mark, Doing])[] = [
	['immersed-ankle', 'wade'],
	['immersed-knee', 'wade'],
	['immersed-thigh', 'wade'],
	['immersed-waist', 'wade'],
	['immersed-neck', 'wade'],
	['controls', 'motorbike'],
	['pedals', 'cycle'],
	['roped', 'steep'],
	['harness', 'steep']
];
const doingByMarks = (marks: readonly Mark[]): Doing | null =>
	DOING_OF_MARK.find(([mark]) => marks.includes(mark))?.[1] ?? null;

/** Own speed from which feet alone do not do it, and effort from which it is a run, km/h and W/m² (our assumption). */
const FAST_KMH = 8;
const RUN_WM2 = 320;

/** Where on the route the bed is. */
const AT_THE_BED = 3;

const doingOfPattern = new Map(PATTERNS.map(({ id, doing }) => [id, doing]));

/** What a stage is about, out of doors: its pattern says it, else what its phases ask for. */
function mainDoing({ patternId, sequence, base }: Stage): Doing {
	const ofPattern = patternId === null ? undefined : doingOfPattern.get(patternId);
	if (ofPattern) return ofPattern;
	const phases = phasesIn(sequence);
	const typed = phases.find(({ doing, kind }) => doing && kind === 'move')?.doing;
	if (typed) return typed;
	const marked = doingByMarks(phases.flatMap(({ marks }) => marks));
	if (marked) return marked;
	const isFast = phases.some(({ ownSpeedKmh, kind }) => kind === 'move' && ownSpeedKmh >= FAST_KMH);
	if (isFast && base.ground === 'snow')
		return phases.some(({ kind, place }) => kind === 'ride' && place !== 'in') ? 'pistes' : 'ski-touring';
	if (isFast && phases.some(({ effortWm2 }) => effortWm2 >= RUN_WM2)) return 'run';
	return 'hike';
}

/** What one is doing in a phase: as typed, else by the place, the marks and what the stage is about. */
export function doingOf(phase: Phase, stage: Stage): Doing {
	if (phase.doing) return phase.doing;
	if (phase.kind === 'sleep') return 'bed';
	const { place } = phase;
	if (place === 'bed')
		return stage.bed.kind === 'tent' || stage.bed.kind === 'snow-hole' ? 'camp' : 'lodging';
	if (place === 'in' && phase.kind === 'ride') return 'vehicle';
	// At the end of the way one is at home, before it a guest.
	if (place === 'in') return phase.along >= AT_THE_BED ? 'lodging' : 'public-room';
	if (place === 'cold-in') return 'lodging';
	if (place === 'tent' || place === 'snow-hole') return 'camp';
	return doingByMarks(phase.marks) ?? mainDoing(stage);
}
