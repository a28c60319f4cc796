import { WORK_WM2 } from '../body/effort';
import { REGIONS } from '../cloth/parts';
import { tooTightBy } from '../cloth/squeeze';
import { type Cloth, covers } from '../cloth/things';
import { outermost } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { HIGH_LIGHT_M, isOut, isWaterproof } from '../conditions/needs';
import type { Person } from '../conditions/person';
import { type Finding } from '../document/finding';
import { reason, type RuleId } from '../document/reasons';
import type { Mark } from '../document/types';
import { balancePair } from '../heat/debt';
import { cellAir, debtCourse } from '../heat/ledger';
import { REQUIREMENTS, requirementsOf } from '../rules/requirements';
import { schoolRequirementsOf } from '../rules/school-requirements';
import { at, type FindingRule, firstRounds, type StageFacts, whole } from './finding';
import type { PhaseVerdict } from './verdicts';

/** Rules about what garments do to one another and to the day. Each is a row, and a case that fires beside one that does not. */
const lived = (cell: Cell): boolean => cell.kind !== 'what-if' && cell.kind !== 'sleep';
const clothsOf = (phase: PhaseVerdict): Cloth[] => phase.outfit.map(({ cloth }) => cloth);

/** The first phase in which something worn is at fault, as a finding. */
function firstAtFault(
	facts: StageFacts,
	rule: RuleId,
	part: string,
	severity: Finding['severity'],
	fault: (phase: PhaseVerdict) => Cloth | null,
	says: (phase: PhaseVerdict, cloth: Cloth) => string
): Finding[] {
	for (const phase of facts.phases) {
		const cloth = lived(phase.cell) ? fault(phase) : null;
		if (cloth)
			return [
				{
					code: rule,
					severity,
					...at(facts, phase),
					part,
					thingIds: [cloth.thingId],
					message: `${phase.cell.name}: ${says(phase, cloth)}`,
					reasons: [reason(rule)]
				}
			];
	}
	return [];
}

/** What phases demand of what is worn, once for each demand and thing. */
const unmetRequirements: FindingRule = (facts) =>
	[...REQUIREMENTS, ...schoolRequirementsOf(facts.person.schools)].flatMap((demand) => {
		const { rule, part, severity, factor } = demand;
		if (severity === null) return [];
		return firstAtFault(
			facts,
			rule,
			part,
			severity,
			({ cell, outfit }) =>
				requirementsOf(cell, factor, facts.person.schools).includes(demand)
					? demand.unmet(outfit, cell)
					: null,
			(_, cloth) => demand.says(cloth.name)
		);
	});

/** A layer that is too tight for what is under it; boots and the rest apart. */
const squeezed: FindingRule = (facts) =>
	[true, false].flatMap((feet) => {
		const tight = ({ outfit }: PhaseVerdict): { cloth: Cloth; steps: number; under: Cloth } | null => {
			for (const region of REGIONS.filter((name) => (name === 'feet') === feet)) {
				const here = outfit.filter(({ cloth }) => cloth.regions[region] >= 0.5);
				for (let i = here.length - 1; i > 0; i--) {
					const under = here.slice(0, i).map(({ cloth }) => cloth);
					const steps = tooTightBy(here[i]!.cloth, under);
					if (steps > 0) return { cloth: here[i]!.cloth, steps, under: under.at(-1)! };
				}
			}
			return null;
		};
		return firstAtFault(
			facts,
			'squeezed',
			feet ? 'feet' : 'body',
			'warning',
			(phase) => tight(phase)?.cloth ?? null,
			(phase, cloth) =>
				feet
					? `${cloth.name} is too full with ${tight(phase)!.under.name}: a full boot is a cold boot. A thinner sock, or more room.`
					: `${cloth.name} is too tight over ${tight(phase)!.under.name}. Wear less under it, or a size more.`
		);
	});

/** Boots from this height on ask for a sock that is higher, cm (our assumption). */
const BOOT_FROM_CM = 6;
const sockHeight: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'sockHeight',
		'feet',
		'warning',
		(phase) => {
			const worn = clothsOf(phase).filter((cloth) => covers(cloth, 'feet'));
			const boot = worn.find(({ positions, heightCm }) => positions[1] >= 4 && heightCm >= BOOT_FROM_CM);
			const socks = worn.filter(({ positions }) => positions[1] <= 2);
			const highest = Math.max(...socks.map(({ heightCm }) => heightCm));
			return boot && socks.length > 0 && highest <= boot.heightCm ? socks[0]! : null;
		},
		(_, sock) => `${sock.name} end below the cuff of the boot and rub. A higher sock.`
	);

/** From so much rain on legs wet through to the sock, minutes of ordinary rain (our assumption). */
const CUFF_RAIN_MIN = 20;
const wetCuff: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'wetCuff',
		'feet',
		'note',
		({ cell, outfit }) => {
			const wet = cell.rainMinutes >= CUFF_RAIN_MIN || cell.marks.includes('splash');
			const boot = outfit.find(({ cloth }) => covers(cloth, 'feet') && cloth.positions[1] >= 4);
			const leg = outermost(outfit, 'calves');
			if (!wet || !isOut(cell) || !boot || !isWaterproof(boot.cloth) || !leg) return null;
			return isWaterproof(leg.cloth) ? null : leg.cloth;
		},
		(_, leg) => `water walks from ${leg.name} along the sock into the boot. A gaiter or a waterproof leg.`
	);

const downWet: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'downWet',
		'torso',
		'warning',
		({ cell, outfit }) => {
			const top = outermost(outfit, 'torso')?.cloth;
			return cell.rainMinutes > 0 && cell.airTempC > -5 && isOut(cell) && top?.fibre === 'down' ? top : null;
		},
		(_, cloth) => `${cloth.name} outermost in the wet. Under a waterproof, or synthetic fill.`
	);

const cottonLegs: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'cottonLegs',
		'legs',
		'warning',
		({ cell, outfit }) => {
			const top = outermost(outfit, 'thighs')?.cloth;
			const wet =
				cell.rainMinutes >= 5 || cell.marks.includes('splash') || cell.marks.includes('snow-contact');
			return wet && cell.airTempC < 15 && isOut(cell) && top?.fibre === 'cotton' ? top : null;
		},
		(_, cloth) => `${cloth.name}, once wet, would stay wet and cool. Quick-drying trousers or a rain leg.`
	);

const MOST_HOODS = 2;
const hoods: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'hoods',
		'neck',
		'note',
		(phase) => {
			const hooded = clothsOf(phase).filter(({ features }) => features.includes('hood'));
			return hooded.length > MOST_HOODS ? hooded.at(-1)! : null;
		},
		() => 'three hoods on top of one another fill the neck. Roll one away.'
	);

/** Body surface that electric watts are spread over, m². */
const BODY_M2 = 1.8;
/** How long the body would hold with the heat on, beside how long it does with it off; for comfort, never for a verdict. */
function heatOnWords(phase: PhaseVerdict, watts: number, person: Person): string {
	const { cell } = phase;
	if (phase.band === null || cell.heated) return '';
	const air = cellAir(cell);
	const { airTempC, airVelocityMs, humidityPct, metabolicWm2 } = cell;
	const balance = balancePair({
		airTempC,
		airVelocityMs,
		humidityPct,
		metabolicWm2,
		electricWm2: watts / BODY_M2
	});
	const minutesOf = (one: typeof air): string => {
		const held = debtCourse(cell, one, phase.resultantClo, phase.startDebtWhm2, person).holdsMinutes;
		return held === null || held >= cell.minutes ? `all ${cell.minutes} min` : `${Math.floor(held)} min`;
	};
	return ` (the body holds ${minutesOf(air)} of “${cell.name}”; with it on ${minutesOf({ ...air, balance })})`;
}

const electricHeat: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'electricHeat',
		'body',
		'note',
		(phase) => clothsOf(phase).find(({ watts }) => watts > 0) ?? null,
		(phase, { name, watts, energyWh }) =>
			`${name}: judged with the heat off${heatOnWords(phase, watts, facts.person)}. Its battery gives about ${Math.round((energyWh * 10) / watts) / 10} h when warm, less in the cold.`
	);

const vapourSock: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'vapourSock',
		'feet',
		'warning',
		(phase) => {
			const socks = clothsOf(phase).filter((cloth) => covers(cloth, 'feet') && cloth.positions[1] <= 2);
			const barrier = socks.find(({ vapourResistance }) => vapourResistance >= 500);
			return barrier && socks.length === 1 ? barrier : null;
		},
		(_, cloth) => `${cloth.name} on the bare skin. A thin liner under it, feet dried every night.`
	);

const DEPTHS: readonly [Mark, 'feet' | 'calves' | 'thighs'][] = [
	['immersed-ankle', 'feet'],
	['immersed-knee', 'calves'],
	['immersed-thigh', 'thighs'],
	['immersed-waist', 'thighs']
];
const inWater: FindingRule = (facts) =>
	firstRounds(facts.phases, ({ cell, outfit }) => {
		const depth = DEPTHS.find(([mark]) => cell.marks.includes(mark));
		return (
			depth !== undefined &&
			lived(cell) &&
			!outfit.some(({ cloth }) => cloth.waterGrade === 'rubber' && covers(cloth, depth[1]))
		);
	})
		.slice(0, 1)
		.map((phase) => ({
			code: 'inWater',
			severity: 'warning',
			...at(facts, phase),
			part: 'legs',
			thingIds: [],
			message: `${phase.cell.name}: in the water, and nothing keeps it off the legs. Waders or high rubber boots, or wet legs and a dry change at once.`,
			reasons: [reason('inWater')]
		}));

/** How many of a kind a client has. */
const countOf = (facts: StageFacts, test: (cloth: Cloth) => boolean): number =>
	facts.kit.filter(test).reduce((sum, { quantity }) => sum + quantity, 0);

const spareShades: FindingRule = (facts) => {
	const bright = facts.phases.find(
		({ cell }) =>
			isOut(cell) &&
			cell.light === 'day' &&
			((cell.ground === 'snow' && cell.precipitation === 'dry') || cell.altitudeM > HIGH_LIGHT_M)
	);
	const pairs = countOf(facts, (cloth) => covers(cloth, 'eyes'));
	if (!bright || pairs !== 1) return [];
	return [
		{
			code: 'spareShades',
			severity: 'note',
			...at(facts, bright),
			part: 'eyes',
			thingIds: [],
			message: 'One pair of dark glasses only: bring or lend a second one, or goggles.',
			reasons: [reason('spareShades', [['pairs', pairs]])]
		}
	];
};

/** Effort of at least so many minutes makes wet, and a stand of so many makes it felt (our assumption). */
const EFFORT_MIN = 45;
const STAND_MIN = 60;
const dryChange: FindingRule = (facts) => {
	let worked = 0;
	for (const phase of facts.phases) {
		const { cell } = phase;
		if (!lived(cell)) continue;
		if (cell.metabolicWm2 >= WORK_WM2) worked += cell.minutes;
		const stands = isOut(cell) && cell.kind === 'stop' && cell.minutes >= STAND_MIN && cell.airTempC <= 10;
		if (stands && worked >= EFFORT_MIN) {
			const tops = countOf(facts, (cloth) => cloth.functions.includes('skin') && covers(cloth, 'torso'));
			const socks = countOf(
				facts,
				(cloth) => covers(cloth, 'feet') && cloth.positions[1] <= 2 && cloth.positions[0] >= 1
			);
			const missing = [tops === 1 ? 'top' : '', socks === 1 ? 'pair of socks' : ''].filter(Boolean);
			if (missing.length === 0) return [];
			return [
				{
					code: 'dryChange',
					severity: 'warning',
					...at(facts, phase),
					part: tops === 1 ? 'torso' : 'feet',
					thingIds: [],
					message: `${cell.name}: a long stand after effort, and no dry ${missing.join(' or ')} to change into.`,
					reasons: [
						reason('dryChange', [
							['effort before', worked, 'min'],
							['stand', cell.minutes, 'min']
						])
					]
				}
			];
		}
		if (cell.heated) worked = 0;
	}
	return [];
};

/** From so many layers on the legs, and so cold or wet, undressing wants a plan (our assumption). */
const MANY_LAYERS = 3;
const ACCESS_FELT_C = -10;
const ACCESS_MIN = 240;
const access: FindingRule = (facts) => {
	const outside = facts.phases.filter(({ cell }) => lived(cell) && isOut(cell));
	const minutes = outside.reduce((sum, { cell }) => sum + cell.minutes, 0);
	if (minutes < ACCESS_MIN) return [];
	const hard = outside.find(({ cell, outfit }) => {
		const legs = outfit.filter(({ cloth }) => covers(cloth, 'thighs')).map(({ cloth }) => cloth);
		const opens = legs.some(
			({ features }) => features.includes('drop-seat') || features.includes('full-side-zip')
		);
		return (cell.feltTempC <= ACCESS_FELT_C || cell.rainMinutes > 0) && legs.length >= MANY_LAYERS && !opens;
	});
	if (!hard) return [];
	return [
		{
			code: 'not-asked',
			severity: 'note',
			...at(facts, hard),
			part: 'access',
			thingIds: [],
			message: `Ask ${facts.client.name} how relief works with three layers on the legs on “${hard.cell.name}”: clips, zips, a drop seat.`,
			reasons: [reason('access', [['hours outside', minutes / 60, 'h']])]
		}
	];
};

/** Ski boots reach at least so high, and leave room for little, cm and steps (our assumption). */
const SKI_BOOT_CM = 24;
const SKI_BOOT_ROOM = 3;
const bottomsInBoot: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'bottomsInBoot',
		'legs',
		'note',
		(phase) => {
			const worn = clothsOf(phase);
			const boot = worn.some(
				({ heightCm, roomSteps, positions }) =>
					positions[0] >= 4 && heightCm >= SKI_BOOT_CM && roomSteps <= SKI_BOOT_ROOM
			);
			const long = ({ positions, functions, covers: parts }: Cloth): boolean =>
				positions[0] <= 1 && functions.includes('skin') && (parts.calves ?? 0) >= 0.9;
			return boot ? (worn.find((cloth) => long(cloth) && !covers(cloth, 'feet')) ?? null) : null;
		},
		(_, cloth) =>
			`the hem of ${cloth.name} ends inside the boot and presses. Pull it up over the sock, or three-quarter length.`
	);

/** In air below this, and in water, something warm goes under waders, °C (our assumption). */
const WADERS_COLD_C = 12;
const underWaders: FindingRule = (facts) =>
	firstAtFault(
		facts,
		'underWaders',
		'legs',
		'warning',
		(phase) => {
			const legs = clothsOf(phase).filter((cloth) => covers(cloth, 'thighs'));
			const waders = legs.find(({ waterGrade }) => waterGrade === 'rubber');
			const under = legs.some((cloth) => cloth !== waders && cloth.functions.includes('skin'));
			return waders && !under && phase.cell.airTempC < WADERS_COLD_C ? waders : null;
		},
		(_, cloth) => `nothing warm under ${cloth.name}. Long underwear, below 0 °C warm trousers too.`
	);

const burns: FindingRule = (facts) => {
	const night = facts.phases.find(({ cell }) => cell.kind === 'sleep' && !cell.heated);
	const hot = facts.kit.find(
		({ typeId, watts }) => watts > 0 || typeId === 'warmers-hand' || typeId === 'warmers-foot'
	);
	if (!hot || !(night || facts.person.careful)) return [];
	return [
		{
			code: 'burns',
			severity: 'note',
			...whole(facts),
			part: 'sleep',
			thingIds: [hot.thingId],
			message: `${hot.name}: never on bare skin, never asleep, and not where feeling is poor; a doctor knows.`,
			reasons: [reason('burns')]
		}
	];
};

const bagUnclear: FindingRule = (facts) => {
	const night = facts.phases.find(({ cell }) => cell.kind === 'sleep' && !cell.heated);
	const bag = facts.kit.find(({ comfortTempC, bagScale }) => comfortTempC < 20 && bagScale === 'unclear');
	if (!night || !bag) return [];
	return [
		{
			code: 'not-asked',
			severity: 'note',
			...at(facts, night),
			part: 'sleep',
			thingIds: [bag.thingId],
			message: `Ask ${facts.client.name} what the number on “${bag.name}” means: °C or °F, comfort or limit. Until then the night is not judged.`,
			reasons: [reason('bagUnclear')]
		}
	];
};

interface Gear {
	typeIds: readonly string[];
	words: string;
	asks: (cell: Cell) => boolean;
}
/** Things that are not clothes but decide the day, and when. */
const GEAR: readonly Gear[] = [
	{
		typeIds: ['torch'],
		words: 'a head torch',
		asks: (cell) => cell.light === 'dark' && isOut(cell)
	},
	{
		typeIds: ['cleats', 'boot-mountain'],
		words: 'light cleats: there may be ice underfoot',
		asks: (cell) => cell.ground === 'ice' && cell.kind === 'move' && isOut(cell)
	},
	{
		typeIds: ['lights-bike'],
		words: 'lights on the bicycle',
		asks: (cell) => cell.marks.includes('pedals') && cell.light !== 'day' && isOut(cell)
	},
	{
		typeIds: ['bag-dry', 'pack-cover'],
		words: 'a roll-top bag or a rain cover, so that wet and dry stay apart',
		asks: (cell) => cell.rainMinutes >= 120 && isOut(cell)
	}
];
const gearForThis: FindingRule = (facts) =>
	GEAR.flatMap(({ typeIds, words, asks }): Finding[] => {
		const phase = facts.phases.find(({ cell }) => lived(cell) && asks(cell));
		const own = facts.client.things.filter(
			({ typeId, deletedAt }) => deletedAt === null && typeIds.includes(typeId)
		);
		const has = own.some(
			({ quantity: { state, value } }) => (state === 'has' || state === 'assumed') && (value ?? 0) > 0
		);
		if (!phase || has) return [];
		const hasNot = own.some(({ quantity }) => quantity.state === 'has not');
		return [
			{
				code: hasNot ? 'gearForThis' : 'not-asked',
				severity: hasNot ? 'warning' : 'note',
				...at(facts, phase),
				part: typeIds[0]!,
				thingIds: [],
				message: hasNot
					? `${phase.cell.name}: there is no ${words.replace(/^an? /, '')}.`
					: `Ask ${facts.client.name}: ${words}? Needed from “${phase.cell.name}” on.`,
				reasons: [reason('gearForThis')]
			}
		];
	});

const frozenFilter: FindingRule = (facts) => {
	const night = facts.phases.find(({ cell }) => !cell.heated && cell.airTempC < 0 && cell.kind === 'sleep');
	const filter = facts.kit.find(({ typeId }) => typeId === 'filter');
	if (!night || !filter) return [];
	return [
		{
			code: 'frozenFilter',
			severity: 'note',
			...whole(facts),
			part: 'sleep',
			thingIds: [filter.thingId],
			message: `${filter.name}: into the sleeping bag at night, it is lost once frozen.`,
			reasons: [reason('frozenFilter', [['night', night.cell.airTempC, '°C']])]
		}
	];
};

export const GARMENT_RULES: Readonly<Record<string, FindingRule>> = {
	unmetRequirements,
	squeezed,
	sockHeight,
	wetCuff,
	downWet,
	cottonLegs,
	hoods,
	electricHeat,
	vapourSock,
	inWater,
	spareShades,
	dryChange,
	bottomsInBoot,
	underWaders,
	burns,
	access,
	bagUnclear,
	gearForThis,
	frozenFilter
};
