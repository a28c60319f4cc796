import { FIRST_HOUSE } from '../src/lib/server/db/house';
import type { Stage } from '../src/lib/core/document/types';
import { PATTERNS } from '../src/lib/core/patterns';
import { daysLater } from '../src/lib/core/patterns/edit-days';
import { addThing, createClient } from '../src/lib/server/db/clients';
import { migrate } from '../src/lib/server/db/migrate';
import { closePool } from '../src/lib/server/db/pool';
import { createTrip, saveTrip } from '../src/lib/server/db/trips';
import { patternName, unfoldNamed } from '../src/lib/words/patterns';
import { usualWeathers } from '../src/lib/words/weathers';
import { stageOf } from '../tests/fixtures/make';

const TRIPS = 300;
const CLIENTS = 8;

/** A season as a busy outfitter has it: 300 trips of 3 to 7 days from patterns, eight clients each, half of them asked. */
export async function fillSeason(migrations: string): Promise<void> {
	try {
		await migrate(migrations);
		const has = { value: 1, source: 'client', state: 'has' } as const;
		let made = 0;
		const newId = (): string => `season-${++made}`;
		for (let i = 0; i < TRIPS; i++) {
			const pattern = PATTERNS[i % PATTERNS.length]!;
			const id = await createTrip(FIRST_HOUSE, {
				name: `${patternName(pattern.id)} ${i}`,
				place: `Place ${i % 40}`
			});
			const first = daysLater('2027-01-01', i);
			const stages = Array.from({ length: 3 + (i % 5) }, (_, day): Stage => {
				const { ground, bed: _bed, ...rest } = unfoldNamed(pattern, 'guided', newId);
				return stageOf(
					[],
					{ ground: ground ?? 'bare' },
					{ ...rest, id: newId(), date: daysLater(first, day) }
				);
			});
			await saveTrip(FIRST_HOUSE, id, {
				name: `${patternName(pattern.id)} ${i}`,
				place: `Place ${i % 40}`,
				site: null,
				weathers: usualWeathers(),
				stages,
				version: 1
			});
			for (let k = 0; k < CLIENTS; k++) {
				const client = await createClient(FIRST_HOUSE, `Guest ${i} ${k}`, id);
				if (k % 2 === 0) await addThing(FIRST_HOUSE, client, 'fleece', has);
			}
		}
	} finally {
		await closePool();
	}
}
