import type { Feature, Fibre } from '../document/types';
import type { WaterGrade } from '../document/weather';

/** What single types can do, by id (our assumption for an ordinary garment of its kind; a fact about the thing wins). */
// prettier-ignore
export const FEATURES_OF: Readonly<Record<string, readonly Feature[]>> = {
	'cap-thin': ['under-helmet'], headband: ['under-helmet'], balaclava: ['under-helmet'], 'neck-tube': ['under-helmet'],
	scarf: ['loose-ends', 'town'], 'hat-warm': ['town'], 'top-hooded': ['hood', 'under-helmet'],
	goggles: ['under-helmet'], 'goggles-dark': ['under-helmet'],
	'shirt-flannel': ['full-zip', 'quiet-face', 'town'], 'shirt-wool': ['full-zip', 'quiet-face', 'town'], 'shirt-sun': ['full-zip', 'town'],
	'fleece-thin': ['half-zip', 'quiet-face'], fleece: ['full-zip', 'quiet-face'], 'sweater-wool': ['quiet-face', 'town'],
	'vest-insulated': ['full-zip'], 'vest-down': ['full-zip', 'packs-into-itself'], 'vest-electric': ['full-zip'],
	'vest-visible': ['high-visibility', 'reflective', 'quiet-face'],
	'jacket-synthetic-light': ['full-zip', 'packs-into-itself'], 'jacket-down-light': ['full-zip', 'packs-into-itself'],
	'coat-synthetic': ['hood', 'hood-over-helmet', 'two-way-zip'], 'coat-down': ['hood', 'hood-over-helmet', 'two-way-zip'],
	'wind-shirt': ['half-zip', 'hood', 'packs-into-itself'], 'wind-shirt-lined': ['full-zip', 'hood'],
	'soft-shell': ['full-zip', 'stays-tucked', 'short-tail', 'quiet-face'], 'soft-shell-lined': ['full-zip', 'quiet-face'],
	'rain-shell': ['full-zip', 'hood', 'packs-into-itself'], 'hard-shell': ['full-zip', 'hood', 'hood-over-helmet', 'two-way-zip', 'stays-tucked', 'vents', 'cuff-seal'],
	'jacket-ski': ['full-zip', 'hood', 'hood-over-helmet', 'vents', 'cuff-seal'], 'jacket-waxed': ['full-zip', 'quiet-face', 'abrasion', 'long-tail', 'town'],
	'jacket-denim': ['quiet-face', 'abrasion', 'town'], 'anorak-cotton': ['half-zip', 'hood', 'quiet-face', 'abrasion', 'no-melt', 'long-tail'],
	'jacket-wool-felt': ['full-zip', 'quiet-face', 'abrasion', 'no-melt', 'town'], 'coat-town': ['quiet-face', 'long-tail', 'town'],
	'jacket-motorbike': ['full-zip', 'armour-room', 'abrasion', 'reflective'], 'jacket-wading': ['full-zip', 'hood', 'cuff-seal', 'short-tail'],
	poncho: ['hood', 'loose-ends', 'long-tail'],
	'glove-liner': ['touch-screen'], 'glove-light': ['touch-screen'], 'glove-leather': ['abrasion', 'no-melt'], 'glove-wool': ['no-melt'],
	'glove-winter': ['cuff-seal', 'wrist-leash'], mitten: ['cuff-seal', 'wrist-leash'], 'overmitt-shell': ['cuff-seal'], 'overmitt-down': ['wrist-leash'],
	'glove-rubber': ['cuff-seal'],
	jeans: ['abrasion', 'town'], 'trousers-trek': ['town'], 'trousers-soft-shell': ['slim-cuff', 'stays-tucked', 'vents'],
	'trousers-wool': ['abrasion', 'no-melt', 'quiet-face', 'town'], 'trousers-canvas': ['abrasion', 'no-melt', 'quiet-face'],
	'trousers-motorbike': ['armour-room', 'abrasion'], 'trousers-ski': ['vents'], 'tights-running': ['slim-cuff'],
	'trousers-rain': ['packs-into-itself'], 'trousers-hard-shell': ['full-side-zip', 'drop-seat', 'slim-cuff'], 'overtrousers-warm': ['full-side-zip'],
	'shorts-insulated': ['full-side-zip'], gaiters: ['slim-cuff'],
	'shoe-low': ['town'], 'shoe-town': ['town'], 'shoe-trail': ['town'], 'sock-light': ['town'],
	'bag-dry': ['watertight'], 'pack-cover': ['watertight']
};

/** How far socks, boots and gaiters reach above the ankle, cm (our assumption). */
// prettier-ignore
export const HEIGHT_CM: Readonly<Record<string, number>> = {
	'sock-liner': 12, 'sock-light': 6, 'sock-mid': 18, 'sock-heavy': 36, 'sock-cotton': 6, 'sock-waterproof': 20, 'sock-vapour': 22,
	'shoe-trail': 0, 'shoe-low': 0, 'shoe-town': 0, 'boot-hiking': 8, 'boot-ski-touring': 24, 'boot-ski': 27, 'boot-winter': 16,
	'boot-pac': 22, 'boot-mountain': 12, 'boot-rubber': 28, 'boot-wading': 12, gaiters: 40, waders: 90
};

/** Days of wear before a wash (common practice); 0 is the whole trip. Next to skin only. */
export function usualWearDays(fibre: Fibre, isSkin: boolean, isSock: boolean, isUnderwear: boolean): number {
	if (!isSkin) return 0;
	if (isUnderwear) return 1;
	if (fibre === 'wool') return isSock ? 5 : 4;
	if (fibre === 'blend') return 3;
	return fibre === 'synthetic' && !isSock ? 2 : 1;
}

/** Resistance to vapour, m²·Pa/W (our assumption by kind of face; a membrane below 13 is good after ISO 11092, from memory). */
export function usualVapourResistance(fibre: Fibre, water: WaterGrade, airPermeability: number): number {
	if (water === 'rubber' || fibre === 'rubber') return 1000;
	if (fibre === 'waxed-cotton') return 30;
	if (water === 'taped' || water === 'light-membrane') return 10;
	if (airPermeability <= 2) return 15;
	return fibre === 'down' || fibre === 'synthetic-fill' ? 12 : 5;
}
