import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	METRIC,
	type MeasureUnit,
	type Quantity,
	UNIT_CHOICES,
	type Units,
	forField,
	fromUnit,
	massForField,
	massFromField,
	massWords,
	measureWords,
	tempWords,
	toUnit,
	unitWord,
	unitsCookie,
	unitsFrom,
	valueInUnits,
	withUnit
} from './units';

const US: Units = { temp: 'F', height: 'ft', speed: 'mph', mass: 'lb', date: 'md' };
const anyUnits = fc.record({
	temp: fc.constantFrom(...UNIT_CHOICES.temp),
	height: fc.constantFrom(...UNIT_CHOICES.height),
	speed: fc.constantFrom(...UNIT_CHOICES.speed),
	mass: fc.constantFrom(...UNIT_CHOICES.mass),
	date: fc.constantFrom(...UNIT_CHOICES.date)
});
const anyQuantity = fc.constantFrom<Quantity>('temp', 'difference', 'lapse', 'height', 'speed');

describe('units', () => {
	it.each([
		['temp', -40, -40],
		['temp', 0, 32],
		['difference', 5, 9],
		['height', 1000, 3280.84],
		['speed', 100, 62.137],
		['lapse', 6.5, 3.566]
	] as const)('%s %d is %d in feet, miles and °F', (quantity, si, shown) => {
		expect(toUnit(quantity, si, US)).toBeCloseTo(shown, 2);
	});
	it('come back as they were, whatever the unit', () => {
		fc.assert(
			fc.property(
				anyUnits,
				anyQuantity,
				fc.double({ min: -60, max: 8900, noNaN: true }),
				(units, quantity, si) => {
					expect(fromUnit(quantity, toUnit(quantity, si, units), units)).toBeCloseTo(si, 5);
				}
			)
		);
	});
	it('never drift: what a field shows, typed again in the same unit, shows the same', () => {
		fc.assert(
			fc.property(
				anyUnits,
				anyQuantity,
				fc.double({ min: -60, max: 8900, noNaN: true }),
				(units, quantity, si) => {
					const shown = forField(quantity, si, units);
					expect(forField(quantity, fromUnit(quantity, shown, units), units)).toBe(shown);
				}
			)
		);
	});
	it('are kept in a cookie, and metric when it says nothing known', () => {
		fc.assert(
			fc.property(anyUnits, (units) => {
				expect(unitsFrom(unitsCookie(units))).toEqual(units);
			})
		);
		expect(unitsFrom(undefined)).toEqual(METRIC);
		expect(unitsFrom('K.furlong.ms.kg')).toEqual({ ...METRIC, speed: 'ms' });
	});
	it('stand beside the figure', () => {
		expect([tempWords(-12.4, METRIC), tempWords(-12.4, US)]).toEqual(['−12°', '10°F']);
		expect([withUnit('speed', 36, { ...METRIC, speed: 'ms' }), withUnit('height', 1000, US)]).toEqual([
			'10 m/s',
			'3281 ft'
		]);
		expect([
			massWords(250, US),
			massWords(1500, US),
			massWords(250, METRIC),
			massWords(1500, METRIC)
		]).toEqual(['9 oz', '3.3 lb', '250 g', '1.5 kg']);
		expect(unitWord('lapse', US)).toBe('°F per 1000 ft');
	});
	it('of a sentence are those of the reader, and minutes stay minutes', () => {
		const inUnits = (value: number, unit: MeasureUnit): string => measureWords({ value, unit }, US);
		expect(inUnits(-31, '°C')).toBe('−24 °F');
		expect(inUnits(1840, 'm')).toBe('6037 ft');
		expect(inUnits(48, 'km/h')).toBe('30 mph');
		expect(inUnits(6, 'K')).toBe('10.8 °F');
		expect(inUnits(6.5, 'K per 1000 m')).toBe('3.6 °F per 1000 ft');
		expect(inUnits(30, 'min')).toBe('30 min');
		expect(inUnits(3.5, 'm/s')).toBe('8 mph');
		expect([2600, 10].map((value) => measureWords({ value, unit: 'm' }, METRIC))).toEqual(['2600 m', '10 m']);
		expect(measureWords({ value: -2, unit: '°C' }, METRIC)).toBe('−2 °C');
		expect(measureWords({ value: 3, unit: 'h' }, METRIC)).toBe('3 h');
		expect(measureWords({ value: 31, unit: 'l' }, METRIC)).toBe('31 litres');
	});
	it('of a reason are those of the reader where there is a choice', () => {
		expect(valueInUnits(-10, '°C', US)).toEqual({ value: 14, unit: '°F' });
		expect(valueInUnits(40, 'Wh/m²', US)).toEqual({ value: 40, unit: 'Wh/m²' });
	});
	it('types weight in kilograms or pounds, and keeps grams', () => {
		const pounds = { ...METRIC, mass: 'lb' } as const;
		expect([massForField(850, METRIC), massFromField(0.85, METRIC)]).toEqual([0.85, 850]);
		expect([massForField(453.6, pounds), massFromField(2, pounds)]).toEqual([1, 907]);
	});
});
