import { hashOf } from '../../sign-in/secret';
import { pool, rows, write } from '../pool';

/** Minutes that are looked back over. */
export const TRIES_MINUTES = 15;
/** Tries that one account and one address have in that time: a typist needs fewer, a guesser more. */
const MOST = { account: 6, address: 40 } as const;

const keyOf = (kind: keyof typeof MOST, what: string): string => hashOf(`${kind} ${what}`);

/**
 * Counts a try to sign in before it is looked at, so that many at once are counted too.
 * @returns whether it may be looked at
 */
export async function mayTry(account: string, address: string): Promise<boolean> {
	const keys = [
		['account', keyOf('account', account)],
		['address', keyOf('address', address)]
	] as const;
	await write(
		pool(),
		`DELETE FROM sign_in_tries WHERE at < CURRENT_TIMESTAMP(3) - INTERVAL ${TRIES_MINUTES} MINUTE LIMIT 1000`
	);
	for (const [, key] of keys) await write(pool(), 'INSERT INTO sign_in_tries (by_what) VALUES (?)', [key]);
	for (const [kind, key] of keys) {
		const [found] = await rows<{ n: number }>(
			pool(),
			`SELECT COUNT(*) AS n FROM sign_in_tries WHERE by_what = ? AND at >= CURRENT_TIMESTAMP(3) - INTERVAL ${TRIES_MINUTES} MINUTE`,
			[key]
		);
		if (Number(found!.n) > MOST[kind]) return false;
	}
	return true;
}
/** Who came in begins anew. */
export const forgetTries = async (account: string): Promise<void> =>
	void (await write(pool(), 'DELETE FROM sign_in_tries WHERE by_what = ?', [keyOf('account', account)]));
