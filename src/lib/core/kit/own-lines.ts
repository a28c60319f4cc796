import { isThere } from '../cloth/things';
import type { Client } from '../document/types';
import type { SharedLoad } from './pack';
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
	/** id of the one who brings it for others as well, as a rope partner does; null where each brings their own */
	broughtBy: string | null;
	/** ids of those whom it is brought for; empty for all on the trip */
	forIds: string[];
	/** room in the pack of the one who brings it, litres */
	litres: number;
	/** weight there, g */
	massG: number;
}

/** A row of which each brings their own. */
export const EACH_THEIR_OWN: Pick<EverybodyBrings, 'broughtBy' | 'forIds' | 'litres' | 'massG'> = {
	broughtBy: null,
	forIds: [],
	litres: 0,
	massG: 0
};

/** Where one person brings something for others: nobody does, the client does, or somebody does for the client. */
export type Sharing = 'each' | 'for others' | 'from others';

/** How a client stands to such a row. */
export interface Asked extends EverybodyBrings {
	/** how many the client has; null when nobody has asked */
	has: number | null;
	sharing: Sharing;
}

/** How a client stands to what is brought; null where it is brought for other people. */
export function sharingOf(clientId: string, { broughtBy, forIds }: EverybodyBrings): Sharing | null {
	if (broughtBy === null) return 'each';
	if (broughtBy === clientId) return 'for others';
	return forIds.length === 0 || forIds.includes(clientId) ? 'from others' : null;
}

/** What a client carries for others, and types that others bring for the client; nothing where nothing is shared. */
export function sharedWith(
	clientId: string,
	rows: readonly EverybodyBrings[]
): Pick<Client, 'forOthers' | 'fromOthers'> {
	const by = (wanted: Sharing): EverybodyBrings[] =>
		rows.filter((row) => sharingOf(clientId, row) === wanted);
	const load = by('for others').reduce<SharedLoad>(
		(sum, { many, litres, massG }) => ({
			litres: sum.litres + many * litres,
			massG: sum.massG + many * massG
		}),
		{ litres: 0, massG: 0 }
	);
	const fromOthers = by('from others').flatMap(({ typeId }) => typeId ?? []);
	return {
		...(load.litres + load.massG > 0 && { forOthers: load }),
		...(fromOthers.length > 0 && { fromOthers })
	};
}

/** What everybody brings, against what a client has; what is brought for other people is left out. */
export const askedOf = (client: Client, rows: readonly EverybodyBrings[]): Asked[] =>
	rows.flatMap((row): Asked[] => {
		const sharing = sharingOf(client.id, row);
		if (sharing === null) return [];
		const own = client.things.filter(({ typeId, deletedAt }) => typeId === row.typeId && deletedAt === null);
		const isKnown = own.some(({ quantity }) => quantity.state !== 'not asked');
		const has = own.filter(isThere).reduce((sum, { quantity }) => sum + (quantity.value ?? 1), 0);
		return [{ ...row, has: isKnown ? has : null, sharing }];
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
