import { PARTS_OF_ROW } from '../cloth/parts';
import { regionTotalM2kw } from '../cloth/supply';
import { covers } from '../cloth/things';
import { type Person, personOf, USUAL_MARKS } from '../conditions/person';
import { COVER_FELT_C, isShod, lensNeeded, needsCover, limbsShallBeCovered } from '../conditions/needs';
import { type Part, type Row, ROWS } from '../document/parts';
import { reason, type Reason } from '../document/reasons';
import type { Client } from '../document/types';
import type { Verdict } from '../document/verdict';
import { WARM_EXTREMITY_C } from '../heat/extremities';
import { bloodSteps, localCourse } from '../heat/fingers-and-toes';
import { cellAir } from '../heat/ledger';
import type { PhaseVerdict } from './phase-verdict';
import { inRow } from './wearer';

type RowState = 'covered' | 'assumed' | 'not asked' | 'missing' | 'not needed';

/** One cell of the ladder: what covers a part in a phase, or what is missing, or why nothing is needed. */
export interface CoverageCell {
	row: Row;
	state: RowState;
	thingIds: string[];
	/** trouble although it is covered */
	trouble: Verdict | null;
	reasons: Reason[];
}

interface Need {
	needed: boolean;
	covered: boolean;
	reason: Reason;
}

const heatedReason = reason('heated');

function needOf(row: Row, { cell, outfit, fingers }: PhaseVerdict, { schools, bloodShare }: Person): Need {
	const worn = outfit.map(({ cloth }) => cloth);
	const byPart = (part: Part): boolean => worn.some((cloth) => covers(cloth, part));
	const covered = PARTS_OF_ROW[row].every(byPart);
	if (cell.kind === 'sleep') {
		const heated = reason('heatedNight');
		return row === 'sleep'
			? { needed: !cell.heated, covered: worn.length > 0, reason: cell.heated ? heated : reason('night') }
			: { needed: false, covered: false, reason: reason('mild') };
	}
	switch (row) {
		case 'sleep':
			return { needed: false, covered: false, reason: reason('mild') };
		case 'torso':
			return { needed: true, covered, reason: reason('bodyCovered') };
		case 'legs':
			// Calves may be bare where it is warm, and where one runs or rides a bicycle.
			return {
				needed: true,
				covered: covered || (byPart('thighs') && !limbsShallBeCovered(cell)),
				reason: reason('bodyCovered')
			};
		case 'arms':
			return {
				needed: limbsShallBeCovered(cell),
				covered,
				reason: cell.heated ? heatedReason : reason('band')
			};
		case 'feet':
			return {
				needed: !cell.heated,
				covered: isShod(worn) || (cell.heated && covered),
				reason: cell.heated ? heatedReason : reason('feetAlways')
			};
		case 'eyes': {
			const lens = lensNeeded(cell);
			return {
				needed: lens !== null,
				covered: worn.some((cloth) => covers(cloth, 'eyes') && cloth.lensCategory >= (lens ?? 0)),
				reason:
					lens === null
						? reason('mild')
						: reason('eyes', [
								['lensCategoryAtLeast', lens],
								['altitude', cell.altitudeM, 'm']
							])
			};
		}
		case 'hands': {
			if (cell.heated) return { needed: false, covered, reason: heatedReason };
			const bareM2kw = regionTotalM2kw([], cellAir(cell).air);
			const cover = { totalM2kw: bareM2kw, aroundC: cell.airTempC };
			// A body that is comfortable, at this effort all along.
			const comfortable = [USUAL_MARKS.rightWhm2, USUAL_MARKS.rightWhm2];
			const blood = bloodSteps('fingers', cell, cell.metabolicWm2, comfortable, bloodShare.fingers);
			const bare = localCourse('fingers', cell, Math.max(fingers.startC, WARM_EXTREMITY_C), cover, blood);
			const why = reason('fingers', [
				['bareFingersWouldFallTo', bare.lowestC, '°C'],
				['felt', cell.feltTempC, '°C']
			]);
			// In a cold room hands are at work, and at once in a pocket: there it counts how the fingers fare as they are.
			const cools = bare.verdict === 'short' && (cell.kind !== 'indoors' || fingers.verdict !== 'right');
			return { needed: cools || cell.feltTempC <= COVER_FELT_C, covered, reason: why };
		}
		default: {
			const needed = needsCover(cell, row, schools);
			return {
				needed,
				covered,
				reason: needed
					? reason('coverFace', [['felt', cell.feltTempC, '°C']])
					: cell.heated
						? heatedReason
						: reason('mild', [['felt', cell.feltTempC, '°C']])
			};
		}
	}
}

const TROUBLE_ROWS: readonly Row[] = ['hands', 'feet', 'torso', 'legs', 'sleep'];

/**
 * The ladder of one phase, head to toe, without an empty cell.
 * @param answered rows of which anybody has said anything
 */
export function coverageOf(phase: PhaseVerdict, client: Client, answered: ReadonlySet<Row>): CoverageCell[] {
	const person = personOf(client);
	return ROWS.map((row) => {
		const need = needOf(row, phase, person);
		const on = phase.outfit.map(({ cloth }) => cloth).filter((cloth) => inRow(cloth, row));
		const local = row === 'hands' ? phase.fingers.verdict : row === 'feet' ? phase.toes.verdict : 'right';
		const own = phase.limitedBy === row ? phase.verdict : local;
		const trouble = TROUBLE_ROWS.includes(row) && own !== 'right' && own !== 'not judged yet' ? own : null;
		const thingIds = on.map((cloth) => cloth.thingId);
		const reasons = [need.reason];
		if (need.covered || (on.length > 0 && !need.needed)) {
			const assumed = on.every((cloth) => cloth.state === 'assumed');
			return { row, state: assumed ? 'assumed' : 'covered', thingIds, trouble, reasons };
		}
		if (!need.needed) return { row, state: 'not needed', thingIds, trouble: null, reasons };
		return answered.has(row)
			? { row, state: 'missing', thingIds, trouble, reasons }
			: { row, state: 'not asked', thingIds, trouble: null, reasons: [reason('notAsked'), ...reasons] };
	});
}
