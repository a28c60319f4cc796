import { lightAt } from '$lib/core/weather/daylight';
import { clock, dayOfWeek, shortDate } from '$lib/words/labels';
import type { Units } from '$lib/words/units';
import { type Column, timeAt } from './trip-view';

/** The shapes of the trip drawing, from its columns; what is drawn where, in px. */
export const middle = ({ left, right }: Column): number => (left + right) / 2;
export const isOutside = ({ cell }: Column): boolean => !cell.heated;

export interface Point {
	x: number;
	y: number;
}
/** The ground of one stage, edge to edge. */
export function groundOf(stage: readonly Column[], land: (altitudeM: number) => number): Point[] {
	const [first, last] = [stage[0], stage.at(-1)];
	if (!first || !last) return [];
	return [
		{ x: first.left, y: land(first.cell.altitudeM) },
		...stage.map((column) => ({ x: middle(column), y: land(column.cell.altitudeM) })),
		{ x: last.right, y: land(last.cell.altitudeM) }
	];
}

export interface Span {
	x: number;
	low: number;
	high: number;
}
/** Stretches of phases in a row that are outdoors. */
export function stretchesOf(columns: readonly Column[]): Column[][] {
	const found: Column[][] = [];
	for (const column of columns) {
		if (!isOutside(column)) continue;
		const last = found.at(-1)?.at(-1);
		if (last && last.view === column.view && Math.abs(last.right - column.left) < 0.5)
			found.at(-1)!.push(column);
		else found.push([column]);
	}
	return found;
}
/** Two points a column, a little inside of it, so that lines step and do not slide. */
export const spans = (run: readonly Column[], of: (column: Column) => [number, number]): Span[] =>
	run.flatMap((column) => {
		const [low, high] = of(column);
		const inset = Math.min(3, (column.right - column.left) / 6);
		return [
			{ x: column.left + inset, low, high },
			{ x: column.right - inset, low, high }
		];
	});

/** Daylight over a stage, cut where the light changes. */
export function lightParts(stage: readonly Column[]): { x: number; width: number; light: string }[] {
	const daylight = stage[0]?.daylight;
	if (!daylight) return [];
	const { dawnMin, sunriseMin, sunsetMin, duskMin } = daylight;
	return stage.flatMap(({ cell, left, right }) => {
		const from = cell.startMin;
		const to = from + cell.minutes;
		const cuts = [dawnMin, sunriseMin, sunsetMin, duskMin]
			.filter((time) => time !== null)
			.flatMap((time) => [time, time + 1440])
			.filter((time) => time > from && time < to)
			.sort((a, b) => a - b);
		const edges = [from, ...cuts, to];
		const x = (time: number): number => left + ((time - from) / (to - from)) * (right - left);
		return edges.slice(1).map((edge, i) => ({
			x: x(edges[i]!),
			width: x(edge) - x(edges[i]!),
			light: lightAt(daylight, (edges[i]! + edge) / 2)
		}));
	});
}
/** Where the sun comes and goes, if anything happens then. */
export function sunMarks(stage: readonly Column[]): { x: number; text: string }[] {
	const daylight = stage[0]?.daylight;
	if (!daylight) return [];
	return [
		{ time: daylight.sunriseMin, text: 'sun up' },
		{ time: daylight.sunsetMin, text: 'sun down' }
	].flatMap(({ time, text }) => {
		const x = time === null ? null : timeAt(stage, time);
		return x === null ? [] : [{ x, text: `${text} ${clock(time!)}` }];
	});
}

const SMALL_CHARACTER_PX = 5.9;
const HEAD_CHARACTER_PX = 8.4;
/** A day's own name is written from so many characters on. */
const NAMED_FROM = 16;
const cut = (text: string, room: number): string =>
	text.length > room ? `${text.slice(0, Math.max(0, room - 1))}…` : text;

/** Names of phases over their columns, where they can be read. */
export const phaseLabels = (columns: readonly Column[]): { x: number; text: string }[] =>
	columns.flatMap(({ left, right, cell }) => {
		const room = Math.floor((right - left - 4) / SMALL_CHARACTER_PX);
		return room < 5 ? [] : [{ x: left + 3, text: cut(cell.name, room) }];
	});

/** Date and name over the columns of each stage. */
export const dayHeads = (
	byStage: readonly (readonly Column[])[],
	order: Pick<Units, 'date'>
): { index: number; x: number; text: string }[] =>
	byStage.flatMap((own, index) => {
		const [first, last] = [own[0], own.at(-1)];
		if (!first || !last) return [];
		const room = Math.floor((last.right - first.left) / HEAD_CHARACTER_PX);
		const { date, name } = first.stage;
		const text = room < NAMED_FROM ? dayOfWeek(date) : `${shortDate(date, order)} ${name}`;
		return [{ index, x: first.left, text: cut(text, room) }];
	});
