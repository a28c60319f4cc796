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

/** A line of a table: what stands in its first column of words, with a figure beside it in front. */
function fromColumns(line: string): string {
	const columns = line.split(/\t|;/).map((column) => column.trim());
	const words = columns.find((column) => /[a-zäöü]/i.test(column)) ?? '';
	const count = columns.find((column) => /^\d{1,2}$/.test(column));
	return count ? `${count} ${words}` : words;
}

/**
 * Things of a list, in the order in which they stand there: a line each, or between commas and "and" of a message.
 * @returns at most 200 rows
 */
export function readKitList(text: string): ListRow[] {
	const lines = text.split(/\r?\n/).map((line) => line.replace(BULLET, '').trim());
	const phrases = lines.flatMap((line) => {
		if (line === '' || isHeading(line)) return [];
		if (/\t|;/.test(line)) return [fromColumns(line)];
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
