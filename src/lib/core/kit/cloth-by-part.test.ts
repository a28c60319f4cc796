import { describe, expect, it } from 'vitest';
import { clothWorn } from '../../../../tests/fixtures/make';
import { LOST_WHEN_FULL } from '../heat/wet-cloth';
import { clothByPart } from './cloth-by-part';

const worn = (...outfit: ReturnType<typeof clothWorn>[]): ReturnType<typeof clothByPart> =>
	clothByPart({ outfit, wetness: {}, wet: [] });

describe('clothByPart', () => {
	it('says from the skin out what each layer covers, and how warm it is there', () => {
		const layers = worn(clothWorn('coat-down', 5), clothWorn('tshirt-cotton', 1), clothWorn('sunglasses', 1));
		expect(layers.map(({ layer }) => layer.cloth.typeId)).toEqual([
			'tshirt-cotton',
			'sunglasses',
			'coat-down'
		]);
		const [shirt, glasses, coat] = layers.map(({ parts }) => parts);
		expect(shirt!.get('arms')!.share).toBe(0.35);
		expect(shirt!.has('thighs')).toBe(false);
		expect(coat!.get('torso')!.clo).toBeGreaterThan(shirt!.get('torso')!.clo);
		expect(glasses).toEqual(new Map([['eyes', { share: 1, clo: 0 }]]));
	});
	it('counts what an open front, water and a tight layer take away', () => {
		const fleece = clothWorn('fleece', 2);
		const dry = worn(fleece)[0]!.parts.get('torso')!.clo;
		expect(worn({ ...fleece, opening: 'open' })[0]!.parts.get('torso')!.clo).toBeCloseTo(0.6 * dry);
		const id = fleece.cloth.thingId;
		const wet = clothByPart({
			outfit: [fleece],
			wetness: { [id]: 1 },
			wet: [{ thingId: id, share: 1, sweat: 0 }]
		});
		expect(wet[0]!.parts.get('torso')!.clo).toBeCloseTo((1 - LOST_WHEN_FULL.synthetic) * dry);
		expect(wet[0]!.wet).toBe(1);
		const tight = { ...clothWorn('hard-shell', 4) };
		tight.cloth = { ...tight.cloth, roomSteps: 0 };
		expect(worn(fleece, tight)[0]!.parts.get('torso')!.clo).toBeLessThan(dry);
	});
	it('lets wet gloves lose their share as a whole', () => {
		const glove = clothWorn('glove-light', 2);
		const dry = worn(glove)[0]!.parts.get('hands')!.clo;
		const wet = clothByPart({ outfit: [glove], wetness: { [glove.cloth.thingId]: 1 }, wet: [] });
		expect(wet[0]!.parts.get('hands')!.clo).toBeCloseTo(dry / 2);
	});
});
