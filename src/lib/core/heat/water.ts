import { clamp } from '../argument';
import { AREA_SHARE } from '../cloth/parts';
import { type Cloth, covers } from '../cloth/things';
import { innermost, type Outfit, type WornLayer } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { FILLED_AFTER_MIN, holdsNoWater, isWaterproof, rainKeptOutMin } from '../conditions/needs';
import type { Part } from '../document/parts';
import { ROOFED } from '../weather/wind';
import { dryHoursOf } from './drying';
import type { Wetness } from './wet-cloth';

/**
 * Water in what is worn: rain from the outermost inward, what hands and feet meet, water that one stands in, and drying.
 * Sweat is worked out apart, as if nothing were wet from outside, so that rain is never a gain.
 */

/** How wet things are from outside, by thing id, and how long their faces have kept rain out. */
export interface Water {
	/** share of the water that a thing can hold, 0…1 */
	outside: Map<string, number>;
	/** minutes of ordinary rain met while outermost */
	faceMin: Map<string, number>;
}
export const dryWater = (): Water => ({ outside: new Map(), faceMin: new Map() });
export const copyOfWater = ({ outside, faceMin }: Water): Water => ({
	outside: new Map(outside),
	faceMin: new Map(faceMin)
});

/** Parts that are wetted from outside, column by column. */
const RAIN_PARTS = ['torso', 'arms', 'thighs', 'calves', 'ears'] as const satisfies readonly Part[];

/** Wet grass and melting snow wet the feet by this much a minute, as rain does, and wet grass the calves by half (our assumption). */
const GRASS_PER_MIN = 1;
const GRASS_CALVES_PER_MIN = 0.5;
const SLUSH_PER_MIN = 0.5;
const RAIN_ON_FEET = 0.5;
/** Snow melts under a boot from here up, and wholly from there, °C of air. */
const SLUSH_FROM_C = -4;
const SLUSH_WHOLLY_C = -2;
/** Boots or gaiters lower than this let a wet hem fill the sock, cm, in so many minutes (our assumption). */
const LOW_CM = 15;
const HEM_FILLS_MIN = 120;
/** Snow wets gloves wholly from here up, and by a quarter below there, °C of air (our assumption). */
const SNOW_WETS_C = -2;
const SNOW_DRY_C = -10;
const SNOW_DRY_SHARE = 0.25;

const handsPerMin = ({ marks, airTempC, rainPerMin }: Cell): number =>
	Math.max(
		rainPerMin,
		marks.includes('splash') ? 1 : 0,
		marks.includes('hands-in-snow')
			? SNOW_DRY_SHARE +
					(1 - SNOW_DRY_SHARE) * clamp((airTempC - SNOW_DRY_C) / (SNOW_WETS_C - SNOW_DRY_C), 0, 1)
			: 0
	);
const feetPerMin = ({ ground, airTempC, rainPerMin }: Cell): number =>
	Math.max(
		rainPerMin * RAIN_ON_FEET,
		ground === 'wet-grass' ? GRASS_PER_MIN : 0,
		ground === 'melting-snow'
			? SLUSH_PER_MIN * clamp((airTempC - SLUSH_FROM_C) / (SLUSH_WHOLLY_C - SLUSH_FROM_C), 0, 1)
			: 0
	);

/** Share of a thing that lies on the lower leg, for what covers the whole leg. */
const lowerLegOf = (cloth: Cloth): number =>
	covers(cloth, 'thighs') ? AREA_SHARE.calves / (AREA_SHARE.calves + AREA_SHARE.thighs) : 1;

/** Height of a part's middle above the sole, cm (our assumption: a person of middle height). */
const HEIGHT_CM: Readonly<Partial<Record<Part, number>>> = {
	feet: 6,
	calves: 28,
	thighs: 65,
	torso: 115,
	arms: 115,
	hands: 80,
	neck: 150
};
/** Hands are held out of the water until it reaches the chest. */
const HANDS_WET_FROM_CM = 120;

/** Whether a part lies mostly below the line of the water. */
export const isUnder = (cell: Cell, part: Part): boolean =>
	cell.water !== null &&
	cell.water.depthCm >= (part === 'hands' ? HANDS_WET_FROM_CM : (HEIGHT_CM[part] ?? Infinity));

/**
 * Layers of a part that water does not reach: those within waders, rubber or boots that end above its line. Null where nothing
 * keeps it out.
 * @param outfit from the skin out
 */
export function keptDry<L extends { cloth: Cloth }>(
	outfit: readonly L[],
	part: Part,
	depthCm: number
): L[] | null {
	const here = outfit.filter(({ cloth }) => covers(cloth, part));
	const isRubber = ({ cloth }: L): boolean => cloth.waterGrade === 'rubber' && topOf(cloth) >= depthCm;
	const seal = here.findLastIndex(
		(layer) =>
			isRubber(layer) ||
			(part === 'feet' &&
				layer.cloth.slot === 'footwear' &&
				isWaterproof(layer.cloth) &&
				layer.cloth.heightCm > depthCm)
	);
	if (seal >= 0) return here.slice(0, seal + 1);
	// Waders have feet of their own, within the boots; their layer there warms nothing.
	const waders = part === 'feet' && outfit.some((layer) => isRubber(layer) && covers(layer.cloth, 'calves'));
	return waders ? here.filter(({ cloth }) => cloth.slot !== 'footwear' && cloth.slot !== 'gaiter') : null;
}
const topOf = (cloth: Cloth): number => {
	const parts = (['neck', 'torso', 'thighs', 'calves', 'feet'] as const).filter((part) =>
		covers(cloth, part)
	);
	const [highest] = parts;
	if (!highest) return 0;
	return { neck: 150, torso: 140, thighs: 90, calves: 50, feet: cloth.heightCm }[highest];
};

/** A part's layers from the outermost inward: what falls on them fills one after the other. */
function pour(
	layers: readonly WornLayer[],
	minutes: number,
	water: Water,
	face: Map<string, number>,
	fill: Map<string, number>,
	mostOf: (cloth: Cloth) => number = () => 1
): void {
	let left = minutes;
	for (let i = layers.length - 1; i >= 0 && left > 0; i--) {
		const { cloth } = layers[i]!;
		const id = cloth.thingId;
		const spared = Math.min(left, Math.max(0, rainKeptOutMin(cloth) - (water.faceMin.get(id) ?? 0)));
		face.set(id, Math.max(face.get(id) ?? 0, spared));
		left -= spared;
		if (left <= 0 || holdsNoWater(cloth)) continue;
		const taken = Math.min(
			left,
			Math.max(0, mostOf(cloth) - (water.outside.get(id) ?? 0)) * FILLED_AFTER_MIN
		);
		fill.set(id, Math.max(fill.get(id) ?? 0, taken / FILLED_AFTER_MIN));
		left -= taken;
	}
}

/**
 * Lets some minutes of a cell pass over what is worn, in place.
 * @param outfit from the skin out
 */
export function soak(cell: Cell, outfit: Outfit, water: Water, minutes: number): void {
	const roofed = ROOFED.has(cell.place);
	const face = new Map<string, number>();
	const fill = new Map<string, number>();
	const column = (part: Part): WornLayer[] => outfit.filter(({ cloth }) => covers(cloth, part));
	if (!roofed && cell.kind !== 'sleep') {
		const grass = cell.ground === 'wet-grass' ? GRASS_CALVES_PER_MIN : 0;
		for (const part of RAIN_PARTS) {
			const perMin = part === 'calves' ? Math.max(cell.rainPerMin, grass) : cell.rainPerMin;
			// Grass wets the lower legs alone.
			const most = part === 'calves' && grass > cell.rainPerMin ? lowerLegOf : undefined;
			if (perMin > 0) pour(column(part), perMin * minutes, water, face, fill, most);
		}
		const onHands = handsPerMin(cell);
		if (onHands > 0) pour(column('hands'), onHands * minutes, water, face, fill);
		const onFeet = feetPerMin(cell);
		if (onFeet > 0) {
			const feet = column('feet');
			pour(feet, onFeet * minutes, water, face, fill);
			const reach = Math.max(
				0,
				...outfit
					.filter(({ cloth }) => cloth.slot === 'footwear' || cloth.slot === 'gaiter')
					.map(({ cloth }) => cloth.heightCm)
			);
			if (reach < LOW_CM)
				for (const { cloth } of feet)
					if (cloth.slot === 'sock' || cloth.slot === 'liner-sock')
						fill.set(cloth.thingId, (fill.get(cloth.thingId) ?? 0) + minutes / HEM_FILLS_MIN);
		}
	}
	// Below the line everything fills at once, but what a seal keeps dry.
	const flooded = new Set<string>();
	if (cell.water) {
		for (const part of ['feet', 'calves', 'thighs', 'torso', 'arms', 'hands'] as const) {
			if (!isUnder(cell, part)) continue;
			const dry = keptDry(outfit, part, cell.water.depthCm) ?? [];
			for (const layer of column(part)) if (!dry.includes(layer)) flooded.add(layer.cloth.thingId);
		}
	}
	const skins = new Set(
		['torso', 'arms', 'thighs', 'calves'].map((part) => innermost(outfit, part as Part)?.thingId)
	);
	const shod = outfit.some(({ cloth }) => cloth.slot === 'footwear');
	for (const layer of outfit) {
		const id = layer.cloth.thingId;
		const before = water.outside.get(id) ?? 0;
		if (flooded.has(id)) {
			water.outside.set(id, layer.cloth.waterGrade === 'rubber' ? 0 : 1);
			continue;
		}
		const more = fill.get(id) ?? 0;
		if (more > 0) water.outside.set(id, Math.min(1, before + more));
		else if (before > 0) {
			const isInBoot = !cell.heated && shod && covers(layer.cloth, 'feet');
			const hours = dryHoursOf(cell, layer.cloth, skins.has(id), isInBoot && layer.cloth.slot !== 'footwear');
			const after = before - minutes / 60 / hours;
			if (after > 1e-6) water.outside.set(id, after);
			else water.outside.delete(id);
		}
	}
	for (const [id, spared] of face) water.faceMin.set(id, (water.faceMin.get(id) ?? 0) + spared);
	// A warm room dries the faces that have kept the rain out.
	if (cell.heated && minutes > 0) for (const { cloth } of outfit) water.faceMin.delete(cloth.thingId);
}

/**
 * How wet an outfit is on the average of a cell: what is known of it before, and what the cell adds by itself.
 * @param before by thing id, on the average of the cell as another outfit was worn
 */
export function wettedIn(cell: Cell, outfit: Outfit, before: Wetness): Wetness {
	const isWetted =
		cell.water !== null ||
		cell.rainPerMin > 0 ||
		handsPerMin(cell) > 0 ||
		(feetPerMin(cell) > 0 && !ROOFED.has(cell.place));
	if (!isWetted) return before;
	const water = dryWater();
	soak(cell, outfit, water, cell.minutes / 2);
	const all = new Map(before);
	for (const [id, share] of water.outside) all.set(id, Math.max(share, all.get(id) ?? 0));
	return all;
}
