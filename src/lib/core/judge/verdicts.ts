import { METHOD_MAX_WM2, METHOD_MIN_WM2, WORK_WM2 } from '../body/effort';
import { METHOD_MAX_AIR_C, METHOD_MAX_AIR_MS } from '../body/heat-balance';
import { comfortableWettedness } from '../body/two-node';
import { PARTS_OF_ROW } from '../cloth/parts';
import { bodyConductance, resultantClo } from '../cloth/supply';
import { type Cloth, covers } from '../cloth/things';
import { type Outfit } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { acceptsWetLegs, isRest } from '../conditions/needs';
import type { Person } from '../conditions/person';
import { BEFORE_STOP_MINUTES, overheatWeight, stopsSoonAfter } from '../conditions/stops';
import { type Row } from '../document/parts';
import { reason, type Reason, type ValueRow } from '../document/reasons';
import { type LimitedBy, type Verdict, VERDICTS } from '../document/verdict';
import {
	type CellCourse,
	changeForDry,
	copyOfLiving,
	eveningWetness,
	freshLiving,
	type Living,
	liveThrough,
	WET_PARTS,
	wetnessOf
} from '../heat/course';
import { bandOf } from '../heat/debt';
import { WARM_EXTREMITY_C } from '../heat/extremities';
import { bloodSteps, localCourse, type LocalCourse } from '../heat/fingers-and-toes';
import { cellAir, type CellAir, isWarmSide, LEDGER_MAX_AIR_C, mayStrain } from '../heat/ledger';
import { noSweat } from '../heat/sweat';
import { isChangedWhenWet, WET_FROM, type Wetness } from '../heat/wet-cloth';
import { countedOverheat } from '../rules/objective';
import { judgeNight } from './night-verdict';
import type { LimitedPart, PhaseVerdict, WetThing } from './phase-verdict';
import { warmestIn } from './warmest';

const worse = (a: Verdict, b: Verdict): boolean => VERDICTS.indexOf(a) < VERDICTS.indexOf(b);

/** Whether a cell lies outside what the method covers. */
const isIndicative = (cell: Cell): boolean =>
	!cell.heated &&
	cell.kind !== 'sleep' &&
	(cell.airTempC > METHOD_MAX_AIR_C ||
		cell.airVelocityMs > METHOD_MAX_AIR_MS ||
		cell.metabolicWm2 > METHOD_MAX_WM2 ||
		cell.metabolicWm2 < METHOD_MIN_WM2);

interface Candidate {
	verdict: Verdict;
	limitedBy: LimitedBy;
	holdsMinutes: number | null;
	reasons: Reason[];
}

/** Clothes that cannot come off in company, as worn, clo (our assumption). */
const LEAST_CLOTHES_CLO = 0.3;

/** Too warm, by the method that serves the cell; null when it is not. */
function warmVerdict(
	cell: Cell,
	air: CellAir,
	clo: number,
	soon: boolean,
	person: Person
): Pick<Candidate, 'verdict' | 'reasons'> | null {
	const limitClo = air.tooWarmAboveClo + person.offsetClo;
	const tooMuchClo = Math.max(0, clo - limitClo);
	if (countedOverheat(tooMuchClo * cell.minutes * overheatWeight(cell, soon, person)) === 0) return null;
	const values: ValueRow[] = [
		['worn', clo, 'clo'],
		['tooWarmAbove', Math.max(0, limitClo), 'clo'],
		['air', cell.airTempC, '°C'],
		['effort', cell.metabolicWm2, 'W/m²']
	];
	const works = cell.metabolicWm2 >= WORK_WM2;
	return {
		verdict: soon && works ? 'warm before a stop' : 'warm',
		reasons: [
			isWarmSide(cell)
				? reason('wettedness', [
						...values,
						['comfortableWettedness', comfortableWettedness(cell.metabolicWm2)]
					])
				: reason('warm', values),
			...(mayStrain(cell) ? [reason('strain')] : []),
			...(isWarmSide(cell) && limitClo < LEAST_CLOTHES_CLO ? [reason('tooHotForAll')] : []),
			...(soon && works ? [reason('warmBeforeStop', [['within', BEFORE_STOP_MINUTES, 'min']])] : [])
		]
	};
}

function bodyVerdict(
	cell: Cell,
	air: CellAir,
	clo: number,
	course: CellCourse,
	startWhm2: number,
	soon: boolean,
	person: Person
): Candidate {
	const { rightWhm2, holdWhm2 } = person.marks;
	const base = { limitedBy: 'body' as const, holdsMinutes: course.holdsMinutes };
	// Who still pays off a debt is not warm.
	const warm = course.isPaid ? warmVerdict(cell, air, clo, soon, person) : null;
	if (cell.heated || cell.airTempC > LEDGER_MAX_AIR_C) {
		return warm
			? { ...base, ...warm }
			: {
					...base,
					verdict: 'right',
					reasons: [
						reason('wettedness', [
							['worn', clo, 'clo'],
							...(air.tooWarmAboveClo === Infinity
								? []
								: ([['tooWarmAbove', air.tooWarmAboveClo + person.offsetClo, 'clo']] as ValueRow[]))
						])
					]
				};
	}
	const ledger: Reason[] = [
		reason('debt', [
			['debtAtTheStart', startWhm2, 'Wh/m²'],
			['peakInThisPhase', course.peakWhm2, 'Wh/m²'],
			['comfortableUpTo', rightWhm2, 'Wh/m²'],
			['holdsUpTo', holdWhm2, 'Wh/m²'],
			['lossAtNeutralSkin', course.loss.neutralWm2, 'W/m²'],
			['lossAtCoolSkin', course.loss.minimalWm2, 'W/m²'],
			...(course.loss.neutralWm2 > 0
				? ([['standardLimit', (40 / course.loss.neutralWm2) * 60, 'min']] as ValueRow[])
				: [])
		]),
		...(person.careful ? [reason('careful')] : []),
		...(person.offsetClo !== 0 ? [reason('offset', [['offset', person.offsetClo, 'clo']])] : [])
	];
	if (course.peakWhm2 > holdWhm2) {
		const most = resultantClo(bodyConductance(warmestIn(air.air)), air.air);
		const band = bandOf(air.balance, 0, cell.minutes, person.marks, person.offsetClo);
		if (band.holdClo > most) {
			const values = reason('nothingSuffices', [
				['wouldBeNeeded', band.holdClo, 'clo'],
				['theMostThereIs', most, 'clo']
			]);
			return { ...base, verdict: 'nothing suffices', reasons: [values, ...ledger] };
		}
		return { ...base, verdict: 'short', reasons: ledger };
	}
	const isCool = course.peakWhm2 > rightWhm2;
	if (warm && !(isWarmSide(cell) && isCool))
		return { ...base, verdict: warm.verdict, reasons: [...warm.reasons, ...ledger] };
	return { ...base, verdict: isCool ? 'cool' : 'right', reasons: ledger };
}

function localCandidate(
	row: 'hands' | 'feet',
	cell: Cell,
	startC: number,
	course: LocalCourse,
	totalM2kw: number,
	most: LocalCourse,
	{ bloodShare }: Person
): Candidate | null {
	if (course.verdict === 'right') return null;
	const why = reason(row === 'hands' ? 'fingers' : 'toes', [
		['atTheStart', startC, '°C'],
		['lowest', course.lowestC, '°C'],
		['settlesAt', course.settledC, '°C'],
		['air', cell.airTempC, '°C'],
		['totalInsulation', totalM2kw, 'm²·K/W']
	]);
	const isCold = bloodShare[row === 'hands' ? 'fingers' : 'toes'] < 1;
	const whys = isCold ? [why, reason('coldLimb')] : [why];
	const hopeless = course.verdict === 'short' && most.verdict === 'short';
	return {
		verdict: hopeless ? 'nothing suffices' : course.verdict,
		limitedBy: row,
		holdsMinutes: course.holdsMinutes,
		reasons: hopeless ? [reason('nothingSuffices'), ...whys] : whys
	};
}

/** What is wet next to the skin and there more than once: another one of the same is put on. */
function changedAtRest(outfit: Outfit, living: Living): Cloth[] {
	const wet = wetnessOf(living);
	return outfit.flatMap(({ cloth }) =>
		isChangedWhenWet(cloth) &&
		cloth.quantity > 1 &&
		!living.changedFor.has(cloth.thingId) &&
		(wet.get(cloth.thingId) ?? 0) >= WET_FROM
			? [cloth]
			: []
	);
}

/** The verdict of one cell; what is carried into it becomes what is carried out of it. */
function judgeCell(
	cell: Cell,
	outfit: Outfit,
	opening: number,
	living: Living,
	soon: boolean,
	person: Person,
	isUnasked: (row: Row) => boolean
): PhaseVerdict {
	const air = cellAir(cell);
	const dryOnes = isRest(cell) ? changedAtRest(outfit, living) : [];
	changeForDry(living, dryOnes);
	const startFingersC = living.fingersC;
	const startToesC = living.toesC;
	const course = liveThrough(cell, outfit, opening, living, person);
	const { resultantClo: clo, startDebtWhm2, fingers, toes } = course;
	const judgedByLedger = !cell.heated && cell.kind !== 'sleep' && cell.airTempC <= LEDGER_MAX_AIR_C;
	const band = judgedByLedger
		? bandOf(air.balance, startDebtWhm2, cell.minutes, person.marks, person.offsetClo)
		: null;
	const warmest = warmestIn(air.air);
	/** How a part fares that begins warm, in the warmest that there is, while the body is warm. */
	const atBest = (extremity: 'fingers' | 'toes'): LocalCourse => {
		const blood = bloodSteps(extremity, cell, cell.metabolicWm2, [0, 0], person.bloodShare[extremity]);
		const totalM2kw = warmest[extremity === 'fingers' ? 'hands' : 'feet'];
		return localCourse(extremity, cell, WARM_EXTREMITY_C, { totalM2kw, aroundC: cell.airTempC }, blood);
	};
	/** Nothing on a part of which nobody has asked: a question, not a verdict. */
	const unknown = (row: Row): boolean =>
		isUnasked(row) && !outfit.some(({ cloth }) => PARTS_OF_ROW[row].some((part) => covers(cloth, part)));
	const body = bodyVerdict(cell, air, clo, course, startDebtWhm2, soon, person);
	const candidates = [
		unknown('torso') || unknown('legs')
			? { ...body, verdict: 'not judged yet' as const, holdsMinutes: null, reasons: [reason('notAsked')] }
			: body,
		!unknown('hands') &&
			localCandidate('hands', cell, startFingersC, fingers, course.handsM2kw, atBest('fingers'), person),
		!unknown('feet') &&
			localCandidate('feet', cell, startToesC, toes, course.feetM2kw, atBest('toes'), person),
		...WET_PARTS.map((part): Candidate | null =>
			// In the warm one dries.
			!cell.heated &&
			course.wetThrough.includes(part) &&
			!(part === 'thighs' && acceptsWetLegs(cell, person.schools)) &&
			!unknown(part === 'torso' ? 'torso' : 'legs')
				? {
						verdict: 'wet through',
						limitedBy: part === 'torso' ? 'torso' : 'legs',
						holdsMinutes: null,
						reasons: [reason('rain', [['rainGathered', cell.rainMinutes, 'min']])]
					}
				: null
		)
	].filter((candidate) => candidate !== null && candidate !== false);
	const worst = candidates.reduce((a, b) => (worse(b.verdict, a.verdict) ? b : a));
	const limitOf = (part: LimitedPart): number | null => {
		const held = candidates.find(({ limitedBy }) => limitedBy === part)?.holdsMinutes ?? null;
		return held === null ? null : Math.floor(held);
	};
	const limits = { body: limitOf('body'), hands: limitOf('hands'), feet: limitOf('feet') };
	const least = Object.values(limits).filter((minutes) => minutes !== null);
	const isCold = worst.verdict === 'short' || worst.verdict === 'nothing suffices';
	return {
		cell,
		outfit: course.outfit,
		band,
		tooWarmAboveClo:
			air.tooWarmAboveClo === Infinity ? null : Math.max(0, air.tooWarmAboveClo + person.offsetClo),
		resultantClo: clo,
		startDebtWhm2,
		debtWhm2: course.endWhm2,
		peakDebtWhm2: course.peakWhm2,
		holdsMinutes:
			isCold && worst.holdsMinutes !== null
				? Math.floor(worst.holdsMinutes)
				: least.length > 0
					? Math.min(...least)
					: null,
		limits,
		limitedBy: worst.limitedBy,
		verdict: worst.verdict,
		indicative: isIndicative(cell),
		fingers: { ...fingers, startC: startFingersC },
		toes: { ...toes, startC: startToesC },
		dryOnes: dryOnes.map(({ thingId }) => thingId),
		wet: wetThings(course),
		wetness: sharesOf(course.wetness),
		reasons: [
			...worst.reasons,
			...candidates.filter((c) => c !== worst && c.verdict !== 'right').flatMap((c) => c.reasons),
			...(cell.aboveMethod ? [reason('aboveMethod', [['effort', cell.metabolicWm2, 'W/m²']])] : []),
			...(isIndicative(cell) ? [reason('outsideMethod')] : [])
		]
	};
}

/** Shares in hundredths, by thing: finer is not known. */
const sharesOf = (wetness: Wetness): Record<string, number> =>
	Object.fromEntries(
		[...wetness].flatMap(([id, share]) => (share >= 0.005 ? [[id, Math.round(share * 100) / 100]] : []))
	);

/** From so wet a thing is worth naming, 0…1. */
const WORTH_NAMING = 0.05;
/** What is wet at the end of a phase, of what is worn. */
const wetThings = ({ outfit, endWetness, endSweat }: CellCourse): WetThing[] =>
	outfit.flatMap(({ cloth: { thingId } }) => {
		const share = endWetness.get(thingId) ?? 0;
		return share >= WORTH_NAMING
			? [{ thingId, share, sweat: Math.min(share, endSweat.get(thingId) ?? 0) }]
			: [];
	});

/** Where one stands when something happens: what is worn, and how cold and wet the day has left one. */
export interface Standing extends Living {
	outfit: Outfit;
}

/** What the verdicts of one stage in one weather are judged with. */
export interface Judging {
	person: Person;
	/** rows of which nobody has said anything */
	isUnasked(row: Row): boolean;
}
interface StageInput extends Judging {
	cells: readonly Cell[];
	/** outfit, as it warms when dry, and opening of every cell that is neither a night nor a what-if */
	outfitAt(cellIndex: number): { outfit: Outfit; opening: number };
	bags: readonly Cloth[];
	/** what is wet in the morning, by thing id */
	morning: Wetness;
}

/** A stage as it is lived through: its what-ifs are not judged yet. */
export interface LivedStage {
	/** by cell; null for a what-if */
	verdicts: readonly (PhaseVerdict | null)[];
	/** how cold and wet one is before each what-if, and what is worn; null where the day has not begun */
	before: ReadonlyMap<Cell, { living: Living; outfit: Outfit | null }>;
	/** how wet things are in the evening */
	evening: Wetness;
}

/** Verdicts of all cells in order but the what-ifs, which leave nothing behind. */
export function judgeLived({ cells, outfitAt, bags, person, isUnasked, morning }: StageInput): LivedStage {
	const lived = cells.filter((cell) => cell.kind !== 'what-if');
	const soon = new Map(stopsSoonAfter(lived).map((value, i) => [lived[i]!, value]));
	let living = freshLiving(morning);
	let worn: Outfit | null = null;
	const before = new Map<Cell, { living: Living; outfit: Outfit | null }>();
	const verdicts = cells.map((cell, k) => {
		if (cell.kind === 'sleep') return judgeNight(cell, bags, person, isUnasked('sleep'), wetnessOf(living));
		if (cell.kind === 'what-if') {
			before.set(cell, { living: copyOfLiving(living), outfit: worn });
			return null;
		}
		const { outfit, opening } = outfitAt(k);
		worn = outfit;
		// After a night one is warm again, and what is wet stays wet.
		if (cell.fresh)
			living = {
				...freshLiving(),
				water: living.water,
				sweat: { ...noSweat(), share: living.sweat.share },
				changedFor: living.changedFor
			};
		return judgeCell(cell, outfit, opening, living, soon.get(cell)!, person, isUnasked);
	});
	return { verdicts, before, evening: eveningWetness(living) };
}

/** The verdict of a what-if of a stage that was lived through. @param outfitWhatIf what is worn in it, given where one stands */
export function judgeWhatIf(
	cell: Cell,
	{ before }: LivedStage,
	outfitWhatIf: (cell: Cell, standing: Standing | null) => { outfit: Outfit; opening: number },
	{ person, isUnasked }: Judging
): PhaseVerdict {
	const { living, outfit: worn } = before.get(cell)!;
	const own = copyOfLiving(living);
	const { outfit, opening } = outfitWhatIf(cell, worn && { ...own, outfit: worn });
	return judgeCell(cell, outfit, opening, own, false, person, isUnasked);
}
