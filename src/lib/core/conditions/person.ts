import { isThere } from '../cloth/things';
import { type Schools, schoolsOf } from '../document/schools';
import type { Client, Document } from '../document/types';

/** Credit of warmth that work leaves for the next stop, Wh/m² (our assumption). */
const CREDIT_FLOOR_WHM2 = -20;

/** Two marks on the debt: up to `right` comfortable, up to `hold` it holds but feels cold. */
export interface DebtMarks {
	rightWhm2: number;
	holdWhm2: number;
	floorWhm2: number;
}

/** The standard's 40 Wh/m² below neutral and below minimal. Source: ISO 11079 limit, counted from both levels. */
export const USUAL_MARKS: DebtMarks = { rightWhm2: 40, holdWhm2: 70, floorWhm2: CREDIT_FLOOR_WHM2 };

/** One level more careful: children, age, pregnancy, poor circulation, medicines (our assumption). */
export const CAREFUL_MARKS: DebtMarks = { rightWhm2: 20, holdWhm2: 35, floorWhm2: 0 };

/** What the computation knows of a client's body. */
export interface Person {
	offsetClo: number;
	marks: DebtMarks;
	careful: boolean;
	/** share of the usual blood that fingers and toes get */
	bloodShare: Readonly<Record<'fingers' | 'toes', number>>;
	/** boots come off with trouble outside of heated places */
	bootsStayOn: boolean;
	/** the trousers have to open for relief; null where nobody has asked */
	needsOpening: boolean | null;
	/** whether a mat to sit on comes along */
	seatMat: boolean;
	schools: Schools;
}

/** Share of the usual blood that hands or feet get which are cold before others' are (our assumption). */
const COLD_SHARE = 0.75;

/** The type of a mat to sit on. */
export const SEAT_MAT = 'mat-seat';

/** Unknown facts count as average: no offset, the usual marks. */
export function personOf(client: Client): Person {
	const careful = client.careful.value ?? false;
	const { coldHands, coldFeet, bootsStayOn, relief } = client;
	return {
		offsetClo: client.offsetClo.value ?? 0,
		marks: careful ? CAREFUL_MARKS : USUAL_MARKS,
		careful,
		bloodShare: { fingers: coldHands.value ? COLD_SHARE : 1, toes: coldFeet.value ? COLD_SHARE : 1 },
		bootsStayOn: bootsStayOn.value ?? false,
		needsOpening: relief.value === null ? null : relief.value === 'opening',
		seatMat: client.things.some((thing) => thing.typeId === SEAT_MAT && isThere(thing)),
		schools: schoolsOf(client.schools)
	};
}
/** A client with the schools that hold (their own before the trip's before the house's) and the uses of the house. */
export const schooled = (
	client: Client,
	{ trip, house, uses }: Pick<Document, 'trip' | 'house' | 'uses'>
): Client => ({
	...client,
	schools: schoolsOf(house, trip.schools, client.schools),
	...(uses && { uses })
});
