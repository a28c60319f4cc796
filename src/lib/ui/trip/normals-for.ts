import type { ClimatePlace, MonthNormals } from '$lib/core/weather/climate';

/** What is usual at a place in the month of a date; null when the climate service does not answer. */
export async function normalsFor(place: ClimatePlace, date: string): Promise<MonthNormals | null> {
	const response = await fetch(
		`/api/v1/climate/normals?place=${place.id}&month=${Number(date.slice(5, 7))}`
	).catch(() => null);
	return response?.ok ? ((await response.json()) as { normals: MonthNormals }).normals : null;
}
