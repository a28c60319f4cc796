import { type Cloth, covers } from '../cloth/things';
import type { Fact, Properties, Thing } from '../document/types';

/** What is tried at home before a trip, everything on at once, and what a result makes of a thing. Common practice, no source. */

export const HOME_CHECKS = ['moves', 'helmet', 'socks', 'rain', 'zips', 'batteries'] as const;
export type HomeCheck = (typeof HOME_CHECKS)[number];
export const CHECK_RESULTS = ['pass', 'fail', 'not done'] as const;
export type CheckResult = (typeof CHECK_RESULTS)[number];

/** Layers from this position on go over others: whether they do is settled by putting them on. */
const OVER_OTHERS = 3;
/** More than this of any other layer goes under what passed, in steps of girth. */
const EVERYTHING_STEPS = 20;

/** What of the home test a thing is for. */
export const checksOf = (cloth: Cloth): HomeCheck[] => [
	...((covers(cloth, 'torso') || covers(cloth, 'thighs')) && cloth.positions[1] >= OVER_OTHERS
		? ['moves' as const]
		: []),
	...(covers(cloth, 'torso') && cloth.features.includes('hood') ? ['helmet' as const] : []),
	...(covers(cloth, 'feet') && cloth.positions[1] >= 4 ? ['socks' as const] : []),
	...(cloth.waterGrade !== 'none' && cloth.waterGrade !== 'rubber' ? ['rain' as const] : []),
	...(cloth.features.some((feature) => feature.includes('zip')) ? ['zips' as const] : []),
	...(cloth.watts > 0 || cloth.energyWh > 0 || cloth.typeId === 'torch' ? ['batteries' as const] : [])
];

const measured = <T>(value: T): Fact<T> => ({ value, source: 'measured', state: 'has' });
/** A thing with so many of it that can be used. */
const withQuantity = (thing: Thing, value: number): Thing => ({
	...thing,
	quantity: { value, source: 'client', state: value > 0 ? 'has' : 'has not' }
});

/**
 * A thing after a part of the home test. Too tight over the layers is kept as a try-on, which beats the sizes; what does not
 * close or has no power is not there until it is mended.
 * @param usual what the catalogue says of its type
 */
export function tested(thing: Thing, usual: Properties, check: HomeCheck, result: CheckResult): Thing {
	if (check === 'moves' || check === 'socks') {
		const { roomSteps: _, ...others } = thing.facts;
		if (result === 'not done') return { ...thing, facts: others };
		return { ...thing, facts: { ...others, roomSteps: measured(result === 'pass' ? EVERYTHING_STEPS : 0) } };
	}
	if (check === 'helmet') {
		const { features: own, ...others } = thing.facts;
		if (result === 'not done') return { ...thing, facts: others };
		const features = (own?.value ?? usual.features).filter((one) => one !== 'hood-over-helmet');
		return {
			...thing,
			facts: {
				...others,
				features: measured(result === 'pass' ? [...features, 'hood-over-helmet'] : features)
			}
		};
	}
	if (check === 'rain') {
		const { face: _, ...others } = thing.facts;
		if (result === 'not done') return { ...thing, facts: others };
		return { ...thing, facts: { ...others, face: measured(result === 'pass' ? 'fresh' : 'worn out') } };
	}
	if (result === 'fail') return withQuantity(thing, 0);
	return thing.quantity.value === 0 ? withQuantity(thing, 1) : thing;
}
