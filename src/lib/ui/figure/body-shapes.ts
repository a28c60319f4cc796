import { curveLinearClosed, line } from 'd3';

/**
 * The body of the drawn figure, seen from the front, in units of a body 390 high with its middle at x = 0: its right side only,
 * since the other one is its mirror image. A limb is a row of stations along its middle line, each with half its breadth, so
 * that a layer is the same limb made broader by what lies under it and by itself.
 */

export const FIGURE_HEIGHT = 408;
/** Room over the head for a hat or hood, units. */
export const OVER_HEAD = 12;
/** Thickness of one clo, units. */
export const UNITS_PER_CLO = 9;
/** Hands and feet are small: what is on them is drawn to half the scale. */
export const SMALL_PART_SCALE = 0.5;

export interface Point {
	x: number;
	y: number;
}
/** A place along a limb: its middle, the direction across it, half its breadth. */
interface Station extends Point {
	acrossX: number;
	acrossY: number;
	half: number;
}

export type Limb = 'trunk' | 'neck' | 'arm' | 'leg';

/** Middle line and half the breadth of each limb, from its upper end. */
const KEYS: Readonly<Record<Limb, readonly (readonly [x: number, y: number, half: number])[]>> = {
	neck: [
		[0, 50, 10],
		[0, 60, 9.5],
		[0, 70, 12]
	],
	trunk: [
		[0, 66, 11],
		[0, 71, 22],
		[0, 79, 32],
		[0, 92, 36],
		[0, 118, 34],
		[0, 146, 31],
		[0, 172, 34],
		[0, 196, 36]
	],
	arm: [
		[29, 84, 11.5],
		[40, 110, 10.5],
		[53, 142, 9],
		[63, 172, 8.2],
		[70, 196, 6.2]
	],
	leg: [
		[17.5, 176, 17.5],
		[18.5, 222, 16],
		[20, 272, 12],
		[21, 300, 12.2],
		[21.5, 326, 10.8],
		[21.5, 364, 7.2]
	]
};
/** Stations of a limb: so many that their straight joins look round. */
const STATIONS = 48;

const smoothed = (a: number, b: number, c: number, d: number, t: number): number =>
	0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t * t * t);

const known = new Map<Limb, readonly Station[]>();
/** The stations of a limb, evenly spread over its height (a smooth curve through the points given). */
function stationsOf(limb: Limb): readonly Station[] {
	const before = known.get(limb);
	if (before) return before;
	const keys = KEYS[limb];
	const at = (position: number): [number, number, number] => {
		const i = Math.min(keys.length - 2, Math.floor(position));
		const near = [Math.max(0, i - 1), i, i + 1, Math.min(keys.length - 1, i + 2)].map((k) => keys[k]!);
		return [0, 1, 2].map((axis) =>
			smoothed(near[0]![axis]!, near[1]![axis]!, near[2]![axis]!, near[3]![axis]!, position - i)
		) as [number, number, number];
	};
	const points = Array.from({ length: STATIONS }, (_, i) => at(((keys.length - 1) * i) / (STATIONS - 1)));
	const made = points.map(([x, y, half], i): Station => {
		const [beforeX, beforeY] = points[Math.max(0, i - 1)]!;
		const [afterX, afterY] = points[Math.min(STATIONS - 1, i + 1)]!;
		const length = Math.hypot(afterX - beforeX, afterY - beforeY);
		return { x, y, half, acrossX: (afterY - beforeY) / length, acrossY: -(afterX - beforeX) / length };
	});
	known.set(limb, made);
	return made;
}

/** A part of a limb, as heights of its two ends. */
export interface Reach {
	fromY: number;
	toY: number;
}
export const KNEE_Y = 274;
const ANKLE_Y = 364;
const HIP_Y = 176;
const WRIST_Y = 196;
const SHOULDER_Y = 84;
export const TRUNK: Reach = { fromY: 66, toY: 196 };
/** Units of one centimetre: the figure stands for somebody of 1.75 m. */
const UNITS_PER_CM = 375 / 175;

/** How far down an arm a sleeve goes. @param share of the arm, 0…1 */
export const sleeve = (share: number): Reach => ({
	fromY: SHOULDER_Y,
	toY: SHOULDER_Y + share * (WRIST_Y - SHOULDER_Y)
});
/** How far down a leg cloth goes that begins at the hip. @param thighs and @param calves shares, 0…1 */
export const trouserLeg = (thighs: number, calves: number): Reach => ({
	fromY: HIP_Y,
	toY: calves > 0 ? KNEE_Y + calves * (ANKLE_Y - KNEE_Y) : HIP_Y + 10 + thighs * (KNEE_Y - HIP_Y - 10)
});
/** How far up from the ankle a boot, sock or gaiter goes. @param heightCm over the sole, 0…90 */
export const shaft = (heightCm: number): Reach => ({
	fromY: Math.max(HIP_Y + 6, ANKLE_Y + 4 - heightCm * UNITS_PER_CM),
	toY: ANKLE_Y
});
/** Cloth of trousers on the trunk: so much of it, upwards from its lower end. */
export const waist = (share: number): Reach => ({
	fromY: TRUNK.toY - 8 - share * (TRUNK.toY - TRUNK.fromY) * 0.8,
	toY: TRUNK.toY
});

const toPath = line<Point>(
	({ x }) => Math.round(x * 10) / 10,
	({ y }) => Math.round(y * 10) / 10
).curve(curveLinearClosed);
/** So little off a straight line is not seen at any size, units. */
const STRAIGHT = 0.2;
const offLine = ({ x, y }: Point, from: Point, to: Point): number => {
	const [dx, dy] = [to.x - from.x, to.y - from.y];
	return Math.abs(dx * (from.y - y) - (from.x - x) * dy) / (Math.hypot(dx, dy) || 1);
};
/** The corners of an outline: points that lie on a line between others say nothing, and a page holds a hundred outlines. */
function corners(points: readonly Point[]): Point[] {
	const kept = points.slice(0, 1);
	let from = 0;
	for (let i = 1; i < points.length; i++) {
		const next = points[i + 1];
		const isStraight =
			next && points.slice(from + 1, i + 1).every((one) => offLine(one, points[from]!, next) < STRAIGHT);
		if (isStraight) continue;
		kept.push(points[i]!);
		from = i;
	}
	return kept;
}
/** An outline. All run clockwise, so that outlines of one layer that overlap are one shape; a hole runs the other way. */
const closed = (points: readonly Point[]): string => toPath(corners(points)) ?? '';
/** Cloth at the root of the neck lies flatter than it is thick. */
const COLLAR_SHARE = 0.3;
const collar = ({ y }: Point): number =>
	y < 92 ? COLLAR_SHARE + (1 - COLLAR_SHARE) * Math.max(0, (y - 66) / 26) : 1;

/** Both edges of a limb between two heights, made broader by an offset at each height. */
function edges(
	limb: Limb,
	{ fromY, toY }: Reach,
	offset: (y: number) => number
): { inner: Point[]; outer: Point[] } {
	const reached = stationsOf(limb).filter(({ y }) => y >= fromY - 0.01 && y <= toY + 0.01);
	const [inner, outer]: [Point[], Point[]] = [[], []];
	reached.forEach((station, i) => {
		const by = offset(station.y);
		if (limb === 'trunk') {
			// The trunk's edge slopes at the shoulders: cloth lies across its slope.
			const before = reached[Math.max(0, i - 1)]!;
			const after = reached[Math.min(reached.length - 1, i + 1)]!;
			const [alongX, alongY] = [after.half - before.half, after.y - before.y];
			const length = Math.hypot(alongX, alongY) || 1;
			const reach = by * collar(station);
			const x = station.half + (alongY / length) * reach;
			const y = station.y - (alongX / length) * reach;
			outer.push({ x, y });
			inner.push({ x: -x, y });
			return;
		}
		const across = station.half + by;
		outer.push({ x: station.x + station.acrossX * across, y: station.y + station.acrossY * across });
		inner.push({ x: station.x - station.acrossX * across, y: station.y - station.acrossY * across });
	});
	return { inner, outer };
}

/** The outline of a stretch of a limb, right side. @param offset what lies under and on it at a height, units */
export function limbPath(limb: Limb, reach: Reach, offset: (y: number) => number): string {
	const { inner, outer } = edges(limb, reach, offset);
	if (outer.length < 2) return '';
	const cap = limb === 'arm' ? shoulderCap(inner[0]!, outer[0]!) : [];
	return closed([...outer, ...inner.reverse(), ...cap]);
}
/** The round upper end of a sleeve, from its inner edge over the shoulder to its outer one. */
function shoulderCap(inner: Point, outer: Point): Point[] {
	const [x, y] = [(inner.x + outer.x) / 2, (inner.y + outer.y) / 2];
	const radius = Math.hypot(outer.x - inner.x, outer.y - inner.y) / 2;
	const start = Math.atan2(inner.y - y, inner.x - x);
	// A thick sleeve is no ball: its cap is flatter than it is wide.
	const [acrossX, acrossY] = [(outer.x - inner.x) / (2 * radius), (outer.y - inner.y) / (2 * radius)];
	return Array.from({ length: 9 }, (_, i) => {
		const angle = start + (Math.PI * (i + 1)) / 10;
		const [dx, dy] = [radius * Math.cos(angle), radius * Math.sin(angle)];
		const along = dx * acrossX + dy * acrossY;
		const up = { x: dx - along * acrossX, y: dy - along * acrossY };
		const flat = Math.min(1, 14 / radius);
		return { x: x + along * acrossX + up.x * flat, y: y + along * acrossY + up.y * flat };
	});
}
/** The skirt of a coat round both legs, down to a height. @param offset what lies under and on it at a height, units */
export function skirtPath(toY: number, offset: (y: number) => number): string {
	const { outer } = edges('leg', { fromY: HIP_Y + 8, toY: Math.max(toY, HIP_Y + 24) }, offset);
	return closed([...outer, ...outer.map(({ x, y }) => ({ x: -x, y })).reverse()]);
}
/** The outer edge of a limb at a height, where a line to a name begins. */
export function edgeAt(limb: Limb, y: number, offset: number): Point {
	const { outer } = edges(limb, { fromY: y - 6, toY: y + 6 }, () => offset);
	return outer[Math.floor(outer.length / 2)] ?? { x: 0, y };
}

const HEAD = { x: 0, y: 34, radiusX: 17, radiusY: 23 } as const;
const around = (
	{ x, y, radiusX, radiusY }: { x: number; y: number; radiusX: number; radiusY: number },
	grown: number,
	steps = 72
): Point[] =>
	Array.from({ length: steps }, (_, i) => {
		const angle = (2 * Math.PI * i) / steps;
		return {
			x: x + (radiusX + grown) * Math.sin(angle),
			y: y - (radiusY + grown) * Math.cos(angle)
		};
	});
export const headPath = (grown = 0): string => closed(around(HEAD, grown));
/** The lower end of what covers the head down to a share of it: 1 goes over the ears. */
const brimY = (share: number): number => 40 - (1 - share) * 30;
/** The stretch of the head's outline between two heights, over its crown from one side to the other. */
const overCrown = (fromY: number, toY: number, grown: number): string =>
	closed(
		around(HEAD, grown)
			.filter(({ y }) => y >= fromY && y <= toY)
			.sort((a, b) => Math.atan2(a.x, HEAD.y - a.y) - Math.atan2(b.x, HEAD.y - b.y))
	);
/** What is on the head, over its crown. @param share of the ears and head, 0…1 @param grown units outward */
export const crownPath = (share: number, grown: number): string => overCrown(-Infinity, brimY(share), grown);
/** A band round the forehead. */
export const bandPath = (grown: number): string => overCrown(20, 33, grown);
/** What covers the lower face, so much of it upwards from the chin. */
export const maskPath = (share: number, grown: number): string =>
	closed(
		around(HEAD, grown)
			.filter(({ y }) => y >= HEAD.y + HEAD.radiusY - share * 26)
			.sort((a, b) => Math.atan2(b.x, b.y - HEAD.y) - Math.atan2(a.x, a.y - HEAD.y))
	);
/** A hood round the head, with the opening for the face in it. */
export const hoodPath = (grown: number, opening: 'face' | 'eyes'): string =>
	headPath(grown) +
	closed(
		around(
			opening === 'face'
				? { x: 0, y: 38, radiusX: 12.5, radiusY: 15.5 }
				: { x: 0, y: 32, radiusX: 13.5, radiusY: 6.5 },
			0
		).reverse()
	);
export const GLASSES =
	'M-15 27 L15 27 L15 30 Q14 38 7.5 38 Q2 38 1.4 31 L-1.4 31 Q-2 38 -7.5 38 Q-14 38 -15 30 Z';
export const GOGGLES = 'M-18 26 Q0 21 18 26 L17.5 36 Q9 42 2 38 L-2 38 Q-9 42 -17.5 36 Z';

/** A shape made larger: each of its points moves outward. */
function grownShape(points: readonly Point[], by: number): Point[] {
	const n = points.length;
	return points.map((point, i) => {
		const before = points[(i - 1 + n) % n]!;
		const after = points[(i + 1) % n]!;
		const length = Math.hypot(after.x - before.x, after.y - before.y) || 1;
		return {
			x: point.x + ((after.y - before.y) / length) * by,
			y: point.y - ((after.x - before.x) / length) * by
		};
	});
}
/** The right hand, clockwise: a palm with fingers together, and a thumb. */
const HAND: readonly Point[] = [
	[65, 197],
	[70, 195],
	[76, 197],
	[80, 204],
	[83, 213],
	[85, 222],
	[84, 229],
	[80, 231],
	[76, 227],
	[73, 221],
	[69, 219],
	[64, 216],
	[62, 210],
	[63, 203]
].map(([x, y]) => ({ x: x!, y: y! }));
/** The right foot, clockwise, turned out a little. */
const FOOT: readonly Point[] = [
	[14.5, 362],
	[21, 360],
	[28.5, 362],
	[31, 369],
	[38, 375],
	[45, 381],
	[47, 386],
	[43, 389.5],
	[30, 390],
	[18, 390],
	[12.5, 388],
	[12, 380],
	[13.5, 371]
].map(([x, y]) => ({ x: x!, y: y! }));
/** A hand or foot with so much on it. */
export const smallPartPath = (part: 'hands' | 'feet', grown: number): string =>
	closed(grownShape(part === 'hands' ? HAND : FOOT, grown));
/** The outermost point of a hand or foot. */
export const smallPartEdge = (part: 'hands' | 'feet', grown: number): Point =>
	part === 'hands' ? { x: 84 + grown, y: 218 } : { x: 43 + grown, y: 380 };
