import type { Slot } from '$lib/core/cloth/slots';
import type { Part } from '$lib/core/document/parts';
import type { ClothFunction } from '$lib/core/document/types';
import type { Opening } from '$lib/core/document/worn';
import { isFailing } from '$lib/core/document/verdict';
import type { CoverageCell } from '$lib/core/judge/coverage';
import type { PhaseVerdict } from '$lib/core/judge/phase-verdict';
import { PARTS_OF_ROW } from '$lib/core/cloth/parts';
import { clothByPart, type LayerByPart } from '$lib/core/kit/cloth-by-part';
import { toneOf } from '../parts/tone';
import {
	bandPath,
	crownPath,
	edgeAt,
	GLASSES,
	GOGGLES,
	hoodPath,
	KNEE_Y,
	type Limb,
	limbPath,
	maskPath,
	type Point,
	type Reach,
	shaft,
	skirtPath,
	sleeve,
	SMALL_PART_SCALE,
	smallPartEdge,
	smallPartPath,
	TRUNK,
	trouserLeg,
	UNITS_PER_CLO,
	waist
} from './body-shapes';

/**
 * Somebody dressed, as shapes: every layer where it lies on the body, as thick as it insulates there in this phase. One half of
 * the picture is cut open down to the skin, the other one is seen from outside; both are made of the same shapes.
 */

export interface FigureLayer {
	thingId: string;
	tone: ClothFunction;
	opening: Opening;
	/** how wet it is, 0…1 */
	wet: number;
	/** put on at this moment */
	isNew: boolean;
	/** its outline on the right half of the figure; the left half is its mirror image */
	d: string;
	/** where a line to its name begins, on the right side */
	anchor: Point;
	/** half of the picture on whose side its name stands: what lies on trunk and limbs is named where it is cut open */
	named: 'cut' | 'outside';
	/** glasses and the like: they are seen and insulate nothing */
	isGlass: boolean;
}
/** What is wrong with a part of the body. */
export interface FigureMark {
	part: Part;
	kind: 'missing' | 'not asked' | 'cool' | 'short';
	anchor: Point;
}
export interface Figure {
	/** as they are seen from outside, the one that is seen last at the end */
	outside: FigureLayer[];
	/** from the outermost to the one next to the skin */
	cut: FigureLayer[];
	marks: FigureMark[];
	/** the broadest it gets on either side of its middle, units */
	halfWidth: number;
}

const LEG_SLOTS: ReadonlySet<Slot> = new Set([
	'briefs',
	'leg-base',
	'trousers',
	'leg-armour',
	'overtrousers'
]);
/** In which order things are seen: what is on the feet goes under trousers, tops go over them. */
function rankOf({ layer: { cloth, position } }: LayerByPart): number {
	if ((cloth.covers.feet ?? 0) > 0) return position;
	if (cloth.slot !== null && LEG_SLOTS.has(cloth.slot)) return 10 + position;
	if (cloth.slot === 'gaiter') return 16;
	if (cloth.slot === 'eyes') return 50;
	return 20 + position + (cloth.slot === 'helmet' ? 2 : 0);
}

/** Where a layer lies on a limb, and how thick it is at a height. */
interface OnLimb {
	limb: Limb;
	reach: Reach;
	thick: (y: number) => number;
}
const units = (clo: number): number => clo * UNITS_PER_CLO;

/** Cloth hangs over the end of what is under it rather than following it: so many units farther down, and smoothly. */
const DRAPE = 12;

/** What lies on a limb so far: each layer adds to what is under the next one. */
class Under {
	private readonly layers: OnLimb[] = [];
	add(layer: OnLimb): void {
		this.layers.push(layer);
	}
	private raw(limb: Limb, y: number): number {
		return this.layers
			.filter((one) => one.limb === limb && y >= one.reach.fromY - 1 && y <= one.reach.toY + DRAPE)
			.reduce((sum, { thick }) => sum + thick(y), 0);
	}
	at(limb: Limb, y: number, { fromY, toY }: Reach): number {
		const heights = [-1, -0.5, 0, 0.5, 1].map((k) => Math.min(toY, Math.max(fromY, y + k * DRAPE)));
		return heights.reduce((sum, one) => sum + this.raw(limb, one), 0) / heights.length;
	}
}

/** @param before what was worn until now: what is not among it is put on at this moment; null where nothing is told of it */
export function drawnFigure(
	phase: PhaseVerdict & { coverage: readonly CoverageCell[] },
	before: PhaseVerdict['outfit'] | null = null
): Figure {
	const worn = clothByPart(phase);
	const under = new Under();
	const onSmall = { hands: 0, feet: 0, ears: 0, face: 0 };
	const wornBefore = before && new Set(before.map(({ cloth }) => cloth.thingId));
	const built = worn
		.filter(({ parts }) => parts.size > 0)
		.map((one) => {
			const { layer, parts, wet } = one;
			const { cloth } = layer;
			const clo = (part: Part): number => units(parts.get(part)?.clo ?? 0);
			const share = (part: Part): number => parts.get(part)?.share ?? 0;
			let outline = '';
			const piece = (d: string): void => void (outline += d);
			const anchors: Point[] = [];
			const onLimb = (on: OnLimb): void => {
				const offset = (y: number): number => under.at(on.limb, y, on.reach) + on.thick(y);
				piece(limbPath(on.limb, on.reach, offset));
				under.add(on);
			};
			const anchorAt = (limb: Limb, y: number): void => {
				const reach = { fromY: y - 40, toY: y + 40 };
				anchors.push(edgeAt(limb, y, under.at(limb, y, reach) - 0.5));
			};
			const isOnLegs = cloth.slot !== null && LEG_SLOTS.has(cloth.slot);
			const legThick = (y: number): number =>
				y < KNEE_Y && share('thighs') > 0 ? clo('thighs') : clo('calves');
			if (share('feet') > 0) {
				onSmall.feet += clo('feet') * SMALL_PART_SCALE;
				piece(smallPartPath('feet', onSmall.feet));
				anchors.push(smallPartEdge('feet', onSmall.feet - 0.5));
				const thick = (): number => clo('feet') * SMALL_PART_SCALE;
				if (cloth.heightCm > 5) onLimb({ limb: 'leg', reach: shaft(cloth.heightCm), thick });
			} else if (cloth.slot === 'gaiter') {
				onLimb({ limb: 'leg', reach: shaft(cloth.heightCm || 40), thick: legThick });
				anchorAt('leg', 335);
			} else if (isOnLegs) {
				if (share('torso') > 0)
					onLimb({ limb: 'trunk', reach: waist(share('torso')), thick: () => clo('torso') || clo('thighs') });
				onLimb({ limb: 'leg', reach: trouserLeg(share('thighs'), share('calves')), thick: legThick });
				anchorAt('leg', share('calves') > 0.3 ? 250 : share('thighs') > 0.5 ? 220 : 190);
			} else if (share('torso') > 0) {
				const small = share('torso') < 0.6;
				const reach = small ? { fromY: 80, toY: 160 } : TRUNK;
				if (share('thighs') > 0 && !small) {
					const hem = trouserLeg(share('thighs'), 0);
					const thick = (): number => clo('thighs');
					piece(skirtPath(hem.toY, (y) => under.at('leg', y, hem) + thick()));
					under.add({ limb: 'leg', reach: hem, thick });
				}
				onLimb({ limb: 'trunk', reach, thick: () => clo('torso') });
				if (share('arms') > 0)
					onLimb({ limb: 'arm', reach: sleeve(share('arms')), thick: () => clo('arms') });
				if (share('arms') > 0.3) anchorAt('arm', share('arms') > 0.6 ? 150 : 105);
				else anchorAt('trunk', 130);
				if (share('ears') > 0.3) {
					onSmall.ears += clo('ears') * share('ears');
					piece(hoodPath(onSmall.ears + 2, 'face'));
				}
				if (share('neck') > 0.3)
					onLimb({ limb: 'neck', reach: { fromY: 50, toY: 70 }, thick: () => clo('neck') });
			} else if (share('hands') > 0) {
				onSmall.hands += clo('hands') * SMALL_PART_SCALE;
				piece(smallPartPath('hands', onSmall.hands));
				anchors.push(smallPartEdge('hands', onSmall.hands - 0.5));
			} else if (cloth.slot === 'eyes') {
				piece(share('face') > 0 ? GOGGLES : GLASSES);
				anchors.push({ x: 12, y: 31 });
			} else {
				if (share('ears') > 0) {
					onSmall.ears += clo('ears');
					const grown = onSmall.ears;
					const isHood = share('face') > 0.3 && share('ears') > 0.8;
					if (isHood) piece(hoodPath(grown, 'eyes'));
					else if (cloth.typeId === 'headband') piece(bandPath(grown));
					else piece(crownPath(share('ears'), grown));
					anchors.push({ x: 9 + grown * 0.8, y: 15 - grown * 0.6 });
				}
				if (share('neck') > 0) {
					onLimb({ limb: 'neck', reach: { fromY: 49, toY: 71 }, thick: () => clo('neck') });
					if (anchors.length === 0) anchorAt('neck', 62);
				}
				if (share('face') > 0) {
					onSmall.face += clo('face');
					if (share('ears') <= 0.8) piece(maskPath(share('face'), onSmall.face));
					if (anchors.length === 0) anchors.push({ x: 13, y: 48 });
				}
			}
			return {
				rank: rankOf(one),
				layer: {
					thingId: cloth.thingId,
					tone: toneOf(layer),
					opening: layer.opening,
					wet,
					isNew: wornBefore !== null && !wornBefore.has(cloth.thingId),
					d: outline,
					anchor: anchors[0] ?? { x: 0, y: 0 },
					named:
						(isOnLegs || share('torso') > 0 || cloth.slot === 'gaiter') && share('feet') === 0
							? 'cut'
							: 'outside',
					isGlass: cloth.slot === 'eyes'
				} satisfies FigureLayer
			};
		});
	const widest = (limb: Limb, y: number): number =>
		edgeAt(limb, y, under.at(limb, y, { fromY: y - 20, toY: y + 20 })).x;
	return {
		outside: [...built].sort((a, b) => a.rank - b.rank).map(({ layer }) => layer),
		cut: built.map(({ layer }) => layer).reverse(),
		marks: marksOf(phase, worn),
		halfWidth: Math.max(96, widest('arm', 170) + 4, 88 + onSmall.hands, widest('leg', 200) + 4)
	};
}

const ANCHOR_OF: Readonly<Record<Part, Point>> = {
	eyes: { x: 10, y: 31 },
	face: { x: 12, y: 46 },
	ears: { x: 14, y: 20 },
	neck: { x: 9, y: 62 },
	torso: { x: 12, y: 120 },
	arms: { x: 50, y: 135 },
	hands: { x: 80, y: 216 },
	thighs: { x: 24, y: 225 },
	calves: { x: 26, y: 320 },
	feet: { x: 40, y: 382 }
};
/** Parts of the body that stand for the whole of it, where that gets cold. */
const BODY_PARTS: readonly Part[] = ['torso', 'arms', 'thighs', 'calves'];
/** A part with less than this of the body's usual thickness is where its warmth is lost (our assumption). */
const WEAK_SHARE = 0.6;

/** Parts on which least is worn, where the whole body gets cold. */
function weakParts(worn: readonly LayerByPart[]): Part[] {
	const clo = (part: Part): number =>
		worn.reduce((sum, { parts }) => sum + (parts.get(part)?.share ?? 0) * (parts.get(part)?.clo ?? 0), 0);
	const all = BODY_PARTS.map((part) => ({ part, clo: clo(part) }));
	const mean = all.reduce((sum, one) => sum + one.clo, 0) / all.length;
	const weak = all.filter((one) => one.clo < WEAK_SHARE * mean).map(({ part }) => part);
	return weak.length > 0 ? weak : ['torso'];
}

/** What is wrong, by part: nothing on it where something is needed, nobody asked, or it gets cold. */
function marksOf(
	phase: PhaseVerdict & { coverage: readonly CoverageCell[] },
	worn: readonly LayerByPart[]
): FigureMark[] {
	if (phase.cell.kind === 'sleep') return [];
	const marks = new Map<Part, FigureMark['kind']>();
	const coldKind = (verdict: PhaseVerdict['verdict']): 'cool' | 'short' =>
		isFailing(verdict) ? 'short' : 'cool';
	const isCold = phase.verdict === 'cool' || isFailing(phase.verdict);
	if (isCold && phase.limitedBy === 'body')
		for (const part of weakParts(worn)) marks.set(part, coldKind(phase.verdict));
	for (const { row, state, trouble } of phase.coverage) {
		const parts = PARTS_OF_ROW[row];
		if (trouble === 'cool' || (trouble && isFailing(trouble)))
			for (const part of parts) marks.set(part, coldKind(trouble));
		if (state === 'missing' || state === 'not asked') for (const part of parts) marks.set(part, state);
	}
	return [...marks].map(([part, kind]) => ({ part, kind, anchor: ANCHOR_OF[part] }));
}
