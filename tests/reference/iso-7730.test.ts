import { describe, expect, it } from 'vitest';
import { CATALOGUE_ROWS } from '../../src/lib/core/cloth/catalogue-rows';
import { REGIONS, type Region, bodyCoverage, regionCoverage } from '../../src/lib/core/cloth/parts';
import { basicClo, localFromWholeBodyClo, regionStillM2kw } from '../../src/lib/core/cloth/supply';
import { type Coverage } from '../../src/lib/core/document/parts';

const TOP: Coverage = { torso: 1, arms: 0.95 };
const SLEEVELESS: Coverage = { torso: 0.95 };
const SHORT_SLEEVES: Coverage = { torso: 1, arms: 0.35 };
const LEGS: Coverage = { torso: 0.1, thighs: 1, calves: 1 };
const LONG: Coverage = { thighs: 1, calves: 0.95 };
const SUIT: Coverage = { torso: 1, arms: 0.95, thighs: 1, calves: 1 };
const COAT: Coverage = { torso: 1, arms: 1, thighs: 0.6 };
const FEET: Coverage = { feet: 1 };

/** Table C.2: whole-body insulation of single garments, clo, and what each covers. */
const GARMENTS = {
	briefs: [0.03, { torso: 0.1, thighs: 0.25 }],
	'long underpants': [0.1, LONG],
	singlet: [0.04, SLEEVELESS],
	'T-shirt': [0.09, SHORT_SLEEVES],
	'long-sleeved vest': [0.12, TOP],
	'shirt, short sleeves': [0.15, SHORT_SLEEVES],
	'shirt, normal': [0.25, TOP],
	'shirt, flannel': [0.3, TOP],
	shorts: [0.06, { torso: 0.1, thighs: 0.6 }],
	'trousers, light': [0.2, LEGS],
	'trousers, normal': [0.25, LEGS],
	'vest, sleeveless': [0.12, SLEEVELESS],
	'thin sweater': [0.2, TOP],
	sweater: [0.28, TOP],
	'thick sweater': [0.35, TOP],
	'jacket, light': [0.25, TOP],
	jacket: [0.35, TOP],
	smock: [0.3, TOP],
	'boiler suit, work': [0.49, SUIT],
	'high-pile trousers': [0.35, LEGS],
	'high-pile jacket': [0.4, TOP],
	coat: [0.6, COAT],
	parka: [0.7, COAT],
	socks: [0.02, FEET],
	shoes: [0.04, FEET],
	boots: [0.1, FEET],
	gloves: [0.05, { hands: 1 }]
} as const satisfies Record<string, readonly [number, Coverage]>;
type Garment = keyof typeof GARMENTS;

/** Table C.1: ensembles and their measured insulation, clo. */
const ENSEMBLES: [clo: number, worn: Garment[]][] = [
	[0.5, ['briefs', 'shirt, short sleeves', 'trousers, light', 'socks', 'shoes']],
	[0.7, ['briefs', 'shirt, normal', 'trousers, normal', 'socks', 'shoes']],
	[0.7, ['briefs', 'boiler suit, work', 'socks', 'shoes']],
	[0.8, ['briefs', 'shirt, normal', 'boiler suit, work', 'socks', 'shoes']],
	[0.9, ['briefs', 'shirt, normal', 'trousers, normal', 'smock', 'socks', 'shoes']],
	[1.0, ['briefs', 'shirt, normal', 'trousers, normal', 'jacket', 'socks', 'shoes']],
	[
		1.3,
		[
			'long-sleeved vest',
			'long underpants',
			'shirt, normal',
			'trousers, normal',
			'sweater',
			'jacket',
			'socks',
			'shoes'
		]
	],
	[
		1.5,
		[
			'T-shirt',
			'briefs',
			'shirt, normal',
			'trousers, normal',
			'vest, sleeveless',
			'jacket',
			'coat',
			'socks',
			'shoes'
		]
	]
];

function ourClo(worn: readonly Garment[]): number {
	const totals = Object.fromEntries(
		REGIONS.map((region) => [
			region,
			regionStillM2kw(
				worn.map((name) => {
					const [whole, covers] = GARMENTS[name];
					return {
						localClo: localFromWholeBodyClo(whole, bodyCoverage(covers)),
						share: regionCoverage(covers)[region],
						airPermeability: 8
					};
				})
			)
		])
	) as Record<Region, number>;
	return basicClo(totals);
}
function standardClo(worn: readonly Garment[]): number {
	const sum = worn.reduce((total, name) => total + GARMENTS[name][0], 0);
	return Math.min(sum, 0.161 + 0.835 * sum);
}
const rms = (own: (worn: readonly Garment[]) => number): number =>
	Math.sqrt(ENSEMBLES.reduce((sum, [clo, worn]) => sum + (own(worn) - clo) ** 2, 0) / ENSEMBLES.length);

describe('ISO 7730 Table C.1 ensembles from Table C.2 garments (from memory)', () => {
	it('regions side by side come within 0.15 clo RMS', () => {
		expect(rms(ourClo)).toBeLessThan(0.15);
	});
	it('the standard’s own sum is kept beside it, within 0.2 clo RMS', () => {
		expect(rms(standardClo)).toBeLessThan(0.2);
	});
	it.each(ENSEMBLES)('%f clo ensemble comes within 0.35 clo', (clo, worn) => {
		expect(Math.abs(ourClo(worn) - clo)).toBeLessThan(0.35);
	});
});

describe('ISO 7730 Table C.2 garments (from memory)', () => {
	const CATALOGUE_FROM_TABLE: [typeId: string, row: Garment][] = [
		['briefs', 'briefs'],
		['bottoms-wool', 'long underpants'],
		['bottoms-synthetic', 'long underpants'],
		['singlet', 'singlet'],
		['tshirt-cotton', 'T-shirt'],
		['top-wool-light', 'long-sleeved vest'],
		['top-synthetic', 'long-sleeved vest'],
		['top-cotton', 'long-sleeved vest'],
		['shirt-flannel', 'shirt, flannel'],
		['fleece-thin', 'thin sweater'],
		['fleece', 'thick sweater'],
		['sweater-wool', 'sweater'],
		['jacket-waxed', 'jacket, light'],
		['shorts', 'shorts'],
		['trousers-trek', 'trousers, light'],
		['trousers-soft-shell', 'trousers, normal'],
		['jeans', 'trousers, normal']
	];
	it.each(CATALOGUE_FROM_TABLE)('%s carries the value of “%s”', (typeId, row) => {
		const own = Object.values(CATALOGUE_ROWS)
			.flatMap((group) => Object.entries(group))
			.find(([id]) => id === typeId)![1];
		expect('tableClo' in own.warm && own.warm.tableClo).toBe(GARMENTS[row][0]);
	});
});
