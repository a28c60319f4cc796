import { api } from '$lib/server/http';
import { planGroup } from '$lib/server/planning';

/** How far the plans of all clients are. What is not there, or answers an older question, is begun. */
export const GET = api(async ({ params }) => ({ plans: await planGroup(params.id!) }));
