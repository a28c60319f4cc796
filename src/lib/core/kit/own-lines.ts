import { isThere } from '../cloth/things';
import type { Client } from '../document/types';
import type { ListLine } from './list';

/** What a person wrote into a list: the operator for everybody, or the planner for one client. */

/** A row of the operator's own list: everybody brings it. */
export interface EverybodyBrings {
	id: string;
	what: string;
	/** the type that it is found by in a kit; null where the catalogue has none */
	typeId: string | null;
	many: number;
	why: string;
}

/** How a client stands to such a row. */
export interface Asked extends EverybodyBrings {
	/** how many the client has; null when nobody has asked */
	has: number | null;
}

/** What everybody brings, against what a client has. */
export const askedOf = (client: Client, rows: readonly EverybodyBrings[]): Asked[] =>
	rows.map((row) => {
		const own = client.things.filter(({ typeId, deletedAt }) => typeId === row.typeId && deletedAt === null);
		const isKnown = own.some(({ quantity }) => quantity.state !== 'not asked');
		const has = own.filter(isThere).reduce((sum, { quantity }) => sum + (quantity.value ?? 1), 0);
		return { ...row, has: isKnown ? has : null };
	});

/** A line that was changed or written by hand; it survives what is worked out anew. */
export interface LineEdit {
	/** a thing of the kit, or a line of its own */
	lineId: string;
	/** words of a line of its own; null where a worked-out line is changed */
	what: string | null;
	/** how many, where the planner knows better */
	many: number | null;
	/** left off the list */
	isOff: boolean;
}

/** A line as it stands on the list, after what was changed by hand. */
export interface FinalLine extends ListLine {
	/** changed or written by hand */
	byHand: boolean;
}

/** The lines of a list with what was changed by hand; lines of their own come last. */
export function withEdits(lines: readonly ListLine[], edits: readonly LineEdit[]): FinalLine[] {
	const of = new Map(edits.map((edit) => [edit.lineId, edit]));
	const changed = lines.flatMap((line): FinalLine[] => {
		const edit = of.get(line.thingId);
		if (edit?.isOff) return [];
		return [{ ...line, many: edit?.many ?? line.many, byHand: edit !== undefined }];
	});
	const written = edits
		.filter(({ what, isOff }) => what !== null && !isOff)
		.map(({ lineId, what, many }): FinalLine => ({
			thingId: lineId,
			name: what!,
			group: 'other',
			inPairs: false,
			many: many ?? 1,
			has: many ?? 1,
			assumed: false,
			spare: false,
			stageIds: [],
			rides: 'pack',
			byHand: true
		}));
	return [...changed, ...written];
}
