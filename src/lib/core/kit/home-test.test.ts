import { describe, expect, it } from 'vitest';
import { thingOf } from '../../../../tests/fixtures/make';
import { CATALOGUE, catalogueType } from '../cloth/catalogue';
import { loftLeft } from '../cloth/squeeze';
import { clothOf } from '../cloth/things';
import { checksOf, HOME_CHECKS, tested } from './home-test';

const usual = (typeId: string) => catalogueType(typeId).properties;
const after = (
	typeId: string,
	...[part, result]: [Parameters<typeof tested>[2], Parameters<typeof tested>[3]]
) => tested(thingOf(typeId), usual(typeId), part, result);

describe('the home test', () => {
	it('asks of each thing what can go wrong with it', () => {
		expect(checksOf(clothOf(thingOf('hard-shell')))).toEqual(['moves', 'helmet', 'rain', 'zips']);
		expect(checksOf(clothOf(thingOf('boot-hiking')))).toContain('socks');
		expect(checksOf(clothOf(thingOf('torch')))).toEqual(['batteries']);
		expect(checksOf(clothOf(thingOf('top-wool-light')))).toEqual([]);
		const asked = new Set(CATALOGUE.flatMap(({ id }) => checksOf(clothOf(thingOf(id)))));
		expect([...asked].sort()).toEqual([...HOME_CHECKS].sort());
	});
	it('what is too tight over the rest squeezes it, what passed does not, and both beat the sizes', () => {
		const under = [clothOf(thingOf('fleece')), clothOf(thingOf('coat-synthetic'))];
		const squeezed = (shell: ReturnType<typeof thingOf>): number =>
			Math.min(...loftLeft([...under, clothOf(shell)]).slice(0, 2));
		expect(squeezed(after('hard-shell', 'moves', 'pass'))).toBe(1);
		expect(squeezed(after('hard-shell', 'moves', 'fail'))).toBeLessThan(0.8);
		expect(clothOf(after('hard-shell', 'moves', 'fail')).roomIsTried).toBe(true);
		const tried = after('hard-shell', 'moves', 'fail');
		expect(tested(tried, usual('hard-shell'), 'moves', 'not done').facts.roomSteps).toBeUndefined();
	});
	it('a hood that goes over the helmet is one, and one that does not is none', () => {
		const passed = after('rain-shell', 'helmet', 'pass');
		expect(clothOf(passed).features).toContain('hood-over-helmet');
		const failed = tested(passed, usual('rain-shell'), 'helmet', 'fail');
		expect(clothOf(failed).features).toContain('hood');
		expect(clothOf(failed).features).not.toContain('hood-over-helmet');
		expect(tested(failed, usual('rain-shell'), 'helmet', 'not done').facts.features).toBeUndefined();
	});
	it('a face that soaks is worn out, and what does not close is not there until it is mended', () => {
		expect(clothOf(after('hard-shell', 'rain', 'fail')).face).toBe('worn out');
		const open = after('hard-shell', 'zips', 'fail');
		expect(open.quantity).toMatchObject({ value: 0, state: 'has not' });
		expect(tested(open, usual('hard-shell'), 'zips', 'pass').quantity).toMatchObject({
			value: 1,
			state: 'has'
		});
		expect(after('torch', 'batteries', 'pass').quantity).toEqual(thingOf('torch').quantity);
	});
});
