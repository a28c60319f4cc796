import type { EffortClass } from '../../core/body/effort';
import type { ReasonKind } from '../../core/certainty';
import type { Row } from '../../core/document/parts';
import type {
	Doing,
	BedKind,
	Drying,
	FactState,
	Feature,
	Ground,
	Mark,
	OriginKind,
	Pace,
	PhaseKind,
	PhasePlace,
	Terrain
} from '../../core/document/types';
import type { Precipitation, WaterGrade } from '../../core/document/weather';
import type { Where } from '../../core/kit/pack';

/** Words for the closed lists of the document. */
/** How hard it is. */
export const EFFORT_WORDS: Readonly<Record<EffortClass, string>> = {
	resting: 'at rest',
	low: 'easy',
	moderate: 'steady',
	high: 'hard',
	'very high': 'very hard'
};
export const KIND_WORDS: Readonly<Record<PhaseKind, string>> = {
	move: 'moving',
	stop: 'stop',
	ride: 'ride',
	indoors: 'indoors',
	sleep: 'night',
	'what-if': 'what if'
};
export const PLACE_WORDS: Readonly<Record<PhasePlace, string>> = {
	in: 'heated',
	'cold-in': 'unheated roof',
	tent: 'tent',
	'snow-hole': 'snow hole',
	lee: 'in the lee',
	forest: 'forest',
	trees: 'open trees',
	slope: 'open slope',
	ridge: 'ridge',
	bed: 'the lodging'
};
export const BED_WORDS: Readonly<Record<BedKind, string>> = {
	heated: 'heated house',
	unheated: 'unheated lodge',
	hut: 'hut without heating',
	tent: 'tent',
	'snow-hole': 'snow hole',
	none: 'at home, no night'
};
export const DRYING_WORDS: Readonly<Record<Drying, string>> = {
	nothing: 'nothing dries',
	'small things': 'small things dry',
	everything: 'a drying room'
};
export const TERRAIN_WORDS: Readonly<Record<Terrain, string>> = {
	avalanche: 'avalanche terrain',
	glacier: 'glacier',
	'shooting-season': 'shooting season',
	traffic: 'traffic',
	'deep-water': 'deep or cold water',
	'steep-ground': 'steep ground'
};
export const ORIGIN_WORDS: Readonly<Record<OriginKind, string>> = {
	typed: 'typed',
	usual: 'usual there',
	forecast: 'forecast',
	file: 'from a file',
	touch: 'touched by hand',
	copied: 'copied',
	default: 'starting value'
};
export const PACE_WORDS: Readonly<Record<Pace, string>> = {
	guided: 'guided group',
	fast: 'fast and fit',
	gentle: 'gentle'
};
export const PRECIPITATION_WORDS: Readonly<Record<Precipitation, string>> = {
	dry: 'dry',
	'dry-snow': 'dry snow',
	'wet-snow': 'wet snow',
	drizzle: 'drizzle',
	rain: 'rain',
	'heavy-rain': 'heavy rain'
};
export const DOING_WORDS: Readonly<Record<Doing, string>> = {
	'ski-touring': 'ski touring',
	pistes: 'lifts and pistes',
	steep: 'ice, rock and steep snow',
	hike: 'on foot, off the road',
	walk: 'on foot, on roads',
	run: 'running',
	cycle: 'riding a bicycle',
	motorbike: 'riding a motorbike',
	wade: 'wading',
	camp: 'in camp',
	vehicle: 'in a vehicle',
	'public-room': 'in a room with others',
	lodging: 'at the lodging',
	bed: 'in bed'
};
export const MARK_WORDS: Readonly<Record<Mark, string>> = {
	helmet: 'helmet',
	harness: 'harness',
	fiddly: 'fiddly hands',
	'arms-up': 'arms up',
	seated: 'seated',
	'snow-contact': 'snow contact',
	splash: 'splash',
	'immersed-ankle': 'in water to the ankle',
	'immersed-knee': 'in water to the knee',
	'immersed-thigh': 'in water to the thigh',
	'immersed-waist': 'in water to the waist',
	'immersed-neck': 'in water to the neck',
	'falls-in': 'falls in first',
	'hands-in-snow': 'hands in the snow',
	quiet: 'quiet',
	flame: 'open fire',
	abrasion: 'abrasion',
	pedals: 'pedals',
	controls: 'controls',
	'boots-on': 'boots stay on',
	roped: 'tied in',
	dark: 'dark',
	'alone-with-pack': 'alone with the pack',
	'pack-away': 'pack not at hand',
	'coat-away': 'the partner has the coat',
	'glove-lost': 'a glove is lost',
	'free-movement': 'free movement',
	screen: 'a screen to work',
	tethered: 'gloves on a leash',
	'in-company': 'in company'
};
export const STATE_WORDS: Readonly<Record<FactState, string>> = {
	has: 'has',
	'has not': 'has not',
	assumed: 'assumed',
	'not asked': 'not asked'
};
export const WATER_WORDS: Readonly<Record<WaterGrade, string>> = {
	none: 'nothing',
	repellent: 'repellent: a shower',
	windproof: 'windproof: half an hour',
	'light-membrane': 'light membrane: hours',
	taped: 'taped membrane: all day',
	rubber: 'rubber: until it floods'
};
export const FEATURE_WORDS: Readonly<Record<Feature, string>> = {
	hood: 'hood',
	'hood-over-helmet': 'hood goes over a helmet',
	'under-helmet': 'goes under a helmet',
	'full-zip': 'full zip',
	'half-zip': 'half zip',
	'two-way-zip': 'zip opens from below',
	vents: 'vents',
	'full-side-zip': 'full side zips',
	'removable-sleeves': 'sleeves come off',
	'stays-tucked': 'stays tucked in',
	'slim-cuff': 'slim at the foot',
	'cuff-seal': 'seals at the cuff',
	'armour-room': 'room for armour',
	abrasion: 'stands abrasion',
	'quiet-face': 'quiet face',
	'high-visibility': 'bright colour',
	reflective: 'reflects',
	'no-melt': 'does not melt',
	'drop-seat': 'opens without undressing',
	'touch-screen': 'works a screen',
	'wrist-leash': 'wrist leash',
	'vehicle-fed': 'fed by the vehicle',
	'packs-into-itself': 'packs into itself',
	'long-tail': 'long tail',
	'short-tail': 'short tail',
	'loose-ends': 'loose ends',
	watertight: 'watertight',
	'hem-seal': 'seals at the hem',
	floats: 'floats',
	tights: 'tights, worn without trousers over them',
	town: 'fit for town'
};
export const WHERE_WORDS: Readonly<Record<Where, string>> = {
	pocket: 'In a pocket',
	top: 'On top of the pack',
	'dry-bag': 'In the dry bag',
	pack: 'In the pack',
	base: 'Left at base'
};
export const REASON_WORDS: Readonly<Record<ReasonKind, string>> = {
	standard: 'published standard',
	practice: 'common practice',
	assumption: 'our assumption'
};

export const ROW_NAMES: Readonly<Record<Row, string>> = {
	eyes: 'Eyes',
	face: 'Face',
	ears: 'Ears and head',
	neck: 'Neck',
	torso: 'Torso',
	arms: 'Arms',
	hands: 'Hands',
	legs: 'Legs',
	feet: 'Feet',
	sleep: 'Sleep'
};

export const GROUND_WORDS: Readonly<Record<Ground, string>> = {
	bare: 'bare',
	snow: 'snow',
	ice: 'ice',
	'melting-snow': 'melting snow',
	'wet-grass': 'wet grass'
};
/** Where a figure came from, after "the low is". */
export const ORIGIN_SENTENCES: Readonly<Record<OriginKind | 'typed for this phase', string>> = {
	typed: 'typed',
	usual: 'the usual',
	forecast: 'a forecast',
	file: 'from a file',
	touch: 'touched by hand',
	copied: 'copied',
	default: 'a starting value',
	'typed for this phase': 'typed for this phase'
};
