import type { ReasonKind } from '../certainty';

/** Every rule that a figure or a verdict can rest on, and how sure it is. Adding a rule is adding a row, and its words. */
export const RULES = {
	lapse: 'standard',
	heightForecast: 'practice',
	inversion: 'practice',
	along: 'practice',
	wetHours: 'assumption',
	thinAir: 'assumption',
	typedEffort: 'practice',
	snowHole: 'practice',
	typed: 'practice',
	heated: 'assumption',
	unheated: 'assumption',
	bodyWind: 'assumption',
	windChill: 'standard',
	frostbite: 'standard',
	coverFace: 'practice',
	effort: 'assumption',
	balance: 'standard',
	debt: 'assumption',
	careful: 'assumption',
	coldLimb: 'assumption',
	offset: 'assumption',
	band: 'assumption',
	supply: 'standard',
	warm: 'assumption',
	warmBeforeStop: 'practice',
	aboveMethod: 'assumption',
	outsideMethod: 'standard',
	wettedness: 'standard',
	tooHotForAll: 'assumption',
	fingers: 'assumption',
	toes: 'assumption',
	dexterity: 'practice',
	rain: 'assumption',
	water: 'assumption',
	strain: 'assumption',
	eyes: 'standard',
	feetAlways: 'practice',
	bodyCovered: 'practice',
	mild: 'practice',
	night: 'standard',
	heatedNight: 'practice',
	nothingSuffices: 'assumption',
	'cotton-next-to-skin': 'practice',
	spareGloves: 'practice',
	stopLayer: 'practice',
	notAsked: 'practice',
	nothingWorks: 'practice',
	soakThenStand: 'practice',
	immersion: 'practice',
	highAltitude: 'practice',
	ultraviolet: 'standard',
	avalanche: 'practice',
	guidesBusiness: 'practice',
	iceUnderfoot: 'practice',
	openFire: 'practice',
	shootingSeason: 'practice',
	darkness: 'standard',
	traffic: 'practice',
	storm: 'practice',
	heat: 'practice',
	simulatedDay: 'standard',
	sweatStore: 'assumption',
	armour: 'practice',
	access: 'practice',
	bottomsInBoot: 'practice',
	underWaders: 'practice',
	burns: 'practice',
	touchScreen: 'practice',
	wristLeash: 'practice',
	fitForTown: 'practice',
	underHelmet: 'practice',
	hoodOverHelmet: 'practice',
	looseEnds: 'practice',
	tears: 'practice',
	quietFace: 'practice',
	overHarness: 'practice',
	armsUp: 'practice',
	slimCuff: 'practice',
	longTail: 'practice',
	ponchoInWind: 'practice',
	darkLensDriving: 'standard',
	meltsAtFire: 'practice',
	school: 'practice',
	squeezed: 'assumption',
	sockHeight: 'practice',
	wetCuff: 'practice',
	downWet: 'practice',
	dryForNight: 'practice',
	tooFew: 'practice',
	comesOff: 'assumption',
	ridesWet: 'practice',
	wetBesideDown: 'practice',
	cottonLegs: 'practice',
	hoods: 'practice',
	outOfPlace: 'practice',
	wrongFootwear: 'practice',
	stopClothesInWork: 'practice',
	underwearOutside: 'practice',
	indoorClothes: 'practice',
	helmetWorn: 'practice',
	bareLimbs: 'practice',
	brightForNothing: 'practice',
	unusual: 'practice',
	forNothing: 'practice',
	downInWork: 'practice',
	noJacket: 'practice',
	electricHeat: 'practice',
	bagUnclear: 'practice',
	inWater: 'practice',
	spareShades: 'practice',
	dryChange: 'practice',
	vapourSock: 'practice',
	gearForThis: 'practice',
	wears: 'practice',
	overnight: 'practice',
	pack: 'practice',
	batteries: 'assumption',
	bootWarmers: 'practice',
	frozenFilter: 'practice',
	changes: 'assumption',
	judgedOutfit: 'practice',
	searchCut: 'assumption'
} as const satisfies Record<string, ReasonKind>;
export type RuleId = keyof typeof RULES;

/** What a value is called; its label stands in the words. */
export const VALUE_NAMES = [
	'effort',
	'height',
	'guidedGroup',
	'pace',
	'lowAtDawn',
	'highInTheEarlyAfternoon',
	'theyHoldAt',
	'thisPhase',
	'lapse',
	'time',
	'topOfTheColdPool',
	'lowIs',
	'highIs',
	'air',
	'outside',
	'windAt10M',
	'place',
	'ownSpeed',
	'pastTheBody',
	'windIs',
	'start',
	'highPoint',
	'lowPoint',
	'bed',
	'falls',
	'minutesOfThisPhase',
	'asOrdinaryRain',
	'rainIs',
	'skin',
	'core',
	'wettednessOfTheSkin',
	'soakedShare',
	'heatMissingSinceTheMorning',
	'lensCategoryAtLeast',
	'altitude',
	'bareFingersWouldFallTo',
	'felt',
	'coldestFelt',
	'pairs',
	'effortBefore',
	'stand',
	'hoursOutside',
	'night',
	'worn',
	'tooWarmAbove',
	'comfortableWettedness',
	'within',
	'debtAtTheStart',
	'peakInThisPhase',
	'comfortableUpTo',
	'holdsUpTo',
	'lossAtNeutralSkin',
	'lossAtCoolSkin',
	'standardLimit',
	'offset',
	'wouldBeNeeded',
	'theMostThereIs',
	'atTheStart',
	'lowest',
	'settlesAt',
	'totalInsulation',
	'rainGathered',
	'coldestAirAtTheSleeper',
	'comfortOfTheBag',
	'daysOfWear',
	'daysBeforeAWash',
	'nightsWithWashingThatDries',
	'keptDryForTheNight',
	'dryAtMidday',
	'hoursInTheDark',
	'oneSetWarm',
	'leftInTheCold',
	'nightsWithoutASocket',
	'phoneAndCamera',
	'oneBankWarm',
	'nightsInWhichNothingDries',
	'clothesAndThings',
	'ofTheGroupsLoad',
	'waterAndFood',
	'theBagHolds',
	'rainGatheredBeforeIt',
	'effortBeforeIt',
	'feltAtTheStop',
	'theStageIsMarked',
	'highestPoint',
	'sunAtNoon',
	'highestPointInTheSun',
	'underfoot',
	'from',
	'minutes',
	'airPastTheBody',
	'weatherOffset',
	'weatherFactor',
	'forecastLow',
	'forecastHigh',
	'feltIn',
	'freezesWithin',
	'wetShare',
	'localInsulation',
	'airPermeability',
	'wholeOutfit'
] as const;
export type ValueName = (typeof VALUE_NAMES)[number];

/** What a value is measured in; the words turn it into the reader's units. */
export type Unit =
	| '°C'
	| 'K'
	| 'K per 1000 m'
	| 'm'
	| 'km/h'
	| 'm/s'
	| 'clo'
	| 'W/m²'
	| 'Wh/m²'
	| 'm²·K/W'
	| 'l/(m²·s)'
	| 'min'
	| 'h'
	| 'o’clock'
	| '%'
	| 'l'
	| 'Wh'
	| 'Wh a day'
	| 'degrees high'
	| 'times';

export interface ReasonValue {
	name: ValueName;
	/** a number in SI, or a code that the words know */
	value: number | string;
	unit?: Unit;
	/** upper end of a range */
	to?: number;
	/** what it is about: a name that somebody gave, or a height in m */
	of?: string | number;
}

/** Why a figure or verdict is as it is: one rule and the values that went into it. */
export interface Reason {
	rule: RuleId;
	kind: ReasonKind;
	values: ReasonValue[];
}

/** A value of a reason: name, figure or code, unit, and what it is about. */
export type ValueRow = [
	name: ValueName,
	value: number | string,
	unit?: Unit,
	more?: Pick<ReasonValue, 'of' | 'to'>
];

/** A reason from a rule and values. Numbers are rounded for reading. */
export const reason = (rule: RuleId, values: readonly ValueRow[] = []): Reason => ({
	rule,
	kind: RULES[rule],
	values: values.map(([name, value, unit, more]) => ({
		name,
		value: typeof value === 'number' ? Math.round(value * 100) / 100 : value,
		...(unit && { unit }),
		...more
	}))
});
