import { minuteOf, steppedBody, type SteppedBody } from '../body/two-node';
import { type Cloth, covers } from '../cloth/things';
import { innermost, type Outfit } from '../cloth/worn';
import type { Cell } from '../conditions/cells';
import { holdsNoWater } from '../conditions/needs';
import type { Part } from '../document/parts';
import { aroundIn } from './clothed-body';
import { dryHoursOf } from './drying';
import { SWEAT_STORE } from './sweat-store';

/** Sweat in what is worn next to the skin, worked out by the two-node body as if nothing were wet from outside. */
export interface Sweat {
	body: SteppedBody | null;
	/** share of the water that a thing can hold, by thing id, 0…1 */
	share: Map<string, number>;
}
export const noSweat = (): Sweat => ({ body: null, share: new Map() });
export const copyOfSweat = ({ body, share }: Sweat): Sweat => ({
	body: body && { ...body },
	share: new Map(share)
});

/** Nothing dries next to the skin while so much sweat runs into it, g/(m²·h) (our assumption). */
const NOTHING_DRIES_GM2H = 20;
/** Legs sweat half as much as the trunk (our assumption). */
const LEGS_SHARE = 0.5;
/** Socks in boots that let no air through fill by this much an hour for each W/m² of effort over 100 (our assumption). */
const SOCK_PER_H_AND_WM2 = 0.1 / 100;
const SOCK_SWEATS_ABOVE_WM2 = 100;
/** A boot is closed to air below this, l/(m²·s). */
const CLOSED_BOOT = 10;

/** One cell as the sweat sees it. */
interface SweatAir {
	around: ReturnType<typeof aroundIn>;
	skin: Cloth | null;
	legs: Cloth | null;
	sock: Cloth | null;
	/** what lies over the layer next to the skin, on the trunk and on the legs: what that cannot hold drips into it */
	overSkin: Cloth | null;
	overLegs: Cloth | null;
	/** what is worn, but for the skin, the legs and the sock */
	others: readonly Cloth[];
}
/** The second layer of a part, from the skin. */
const second = (outfit: Outfit, part: Part): Cloth | null =>
	outfit.filter(({ cloth }) => covers(cloth, part))[1]?.cloth ?? null;
/** @param dryClo insulation as worn while it is dry */
export function sweatAir(cell: Cell, outfit: Outfit, dryClo: number): SweatAir {
	const boot = outfit.find(({ cloth }) => cloth.slot === 'footwear')?.cloth;
	const skin = innermost(outfit, 'torso');
	const legs = innermost(outfit, 'thighs');
	// Without a sock it goes into the boot, which takes longer to dry.
	const sock =
		boot && boot.airPermeability < CLOSED_BOOT
			? (outfit.find(({ cloth }) => cloth.slot === 'sock' && covers(cloth, 'feet'))?.cloth ?? boot)
			: null;
	return {
		around: aroundIn(cell, outfit, dryClo),
		skin,
		legs,
		sock,
		overSkin: second(outfit, 'torso'),
		overLegs: second(outfit, 'thighs'),
		others: outfit.flatMap(({ cloth }) => (cloth === skin || cloth === legs || cloth === sock ? [] : [cloth]))
	};
}

/** Hours in which a layer next to the skin dries by the heat of the body, from full. */
const dryingH = (cell: Cell, cloth: Cloth): number => dryHoursOf(cell, cloth, true, false);

/** Lets some minutes of a cell pass, in place. */
export function sweatThrough(
	cell: Cell,
	{ around, skin, legs, sock, overSkin, overLegs, others }: SweatAir,
	sweat: Sweat,
	minutes: number
): void {
	const body = (sweat.body ??= steppedBody(cell.metabolicWm2));
	body.metabolicWm2 = cell.metabolicWm2;
	let ranGm2 = 0;
	const whole = Math.max(1, Math.round(minutes));
	for (let minute = 0; minute < whole; minute++) {
		// What runs into the layers is gathered here: the body sweats as if they were dry.
		body.moistureGm2 = 0;
		body.layerWm2 = 0;
		minuteOf(around, body);
		ranGm2 += body.moistureGm2;
	}
	ranGm2 *= minutes / whole;
	const set = (cloth: Cloth | null, share: number): void => {
		if (!cloth) return;
		if (share > 1e-6) sweat.share.set(cloth.thingId, Math.min(1, share));
		else sweat.share.delete(cloth.thingId);
	};
	const share = (cloth: Cloth): number => sweat.share.get(cloth.thingId) ?? 0;
	const dries = Math.max(0, 1 - (ranGm2 * 60) / minutes / NOTHING_DRIES_GM2H);
	for (const cloth of others) {
		const before = share(cloth);
		if (before > 0) set(cloth, before - minutes / 60 / dryHoursOf(cell, cloth, false, false));
	}
	/** What has run into a layer next to the skin, less what the body's heat has dried meanwhile. What it cannot hold drips on. */
	const soaked = (cloth: Cloth, gm2: number, over: Cloth | null): void => {
		const { capacityGm2 } = SWEAT_STORE[cloth.fibre];
		const now = share(cloth) + gm2 / capacityGm2 - (dries * minutes) / 60 / dryingH(cell, cloth);
		set(cloth, now);
		if (over && now > 1 && !holdsNoWater(over))
			set(over, share(over) + ((now - 1) * capacityGm2) / SWEAT_STORE[over.fibre].capacityGm2);
	};
	if (skin) soaked(skin, ranGm2, overSkin);
	if (legs && legs.thingId !== skin?.thingId) soaked(legs, LEGS_SHARE * ranGm2, overLegs);
	if (sock && cell.heated) set(sock, share(sock) - minutes / 60 / dryingH(cell, sock));
	if (sock && cell.metabolicWm2 > SOCK_SWEATS_ABOVE_WM2 && !cell.heated)
		set(
			sock,
			share(sock) + (minutes / 60) * SOCK_PER_H_AND_WM2 * (cell.metabolicWm2 - SOCK_SWEATS_ABOVE_WM2)
		);
}
