import { nightVerdict } from '../body/night';
import type { Cloth } from '../cloth/things';
import type { Cell } from '../conditions/cells';
import type { Person } from '../conditions/person';
import { type ValueRow, reason } from '../document/reasons';
import type { Verdict } from '../document/verdict';
import { WARM_EXTREMITY_C } from '../heat/extremities';
import type { LocalCourse } from '../heat/fingers-and-toes';
import type { Wetness } from '../heat/wet-cloth';
import { dampComfortC } from '../heat/wetness';
import type { PhaseVerdict } from './phase-verdict';
import { WARMEST_BAG_C } from './warmest';

/** The verdict of a night by the warmest bag of the kit. */
export function judgeNight(
	cell: Cell,
	bags: readonly Cloth[],
	person: Person,
	unasked: boolean,
	wetness: Wetness
): PhaseVerdict {
	const dampOf = ({ thingId }: Cloth): number => wetness.get(thingId) ?? 0;
	const bag = bags
		.filter(({ bagScale }) => bagScale === 'comfort')
		.map((one) => (dampOf(one) > 0 ? { ...one, comfortTempC: dampComfortC(one, dampOf(one)) } : one))
		.sort((a, b) => a.comfortTempC - b.comfortTempC)[0];
	const isUnclear = !bag && bags.length > 0;
	const values: ValueRow[] = [['coldestAirAtTheSleeper', cell.airTempC, '°C']];
	if (bag) values.push(['comfortOfTheBag', bag.comfortTempC, '°C']);
	if (bag && dampOf(bag) > 0) values.push(['wetShare', Math.round(dampOf(bag) * 100), '%', { of: bag.name }]);
	const verdict: Verdict = cell.heated
		? 'right'
		: !bag
			? unasked || isUnclear
				? 'not judged yet'
				: 'short'
			: nightVerdict(cell.airTempC, bag.comfortTempC, undefined, person.offsetClo);
	const hopeless =
		verdict === 'short' &&
		nightVerdict(cell.airTempC, WARMEST_BAG_C, undefined, person.offsetClo) === 'short';
	const still: LocalCourse & { startC: number } = {
		startC: WARM_EXTREMITY_C,
		endC: WARM_EXTREMITY_C,
		lowestC: WARM_EXTREMITY_C,
		holdsMinutes: null,
		verdict: 'right',
		settledC: WARM_EXTREMITY_C
	};
	return {
		cell,
		outfit: bag && !cell.heated ? [{ cloth: bag, position: 5, opening: 'closed' }] : [],
		band: null,
		tooWarmAboveClo: null,
		resultantClo: 0,
		startDebtWhm2: 0,
		debtWhm2: 0,
		peakDebtWhm2: 0,
		holdsMinutes: null,
		limits: { body: null, hands: null, feet: null },
		limitedBy: 'sleep',
		verdict: hopeless ? 'nothing suffices' : verdict,
		indicative: false,
		fingers: still,
		toes: still,
		dryOnes: [],
		wet: [],
		wetness: {},
		reasons: cell.heated
			? [reason('heatedNight')]
			: [
					...(hopeless ? [reason('nothingSuffices')] : []),
					...(isUnclear ? [reason('bagUnclear')] : []),
					reason('night', values)
				]
	};
}
