import { EACH_THEIR_OWN, type EverybodyBrings } from '../../core/kit/own-lines';
import { capital } from '../message';
import { cellsOf, isCount, plainLine } from './kit-list';
import { kitHits, understood } from './kit-search';

/** Rows of the operator's own list, as somebody types or pastes them. */

/**
 * A line as a row: "2 head torches, since it is dark at five", or columns of a table with how many, what and why.
 * @param idOf makes an id for a row
 * @returns null for an empty line and a heading
 */
export function everybodyRow(line: string, idOf: () => string): EverybodyBrings | null {
	const plain = plainLine(line);
	if (plain === '') return null;
	const columns = cellsOf(plain);
	const count = columns.length > 1 ? columns.find(isCount) : undefined;
	const [said = '', ...rest] =
		columns.length > 1
			? columns.filter((column) => column !== count && column !== '')
			: (/^(.+?)(?:[,:]\s+|\s+[-–—]\s+)(.+)$/.exec(plain)?.slice(1) ?? [plain]);
	const { quantity, words } = understood(said);
	const hit = kitHits(said)[0];
	return {
		id: idOf(),
		what: capital((count ? said : words || said).slice(0, 120)),
		typeId: hit?.exact ? hit.type.id : null,
		many: Math.max(1, Math.min(99, Number(count ?? quantity))),
		why: rest.join(', ').slice(0, 200),
		...EACH_THEIR_OWN
	};
}
/** All lines of a text as rows. */
export const everybodyRows = (text: string, idOf: () => string): EverybodyBrings[] =>
	text.split(/\r?\n/).flatMap((line) => everybodyRow(line, idOf) ?? []);
