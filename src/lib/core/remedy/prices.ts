import { CLIENT_FACTS } from '../document/client-facts';

/**
 * What a thing of a type costs to buy new, at three price levels: plain, usual, fine, in the currency of the house. Invented
 * defaults for a start (our assumption); types that nobody buys for one trip are left out.
 */
export const PRICE_LEVELS = CLIENT_FACTS.priceLevel.oneOf;
export type PriceLevel = (typeof PRICE_LEVELS)[number];

export const PRICES: HousePrices = {
	'cap-thin': [8, 20, 35],
	'hat-warm': [10, 25, 45],
	balaclava: [12, 25, 45],
	'neck-tube': [6, 15, 25],
	'sun-cap': [8, 20, 35],
	'hat-rain': [20, 40, 70],
	sunglasses: [15, 60, 150],
	'glacier-glasses': [40, 90, 200],
	goggles: [30, 80, 180],
	'helmet-ski': [50, 100, 200],
	'helmet-climb': [40, 70, 130],
	'helmet-bike': [25, 70, 160],
	'top-wool-light': [35, 70, 100],
	'top-wool-mid': [40, 80, 120],
	'top-synthetic': [15, 35, 60],
	'fleece-thin': [20, 50, 90],
	fleece: [25, 65, 130],
	'vest-insulated': [35, 90, 160],
	'jacket-synthetic-light': [50, 120, 220],
	'jacket-down-light': [60, 150, 280],
	'coat-synthetic': [90, 200, 350],
	'coat-down': [130, 280, 550],
	'wind-shirt': [25, 70, 130],
	'soft-shell': [50, 120, 230],
	'rain-shell': [45, 130, 260],
	'hard-shell': [120, 260, 480],
	'jacket-ski': [90, 220, 450],
	'vest-visible': [6, 12, 25],
	poncho: [15, 40, 80],
	'glove-liner': [8, 20, 35],
	'glove-light': [12, 30, 55],
	'glove-winter': [25, 60, 110],
	mitten: [30, 70, 140],
	'overmitt-shell': [25, 50, 90],
	'overmitt-down': [50, 110, 180],
	briefs: [8, 20, 35],
	'bottoms-wool': [35, 70, 100],
	'bottoms-synthetic': [15, 35, 60],
	'bottoms-fleece': [20, 45, 80],
	shorts: [15, 40, 80],
	'trousers-trek': [30, 80, 150],
	'trousers-soft-shell': [45, 110, 200],
	'trousers-ski': [70, 160, 320],
	'trousers-rain': [30, 70, 140],
	'trousers-hard-shell': [80, 180, 340],
	'overtrousers-warm': [70, 140, 240],
	'tights-cycling': [25, 60, 120],
	'sock-light': [6, 14, 22],
	'sock-mid': [8, 18, 28],
	'sock-heavy': [10, 22, 32],
	'sock-ski': [10, 25, 40],
	'sock-waterproof': [20, 40, 60],
	'shoe-trail': [50, 110, 170],
	'boot-hiking': [70, 160, 280],
	'boot-winter': [70, 150, 280],
	'boot-mountain': [150, 280, 450],
	'boot-ski': [150, 300, 550],
	'boot-ski-touring': [250, 450, 700],
	'boot-snowboard': [110, 220, 380],
	'boot-rubber': [20, 50, 110],
	'boot-wading': [70, 140, 240],
	waders: [90, 200, 450],
	gaiters: [20, 45, 80],
	slippers: [8, 20, 45],
	'bag-summer': [30, 90, 220],
	'bag-three-season': [60, 160, 380],
	'bag-winter': [110, 280, 600],
	'mat-seat': [5, 12, 25],
	torch: [15, 40, 80],
	cleats: [15, 35, 60]
};

/** Prices at the three levels, by type, where a house knows better. */
export type HousePrices = Readonly<Record<string, readonly [plain: number, usual: number, fine: number]>>;

/** Types that can be bought, by the house's list and the first guess. */
export const pricedTypes = (own: HousePrices = {}): string[] => [
	...new Set([...Object.keys(PRICES), ...Object.keys(own)])
];

/** @returns the price of a type, by the house where it says one; null where no list has it */
export const priceOf = (typeId: string, level: PriceLevel, own: HousePrices = {}): number | null =>
	(own[typeId] ?? PRICES[typeId])?.[PRICE_LEVELS.indexOf(level)] ?? null;
