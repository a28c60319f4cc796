declare global {
	/** hash of the core that was built, see scripts/lib/core-hash.mjs */
	const __CORE_HASH__: string;

	namespace App {
		interface Locals {
			/** the house whose data a request may see */
			houseId: string;
			/** who is at it, as far as is known */
			by: string | null;
		}
		interface Error {
			message: string;
			hint?: string;
		}
	}
}

export {};
