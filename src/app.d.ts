declare global {
	/** hash of the core that was built, see scripts/lib/core-hash.mjs */
	const __CORE_HASH__: string;
	/** version of package.json */
	const __APP_VERSION__: string;

	namespace App {
		interface Locals {
			/** the house whose data a request may see */
			houseId: string;
			/** name of who is at it, as far as is known */
			by: string | null;
			/** who signed in, or the program that has a token; null where nobody has to */
			who: import('$lib/server/db/accounts/sessions').Who | null;
			/** the client whose private link was opened */
			guest: import('$lib/server/db/guests/links').Guest | null;
			/** name of the request, for the log and whoever tells of an error */
			requestId: string;
			/** ends when nobody waits for the answer any more */
			gone?: AbortSignal;
			/** status of an error that we know */
			troubleStatus?: number;
		}
		interface Platform {
			/** the request as Node sees it, where the built server runs */
			req?: import('node:http').IncomingMessage;
		}
		interface Error {
			message: string;
			hint?: string;
			/** of the page; "Not found" where it is left out */
			title?: string;
			/** name of the request that failed */
			id?: string;
		}
	}
}

export {};
