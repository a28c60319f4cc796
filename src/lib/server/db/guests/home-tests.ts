import type { CheckResult, HomeCheck } from '$lib/core/kit/home-test';
import { pool, rows } from '../pool';

/** How a part of the home test went for a thing. */
export interface HomeTest {
	thingId: string;
	part: HomeCheck;
	result: CheckResult;
}

/** The home tests of clients, by client. */
export async function homeTestsOf(clientIds: readonly string[]): Promise<Map<string, HomeTest[]>> {
	const by = new Map<string, HomeTest[]>(clientIds.map((id) => [id, []]));
	if (clientIds.length === 0) return by;
	const found = await rows<{ client_id: string; thing_id: string; part: HomeCheck; result: CheckResult }>(
		pool(),
		`SELECT client_id, thing_id, part, result FROM home_tests
		 WHERE client_id IN (${clientIds.map(() => '?').join(', ')}) ORDER BY thing_id, part`,
		[...clientIds]
	);
	for (const { client_id, thing_id, part, result } of found)
		by.get(client_id)!.push({ thingId: thing_id, part, result });
	return by;
}
