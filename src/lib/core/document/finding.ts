import type { Part, Row } from './parts';
import type { Reason } from './reasons';

export const SEVERITIES = ['blocker', 'warning', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** Everything that can be found wrong, or has to be asked. The sentences stand in the words. */
export const FINDING_CODES = [
	// what a phase comes to
	'short',
	'short-hands',
	'short-feet',
	'nothing-suffices',
	'wet-through',
	'soaked',
	'warm-before-stop',
	'warm',
	'short-sleep',
	'frostbite',
	// what is missing, or nobody has asked
	'missing',
	'not-asked',
	'gearForThis',
	'no-spare-gloves',
	'no-opening',
	'nothing-works',
	'spareShades',
	'dryChange',
	'too-few',
	// what a worn thing does not do
	'underHelmet',
	'hoodOverHelmet',
	'looseEnds',
	'shootingSeason',
	'traffic',
	'meltsAtFire',
	'tears',
	'quietFace',
	'overHarness',
	'armsUp',
	'inWater',
	'slimCuff',
	'longTail',
	'ponchoInWind',
	'touchScreen',
	'wristLeash',
	'fitForTown',
	'armour',
	'darkLensDriving',
	'school',
	'outOfPlace',
	'wrongFootwear',
	'stopClothesInWork',
	'underwearOutside',
	'downInWork',
	'unusual',
	// what things do to one another and to the body
	'squeezed',
	'sockHeight',
	'wetCuff',
	'downWet',
	'dryForNight',
	'cottonLegs',
	'cotton-next-to-skin',
	'hoods',
	'electricHeat',
	'vapourSock',
	'bottomsInBoot',
	'underWaders',
	'burns',
	'frozenFilter',
	'wet-morning',
	'pack-too-small',
	'rides-wet',
	'wet-beside-down',
	'search-cut'
] as const;
export type FindingCode = (typeof FINDING_CODES)[number];

/** A figure with what it is measured in. */
export interface Measure {
	value: number;
	unit: '°C' | 'min' | 'h' | 'l' | 'm' | 'km/h' | 'clo';
}

/** A figure, or a code that the words know. */
export type FindingValue = Measure | string;

/** A phase in which something is found, and in which of its rounds. */
export interface FindingPhase {
	id: string;
	stageId: string;
	/** as the planner named it */
	name: string;
	/** rounds of its loop, from 1; 1 where there is no loop */
	rounds: number[];
}

export interface Finding {
	code: FindingCode;
	severity: Severity;
	clientId: string;
	weather: string;
	/** none where it is about the whole trip */
	stageId: string | null;
	/** further stages on which the same holds, in time order */
	alsoOn?: readonly string[];
	/** phases in which it holds, the first one first; none where it is about the whole day */
	phases: FindingPhase[];
	part: Part | Row | 'body' | 'access' | 'pack' | 'gear';
	thingIds: string[];
	values: Readonly<Record<string, FindingValue>>;
	reasons: Reason[];
}
