import { endVisit } from '$lib/server/db/guests/links';
import { VISIT_COOKIE } from '$lib/server/sign-in/guard';

/** Ends the visit of this browser; the link still opens. */
export async function POST({ cookies }) {
	const visit = cookies.get(VISIT_COOKIE);
	if (visit) await endVisit(visit);
	cookies.delete(VISIT_COOKIE, { path: '/' });
	return new Response(null, { status: 303, headers: { location: '/c/bye', 'clear-site-data': '"cache"' } });
}
