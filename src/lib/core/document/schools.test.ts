import { describe, expect, it } from 'vitest';
import {
	type BaseRow,
	PLANNED,
	type PhaseRow,
	documentOf,
	kitOf,
	stageOf,
	tripOf
} from '../../../../tests/fixtures/make';
import { choiceWords } from '../../words/schools';
import { schoolWhy } from '../../words/why/school-why';
import { mostCounts } from '../kit/counting';
import { type PlannedStage } from '../kit/planned-day';
import { schooled } from '../conditions/person';
import { planDocument, planStage } from '../plan/planner';
import { SCHOOL_REQUIREMENTS } from '../rules/school-requirements';
import { PARTS } from './parts';
import {
	OUR_SCHOOLS,
	SCHOOLS,
	SCHOOL_IDS,
	type SchoolId,
	type SomeSchools,
	choicesOf,
	schoolsOf
} from './schools';
import type { Stage } from './types';

const KIT = ['briefs', 'top-wool-mid', 'top-synthetic', 'fleece', 'fleece-thin', 'jacket-synthetic-light', 'jacket-down-light', 'soft-shell', 'hard-shell', 'jacket-waxed', 'coat-synthetic', 'coat-down', 'vest-electric', 'bottoms-wool', 'trousers-trek', 'trousers-canvas', 'jeans', 'trousers-hard-shell', 'sock-liner', 'sock-mid', 'boot-hiking', 'shoe-low', 'glove-winter', 'hat-warm', 'neck-tube']; // prettier-ignore

interface Day {
	rows: PhaseRow[];
	base: BaseRow;
	kit: string[];
}
const day = (base: BaseRow, kit = KIT, rows?: PhaseRow[]): Day => ({
	base,
	kit,
	rows: rows ?? [
		['move', 25, 250, 'slope'],
		['move', 60, 200, 'slope'],
		['stop', 30, 75, 'lee']
	]
});
function planned({ rows, base, kit }: Day, schools: SomeSchools): PlannedStage {
	const client = kitOf(kit, { answeredParts: [...PARTS], schools });
	return planStage(stageOf(rows, base), PLANNED, client);
}
/** What one sees of a plan: what is worn when, the verdicts and the findings. */
const seen = ({ phases, findings }: PlannedStage): string =>
	JSON.stringify([
		phases.map(({ outfit, verdict, coverage }) => [
			outfit.map(({ cloth, position }) => `${cloth.thingId}@${position}`),
			verdict,
			coverage.map(({ state }) => state)
		]),
		findings.map(({ code, phases: found, thingIds, values }) => [code, found, thingIds, values])
	]);

const COLD: BaseRow = { airTempC: -6 };
const RAIN: BaseRow = { airTempC: 6, precipitation: 'rain' };
const without = (...ids: string[]): string[] => KIT.filter((id) => !ids.includes(id));

/** Each choice beside ours: a day on which it is seen. */
const SEEN: readonly (readonly [SchoolId, string, Day])[] = [
	['skinFibre', 'wool', day(COLD, without('top-wool-mid'))],
	['skinFibre', 'synthetic', day(COLD, without('top-synthetic'))],
	['fill', 'synthetic', day({ airTempC: -12 }, without('coat-synthetic', 'jacket-synthetic-light'))],
	['fill', 'down', day(COLD, without('coat-down', 'jacket-down-light'))],
	['socks', 'liner', day(COLD, without('sock-liner'))],
	['cotton', 'never', day(COLD, without('trousers-trek', 'trousers-canvas'))],
	['midZip', 'full', day(COLD, without('fleece', 'jacket-synthetic-light', 'jacket-down-light', 'vest-electric'))],
	['midZip', 'none', day(COLD, without('fleece-thin'))],
	['start', 'warm and shed', day({ airTempC: 9, wind10mKmh: 15 }, ['top-wool-light', 'top-wool-mid', 'sweater-wool', 'coat-town', 'trousers-wool', 'sock-mid', 'boot-hiking'], [['move', 60, 280, 'slope'], ['stop', 30, 75, 'slope']])],
	['insulation', 'under', day({ airTempC: -12 }, without('jacket-synthetic-light', 'jacket-down-light'))],
	['rainLegs', 'always', day(RAIN, without('trousers-hard-shell'), [['move', 20, 200, 'slope']])],
	['rainLegs', 'accepted wet', day(RAIN, without('trousers-hard-shell'))],
	['shell', 'worn', day({ airTempC: -4, wind10mKmh: 5 }, ['top-wool-mid', 'hard-shell', 'trousers-trek', 'trousers-hard-shell', 'sock-mid', 'boot-hiking', 'glove-winter', 'hat-warm'], [['move', 20, 200, 'slope'], ['move', 60, 200, 'slope', { typed: { precipitation: 'rain' } }]])],
	['weight', 'tough', day(COLD, without('jacket-waxed'))],
	['lodgeFeet', 'boot', day(COLD, without('boot-hiking'))],
	['lodgeFeet', 'low shoe', day(COLD, without('shoe-low'))],
	['electric', 'no', day({ airTempC: -6 }, ['top-wool-mid', 'vest-electric', 'trousers-trek', 'sock-mid', 'boot-hiking'])],
	['ears', 'free', day({ airTempC: -12 }, without('hat-warm'))]
]; // prettier-ignore

describe('schools', () => {
	it.each(SEEN)('%s: %s is seen in the plan or the findings', (id, choice, one) => {
		expect(choicesOf(id)).toContain(choice);
		expect(seen(planned(one, { [id]: choice }))).not.toBe(seen(planned(one, {})));
	});
	it('have a default each, that changes nothing when it is chosen', () => {
		for (const id of SCHOOL_IDS) {
			expect(choicesOf(id).length).toBeGreaterThanOrEqual(2);
			expect(SCHOOLS[id]).toBe(choicesOf(id));
			expect(schoolWhy(id)).toMatch(/\.$/);
			for (const choice of choicesOf(id)) expect(choiceWords(id, choice)).not.toBe('');
		}
		expect(seen(planned(day(COLD), OUR_SCHOOLS))).toBe(seen(planned(day(COLD), {})));
	});
	it('have a case for every choice that a preference serves', () => {
		const tried = new Set(SEEN.map(([id, choice]) => `${id} ${choice}`));
		for (const { madeBy } of SCHOOL_REQUIREMENTS)
			// What we choose ourselves is seen beside every other choice.
			if (OUR_SCHOOLS[madeBy.school] !== madeBy.choice)
				expect(tried).toContain(`${madeBy.school} ${madeBy.choice}`);
	});
	it('of the client go before the trip’s, before the house’s, before ours', () => {
		expect(
			schoolsOf({ ears: 'free', shell: 'worn' }, { ears: 'covered' }, { shell: 'carried' })
		).toMatchObject({
			ears: 'covered',
			shell: 'carried',
			cotton: 'judged'
		});
		const client = kitOf([], { schools: { cotton: 'never' } });
		const trip = tripOf([]);
		const all = schooled(client, {
			trip: { ...trip, schools: { ears: 'free' } },
			house: { ears: 'covered', shell: 'worn' }
		});
		expect(all.schools).toMatchObject({ cotton: 'never', ears: 'free', shell: 'worn' });
	});
	it('of washing and wet socks are seen in the counts', () => {
		const stages = Array.from({ length: 4 }, (_, i): Stage =>
			stageOf([['move', 120, 200, 'slope']], RAIN, {
				id: `day-${i}`,
				date: `2027-02-0${i + 1}`,
				bed: { kind: 'heated', washing: true, drying: 'small things' }
			})
		);
		const needed = (schools: SomeSchools, kind: string): number => {
			const client = kitOf(
				['briefs', 'top-synthetic', 'hard-shell', 'trousers-hard-shell', 'sock-mid', 'boot-hiking'],
				{ schools }
			);
			const plan = planDocument(documentOf(stages), client);
			return mostCounts(stages, plan, client).find((count) => count.kind === kind)!.needed;
		};
		expect(needed({ washing: 'many clothes' }, 'tops')).toBeGreaterThan(needed({}, 'tops'));
		expect(needed({ wetSocks: 'change at midday' }, 'socks')).toBe(needed({}, 'socks') + 1);
	});
});
