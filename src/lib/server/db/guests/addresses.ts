import { pool, rows, write } from '../pool';

/** Where clients get mail, as they say. */
export async function addressesOf(clientIds: readonly string[]): Promise<Map<string, string>> {
	if (clientIds.length === 0) return new Map();
	const found = await rows<{ client_id: string; mail: string }>(
		pool(),
		`SELECT client_id, mail FROM client_addresses WHERE client_id IN (${clientIds.map(() => '?').join(', ')})`,
		[...clientIds]
	);
	return new Map(found.map(({ client_id, mail }) => [client_id, mail]));
}
export const addressOf = async (clientId: string): Promise<string | null> =>
	(await addressesOf([clientId])).get(clientId) ?? null;
/** @param mail empty to forget it */
export const saveAddress = async (clientId: string, mail: string): Promise<void> =>
	void (mail === ''
		? await write(pool(), 'DELETE FROM client_addresses WHERE client_id = ?', [clientId])
		: await write(
				pool(),
				`INSERT INTO client_addresses (client_id, mail) VALUES (?, ?)
				 ON DUPLICATE KEY UPDATE mail = VALUES(mail), said_at = UTC_TIMESTAMP(3)`,
				[clientId, mail]
			));
