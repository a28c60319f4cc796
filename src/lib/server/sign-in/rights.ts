import type { Role } from '../db/accounts/accounts';

/**
 * What somebody must be to reach a route. What is not listed is read by every account of the house and changed by its planners
 * and owners; so a new route is closed until somebody opens it.
 */
export type Needs = 'nobody' | 'this machine' | 'a link' | Role;

/** How one comes in; and whether the app is well. */
const OPEN: ReadonlySet<string> = new Set([
	'/c/[token]',
	'/sign-in',
	'/set-up',
	'/password/[token]',
	'/api/v1/health'
]);
/** Computes from what is sent and keeps nothing: open to programs on this machine, within the limits of the server. */
const STATELESS: ReadonlySet<string> = new Set([
	'/try',
	'/api/v1/catalogue',
	'/api/v1/changes',
	'/api/v1/climate/forecast',
	'/api/v1/climate/normals',
	'/api/v1/climate/places',
	'/api/v1/demand',
	'/api/v1/forecast',
	'/api/v1/lending',
	'/api/v1/plan',
	'/api/v1/questions',
	'/api/v1/remedies',
	'/api/v1/table'
]);
/** What a client reaches by the private link, and nobody else. */
const GUESTS: ReadonlySet<string> = new Set([
	'/my',
	'/my/kept',
	'/my/leave',
	'/api/v1/my/answers',
	'/api/v1/my/photos',
	'/api/v1/my/photos/[id]',
	'/api/v1/my/address'
]);
const OWNERS: readonly string[] = [
	'/house/people',
	'/house/entries',
	'/api/v1/accounts',
	'/api/v1/archive',
	'/api/v1/tokens'
];
/** What every account does: for itself, ticking for clients and answering them. */
const OWN: ReadonlySet<string> = new Set([
	'/account',
	'/api/v1/trips/[id]/clients/[clientId]/marks',
	'/api/v1/trips/[id]/clients/[clientId]/notes'
]);

/** @param route id of the route; null where nothing is at the address */
export function needsOf(route: string | null, method: string): Needs {
	if (route === null || OPEN.has(route)) return 'nobody';
	if (STATELESS.has(route)) return 'this machine';
	if (GUESTS.has(route)) return 'a link';
	if (OWNERS.some((own) => route === own || route.startsWith(`${own}/`))) return 'owner';
	return method === 'GET' || method === 'HEAD' || OWN.has(route) ? 'guide' : 'planner';
}

const RANK: Readonly<Record<Role, number>> = { guide: 0, planner: 1, owner: 2 };
/** Whether a role is enough. */
export const isEnough = (role: Role, needed: Role): boolean => RANK[role] >= RANK[needed];
