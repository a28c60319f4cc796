import { PARTS_OF_ROW } from '../cloth/parts';
import { type Cloth, clothOf, covers, isBag, wearableThings } from '../cloth/things';
import { ROWS, type Row } from '../document/parts';
import type { Client } from '../document/types';

/** A client as judged: what there is to wear, and of which rows anybody has said anything. */
export interface Wearer {
	client: Client;
	kit: readonly Cloth[];
	answered: ReadonlySet<Row>;
}

export const wearerOf = (client: Client): Wearer => ({
	client,
	kit: wearableThings(client),
	answered: answeredRows(client)
});

/** Whether a thing belongs to a row of the ladder. */
export const inRow = (cloth: Cloth, row: Row): boolean =>
	row === 'sleep' ? isBag(cloth) : PARTS_OF_ROW[row].some((part) => covers(cloth, part));

/** The rows for which anybody has said anything about what a client has. */
export function answeredRows(client: Client): Set<Row> {
	const known = client.things
		.filter(
			({ deletedAt, quantity }) =>
				deletedAt === null && (quantity.state === 'has' || quantity.state === 'has not')
		)
		.map((thing) => clothOf(thing, client.uses));
	return new Set(
		ROWS.filter((row) => {
			const parts = PARTS_OF_ROW[row];
			const answered = parts.length > 0 && parts.every((part) => client.answeredParts.includes(part));
			return answered || known.some((cloth) => inRow(cloth, row));
		})
	);
}
