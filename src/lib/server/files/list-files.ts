import type { ListRow } from '$lib/words/remedy/list-story';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';

/** A client's list as files that others open. */

const HEADS = ['Where', 'Thing', 'How many', 'Has', 'Note'] as const;
const cells = ({ section, thing, many, has, note }: ListRow): (string | number)[] => [
	section,
	thing,
	many,
	has ?? '',
	note
];

/** Comma-separated values, in UTF-8 with the mark by which spreadsheets know it. Formulas in names are text. */
export const listCsv = (rows: readonly ListRow[]): string =>
	`\uFEFF${Papa.unparse([[...HEADS], ...rows.map(cells)], { escapeFormulae: true })}\r\n`;

/** A workbook with one sheet. */
export async function listXlsx(title: string, rows: readonly ListRow[]): Promise<Buffer> {
	const book = new ExcelJS.Workbook();
	// A sheet's name may not hold these signs, nor be longer than 31.
	const sheet = book.addWorksheet(title.replace(/[*?:/\\[\]]/g, ' ').slice(0, 31) || 'List');
	sheet.columns = HEADS.map((header, i) => ({ header, width: [28, 42, 10, 8, 46][i]! }));
	sheet.getRow(1).font = { bold: true };
	sheet.views = [{ state: 'frozen', ySplit: 1 }];
	sheet.addRows(rows.map(cells));
	return Buffer.from(await book.xlsx.writeBuffer());
}
