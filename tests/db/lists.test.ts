import ExcelJS from 'exceljs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createClient } from '../../src/lib/server/db/clients';
import { FIRST_HOUSE } from '../../src/lib/server/db/house';
import { saveDecisions } from '../../src/lib/server/db/lending/decisions';
import { getEdits, getEverybody, saveEdit, saveEverybody } from '../../src/lib/server/db/packing/lists';
import { closePool, ConflictError, NotFoundError, pool, write } from '../../src/lib/server/db/pool';
import { createTrip } from '../../src/lib/server/db/trips';
import { calendarOf } from '../../src/lib/server/files/calendar';
import { listCsv, listXlsx } from '../../src/lib/server/files/list-files';
import { dueInHouse, dueOnTrip } from '../../src/lib/server/plans/due';
import type { ListRow } from '../../src/lib/words/list-story';
import { startWithEmptyHouse } from '../fixtures/empty-database';

beforeAll(startWithEmptyHouse);
afterAll(closePool);

const TORCH = { id: 'torch', what: 'Head torch', typeId: 'torch', many: 1, why: 'dark at five' };
const PASS = { id: 'pass', what: 'Passport', typeId: null, many: 1, why: '' };

describe('the operator’s own list', () => {
	it('is saved whole, in its order, by version', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Everybody', place: '' });
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [], version: 0 });
		expect(await saveEverybody(FIRST_HOUSE, trip, { rows: [TORCH, PASS], version: 0 })).toBe(1);
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [TORCH, PASS], version: 1 });
		await expect(saveEverybody(FIRST_HOUSE, trip, { rows: [], version: 0 })).rejects.toThrow(ConflictError);
		// A row that cannot be kept leaves all as it was.
		const bad = { ...PASS, id: 'torch' };
		await expect(saveEverybody(FIRST_HOUSE, trip, { rows: [TORCH, bad], version: 1 })).rejects.toThrow();
		expect(await getEverybody(FIRST_HOUSE, trip)).toEqual({ rows: [TORCH, PASS], version: 1 });
		await saveEverybody(FIRST_HOUSE, trip, { rows: [PASS, TORCH], version: 1 });
		expect((await getEverybody(FIRST_HOUSE, trip)).rows.map(({ id }) => id)).toEqual(['pass', 'torch']);
		await expect(getEverybody('another-house', trip)).rejects.toThrow(NotFoundError);
	});
});

describe('a line changed by hand', () => {
	it('stays until the change is taken back', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'By hand', place: '' });
		const client = await createClient(FIRST_HOUSE, 'Ada', trip);
		const five = { lineId: 'fleece', what: null, many: 5, isOff: false };
		const own = { lineId: 'own-1', what: 'Playing cards', many: null, isOff: false };
		await saveEdit(FIRST_HOUSE, trip, client, five);
		await saveEdit(FIRST_HOUSE, trip, client, own);
		expect(await getEdits(trip, client)).toEqual([five, own]);
		await saveEdit(FIRST_HOUSE, trip, client, { ...five, many: null, isOff: true });
		await saveEdit(FIRST_HOUSE, trip, client, { ...own, what: null });
		expect(await getEdits(trip, client)).toEqual([{ ...five, many: null, isOff: true }]);
		await expect(saveEdit(FIRST_HOUSE, trip, 'nobody', five)).rejects.toThrow(NotFoundError);
		await expect(saveEdit('another-house', trip, client, five)).rejects.toThrow(NotFoundError);
	});
});

describe('what is due', () => {
	it('is told by date for a trip and for the house, until it is there', async () => {
		const trip = await createTrip(FIRST_HOUSE, { name: 'Due', place: '' });
		await write(pool(), "UPDATE trips SET first_date = '2027-02-10', last_date = '2027-02-12' WHERE id = ?", [
			trip
		]);
		const client = await createClient(FIRST_HOUSE, 'Bo Lind', trip);
		const get = { decided: 'get', way: 'buy', refusal: null, cost: 10, because: '“Top”' } as const;
		await saveDecisions(FIRST_HOUSE, trip, client, [
			{ ...get, typeId: 'hat-warm', name: 'Warm hat', days: 1 },
			{ ...get, typeId: 'coat-down', name: 'Big coat, down', days: 5 },
			{
				...get,
				typeId: 'fleece',
				name: 'Fleece',
				days: 9,
				decided: 'decline',
				way: null,
				refusal: 'too dear'
			}
		]);
		const { due } = await dueOnTrip(FIRST_HOUSE, trip);
		expect(due.map(({ on, title }) => [on, title])).toEqual([
			['2027-02-05', 'Bo: big coat, buy'],
			['2027-02-09', 'Bo: warm hat, buy']
		]);
		expect(await dueInHouse(FIRST_HOUSE, '2027-01-01')).toEqual(due);
		expect(await dueInHouse(FIRST_HOUSE, '2027-02-11')).toEqual([]);
		await expect(dueOnTrip('another-house', trip)).rejects.toThrow(NotFoundError);
	});
});

describe('files', () => {
	const ROWS: ListRow[] = [
		{ section: 'In the pack', thing: 'Fleece, "old"', many: 2, has: 1, note: 'from day 2; ä' },
		{ section: 'Small things', thing: '=1+1', many: 1, has: null, note: '' }
	];
	it('are read again by a spreadsheet, and no name becomes a formula', async () => {
		const book = new ExcelJS.Workbook();
		await book.xlsx.load((await listXlsx('Ada: list/1', ROWS)) as unknown as ArrayBuffer);
		const [sheet] = book.worksheets;
		expect(sheet!.name).toBe('Ada  list 1');
		expect(sheet!.getRow(2).values).toEqual([, 'In the pack', 'Fleece, "old"', 2, 1, 'from day 2; ä']); // eslint-disable-line no-sparse-arrays
		expect(sheet!.getCell('B3').type).toBe(ExcelJS.ValueType.String);
		const csv = listCsv(ROWS);
		expect(csv.split('\r\n')[1]).toBe('In the pack,"Fleece, ""old""",2,1,from day 2; ä');
		expect(csv).toContain("'=1+1");
	});
	it('of dates are whole days that end the day after, with the same name for the same thing', () => {
		const text = calendarOf([
			{ uid: 'a@snug-summit', title: 'Trip; with, signs', note: '', from: '2027-02-10', to: '2027-02-12' }
		]);
		expect(text).toContain('UID:a@snug-summit');
		expect(text).toContain('DTSTART;VALUE=DATE:20270210');
		expect(text).toContain('DTEND;VALUE=DATE:20270213');
		expect(text).toContain('SUMMARY:Trip\\; with\\, signs');
		expect(() => calendarOf([{ uid: 'b', title: 'x', note: '', from: 'never', to: 'never' }])).toThrow();
	});
});
