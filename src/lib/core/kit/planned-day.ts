import type { DrawnLayer } from '../cloth/worn';
import type { EveningDrying } from '../heat/wetness';
import type { Finding } from '../document/finding';
import type { JudgedPhase } from '../judge/finding';
import type { Levels } from '../rules/objective';
import type { CarriedThing, Pack } from './pack';

/** A phase of a plan: what is worn and carried, and how it is judged. */
export interface PlannedPhase extends JudgedPhase {
	/** what each layer adds, in the order of the drawing */
	drawn: DrawnLayer[];
	carried: CarriedThing[];
	pack: Pack;
}

/** A stage of a plan in one weather. */
export interface PlannedStage {
	weather: string;
	stageId: string;
	/** the foul-weather variant of the stage */
	foul: boolean;
	phases: PlannedPhase[];
	findings: Finding[];
	levels: Levels;
	/** what is still wet from the day before, as a share of what it holds */
	morning: { thingId: string; share: number }[];
	/** what is done with wet things in the evening; null where nothing is wet, all dries anyway, or nobody wears it again */
	evening: EveningDrying | null;
	/** things worn or slept in anywhere in the stage */
	takenIds: string[];
	/** true when no outfits of the whole kit do better on this day, before the weight is looked at */
	proven: boolean;
	/** so much better the day could be at most, in changes; 0 where it is proven */
	gap: number;
}
