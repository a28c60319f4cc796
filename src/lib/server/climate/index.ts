import type { ClimateService } from '$lib/core/weather/climate';
import { standInClimate } from './stand-in';

/** Who knows the weather. A real service is put in here; everything else asks through its interface. */
export const climate: ClimateService = standInClimate(process.env.SNUG_CLIMATE_SEED ?? 'snug');
