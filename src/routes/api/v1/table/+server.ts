import { sheetText, TableError } from '$lib/server/files/read-table';
import { api, InputError } from '$lib/server/http';

/** The first sheet of a spreadsheet as text; nothing is stored. */
export const POST = api(async ({ request }) => {
	try {
		return { text: await sheetText(Buffer.from(await request.arrayBuffer())) };
	} catch (trouble) {
		if (!(trouble instanceof TableError)) throw trouble;
		throw new InputError([
			{ field: 'file', value: null, allowed: 'a spreadsheet', message: trouble.message }
		]);
	}
});
