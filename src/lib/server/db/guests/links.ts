import { randomUUID } from 'node:crypto';
import { hashOf, newSecret } from '../../sign-in/secret';
import { type Db, inTransaction, isoTime, pool, rows, write } from '../pool';
import { mustBeOnTrip } from '../lending/on-trip';

/** Days after the last day of a trip for which a link still opens: wet things are asked for then. */
const DAYS_AFTER = 14;
/** Days that the link of a trip without dates holds. */
const DAYS_UNDATED = 90;

/** The client whose link was opened, for one request. */
export interface Guest {
	linkId: string;
	houseId: string;
	house: string;
	tripId: string;
	clientId: string;
	name: string;
}
/** How far a link has come. Times are ISO. */
export interface LinkState {
	id: string;
	madeBy: string;
	madeAt: string;
	expiresAt: string;
	openedAt: string | null;
	seenAt: string | null;
}

/** Makes a client's link for a trip; the one before ends. @returns its secret, which is not kept. @throws NotFoundError */
export const makeLink = (
	houseId: string,
	tripId: string,
	clientId: string,
	madeBy: string
): Promise<string> =>
	inTransaction(async (db) => {
		await mustBeOnTrip(houseId, tripId, clientId, db);
		const secret = newSecret();
		await endLinks(db, tripId, clientId);
		await write(
			db,
			`INSERT INTO client_links (id, token_hash, trip_id, client_id, made_by, expires_at)
			 SELECT ?, ?, t.id, ?, ?, GREATEST(
				UTC_TIMESTAMP(3) + INTERVAL ${DAYS_AFTER} DAY,
				COALESCE(t.last_date + INTERVAL ${DAYS_AFTER} DAY, UTC_TIMESTAMP(3) + INTERVAL ${DAYS_UNDATED} DAY)
			 ) FROM trips t WHERE t.id = ?`,
			[randomUUID(), hashOf(secret), clientId, madeBy, tripId]
		);
		return secret;
	});
const endLinks = (db: Db, tripId: string, clientId: string): Promise<number> =>
	write(
		db,
		'UPDATE client_links SET ended_at = UTC_TIMESTAMP(3) WHERE trip_id = ? AND client_id = ? AND ended_at IS NULL',
		[tripId, clientId]
	);
/** Ends a client's link for a trip, on every browser that has opened it. @throws NotFoundError */
export const endLink = (houseId: string, tripId: string, clientId: string): Promise<void> =>
	inTransaction(async (db) => {
		await mustBeOnTrip(houseId, tripId, clientId, db);
		await endLinks(db, tripId, clientId);
	});

/** A link that opens: neither ended nor too old, of a client who is still on the trip. */
const OPENS = `l.ended_at IS NULL AND l.expires_at > UTC_TIMESTAMP(3)`;
const GUEST = `SELECT l.id AS linkId, t.house_id AS houseId, h.name AS house, t.id AS tripId, c.id AS clientId, c.name
	FROM client_links l
	JOIN trips t ON t.id = l.trip_id AND t.deleted_at IS NULL
	JOIN clients c ON c.id = l.client_id AND c.deleted_at IS NULL
	JOIN trip_clients tc ON tc.trip_id = t.id AND tc.client_id = c.id
	JOIN houses h ON h.id = t.house_id`;

/** Exchanges the secret of a link for that of a visit. @returns null when the link opens no more, or never did */
export const openLink = (secret: string): Promise<string | null> =>
	inTransaction(async (db) => {
		const [guest] = await rows<Guest>(db, `${GUEST} WHERE l.token_hash = ? AND ${OPENS}`, [hashOf(secret)]);
		if (!guest) return null;
		const visit = newSecret();
		await write(db, 'INSERT INTO client_visits (token_hash, link_id) VALUES (?, ?)', [
			hashOf(visit),
			guest.linkId
		]);
		await write(
			db,
			'UPDATE client_links SET opened_at = COALESCE(opened_at, UTC_TIMESTAMP(3)), seen_at = UTC_TIMESTAMP(3) WHERE id = ?',
			[guest.linkId]
		);
		return visit;
	});
/** Whose visit a secret is; null when its link opens no more. */
export async function guestOf(visit: string): Promise<Guest | null> {
	const [guest] = await rows<Guest>(
		pool(),
		`${GUEST} JOIN client_visits v ON v.link_id = l.id WHERE v.token_hash = ? AND ${OPENS}`,
		[hashOf(visit)]
	);
	return guest ?? null;
}
export const noteSeen = async (linkId: string): Promise<void> =>
	void (await write(pool(), 'UPDATE client_links SET seen_at = UTC_TIMESTAMP(3) WHERE id = ?', [linkId]));
export const endVisit = async (visit: string): Promise<void> =>
	void (await write(pool(), 'DELETE FROM client_visits WHERE token_hash = ?', [hashOf(visit)]));

/** The links of a trip that still open, by client. */
export async function linksOn(tripId: string): Promise<Map<string, LinkState>> {
	const found = await rows<{
		id: string;
		client_id: string;
		made_by: string;
		made_at: string;
		expires_at: string;
		opened_at: string | null;
		seen_at: string | null;
	}>(
		pool(),
		`SELECT l.id, l.client_id, l.made_by, l.made_at, l.expires_at, l.opened_at, l.seen_at FROM client_links l
		 WHERE l.trip_id = ? AND ${OPENS} ORDER BY l.made_at`,
		[tripId]
	);
	return new Map(
		found.map((row) => [
			row.client_id,
			{
				id: row.id,
				madeBy: row.made_by,
				madeAt: isoTime(row.made_at)!,
				expiresAt: isoTime(row.expires_at)!,
				openedAt: isoTime(row.opened_at),
				seenAt: isoTime(row.seen_at)
			}
		])
	);
}
