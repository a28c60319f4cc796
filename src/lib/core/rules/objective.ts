/** Weights of the first level (our assumption), in whole numbers so that strict order is exact. */
export const PENALTY = {
	/** per started step of debt beyond what holds */
	overHold: 10,
	/** per started step of debt beyond comfortable */
	overRight: 1,
	/** per part of the body that needs cover and has none */
	bare: 100,
	wetThrough: 50,
	/** per started degree of a finger or toe below 15 °C */
	localShort: 10,
	/** per started degree of a finger below 24 °C where it has fine work to do */
	localCool: 1,
	noSock: 20
} as const;
/** Debt is penalised in steps, Wh/m²: a hair's breadth of cold must not choose the clothes. */
export const DEBT_STEP_WHM2 = 4;
/**
 * Overheat counts in whole steps, clo·min: a hair's breadth of warmth must not change the clothes (our assumption). Two are a
 * fifth of a clo too much for ten minutes.
 */
export const OVERHEAT_STEP_CLOMIN = 2;
/** What counts of some overheat, clo·min, whole numbers. */
export const countedOverheat = (cloMin: number): number =>
	OVERHEAT_STEP_CLOMIN * Math.floor(Math.max(0, cloMin) / OVERHEAT_STEP_CLOMIN + 1e-9);
/** Where a finger settles in gloves that are plainly too warm, °C (our assumption). */
export const HOT_FINGER_C = 36;
/** Boots, shells and coats come off in a heated place that lasts longer than this, minutes (common practice). */
export const BOOTS_OFF_AFTER_MIN = 15;
export const SHELL_OFF_AFTER_MIN = 15;

/** Up to this air permeability a layer counts as a membrane, l/(m²·s). */
export const MEMBRANE_MAX_PERMEABILITY = 2;
/** Working in a membrane while it is dry counts as so much too warm, clo: a shell is carried (common practice). */
export const MEMBRANE_OVERHEAT_CLO = 0.25;

/** Started steps in an amount; none at or below 0. */
export const steps = (amount: number, step: number): number =>
	amount > 1e-9 ? Math.ceil(amount / step - 1e-9) : 0;
export interface Levels {
	penalty: number;
	overheat: number;
	changes: number;
	massG: number;
}
