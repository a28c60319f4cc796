import type { SweatStore } from '../body/two-node';
import type { Fibre } from '../document/types';

const COTTON: SweatStore = { capacityGm2: 240, lostClo: 0.25, coolingShare: 0.85 };
const FAST: SweatStore = { capacityGm2: 80, lostClo: 0.12, coolingShare: 0.6 };
const WOOL: SweatStore = { capacityGm2: 150, lostClo: 0.18, coolingShare: 0.7 };

/** What a layer next to the skin holds of sweat, by its fibre (our assumption; wool and blends lie between). */
export const SWEAT_STORE: Readonly<Record<Fibre, SweatStore>> = {
	cotton: COTTON,
	'waxed-cotton': COTTON,
	wool: WOOL,
	blend: WOOL,
	synthetic: FAST,
	'synthetic-fill': FAST,
	down: WOOL,
	leather: WOOL,
	rubber: FAST,
	other: FAST
};
