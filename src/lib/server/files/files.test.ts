import ExcelJS from 'exceljs';
import { describe, expect, it } from 'vitest';
import type { ListRow } from '../../words/remedy/list-story';
import { TooLargeError } from '../errors';
import { calendarOf } from './calendar';
import { listCsv, listXlsx } from './list-files';
import { sheetText, TableError } from './read-table';

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
	it('that are sent as a spreadsheet become lines with tabs', async () => {
		expect((await sheetText(await listXlsx('Ada', ROWS))).split('\n')).toEqual([
			'Where\tThing\tHow many\tHas\tNote',
			'In the pack\tFleece, "old"\t2\t1\tfrom day 2; ä',
			'Small things\t=1+1\t1\t\t'
		]);
		await expect(sheetText(Buffer.from('fleece, 2'))).rejects.toThrow(TableError);
		const broken = (await listXlsx('Ada', ROWS)).subarray(0, 900);
		await expect(sheetText(Buffer.from(broken))).rejects.toThrow(TableError);
		// A part that says of itself that it unpacks to more than any list is not unpacked.
		const bomb = Buffer.from(await listXlsx('Ada', ROWS));
		bomb.writeUInt32LE(4_000_000_000, bomb.indexOf('PK\x01\x02', 0, 'latin1') + 24);
		await expect(sheetText(bomb)).rejects.toThrow(TooLargeError);
	});
});
