import type { CatalogueType } from '../../core/cloth/catalogue';
import { type KitHit, kitHits, type Understood, understood } from './kit-search';

/** A list of things as somebody pastes it: from a message, a table, last year's packing list. */

/** A line of it, as it was read. */
export interface ListRow {
	/** as it stood there */
	said: string;
	read: Understood;
	hits: KitHit[];
	/** the likeliest type; null where nothing like it is known */
	type: CatalogueType | null;
}

/** Longest phrase that is read, characters, and most rows. */
const MOST_CHARACTERS = 120;
export const MOST_ROWS = 200;

/** "Things:" and the like, which are no thing. */
const isHeading = (line: string): boolean => /:$/.test(line);
/** Signs of a list before a thing. */
const BULLET = /^\s*(?:[-*•·–—☐☑✓✔]|\[[ x]?\]|\d{1,2}[.)](?=\s))\s*/;
/** A line without the sign of a list before it; empty where it is a heading. */
export function plainLine(line: string): string {
	const plain = line.replace(BULLET, '').trim();
	return isHeading(plain) ? '' : plain;
}

const COLUMNS = /\t|;/;
export const cellsOf = (line: string): string[] => line.split(COLUMNS).map((cell) => cell.trim());
export const isCount = (cell: string): boolean => /^\d{1,2}$/.test(cell);

const isWords = (cell: string): boolean => /[a-zäöü]/i.test(cell);

/** The column of a table in which the things stand: the one that names most that are unlike; -1 where none names any. */
function thingColumn(rows: readonly (readonly string[])[]): number {
	const named = Array.from({ length: Math.max(0, ...rows.map(({ length }) => length)) }, (_, at) => {
		const hits = rows.flatMap((row) => (row[at] ? (kitHits(row[at])[0] ?? []) : []));
		return new Set(hits.filter(({ exact }) => exact).map(({ type }) => type.id)).size;
	});
	const most = Math.max(0, ...named);
	return most === 0 ? -1 : named.indexOf(most);
}

/** A row of a table as a phrase: its thing, with a figure that stands alone in front. */
function fromColumns(cells: readonly string[], thingAt: number): string {
	const at = cells[thingAt];
	const words = at && isWords(at) ? at : (cells.find(isWords) ?? '');
	const count = cells.find(isCount);
	return count ? `${count} ${words}` : words;
}

/**
 * Things of a list, in the order in which they stand there: a line each, or between commas and "and" of a message.
 * @returns at most 200 rows
 */
export function readKitList(text: string): ListRow[] {
	const lines = text.split(/\r?\n/).map(plainLine);
	const thingAt = thingColumn(lines.filter((line) => COLUMNS.test(line)).map(cellsOf));
	const phrases = lines.flatMap((line) => {
		if (line === '') return [];
		if (COLUMNS.test(line)) return [fromColumns(cellsOf(line), thingAt)];
		const said = line.replace(/^(i have|i've got|we have|ich habe)\b:?\s*/i, '');
		return said.split(/,\s+|\s+and\s+(?=(?:a|an|my|one|two|three|\d)\b)/i);
	});
	return phrases
		.map((said) => said.trim().replace(/[.!]$/, '').slice(0, MOST_CHARACTERS))
		.filter((said) => said !== '')
		.slice(0, MOST_ROWS)
		.map((said) => {
			const hits = kitHits(said);
			return { said, read: understood(said), hits, type: hits[0]?.type ?? null };
		});
}
