/** What was decided of a thing that a client could get. */

/** How a thing comes to a client. */
export const WAYS = ['buy', 'hire', 'friend', 'repair', 'own', 'provided'] as const;
export type Way = (typeof WAYS)[number];

/** Why a thing is not to be got. */
export const REFUSALS = ['has one', 'does not want it', 'too dear', 'too late'] as const;
export type Refusal = (typeof REFUSALS)[number];

export interface Decision {
	typeId: string;
	name: string;
	decided: 'get' | 'decline';
	/** of what is to be got */
	way: Way | null;
	/** of what is declined */
	refusal: Refusal | null;
	/** money when it was decided, 0 and more */
	cost: number;
	/** days until it is there */
	days: number;
	/** what it is for, in a few words of the trip */
	because: string;
	/** the thing of the kit, assumed until it is there */
	thingId: string | null;
	isThere: boolean;
}

const DAY_MS = 86_400_000;
const dayNumber = (iso: string): number => Date.parse(`${iso}T00:00:00Z`) / DAY_MS;

/** Last ISO date on which a thing is ordered, hired or brought to the mender, to be there when the trip leaves; null without a date. */
export const dueOn = ({ days }: Pick<Decision, 'days'>, firstDate: string | null): string | null =>
	firstDate === null ? null : new Date((dayNumber(firstDate) - days) * DAY_MS).toISOString().slice(0, 10);

/**
 * Whether a refusal still holds: what was too dear is asked again when it costs less, what would have come too late when there
 * is time; anything else stays.
 * @param cost of the thing now
 * @param today ISO date
 */
export function stillDeclined(
	{ refusal, cost, days }: Pick<Decision, 'refusal' | 'cost' | 'days'>,
	now: { cost: number; today: string; firstDate: string | null }
): boolean {
	if (refusal === 'too dear') return now.cost >= cost;
	if (refusal !== 'too late') return true;
	return now.firstDate !== null && dayNumber(now.firstDate) - dayNumber(now.today) < days;
}
