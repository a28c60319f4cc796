import { promisify } from 'node:util';
import { gunzip, gzip } from 'node:zlib';
import { parse, stringify } from 'devalue';
import type { PlannedStage } from '$lib/core/kit/planned-day';

/** Days of a plan as they are stored: things and reasons that stand in many phases stand once, and all is compressed. */
const zip = promisify(gzip);
const unzip = promisify(gunzip);

export const packedDays = async (days: readonly PlannedStage[]): Promise<Buffer> => zip(stringify(days));
export const unpackedDays = async (days: Buffer): Promise<PlannedStage[]> =>
	parse((await unzip(days)).toString('utf8')) as PlannedStage[];
