import { campCraftInWetForest } from './days/camp-craft-in-wet-forest';
import { coastOrHillWalk } from './days/coast-or-hill-walk';
import { commuteByBike } from './days/commute-by-bike';
import { fastHillRun } from './days/fast-hill-run';
import { hideOrWildlifeWatch } from './days/hide-or-wildlife-watch';
import { highTrek } from './days/high-trek';
import { hutToHut } from './days/hut-to-hut';
import { iceOrMixedClimb } from './days/ice-or-mixed-climb';
import { liftServedSnowDay } from './days/lift-served-snow-day';
import { lodgeWithStove } from './days/lodge-with-stove';
import { motorbikeTour } from './days/motorbike-tour';
import { outdoorPerformance } from './days/outdoor-performance';
import { rideOverSeveralDays } from './days/ride-over-several-days';
import { riverFishingOnFoot } from './days/river-fishing-on-foot';
import { roadRideWithCafe } from './days/road-ride-with-cafe';
import { skiTour } from './days/ski-tour';
import { smallSummitInWinter } from './days/small-summit-in-winter';
import { snowshoeWalk } from './days/snowshoe-walk';
import { townWalk } from './days/town-walk';
import type { Pattern, PatternPhase } from './pattern';

/** Every pattern that ships. Adding one is a file in `days`, a line here and a row in the test. */
export const PATTERNS: readonly Pattern[] = [
	liftServedSnowDay,
	skiTour,
	snowshoeWalk,
	highTrek,
	hutToHut,
	lodgeWithStove,
	coastOrHillWalk,
	smallSummitInWinter,
	fastHillRun,
	iceOrMixedClimb,
	roadRideWithCafe,
	rideOverSeveralDays,
	motorbikeTour,
	riverFishingOnFoot,
	hideOrWildlifeWatch,
	campCraftInWetForest,
	townWalk,
	commuteByBike,
	outdoorPerformance
];

/** What every trip may also have, to be added to any day. */
export const EXTRAS: readonly PatternPhase[] = [
	['dressing-indoors', 'indoors', 20, 95, 'in', 0],
	['heated-transport', 'ride', 30, 65, 'in', 0],
	['fiddly-repair', 'stop', 10, 95, 'lee', 1, { marks: ['fiddly'] }],
	['relief-stop', 'stop', 5, 80, 'lee', 1],
	['climb', 'move', 60, 280, 'slope', 0.5],
	['walk', 'move', 60, 190, 'slope', 1.5],
	['rest', 'stop', 20, 75, 'lee', 1],
	['wait', 'stop', 20, 80, 'slope', 2],
	['evening', 'indoors', 180, 70, 'bed', 3],
	['night', 'sleep', 540, 45, 'bed', 3],
	['what-if-somebody-is-hurt-wait', 'what-if', 120, 75, 'slope', 1]
];
