import { readForecast } from '$lib/formats/forecast-file';
import { readFileSchema } from '$lib/formats/schema/forecast';
import { InputError, api, bodyOf } from '$lib/server/http';

/** Reads a forecast file, CSV or JSON, and gives it back checked. Nothing is stored. */
export const POST = api(async ({ request }) => {
	const { text, name } = await bodyOf<{ text: string; name: string }>(request, readFileSchema);
	const { value, errors } = readForecast(text, name);
	if (errors) throw new InputError(errors);
	return value;
});
