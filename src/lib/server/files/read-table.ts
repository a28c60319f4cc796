import ExcelJS from 'exceljs';
import { TooLargeError } from '../errors';

/** A table that somebody sends as a file, as text with a tab between its columns. */

/** Rows and columns that are read; what lies beyond is no list of a person's things. */
const MOST_ROWS = 1000;
const MOST_COLUMNS = 30;
/** Bytes that the parts of a workbook may come to when they are unpacked. */
const MOST_BYTES = 30_000_000;

/** A workbook that cannot be read. */
export class TableError extends Error {}

/** Size of all parts when unpacked, by the directory at the end of a ZIP; Infinity where there is none. */
function unpackedBytes(file: Buffer): number {
	let sum = 0;
	let found = false;
	for (
		let at = file.indexOf('PK\x01\x02', 0, 'latin1');
		at >= 0;
		at = file.indexOf('PK\x01\x02', at + 4, 'latin1')
	) {
		if (at + 28 > file.length) break;
		sum += file.readUInt32LE(at + 24);
		found = true;
	}
	return found ? sum : Infinity;
}

/**
 * The first sheet of a workbook, a line for each row; empty rows are left out.
 * @throws TableError when it is no workbook
 * @throws TooLargeError
 */
export async function sheetText(file: Buffer): Promise<string> {
	const bytes = unpackedBytes(file);
	if (bytes === Infinity)
		throw new TableError('This is no spreadsheet that can be read: save it as .xlsx or .csv.');
	if (bytes > MOST_BYTES) throw new TooLargeError('This spreadsheet is too large for a list of things.');
	const book = new ExcelJS.Workbook();
	try {
		await book.xlsx.load(new Uint8Array(file).buffer as ArrayBuffer);
	} catch {
		throw new TableError('This is no spreadsheet that can be read: save it as .xlsx or .csv.');
	}
	const lines: string[] = [];
	book.worksheets[0]?.eachRow((row, number) => {
		if (number > MOST_ROWS) return;
		const cells = Array.from({ length: Math.min(row.cellCount, MOST_COLUMNS) }, (_, i) =>
			row
				.getCell(i + 1)
				.text.replace(/[\t\r\n]+/g, ' ')
				.trim()
		);
		if (cells.some((cell) => cell !== '')) lines.push(cells.join('\t'));
	});
	return lines.join('\n');
}
