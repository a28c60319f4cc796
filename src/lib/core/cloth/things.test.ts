import { describe, expect, it } from 'vitest';
import { thingOf } from '../../../../tests/fixtures/make';
import type { BagNumber, Properties } from '../document/types';
import { bagComfort, chargeWh, clothOf, isAvailableOn } from './things';

const said = <T>(value: T): { value: T; source: 'client'; state: 'has' } => ({
	value,
	source: 'client',
	state: 'has'
});
const withFact = <K extends keyof Properties>(typeId: string, name: K, value: Properties[K]) =>
	clothOf(thingOf(typeId, { facts: { [name]: said(value) } }));

describe('the number on a sleeping bag', () => {
	it.each([
		[{ value: -5, unit: '°C', kind: 'comfort' }, -5],
		[{ value: 23, unit: '°F', kind: 'comfort' }, -5],
		[{ value: -10, unit: '°C', kind: 'limit' }, -4.5],
		[{ value: 14, unit: '°F', kind: 'limit' }, -4.5]
	] as const)('%j is a comfort of %d °C', (number, comfortC) => {
		expect(bagComfort(number as BagNumber)).toEqual({ bagScale: 'comfort', comfortTempC: comfortC });
		expect(withFact('bag-winter', 'bagNumber', number as BagNumber).comfortTempC).toBeCloseTo(comfortC, 9);
	});
	it.each([
		{ value: 20, unit: 'unclear', kind: 'comfort' },
		{ value: 20, unit: '°F', kind: 'unclear' }
	] as const)('%j is a question', (number) => {
		expect(withFact('bag-winter', 'bagNumber', number).bagScale).toBe('unclear');
	});
});

describe('what a battery holds', () => {
	it('is read from Wh, and from mAh at 3.7 V', () => {
		expect(chargeWh({ value: 37, unit: 'Wh' })).toBe(37);
		expect(chargeWh({ value: 10_000, unit: 'mAh' })).toBeCloseTo(37, 9);
		expect(withFact('power-bank', 'batteryCharge', { value: 20_000, unit: 'mAh' }).energyWh).toBeCloseTo(
			74,
			9
		);
	});
});

describe('a thing that comes later', () => {
	it('is there from its date on', () => {
		const cloth = withFact('fleece', 'availableFrom', '2027-01-24');
		expect(isAvailableOn(cloth, '2027-01-23')).toBe(false);
		expect(isAvailableOn(cloth, '2027-01-24')).toBe(true);
		expect(isAvailableOn(clothOf(thingOf('fleece')), '2027-01-01')).toBe(true);
	});
});
