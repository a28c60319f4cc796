/** What is known of a thing in the words in which it is said or printed, before anything is worked out from it. */

/** The number that stands on a sleeping bag, as far as anybody knows what it means. */
export const BAG_NUMBER_UNITS = ['°C', '°F', 'unclear'] as const;
export const BAG_NUMBER_KINDS = ['comfort', 'limit', 'unclear'] as const;
export interface BagNumber {
	value: number;
	unit: (typeof BAG_NUMBER_UNITS)[number];
	kind: (typeof BAG_NUMBER_KINDS)[number];
}

/** What a battery holds, as it says itself. */
export const BATTERY_UNITS = ['mAh', 'Wh'] as const;
export interface BatteryCharge {
	value: number;
	unit: (typeof BATTERY_UNITS)[number];
}

/** How an end is worn that can go over or under what it meets: a cuff of a glove at the sleeve, a trouser leg at the boot. */
export const END_WORN = ['over', 'under'] as const;
export type EndWorn = (typeof END_WORN)[number];
