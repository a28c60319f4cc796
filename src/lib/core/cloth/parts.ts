import { type Coverage, type Part, PARTS, type Row } from '../document/parts';

/** Regions that lose heat side by side. */
export const REGIONS = [
	'skull',
	'face',
	'neck',
	'trunk',
	'arms',
	'hands',
	'thighs',
	'calves',
	'feet'
] as const;
export type Region = (typeof REGIONS)[number];

/** What the head has of the body's surface. Source: Hardy & DuBois (from memory). */
const HEAD = 0.07;
/**
 * Share of the body's surface. Source: Hardy & DuBois (from memory). The head is three parts side by side (our assumption): as
 * one, a cap that leaves the face free would cover less than half of it and count for nothing.
 */
export const AREA_SHARE: Readonly<Record<Region, number>> = {
	skull: 0.55 * HEAD,
	face: 0.2 * HEAD,
	neck: 0.25 * HEAD,
	trunk: 0.35,
	arms: 0.14,
	hands: 0.05,
	thighs: 0.19,
	calves: 0.13,
	feet: 0.07
};

/** Which region a part belongs to, and how much of it. */
export const REGION_OF_PART: Readonly<Record<Part, { region: Region; share: number }>> = {
	eyes: { region: 'face', share: 0 },
	face: { region: 'face', share: 1 },
	ears: { region: 'skull', share: 1 },
	neck: { region: 'neck', share: 1 },
	torso: { region: 'trunk', share: 1 },
	arms: { region: 'arms', share: 1 },
	hands: { region: 'hands', share: 1 },
	thighs: { region: 'thighs', share: 1 },
	calves: { region: 'calves', share: 1 },
	feet: { region: 'feet', share: 1 }
};

export const PARTS_OF_ROW: Readonly<Record<Row, readonly Part[]>> = {
	eyes: ['eyes'],
	face: ['face'],
	ears: ['ears'],
	neck: ['neck'],
	torso: ['torso'],
	arms: ['arms'],
	hands: ['hands'],
	legs: ['thighs', 'calves'],
	feet: ['feet'],
	sleep: []
};
/** Share of each region that a coverage covers, 0…1. */
export function regionCoverage(covers: Coverage): Record<Region, number> {
	const result = Object.fromEntries(REGIONS.map((region) => [region, 0])) as Record<Region, number>;
	for (const part of PARTS) {
		const { region, share } = REGION_OF_PART[part];
		result[region] += share * (covers[part] ?? 0);
	}
	return result;
}

/** Share of the whole body that a coverage covers, 0…1. */
export function bodyCoverage(covers: Coverage): number {
	const byRegion = regionCoverage(covers);
	return REGIONS.reduce((sum, region) => sum + AREA_SHARE[region] * byRegion[region], 0);
}
