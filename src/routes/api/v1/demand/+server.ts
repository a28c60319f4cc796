import { demandOf, type DemandQuestion } from '$lib/core/heat/demand';
import { demandSchema } from '$lib/formats/schema/plan';
import { api, bodyOf } from '$lib/server/http';

export const POST = api(async ({ request }) => demandOf(await bodyOf<DemandQuestion>(request, demandSchema)));
