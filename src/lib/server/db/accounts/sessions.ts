import { randomUUID } from 'node:crypto';
import { hashOf, newSecret } from '../../sign-in/secret';
import { inTransaction, isoTime, NotFoundError, pool, rows, write } from '../pool';
import type { Role } from './accounts';

/** Who is at it, for one request. */
export interface Who {
	houseId: string;
	/** name of the house */
	house: string;
	isDemo: boolean;
	name: string;
	role: Role;
	/** of who is signed in; null of a program with a token */
	accountId: string | null;
	way: 'signed in' | 'token';
}

/** Days for which one stays signed in on a browser. */
export const SESSION_DAYS = 14;
interface WhoRow {
	account_id: string | null;
	house_id: string;
	house: string;
	is_demo: number;
	name: string;
	role: Role;
}
const whoOf = (row: WhoRow, way: Who['way']): Who => ({
	houseId: row.house_id,
	house: row.house,
	isDemo: Boolean(row.is_demo),
	name: row.name,
	role: row.role,
	accountId: row.account_id,
	way
});

/**
 * Begins a session, with a new secret each time: one that was put into a browser before is worth nothing after.
 * @param before secret of the session that this browser had; it ends
 */
export const beginSession = (accountId: string, before: string | undefined): Promise<string> =>
	inTransaction(async (db) => {
		const secret = newSecret();
		if (before) await write(db, 'DELETE FROM sessions WHERE token_hash = ?', [hashOf(before)]);
		await write(db, 'DELETE FROM sessions WHERE expires_at < CURRENT_TIMESTAMP(3) LIMIT 100');
		await write(
			db,
			`INSERT INTO sessions (token_hash, account_id, expires_at) VALUES (?, ?, CURRENT_TIMESTAMP(3) + INTERVAL ${SESSION_DAYS} DAY)`,
			[hashOf(secret), accountId]
		);
		return secret;
	});

/** Whose session a secret is; null when it is over or was never one. */
export async function whoIs(secret: string): Promise<Who | null> {
	const [row] = await rows<WhoRow>(
		pool(),
		`SELECT a.id AS account_id, a.house_id, h.name AS house, h.is_demo, a.name, a.role
		 FROM sessions s JOIN accounts a ON a.id = s.account_id AND a.closed_at IS NULL JOIN houses h ON h.id = a.house_id
		 WHERE s.token_hash = ? AND s.expires_at > CURRENT_TIMESTAMP(3)`,
		[hashOf(secret)]
	);
	return row ? whoOf(row, 'signed in') : null;
}

export const endSession = async (secret: string): Promise<void> =>
	void (await write(pool(), 'DELETE FROM sessions WHERE token_hash = ?', [hashOf(secret)]));
/** Ends all sessions of an account, on every browser. */
export const endSessions = async (accountId: string): Promise<void> =>
	void (await write(pool(), 'DELETE FROM sessions WHERE account_id = ?', [accountId]));

/** A program that may use the API. */
export interface Token {
	id: string;
	name: string;
	role: Exclude<Role, 'owner'>;
	/** ISO time */
	createdAt: string;
}
/** Makes a token. @returns its secret, which is not kept */
export async function makeToken(
	houseId: string,
	{ name, role }: Pick<Token, 'name' | 'role'>
): Promise<{ id: string; secret: string }> {
	const [id, secret] = [randomUUID(), newSecret()];
	await write(
		pool(),
		'INSERT INTO api_tokens (id, token_hash, house_id, name, role) VALUES (?, ?, ?, ?, ?)',
		[id, hashOf(secret), houseId, name, role]
	);
	return { id, secret };
}
export async function tokensOf(houseId: string): Promise<Token[]> {
	const found = await rows<Omit<Token, 'createdAt'> & { created_at: string }>(
		pool(),
		'SELECT id, name, role, created_at FROM api_tokens WHERE house_id = ? ORDER BY created_at DESC',
		[houseId]
	);
	return found.map(({ created_at, ...token }) => ({ ...token, createdAt: isoTime(created_at)! }));
}
/** @throws NotFoundError */
export async function endToken(houseId: string, id: string): Promise<void> {
	const gone = await write(pool(), 'DELETE FROM api_tokens WHERE id = ? AND house_id = ?', [id, houseId]);
	if (gone === 0) throw new NotFoundError('token');
}
/** Which program a secret belongs to; null when it is none of ours. */
export async function programOf(secret: string): Promise<Who | null> {
	const [row] = await rows<WhoRow>(
		pool(),
		`SELECT NULL AS account_id, t.house_id, h.name AS house, h.is_demo, t.name, t.role
		 FROM api_tokens t JOIN houses h ON h.id = t.house_id WHERE t.token_hash = ?`,
		[hashOf(secret)]
	);
	return row ? whoOf(row, 'token') : null;
}
