import type { RuleId } from '../../core/document/reasons';
import type { MeasureUnit } from '../units';

const MEMORY = ' (not checked against its text)';
const OURS = 'our assumption';
const TRADE = 'common practice, no published source';

/** `values` are the figures of the text, so that they are told in the reader’s units. */
interface RuleWords {
	says: string;
	equation?: string;
	source: string;
	values?: Readonly<Record<string, readonly [value: number, unit: MeasureUnit]>>;
}

/** What every rule says, in a guide’s words, and where it comes from. */
export const RULE_WORDS: Readonly<Record<RuleId, RuleWords>> = {
	lapse: {
		says: 'It gets colder with height; the low holds at dawn, the high in the early afternoon.',
		equation: 'T(z) = T(z₀) − Γ·(z − z₀)',
		source:
			'ICAO standard atmosphere for {v1}, another lapse is typed for the stage; the course of the day is common practice',
		values: { v1: [6.5, 'K per 1000 m'] }
	},
	heightForecast: {
		says: 'A forecast for the height wins; between two heights it is read off between them.',
		source: 'common practice; beyond the heights the lapse goes on'
	},

	inversion: {
		says: 'On an inversion morning cold air lies in the valley: the typed low belongs to the valley floor, and the lapse starts at the top of the cold pool.',
		source:
			'common practice; that it holds two hours after dawn and is gone five hours after it is our assumption'
	},

	along: {
		says: 'The height follows from the start, high and low point and the bed of the stage.',
		source: 'the stage; where a phase lies on the way comes from its pattern'
	},

	wetHours: {
		says: 'Hours of rain and snow count as far as they fall into the phase; below {v1} it falls as dry snow, to about +{v2} as wet snow. In between it wets by degrees.',
		source: 'our assumption for the limits; the hours are typed, forecast or usual',
		values: { v1: [-2, '°C'], v2: [1, '°C'] }
	},
	thinAir: {
		says: 'Above {v1} people climb slower: a quarter is taken off the effort of the pattern.',
		source: 'our assumption',
		values: { v1: [4000, 'm'] }
	},
	typedEffort: {
		says: 'Typed, or added by hand.',
		source: 'the planner'
	},

	snowHole: {
		says: 'A closed snow hole stays near freezing, however cold it is outside.',
		source: 'common practice, no published source'
	},

	typed: {
		says: 'Typed for this phase; what is typed wins.',
		source: 'the planner'
	},

	heated: {
		says: 'A heated room or vehicle counts as {v1}, 40 % and still.',
		source: OURS,
		values: { v1: [20, '°C'] }
	},
	unheated: {
		says: 'An unheated roof is {v1} warmer than outside.',
		source: OURS,
		values: { v1: [5, 'K'] }
	},
	bodyWind: {
		says: 'The forecast wind is brought down to the body and sheltered by the place; own speed is added.',
		equation: 'v = √((v₁₀/1.5 · shelter)² + own speed²)',
		source: `ISO 11079 for 1.5${MEMORY}; shelter factors are ${OURS}`
	},

	windChill: {
		says: 'How cold bare skin feels in this wind.',
		equation: '13.12 + 0.6215·T − 11.37·v^0.16 + 0.3965·T·v^0.16',
		source: 'Environment Canada / US NWS 2001; published for air up to {v1}, used to {v2}',
		values: { v1: [0, '°C'], v2: [10, '°C'] }
	},
	frostbite: {
		says: 'Bare skin can freeze; cover it, and look at each other’s faces.',
		source: `Environment Canada wind chill index${MEMORY}`
	},

	coverFace: {
		says: 'From a felt {v1} face, ears and neck are covered.',
		source: TRADE,
		values: { v1: [-10, '°C'] }
	},
	effort: {
		says: 'What a guided group keeps up for a whole phase, not the peak of a fit person.',
		source: `${OURS}; classes of ISO 8996${MEMORY}`
	},

	balance: {
		says: 'Insulation with which heat made and heat lost are equal.',
		equation: 'M − E − H_res = R + C, solved for the insulation as worn',
		source: `ISO 11079:2007${MEMORY}`
	},

	debt: {
		says: 'Cold is a debt that runs through the day. Up to the first mark it is comfortable, up to the second it holds but feels cold.',
		equation: 'dD/dt = L_n + (L_m − L_n)·clamp(D/30, 0, 1)',
		source: `40 Wh/m² of ISO 11079${MEMORY}, counted from neutral and from minimal; the running ledger is ${OURS}`
	},

	careful: {
		says: 'One level more careful: the marks are 20 and 35 instead of 40 and 70, and work leaves no credit.',
		source: `${OURS}; ask a doctor where health is concerned`
	},

	coldLimb: {
		says: 'This person’s hands or feet are cold before others’ are: the blood brings them three quarters of the usual heat.',
		source: `${OURS}; ask a doctor where they turn white or numb`
	},

	offset: {
		says: 'This person feels the cold or the heat more than most; the whole band moves.',
		source: OURS
	},

	band: {
		says: 'The smallest insulation that holds for these minutes, the smallest that is comfortable, and where sweating starts.',
		source: `debt ledger on the balance of ISO 11079${MEMORY}`
	},

	supply: {
		says: 'What the outfit gives in this wind and movement: layers in series, regions of the body side by side.',
		equation: '1/I_T,r = Σ aᵢ / I_T,r,i',
		source: `ISO 9920 / ISO 11079 for wind and movement${MEMORY}; regions side by side is ${OURS}`
	},

	warm: {
		says: 'In work of 160 W/m² and more, 0.15 clo over neutral makes sweat; with less effort it takes more, and below 130 W/m² nothing is too warm in the cold. Who still pays off a debt is not too warm. In air from {v1} to {v2} this hands over to how wet the skin gets.',
		source: `neutral level of ISO 11079${MEMORY}; the margin and the step are ${OURS}`,
		values: { v1: [8, '°C'], v2: [12, '°C'] }
	},

	warmBeforeStop: {
		says: 'Sweat made within half an hour of a stop is paid for at the stop.',
		source: TRADE
	},

	aboveMethod: {
		says: 'Harder work than the method covers: skin and sweat count as at its upper end, and nine tenths of the effort beyond is heat.',
		source: OURS
	},

	outsideMethod: {
		says: 'Outside what the method covers (air over {v1}, wind over {v2}, effort outside 58–290 W/m²): take it as an indication.',
		source: `scope of ISO 11079${MEMORY}`,
		values: { v1: [10, '°C'], v2: [18, 'm/s'] }
	},
	wettedness: {
		says: 'Another method than in the cold: how much of the skin is wet with sweat once the body has settled, against what is still comfortable.',
		equation: 'w of the two-node body ≤ 0.0012·M + 0.15',
		source: `two-node body of Gagge 1986 / ASHRAE Fundamentals${MEMORY}; limit of Nishi & Gagge 1977${MEMORY}`
	},

	tooHotForAll: {
		says: 'Too warm whatever is worn: shade, water, an earlier start, less effort. Heat illness is for a doctor.',
		source: OURS
	},

	fingers: {
		says: 'Fingers below {v1} are useless; below {v3} they are cool, and below {v2} fine work fails. A warm body warms its hands, one in debt leaves them cold; hands without a task are in pockets. In air over {v4} the marks sink with it.',
		equation:
			'T(t) = T_eq + (T₀ − T_eq)·exp(−t/τ), T_eq = t_a + q·R, τ = c·R; q·clamp(1.5 − D/80, 0.5, 1.5), of the effort of the last 20 min',
		source: `finger levels of ISO 11079${MEMORY}; the course over time is ${OURS}, tuned on practice`,
		values: { v1: [15, '°C'], v2: [24, '°C'], v3: [20, '°C'], v4: [5, '°C'] }
	},
	toes: {
		says: 'Toes below {v1} are in trouble, below {v2} they are cool, and feet are slow to come back. A warm body warms its feet, one in debt leaves them cold.',
		equation:
			'T(t) = T_eq + (T₀ − T_eq)·exp(−t/τ), T_eq = t_a + q·R, τ = c·R; q·clamp(1.5 − D/80, 0.5, 1.5), of the effort of the last 20 min',
		source: `${OURS}, tuned on what boots serve in practice`,
		values: { v1: [15, '°C'], v2: [20, '°C'] }
	},
	dexterity: {
		says: 'Fiddly work needs gloves one can work in.',
		source: TRADE
	},

	rain: {
		says: 'Rain wets from the outside in: a face keeps it out for its minutes, then a layer fills in 40 minutes, then the next. Soaked is what lies next to the skin over half full, or the only warm layer within a tight shell. Drizzle and wet snow count half.',
		source: OURS
	},
	water: {
		says: 'What is wet warms less, by its fibre; wet gloves, boots and socks lose up to half. A wet layer next to the skin cools by drying, and half full it leaves no credit of work. It dries on the body in 45 minutes to three hours, in the pack never.',
		equation: 'I = I_dry·(1 − k·θ); w = w₀ + 0.17·(1 − w₀)·min(1, θ/0.3), trunk 0.7 and legs 0.3',
		source: OURS
	},
	strain: {
		says: 'In work of 130 W/m² and more the heat has no way out: after ten minutes the skin is nearly as wet as it can be, or the core gets hot.',
		equation: 'w > 0.85·w_max of the two-node body, or core ≥ 38.5 °C',
		source: `two-node body of Gagge 1986 / ASHRAE Fundamentals${MEMORY}; the limit is ${OURS}, held against ISO 7933`
	},

	eyes: {
		says: 'Snow by day and heights above {v1} need dark lenses: category 3, above {v1} on snow category 4; in falling snow a lighter lens.',
		source: `lens categories of EN ISO 12312-1${MEMORY}; when they are needed is common practice`,
		values: { v1: [4500, 'm'] }
	},
	feetAlways: {
		says: 'Feet are always covered outdoors.',
		source: TRADE
	},

	bodyCovered: {
		says: 'Torso and legs are always covered.',
		source: TRADE
	},

	mild: {
		says: 'Nothing here asks for it.',
		source: TRADE
	},

	night: {
		says: 'The bag’s comfort temperature against the coldest air where one sleeps.',
		source: `EN ISO 23537${MEMORY}; how a lodge compares with outside is ${OURS}`
	},

	heatedNight: {
		says: 'A heated room needs no bag check.',
		source: TRADE
	},

	nothingSuffices: {
		says: 'Not even the warmest things of the catalogue hold these minutes: shorten it, find shelter, heat, or do not go.',
		source: `${OURS}: the catalogue’s warmest outfit against the band`
	},

	'cotton-next-to-skin': {
		says: 'Cotton next to skin stays wet after work and cools at the next stop.',
		source: TRADE
	},

	spareGloves: {
		says: 'A lost glove ends the day: below a felt {v1} a second pair goes along.',
		source: TRADE,
		values: { v1: [0, '°C'] }
	},
	stopLayer: {
		says: 'The warm layer for stops goes on at once, over everything, and is sized for it.',
		source: TRADE
	},

	notAsked: {
		says: 'Nobody has asked yet; silence is neither a yes nor a no.',
		source: 'how this tool keeps facts'
	},

	nothingWorks: {
		says: 'Whoever says that nothing works is right: it stays wrong until something was tried that does.',
		source: TRADE
	},

	soakThenStand: {
		says: 'Soaked by rain, spray or sweat, and then a stop: nothing cools faster.',
		source: `${TRADE}; the limits are ${OURS}`
	},

	immersion: {
		says: 'Cold water: shock first, then useless hands; waders flood; clothes are no buoyancy aid.',
		source: TRADE
	},

	highAltitude: {
		says: 'Above about {v1} people fall ill of the height itself; acclimatise, and ask a doctor.',
		source: TRADE,
		values: { v1: [2500, 'm'] }
	},
	ultraviolet: {
		says: 'Ultraviolet grows by about a tenth for each {v1}, and fresh snow throws most of it back.',
		source: `World Health Organization, UV index${MEMORY}; from which sun on it is said is ${OURS}`,
		values: { v1: [1000, 'm'] }
	},
	avalanche: {
		says: 'The stage is marked as avalanche terrain; the bulletin and the licensed guide decide.',
		source: TRADE
	},

	guidesBusiness: {
		says: 'The stage is marked so; the licensed guide decides.',
		source: TRADE
	},

	iceUnderfoot: {
		says: 'Ice underfoot or steep ground: aids for paths do not hold there.',
		source: TRADE
	},

	openFire: {
		says: 'Sparks and flame: meltable fibres and wax are kept away from them.',
		source: TRADE
	},

	shootingSeason: {
		says: 'In a shooting season high visibility is the outermost layer in every phase.',
		source: TRADE
	},

	darkness: {
		says: 'The sun is down: after civil twilight nobody walks without a light.',
		source: 'sun times by Meeus, Astronomical Algorithms, or a phase that is marked dark'
	},

	traffic: {
		says: 'Seen, and hearing: nothing over the ears, lit and reflective.',
		source: TRADE
	},

	storm: {
		says: 'Storm: from about {v1} at 10 m one does not stand on a ridge.',
		source: TRADE,
		values: { v1: [75, 'km/h'] }
	},
	heat: {
		says: 'Heat hurts people who work in it.',
		source: TRADE
	},

	simulatedDay: {
		says: 'A body of core and skin, stepped minute by minute through the day: it shows order and causes, the verdicts rest on the heat debt.',
		source:
			'two-node body, Gagge 1986 / ASHRAE Fundamentals ch. 9 (not checked against its text); breathing as in ISO 11079'
	},

	sweatStore: {
		says: 'Sweat that does not evaporate is held by the layers next to the skin: cotton most, thin synthetics least, wool between. Wet they warm less, and dry at the cost of the skin.',
		source: OURS
	},

	armour: {
		says: 'On a motorbike armour goes under or into the jacket. Clothing is not impact protection, and light armour has limits.',
		source: TRADE
	},

	access: {
		says: 'How many layers come off for relief, in rain or cold? Clips, zips, a drop seat: ask, never assume.',
		source: TRADE
	},

	bottomsInBoot: {
		says: 'In ski boots nothing but the sock: a hem that ends inside presses and chafes. Three-quarter length, or pulled up over the sock.',
		source: TRADE
	},

	underWaders: {
		says: 'Waders insulate nothing, they only make room: warm legs go under them in cold water and cold air.',
		source: TRADE
	},

	burns: {
		says: 'Warmers, hot bottles and electric heat burn on bare skin, asleep, and where feeling is poor.',
		source: TRADE
	},

	touchScreen: {
		says: 'Who works a screen in the cold wears what works it, or bares a hand.',
		source: TRADE
	},

	wristLeash: {
		says: 'Where a dropped glove is gone, it hangs on a leash.',
		source: TRADE
	},

	fitForTown: {
		says: 'Among people one wears what is fit for town.',
		source: TRADE
	},

	underHelmet: {
		says: 'Under a helmet goes a thin cap or a thin hood, never a thick hat.',
		source: TRADE
	},

	hoodOverHelmet: {
		says: 'In rain the hood goes over the helmet.',
		source: TRADE
	},

	looseEnds: {
		says: 'Scarves and cords catch in lifts, wheels and machines.',
		source: TRADE
	},

	tears: {
		says: 'Off the path in the forest and on rock light synthetics tear.',
		source: TRADE
	},

	quietFace: {
		says: 'Membranes crackle in the cold; for animals one chooses a brushed face.',
		source: TRADE
	},

	overHarness: {
		says: 'With a harness the jacket stays tucked, or its zip opens from below for the tie-in; the coat leaves the tie-in to be seen.',
		source: TRADE
	},

	dryForNight: {
		says: 'What is kept dry for the night is not worn in rain or hard work.',
		source: TRADE
	},

	tooFew: {
		says: 'How many of a kind the days ask for, against what the client has.',
		source: 'the counts of this list'
	},

	comesOff: {
		says: 'The front is opened, or the outermost layer comes off without which it is neither too warm nor too cold.',
		source: OURS
	},

	ridesWet: {
		says: 'A zipped bag lets rain in; roll-top bags, panniers and pack covers keep it out.',
		source: TRADE
	},

	wetBesideDown: {
		says: 'Wet things never ride beside down.',
		source: TRADE
	},

	armsUp: {
		says: 'With arms raised in the wet, water runs into the sleeve.',
		source: TRADE
	},

	slimCuff: {
		says: 'Crampons ask for a slim cuff.',
		source: TRADE
	},

	longTail: {
		says: 'A long tail serves in snow and standing, a short one in a seat or a harness.',
		source: TRADE
	},

	ponchoInWind: {
		says: 'An umbrella, a poncho or a shower-proof jacket is never the only rain cover on a windy stage; from {v1} is our assumption.',
		source: TRADE,
		values: { v1: [35, 'km/h'] }
	},
	darkLensDriving: {
		says: 'Filters of category 4 are not for driving.',
		source: 'EN ISO 12312-1 (not checked against its text)'
	},

	meltsAtFire: {
		says: 'Sparks and flame melt synthetics and down; wool and untreated cotton char. Wax burns.',
		source: TRADE
	},

	school: {
		says: 'Practitioners disagree here; this is the school that was chosen for the house, the trip or the client.',
		source: 'a setting; our default stands beside it with its reason'
	},

	squeezed: {
		says: 'What is squeezed loses loft: a layer has steps of girth, what goes over it has room for so many. In boots it costs more than the second sock gives.',
		source: 'common practice; steps and losses are our assumption'
	},

	sockHeight: {
		says: 'A sock reaches above the cuff of the boot; ankle socks never in boots.',
		source: TRADE
	},

	wetCuff: {
		says: 'Wet trouser, sock, boot: water walks along them. A gaiter or a waterproof leg breaks the path.',
		source: TRADE
	},

	downWet: {
		says: 'Down that gets wet from outside goes flat. Dry and cold it is fine, under a waterproof too.',
		source: TRADE
	},

	cottonLegs: {
		says: 'Wet cotton on the legs stays wet and cools.',
		source: TRADE
	},

	outOfPlace: {
		says: 'Every type of thing is made for some of what people do outdoors. What it is not made for, it does badly.',
		source: TRADE
	},

	wrongFootwear: {
		says: 'Footwear belongs to what one does: touring boots on skis, boots with a sole on the mountain, slippers in the hut.',
		source: TRADE
	},

	stopClothesInWork: {
		says: 'Coats and other clothes for stops come off before hard work: what is sweated in them is missing at the next stop.',
		source: TRADE
	},

	underwearOutside: {
		says: 'Trousers go over long underwear, and a shirt over a string vest. Tights are trousers for running and cycling.',
		source: TRADE
	},

	indoorClothes: {
		says: 'In a heated room shells, coats, hats and gloves come off after a quarter of an hour.',
		source: TRADE
	},

	helmetWorn: {
		says: 'A helmet is worn where the phase asks for one, and on every bicycle and motorbike.',
		source: TRADE
	},

	bareLimbs: {
		says: 'Shorts and short sleeves are clothes in warm air. Below {v1} arms and legs are covered, except by runners and cyclists.',
		source: TRADE,
		values: { v1: [15, '°C'] }
	},

	brightForNothing: {
		says: 'A bright vest is worn in traffic and in the shooting season.',
		source: TRADE
	},

	forNothing: {
		says: 'Above {v1} felt and dry nobody needs warm gloves.',
		source: TRADE,
		values: { v1: [8, '°C'] }
	},

	downInWork: {
		says: 'Down takes up sweat and lies flat when it is damp: it is for stops, never for hard work.',
		source: TRADE
	},

	noJacket: {
		says: 'Below {v1} nobody stands or strolls outdoors without a jacket.',
		source: TRADE,
		values: { v1: [8, '°C'] }
	},

	unusual: {
		says: 'People wear one thing of a kind: one mid layer, one shell, one pair of trousers.',
		source: TRADE
	},

	hoods: {
		says: 'At most two hoods in use: more fill the neck.',
		source: TRADE
	},

	electricHeat: {
		says: 'Electric heat counts for comfort only: every verdict is made with it off.',
		source: 'common practice; a battery of 10 000 mAh holds 37 Wh'
	},

	bagUnclear: {
		says: 'A bag rated by a number without unit: °C or °F, comfort or limit? 0 °F is {v1}. Ask, never guess.',
		source: 'common practice; comfort after EN ISO 23537 (not checked against its text)',
		values: { v1: [-18, '°C'] }
	},
	inWater: {
		says: 'Standing or wading in water: waterproof legs to that depth, or wet legs and a dry change.',
		source: TRADE
	},

	spareShades: {
		says: 'On snow or above {v1} a second pair of dark glasses.',
		source: TRADE,
		values: { v1: [4500, 'm'] }
	},
	dryChange: {
		says: 'Who stands or sits long after effort changes into a dry top and dry socks.',
		source: TRADE
	},

	vapourSock: {
		says: 'A vapour barrier goes over a thin liner, and feet are dried every night.',
		source: TRADE
	},

	gearForThis: {
		says: 'Things that are not clothes but decide the day.',
		source: TRADE
	},

	wears: {
		says: 'Days of wear over days before a wash, rounded up; a wash that dries overnight begins anew. One dry pair of socks is kept for the evening and the night.',
		equation: 'n = ⌈longest run of days without a wash / days before a wash⌉ + kept dry',
		source:
			'common practice: wool top 4 days, wool socks 5, synthetic top 2, underwear 1; a thin synthetic is dry by morning in a heated room'
	},

	overnight: {
		says: 'A drying room dries all, a heated room small things; in an unheated house or a tent nothing dries by itself. On the body or in the bag two small things do, of soaked socks one pair. What is wet in the morning counts as wet. A bag loses a twentieth of its warmth for each such night, down twice that.',
		source: 'common practice; how much warmth water takes, by fibre, is our assumption'
	},

	pack: {
		says: 'What is taken off needs room: the warmest phase is the fullest pack. Water and food come first.',
		source: 'common practice; litres of the things and 2.5 litres of water and food are our assumption'
	},

	batteries: {
		says: 'Hours of use against what a battery gives in the cold: 70 % at {v1}, half at {v2}.',
		source: 'our assumption; 10 000 mAh hold 37 Wh; about 2 Ah a day for phone and camera is common practice',
		values: { v1: [-10, '°C'], v2: [-20, '°C'] }
	},
	bootWarmers: {
		says: 'Two chemical warmers a night dry two boots, insoles out.',
		source: TRADE
	},

	frozenFilter: {
		says: 'Filters of hollow fibre die when they freeze.',
		source: TRADE
	},

	changes: {
		says: 'What a change costs: vent 0.2, outermost 1, under the shell 3, boots off 8, in rain double.',
		source: OURS
	},

	judgedOutfit: {
		says: 'This outfit was given, not chosen.',
		source: 'the request'
	},

	searchCut: {
		says: 'The kit is large: only the likeliest things of each kind were searched, so a better plan may exist.',
		source: 'state of this version'
	}
};
