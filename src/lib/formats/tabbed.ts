import Papa from 'papaparse';

/** Text of a file, with a tab between the columns where it is a table of comma- or semicolon-separated values. */
export function tabbed(text: string): string {
	const plain = text.replace(/^\uFEFF/, '');
	const { data, meta } = Papa.parse<string[]>(plain, { skipEmptyLines: true });
	// A packing list in lines of words has commas here and there; a table has the same columns in every row.
	const columns = data[0]?.length ?? 1;
	const isTable = meta.delimiter !== '\t' && columns > 1 && data.every((row) => row.length === columns);
	return isTable
		? data.map((row) => row.map((cell) => cell.replace(/\s+/g, ' ').trim()).join('\t')).join('\n')
		: plain;
}
