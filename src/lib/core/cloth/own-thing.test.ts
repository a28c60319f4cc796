import { describe, expect, it } from 'vitest';
import { WATER_GRADES } from '../document/weather';
import { catalogueType } from './catalogue';
import { OWN_USES, OWN_WARMTH, OWN_WATER, ownThing, type OwnUse, type OwnWarmth } from './own-thing';
import { clothOf, thingOfType } from './things';

describe('a thing of its own', () => {
	it('is warmer and drier as it is told, whatever it is for, and says that it is a guess', () => {
		for (const use of Object.keys(OWN_USES) as OwnUse[]) {
			const cloOf = (warmth: OwnWarmth): number => {
				const { typeId, facts } = ownThing(use, warmth, 'holds for a shower');
				const thing = {
					...thingOfType('own', typeId, 'Own', { value: 1, source: 'client', state: 'has' }),
					facts
				};
				return clothOf(thing).localClo;
			};
			const warmths = (Object.keys(OWN_WARMTH) as OwnWarmth[]).map(cloOf);
			expect([...warmths].sort((a, b) => a - b)).toEqual(warmths);
			expect(cloOf('usual')).toBeCloseTo(catalogueType(OWN_USES[use]).properties.localClo, 2);
		}
		const { facts } = ownThing('outer top', 'thin', 'keeps rain out');
		expect(facts.waterGrade).toEqual({ value: 'taped', source: 'guess', state: 'assumed' });
		const grades = Object.values(OWN_WATER).map((grade) => WATER_GRADES.indexOf(grade));
		expect([...grades].sort((a, b) => a - b)).toEqual(grades);
	});
});
