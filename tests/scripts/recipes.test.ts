import { existsSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { CATALOGUE, catalogueType } from '../../src/lib/core/cloth/catalogue';
import { CATALOGUE_GROUPS, CATALOGUE_ROWS } from '../../src/lib/core/cloth/catalogue-rows';
import { CLIENT_FACT_NAMES, CLIENT_FACTS } from '../../src/lib/core/document/client-facts';
import { PATTERNS, EXTRAS } from '../../src/lib/core/patterns';
import { check } from '../../src/lib/formats/check';
import { client as clientSchema } from '../../src/lib/formats/schema/client';
import { GARMENTS } from '../../src/lib/words/en/garments';
import { PATTERN_NAMES } from '../../src/lib/words/en/patterns';
import { patternName, phaseName, unfoldNamed } from '../../src/lib/words/patterns';
import { kitOf } from '../fixtures/make';

/** What CONTRIBUTING says about adding a thing is true: a row is taken whole, and a missing row is named. */
describe('the recipes of CONTRIBUTING', () => {
	it('a garment: everything in its row is in the catalogue, and it has a name and words to find it by', () => {
		for (const group of CATALOGUE_GROUPS)
			for (const [id, row] of Object.entries(CATALOGUE_ROWS[group])) {
				const { properties, inPairs } = catalogueType(id);
				expect(properties).toMatchObject({
					functions: row.does,
					covers: row.covers,
					positions: row.at,
					airPermeability: row.p,
					fibre: row.fibre,
					massG: row.massG,
					packedL: row.litres,
					features: row.features ?? [],
					heightCm: row.height ?? 0,
					holdsL: row.holds ?? 0,
					watts: row.watts ?? 0,
					energyWh: row.wh ?? 0,
					lensCategory: row.lens ?? 0
				});
				expect(inPairs).toBe(row.pairs ?? false);
				expect(Object.keys(GARMENTS)).toContain(id);
			}
		expect(CATALOGUE.some(({ properties }) => properties.heightCm > 0)).toBe(true);
	});
	it('an activity: every pattern unfolds with names of its own, and one without a name is said by its id', () => {
		expect(Object.keys(PATTERN_NAMES).sort()).toEqual(PATTERNS.map(({ id }) => id).sort());
		for (const pattern of PATTERNS) {
			let made = 0;
			expect(unfoldNamed(pattern, 'guided', () => `p-${++made}`).sequence.length).toBeGreaterThan(0);
		}
		for (const [code] of EXTRAS) expect(phaseName(code)).not.toBe('');
		expect(() => patternName('kite-flying')).toThrow(/pattern is kite-flying, allowed are/);
		expect(() => phaseName('looping')).toThrow(/phase is looping, allowed are/);
	});
	it('a fact of a client: one line, and the document takes and bounds it', () => {
		for (const name of CLIENT_FACT_NAMES) {
			const rule = CLIENT_FACTS[name];
			const withFact = (value: unknown) => ({
				...kitOf([]),
				[name]: { value, source: 'client', state: 'has' }
			});
			const [good, bad] =
				rule === 'yes or no'
					? [true, 3]
					: 'oneOf' in rule
						? [rule.oneOf[0], 'enormous']
						: 'someOf' in rule
							? [[rule.someOf[0]], ['hay']]
							: [rule.max, rule.max + 1];
			expect(check(clientSchema, withFact(good)).errors).toBeNull();
			const field = typeof bad === 'object' ? `${name}.value.0` : `${name}.value`;
			expect(check(clientSchema, withFact(bad)).errors?.[0]?.field).toBe(field);
		}
	});
	it('names files and folders that are there', () => {
		const text = readFileSync('CONTRIBUTING.md', 'utf8');
		const named = [...text.matchAll(/`((?:src|core|words|formats|server|scripts|tests|db|docs|patterns)\/[\w./-]+)`/g)].map(([, path]) => path!); // prettier-ignore
		expect(named.length).toBeGreaterThan(15);
		const isThere = (path: string): boolean =>
			['', 'src/lib/', 'src/lib/core/'].some((folder) => existsSync(folder + path));
		expect(named.filter((path) => !isThere(path))).toEqual([]);
	});
});
