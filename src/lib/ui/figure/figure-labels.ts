import type { ClothFunction } from '$lib/core/document/types';
import { OVER_HEAD, type Point } from './body-shapes';
import type { Figure, FigureMark } from './drawn-figure';

/** Names beside the drawn figure: in two columns, each at the height of what it names, never on top of each other. */

export const LABEL_PX = 13;
const LINE_PX = 15;
/** Space between two names. */
const BETWEEN_PX = 3;
/** Breadth of a letter, on the average of the text face. */
const LETTER_PX = 6.7;
/** Space between a column of names and the figure. */
const LEADER_PX = 12;

export interface FigureLabel {
	key: string;
	lines: string[];
	side: 'cut' | 'outside';
	/** px: where the line begins on the figure, and the middle of the text's edge */
	from: Point;
	to: Point;
	tone: ClothFunction | null;
	mark: FigureMark['kind'] | null;
	isNew: boolean;
}

/** A name in lines of whole words; what does not fit on two of them ends in three dots after a whole word. */
export function wrapped(text: string, letters: number, most = 2): string[] {
	const lines: string[] = [];
	for (const word of text.split(' ')) {
		const last = lines.at(-1);
		if (last !== undefined && last.length + 1 + word.length <= letters)
			lines[lines.length - 1] = `${last} ${word}`;
		else lines.push(word);
	}
	const shown = lines.slice(0, most);
	if (lines.length > most) shown[most - 1] = `${shown[most - 1]} …`;
	return shown.map((line) =>
		line.length > letters + 2 ? `${line.slice(0, Math.max(3, letters - 1))}…` : line
	);
}

/** Middles of texts as near to where they belong as their heights allow, within a height. */
export function spread(wanted: readonly { y: number; height: number }[], height: number): number[] {
	const order = wanted.map((one, i) => ({ ...one, i })).sort((a, b) => a.y - b.y);
	const ys: number[] = [];
	let end = 0;
	for (const { y, height: own } of order) {
		const top = Math.max(end, y - own / 2);
		ys.push(top);
		end = top + own + BETWEEN_PX;
	}
	// What reaches below the picture moves up, and pushes what is over it.
	let limit = height;
	for (let k = order.length - 1; k >= 0; k--) {
		ys[k] = Math.min(ys[k]!, limit - order[k]!.height);
		limit = ys[k]! - BETWEEN_PX;
	}
	const placed: number[] = [];
	order.forEach(({ i, height: own }, k) => (placed[i] = ys[k]! + own / 2));
	return placed;
}

interface Room {
	/** px for one unit of the figure */
	scale: number;
	/** px: middle of the figure, and all of the picture */
	middleX: number;
	width: number;
	height: number;
}

/** Names of all layers and marks of a figure, placed. @param nameOf a thing, in words @param markWords what is said of a mark */
export function figureLabels(
	{ outside, marks, halfWidth }: Figure,
	nameOf: (thingId: string) => string,
	markWords: (mark: FigureMark) => string,
	{ scale, middleX, width, height }: Room
): FigureLabel[] {
	const edge = halfWidth * scale + LEADER_PX;
	const columns = { cut: middleX - edge, outside: width - middleX - edge };
	const all = [
		...outside.map((layer) => ({
			key: layer.thingId,
			text: nameOf(layer.thingId),
			side: layer.named,
			anchor: layer.anchor,
			tone: layer.tone,
			mark: null,
			isNew: layer.isNew
		})),
		...marks.map((mark) => ({
			key: `mark ${mark.part}`,
			text: markWords(mark),
			side: 'outside' as const,
			anchor: mark.anchor,
			tone: null,
			mark: mark.kind,
			isNew: false
		}))
	].map((one) => ({
		...one,
		anchor: { x: one.anchor.x, y: one.anchor.y + OVER_HEAD },
		lines: wrapped(one.text, Math.floor(columns[one.side] / LETTER_PX))
	}));
	return (['cut', 'outside'] as const).flatMap((side) => {
		const own = all.filter((one) => one.side === side);
		const ys = spread(
			own.map(({ anchor, lines }) => ({ y: anchor.y * scale, height: lines.length * LINE_PX })),
			height
		);
		const sign = side === 'cut' ? -1 : 1;
		return own.map(({ anchor, ...rest }, i): FigureLabel => ({
			key: rest.key,
			lines: rest.lines,
			side,
			from: { x: middleX + sign * anchor.x * scale, y: anchor.y * scale },
			to: { x: middleX + sign * edge, y: ys[i]! },
			tone: rest.tone,
			mark: rest.mark,
			isNew: rest.isNew
		}));
	});
}
export const lineY = (label: FigureLabel, line: number): number =>
	label.to.y + (line - (label.lines.length - 1) / 2) * LINE_PX + LABEL_PX * 0.35;
