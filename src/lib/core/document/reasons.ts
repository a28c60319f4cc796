import type { ReasonKind } from '../certainty';

export interface Rule {
	kind: ReasonKind;
	/** what it says, in a guide's words */
	says: string;
	/** equation, where there is one */
	equation?: string;
	source: string;
}

const MEMORY = ' (from memory)';
const OURS = 'our assumption';
const TRADE = 'common practice, no published source';

/** Every rule that a figure or a verdict can rest on. Adding a rule is adding a row. */
export const RULES = {
	lapse: {
		kind: 'standard',
		says: 'It gets colder with height; the low holds at dawn, the high in the early afternoon.',
		equation: 'T(z) = T(z₀) − Γ·(z − z₀)',
		source:
			'ICAO standard atmosphere for 6.5 K per 1000 m, another lapse is typed for the stage; the course of the day is common practice'
	},
	heightForecast: {
		kind: 'practice',
		says: 'A forecast for the height wins; between two heights it is read off between them.',
		source: 'common practice; beyond the heights the lapse goes on'
	},
	inversion: {
		kind: 'practice',
		says: 'On an inversion morning cold air lies in the valley: the typed low belongs to the valley floor, and the lapse starts at the top of the cold pool.',
		source:
			'common practice; that it holds two hours after dawn and is gone five hours after it is our assumption'
	},
	along: {
		kind: 'practice',
		says: 'The height follows from the start, high and low point and the bed of the stage.',
		source: 'the stage; where a phase lies on the way comes from its pattern'
	},
	wetHours: {
		kind: 'assumption',
		says: 'Hours of rain and snow count as far as they fall into the phase; below −2 °C it falls as dry snow, to about +1 °C as wet snow.',
		source: 'our assumption for the limits; the hours are typed, forecast or usual'
	},
	thinAir: {
		kind: 'assumption',
		says: 'Above 4000 m people climb slower: a quarter is taken off the effort of the pattern.',
		source: 'our assumption'
	},
	typedEffort: {
		kind: 'practice',
		says: 'Typed, or added by hand.',
		source: 'the planner'
	},
	snowHole: {
		kind: 'practice',
		says: 'A closed snow hole stays near freezing, however cold it is outside.',
		source: 'common practice, no published source'
	},
	typed: { kind: 'practice', says: 'Typed for this phase; what is typed wins.', source: 'the planner' },
	heated: {
		kind: 'assumption',
		says: 'A heated room or vehicle counts as 20 °C, 40 % and still.',
		source: OURS
	},
	unheated: { kind: 'assumption', says: 'An unheated roof is 5 K warmer than outside.', source: OURS },
	bodyWind: {
		kind: 'assumption',
		says: 'The forecast wind is brought down to the body and sheltered by the place; own speed is added.',
		equation: 'v = √((v₁₀/1.5 · shelter)² + own speed²)',
		source: `ISO 11079 for 1.5${MEMORY}; shelter factors are ${OURS}`
	},
	windChill: {
		kind: 'standard',
		says: 'How cold bare skin feels in this wind.',
		equation: '13.12 + 0.6215·T − 11.37·v^0.16 + 0.3965·T·v^0.16',
		source: 'Environment Canada / US NWS 2001; published for air up to 0 °C, used to 10 °C'
	},
	frostbite: {
		kind: 'standard',
		says: 'Bare skin can freeze; cover it, and look at each other’s faces.',
		source: `Environment Canada wind chill index${MEMORY}`
	},
	coverFace: {
		kind: 'practice',
		says: 'From a felt −10 °C face, ears and neck are covered.',
		source: TRADE
	},
	effort: {
		kind: 'assumption',
		says: 'What a guided group keeps up for a whole phase, not the peak of a fit person.',
		source: `${OURS}; classes of ISO 8996${MEMORY}`
	},
	balance: {
		kind: 'standard',
		says: 'Insulation with which heat made and heat lost are equal.',
		equation: 'M − E − H_res = R + C, solved for the insulation as worn',
		source: `ISO 11079:2007${MEMORY}`
	},
	debt: {
		kind: 'assumption',
		says: 'Cold is a debt that runs through the day. Up to the first mark it is comfortable, up to the second it holds but feels cold.',
		equation: 'dD/dt = L_n + (L_m − L_n)·clamp(D/30, 0, 1)',
		source: `40 Wh/m² of ISO 11079${MEMORY}, counted from neutral and from minimal; the running ledger is ${OURS}`
	},
	careful: {
		kind: 'assumption',
		says: 'One level more careful: the marks are 20 and 35 instead of 40 and 70, and work leaves no credit.',
		source: `${OURS}; ask a doctor where health is concerned`
	},
	offset: {
		kind: 'assumption',
		says: 'This person feels the cold or the heat more than most; the whole band moves.',
		source: OURS
	},
	band: {
		kind: 'assumption',
		says: 'The smallest insulation that holds for these minutes, the smallest that is comfortable, and where sweating starts.',
		source: `debt ledger on the balance of ISO 11079${MEMORY}`
	},
	supply: {
		kind: 'standard',
		says: 'What the outfit gives in this wind and movement: layers in series, regions of the body side by side.',
		equation: '1/I_T,r = Σ aᵢ / I_T,r,i',
		source: `ISO 9920 / ISO 11079 for wind and movement${MEMORY}; regions side by side is ${OURS}`
	},
	warm: {
		kind: 'assumption',
		says: 'In work, more than 0.15 clo over neutral makes sweat. It counts from two clo·minutes on: a fifth of a clo too much for ten minutes, half of that before a stop.',
		source: `neutral level of ISO 11079${MEMORY}; the margin and the step are ${OURS}`
	},
	warmBeforeStop: {
		kind: 'practice',
		says: 'Sweat made within half an hour of a stop is paid for at the stop.',
		source: TRADE
	},
	aboveMethod: {
		kind: 'assumption',
		says: 'Harder work than the method covers: it asks for at most this, and sweating is certain.',
		source: OURS
	},
	outsideMethod: {
		kind: 'standard',
		says: 'Outside what the method covers (air over 10 °C, wind over 18 m/s, effort outside 58–290 W/m²): take it as an indication.',
		source: `scope of ISO 11079${MEMORY}`
	},
	wettedness: {
		kind: 'standard',
		says: 'Another method than in the cold: how much of the skin is wet with sweat once the body has settled, against what is still comfortable.',
		equation: 'w of the two-node body ≤ 0.0012·M + 0.15',
		source: `two-node body of Gagge 1986 / ASHRAE Fundamentals${MEMORY}; limit of Nishi & Gagge 1977${MEMORY}`
	},
	tooHotForAll: {
		kind: 'assumption',
		says: 'Too warm whatever is worn: shade, water, an earlier start, less effort. Heat illness is for a doctor.',
		source: OURS
	},
	fingers: {
		kind: 'assumption',
		says: 'Fingers below 15 °C are useless; below 24 °C fine work fails.',
		equation: 'T(t) = T_eq + (T₀ − T_eq)·exp(−t/τ), T_eq = t_a + q·R, τ = c·R',
		source: `finger levels of ISO 11079${MEMORY}; the course over time is ${OURS}, tuned on practice`
	},
	toes: {
		kind: 'assumption',
		says: 'Toes below 15 °C are in trouble, and feet are slow to come back.',
		equation: 'T(t) = T_eq + (T₀ − T_eq)·exp(−t/τ), T_eq = t_a + q·R, τ = c·R',
		source: `${OURS}, tuned on what boots serve in practice`
	},
	dexterity: {
		kind: 'practice',
		says: 'Fiddly work needs gloves one can work in.',
		source: TRADE
	},
	rain: {
		kind: 'assumption',
		says: 'The outermost layer keeps water out for so many minutes of rain; drizzle and wet snow count half.',
		source: OURS
	},
	eyes: {
		kind: 'standard',
		says: 'Snow by day and heights above 4500 m need dark lenses: category 3, above 4500 m on snow category 4; in falling snow a lighter lens.',
		source: `lens categories of EN ISO 12312-1${MEMORY}; when they are needed is common practice`
	},
	feetAlways: { kind: 'practice', says: 'Feet are always covered outdoors.', source: TRADE },
	bodyCovered: { kind: 'practice', says: 'Torso and legs are always covered.', source: TRADE },
	mild: { kind: 'practice', says: 'Nothing here asks for it.', source: TRADE },
	night: {
		kind: 'standard',
		says: 'The bag’s comfort temperature against the coldest air where one sleeps.',
		source: `EN ISO 23537${MEMORY}; how a lodge compares with outside is ${OURS}`
	},
	heatedNight: { kind: 'practice', says: 'A heated room needs no bag check.', source: TRADE },
	nothingSuffices: {
		kind: 'assumption',
		says: 'Not even the warmest things of the catalogue hold these minutes: shorten it, find shelter, heat, or do not go.',
		source: `${OURS}: the catalogue’s warmest outfit against the band`
	},
	cotton: {
		kind: 'practice',
		says: 'Cotton next to skin stays wet after work and cools at the next stop.',
		source: TRADE
	},
	spareGloves: {
		kind: 'practice',
		says: 'A lost glove ends the day: below a felt 0 °C a second pair goes along.',
		source: TRADE
	},
	stopLayer: {
		kind: 'practice',
		says: 'The warm layer for stops goes on at once, over everything, and is sized for it.',
		source: TRADE
	},
	notAsked: {
		kind: 'practice',
		says: 'Nobody has asked yet; silence is neither a yes nor a no.',
		source: 'how this tool keeps facts'
	},
	soakThenStand: {
		kind: 'practice',
		says: 'Soaked by rain, spray or sweat, and then a stop: nothing cools faster.',
		source: `${TRADE}; the limits are ${OURS}`
	},
	immersion: {
		kind: 'practice',
		says: 'Cold water: shock first, then useless hands; waders flood; clothes are no buoyancy aid.',
		source: TRADE
	},
	highAltitude: {
		kind: 'practice',
		says: 'Above about 2500 m people fall ill of the height itself; acclimatise, and ask a doctor.',
		source: TRADE
	},
	ultraviolet: {
		kind: 'standard',
		says: 'Ultraviolet grows by about a tenth for each 1000 m, and fresh snow throws most of it back.',
		source: `World Health Organization, UV index${MEMORY}; from which sun on it is said is ${OURS}`
	},
	avalanche: {
		kind: 'practice',
		says: 'The stage is marked as avalanche terrain; the bulletin and the licensed guide decide.',
		source: TRADE
	},
	guidesBusiness: {
		kind: 'practice',
		says: 'The stage is marked so; the licensed guide decides.',
		source: TRADE
	},
	iceUnderfoot: {
		kind: 'practice',
		says: 'Ice underfoot or steep ground: aids for paths do not hold there.',
		source: TRADE
	},
	openFire: {
		kind: 'practice',
		says: 'Sparks and flame: meltable fibres and wax are kept away from them.',
		source: TRADE
	},
	shootingSeason: {
		kind: 'practice',
		says: 'In a shooting season high visibility is the outermost layer in every phase.',
		source: TRADE
	},
	darkness: {
		kind: 'standard',
		says: 'The sun is down: after civil twilight nobody walks without a light.',
		source: 'sun times by Meeus, Astronomical Algorithms, or a phase that is marked dark'
	},
	traffic: {
		kind: 'practice',
		says: 'Seen, and hearing: nothing over the ears, lit and reflective.',
		source: TRADE
	},
	storm: {
		kind: 'practice',
		says: 'Storm: from about 75 km/h at 10 m one does not stand on a ridge.',
		source: TRADE
	},
	heat: { kind: 'practice', says: 'Heat hurts people who work in it.', source: TRADE },
	simulatedDay: {
		kind: 'standard',
		says: 'A body of core and skin, stepped minute by minute through the day: it shows order and causes, the verdicts rest on the heat debt.',
		source: 'two-node body, Gagge 1986 / ASHRAE Fundamentals ch. 9 (from memory); breathing as in ISO 11079'
	},
	sweatStore: {
		kind: 'assumption',
		says: 'Sweat that does not evaporate is held by the layers next to the skin: cotton most, thin synthetics least, wool between. Wet they warm less, and dry at the cost of the skin.',
		source: OURS
	},
	armour: {
		kind: 'practice',
		says: 'On a motorbike armour goes under or into the jacket. Clothing is not impact protection, and light armour has limits.',
		source: TRADE
	},
	access: {
		kind: 'practice',
		says: 'How many layers come off for relief, in rain or cold? Clips, zips, a drop seat: ask, never assume.',
		source: TRADE
	},
	bottomsInBoot: {
		kind: 'practice',
		says: 'In ski boots nothing but the sock: a hem that ends inside presses and chafes. Three-quarter length, or pulled up over the sock.',
		source: TRADE
	},
	underWaders: {
		kind: 'practice',
		says: 'Waders insulate nothing, they only make room: warm legs go under them in cold water and cold air.',
		source: TRADE
	},
	burns: {
		kind: 'practice',
		says: 'Warmers, hot bottles and electric heat burn on bare skin, asleep, and where feeling is poor.',
		source: TRADE
	},
	touchScreen: {
		kind: 'practice',
		says: 'Who works a screen in the cold wears what works it, or bares a hand.',
		source: TRADE
	},
	wristLeash: {
		kind: 'practice',
		says: 'Where a dropped glove is gone, it hangs on a leash.',
		source: TRADE
	},
	fitForTown: {
		kind: 'practice',
		says: 'Among people one wears what is fit for town.',
		source: TRADE
	},
	underHelmet: {
		kind: 'practice',
		says: 'Under a helmet goes a thin cap or a thin hood, never a thick hat.',
		source: TRADE
	},
	hoodOverHelmet: { kind: 'practice', says: 'In rain the hood goes over the helmet.', source: TRADE },
	looseEnds: {
		kind: 'practice',
		says: 'Scarves and cords catch in lifts, wheels and machines.',
		source: TRADE
	},
	tears: {
		kind: 'practice',
		says: 'Off the path in the forest and on rock light synthetics tear.',
		source: TRADE
	},
	quietFace: {
		kind: 'practice',
		says: 'Membranes crackle in the cold; for animals one chooses a brushed face.',
		source: TRADE
	},
	overHarness: {
		kind: 'practice',
		says: 'With a harness the jacket stays tucked, or its zip opens from below for the tie-in; the coat leaves the tie-in to be seen.',
		source: TRADE
	},
	armsUp: {
		kind: 'practice',
		says: 'With arms raised in the wet, water runs into the sleeve.',
		source: TRADE
	},
	slimCuff: { kind: 'practice', says: 'Crampons ask for a slim cuff.', source: TRADE },
	longTail: {
		kind: 'practice',
		says: 'A long tail serves in snow and standing, a short one in a seat or a harness.',
		source: TRADE
	},
	ponchoInWind: {
		kind: 'practice',
		says: 'An umbrella, a poncho or a shower-proof jacket is never the only rain cover on a windy stage; from 35 km/h is our assumption.',
		source: TRADE
	},
	darkLensDriving: {
		kind: 'standard',
		says: 'Filters of category 4 are not for driving.',
		source: 'EN ISO 12312-1 (from memory)'
	},
	meltsAtFire: {
		kind: 'practice',
		says: 'Sparks and flame melt synthetics and down; wool and untreated cotton char. Wax burns.',
		source: TRADE
	},
	school: {
		kind: 'practice',
		says: 'Practitioners disagree here; this is the school that was chosen for the house, the trip or the client.',
		source: 'a setting; our default stands beside it with its reason'
	},
	squeezed: {
		kind: 'assumption',
		says: 'What is squeezed loses loft: a layer has steps of girth, what goes over it has room for so many. In boots it costs more than the second sock gives.',
		source: 'common practice; steps and losses are our assumption'
	},
	sockHeight: {
		kind: 'practice',
		says: 'A sock reaches above the cuff of the boot; ankle socks never in boots.',
		source: TRADE
	},
	wetCuff: {
		kind: 'practice',
		says: 'Wet trouser, sock, boot: water walks along them. A gaiter or a waterproof leg breaks the path.',
		source: TRADE
	},
	downWet: {
		kind: 'practice',
		says: 'Down that gets wet from outside goes flat. Dry and cold it is fine, under a waterproof too.',
		source: TRADE
	},
	cottonLegs: { kind: 'practice', says: 'Wet cotton on the legs stays wet and cools.', source: TRADE },
	hoods: { kind: 'practice', says: 'At most two hoods in use: more fill the neck.', source: TRADE },
	electricHeat: {
		kind: 'practice',
		says: 'Electric heat counts for comfort only: every verdict is made with it off.',
		source: 'common practice; a battery of 10 000 mAh holds 37 Wh'
	},
	bagUnclear: {
		kind: 'practice',
		says: 'A bag rated by a number without unit: °C or °F, comfort or limit? 0 °F is −18 °C. Ask, never guess.',
		source: 'common practice; comfort after EN ISO 23537 (from memory)'
	},
	inWater: {
		kind: 'practice',
		says: 'Standing or wading in water: waterproof legs to that depth, or wet legs and a dry change.',
		source: TRADE
	},
	spareShades: {
		kind: 'practice',
		says: 'On snow or above 4500 m a second pair of dark glasses.',
		source: TRADE
	},
	dryChange: {
		kind: 'practice',
		says: 'Who stands or sits long after effort changes into a dry top and dry socks.',
		source: TRADE
	},
	vapourSock: {
		kind: 'practice',
		says: 'A vapour barrier goes over a thin liner, and feet are dried every night.',
		source: TRADE
	},
	gearForThis: { kind: 'practice', says: 'Things that are not clothes but decide the day.', source: TRADE },
	wears: {
		kind: 'practice',
		says: 'Days of wear over days before a wash, rounded up; a wash that dries overnight begins anew. One dry pair of socks is kept for the evening and the night.',
		equation: 'n = ⌈longest run of days without a wash / days before a wash⌉ + kept dry',
		source:
			'common practice: wool top 4 days, wool socks 5, synthetic top 2, underwear 1; a thin synthetic is dry by morning in a heated room'
	},
	overnight: {
		kind: 'practice',
		says: 'A drying room dries all, a heated room small things; in an unheated house or a tent nothing dries by itself, two small things apart on the body or in the bag. What is wet in the morning counts as wet.',
		source: 'common practice; how much warmth water takes, by fibre, is our assumption'
	},
	pack: {
		kind: 'practice',
		says: 'What is taken off needs room: the warmest phase is the fullest pack. Water and food come first.',
		source: 'common practice; litres of the things and 2.5 litres of water and food are our assumption'
	},
	batteries: {
		kind: 'assumption',
		says: 'Hours of use against what a battery gives in the cold: 70 % at −10 °C, half at −20 °C.',
		source: 'our assumption; 10 000 mAh hold 37 Wh; about 2 Ah a day for phone and camera is common practice'
	},
	bootWarmers: {
		kind: 'practice',
		says: 'Two chemical warmers a night dry two boots, insoles out.',
		source: TRADE
	},
	frozenFilter: { kind: 'practice', says: 'Filters of hollow fibre die when they freeze.', source: TRADE },
	changes: {
		kind: 'assumption',
		says: 'What a change costs: vent 0.2, outermost 1, under the shell 3, boots off 8, in rain double.',
		source: OURS
	},
	judgedOutfit: { kind: 'practice', says: 'This outfit was given, not chosen.', source: 'the request' },
	searchCut: {
		kind: 'assumption',
		says: 'The kit is large: only the likeliest things of each kind were searched, so a better plan may exist.',
		source: 'state of this version'
	}
} as const satisfies Record<string, Rule>;
export type RuleId = keyof typeof RULES;

export interface ReasonValue {
	name: string;
	value: number | string;
	unit?: string;
}

/** Why a figure or verdict is as it is: one rule and the values that went into it. */
export interface Reason {
	rule: RuleId;
	kind: ReasonKind;
	source: string;
	values: ReasonValue[];
}

/** A reason from a rule and values, `[name, value, unit]`. Numbers are rounded for reading. */
export function reason(
	rule: RuleId,
	values: [name: string, value: number | string, unit?: string][] = []
): Reason {
	const { kind, source } = RULES[rule];
	return {
		rule,
		kind,
		source,
		values: values.map(([name, value, unit]) => ({
			name,
			value: typeof value === 'number' ? Math.round(value * 100) / 100 : value,
			...(unit && { unit })
		}))
	};
}
