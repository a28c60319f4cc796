import type { DebtMarks } from '../conditions/person';

/**
 * Weights of what decides first (our assumption), in whole numbers so that strict order is exact. What decides before weighs
 * more than all that comes after it in a phase: it holds; in place and without faults; no cool phase and none too warm before
 * a stop; as one usually dresses; degrees within a word.
 */
export const PENALTY = {
	/** at once when the debt passes what holds, and for each started step beyond */
	notHolding: 100_000,
	overHold: 10_000,
	/** each part of the body that needs cover and has none */
	bare: 200_000,
	wetThrough: 150_000,
	/** gear or footwear that the phase cannot be done without */
	needed: 120_000,
	/** at once when a finger or toe is short, and for each started degree below 15 °C */
	notWarm: 100_000,
	localShort: 10_000,
	/** each thing that is out of place, or does harm where it is worn */
	fault: 5_000,
	/** clothes for stops in work: a stop later is held a little longer for it, and nobody would; only a phase that is short without them */
	stopClothes: 60_000,
	/** each phase that is cool, or warm before a stop */
	word: 400,
	/** each thing that one does not usually wear like this */
	unusual: 100,
	/** each thing that is worth a remark: a few changes would be made for it, but not the boots taken off in the snow */
	remark: 6,
	/** each started step of debt beyond where comfort ends */
	overRight: 1,
	/** each started degree of a finger below 24 °C where it has fine work to do */
	localCool: 1,
	/** bare feet in boots: nobody takes the socks off because they are wet, and a boot takes the sweat as well */
	noSock: 300_000
} as const;
/**
 * Debt from which on a verdict that is right has less than a quarter of its comfort left, as a share of the mark (our
 * assumption): so close, a little warmer is chosen.
 */
export const MARGIN_SHARE = 0.75;
/** Debt is penalised in steps, Wh/m²: a hair's breadth of cold must not choose the clothes. */
export const DEBT_STEP_WHM2 = 4;
/**
 * Overheat counts in whole steps, clo·min: less is not worth a change of clothes, and nobody feels it (our assumption). Eight
 * are half a clo too much for a quarter of an hour; before a stop, where it counts double, four are enough.
 */
export const OVERHEAT_STEP_CLOMIN = 8;
/** What counts of some overheat, clo·min, whole numbers. */
export const countedOverheat = (cloMin: number): number =>
	OVERHEAT_STEP_CLOMIN * Math.floor(Math.max(0, cloMin) / OVERHEAT_STEP_CLOMIN + 1e-9);
/** Where a finger settles in gloves that are plainly too warm, °C (our assumption). */
export const HOT_FINGER_C = 36;
/** Grams that each thing counts beside its own, so that of sets that do as well the one with fewer things wins (our assumption). */
export const LOAD_PER_PIECE_G = 100;
/** What a thing counts as load, g. */
export const loadOf = ({ massG }: { massG: number }): number => massG + LOAD_PER_PIECE_G;
/** From this effort on what is worn over everything is for stops only, W/m² (common practice). */
export const STOP_CLOTHES_UNTIL_WM2 = 165;
/** Boots, shells and coats come off in a heated place that lasts longer than this, minutes (common practice). */
export const BOOTS_OFF_AFTER_MIN = 15;
export const SHELL_OFF_AFTER_MIN = 15;

/**
 * What a debt counts.
 * @param peakWhm2 highest debt of a phase
 * @param stepWeight what each step of it counts besides, where the body is dressed for the sake of hands and feet
 */
export function penaltyOfDebt(peakWhm2: number, { rightWhm2, holdWhm2 }: DebtMarks, stepWeight = 0): number {
	const comfort =
		PENALTY.overRight * steps(peakWhm2 - MARGIN_SHARE * rightWhm2, DEBT_STEP_WHM2) +
		(stepWeight > 0 ? stepWeight * steps(peakWhm2, DEBT_STEP_WHM2) : 0);
	if (peakWhm2 <= rightWhm2) return comfort;
	if (peakWhm2 <= holdWhm2) return comfort + PENALTY.word;
	return (
		comfort +
		PENALTY.word +
		PENALTY.notHolding +
		PENALTY.overHold * steps(peakWhm2 - holdWhm2, DEBT_STEP_WHM2)
	);
}

/** Started steps in an amount; none at or below 0. */
export const steps = (amount: number, step: number): number =>
	amount > 1e-9 ? Math.ceil(amount / step - 1e-9) : 0;
export interface Levels {
	penalty: number;
	overheat: number;
	changes: number;
	massG: number;
}
