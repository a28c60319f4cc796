import { describe, expect, it } from 'vitest';
import { LANGUAGES } from '../../core/document/client-facts';
import { invitation, reminder } from './letters';

describe('letters to a client', () => {
	it('carry the link once, in every language', () => {
		for (const language of LANGUAGES) {
			const text = invitation(language, 'Ada', 'Hut round', 'http://127.0.0.1/c/abc');
			expect(text.match(/http:\/\/127\.0\.0\.1\/c\/abc/g)).toHaveLength(1);
			expect(text).toContain('Ada');
			expect(text).toContain('Hut round');
		}
	});
	it('remind of what is missing, and never carry a link', () => {
		const far = { openedAt: null, madeAt: '2027-01-05T10:00:00.000Z', packed: 0, toGet: [] };
		expect(reminder('en', 'Ada', 'Hut round', far)).toBe(
			'Hello Ada, you have not opened your list for Hut round yet. It is the link of Tue 5 January. Is anything unclear? Ask on the page, and we answer there.'
		);
		const opened = { ...far, openedAt: far.madeAt };
		expect(reminder('en', 'Ada', 'Hut round', opened)).toContain('waits for its first tick');
		expect(
			reminder('de', 'Ada', 'Hut round', { ...opened, packed: 3, toGet: ['Rain trousers', 'Gaiters'] })
		).toMatch(/3 Teile für Hut round abgehakt\. Noch zu besorgen: Rain trousers und Gaiters\./);
	});
});
