/**
 * How much one request may ask for. What is larger is told so before any work is done with it; nobody plans by hand what comes
 * near these figures.
 */
export const LIMITS = {
	/** entries of one list */
	entries: 500,
	/** lists and objects within one another */
	depth: 24,
	/** texts, figures, lists and objects in all */
	values: 150_000,
	/** phases of all days in all weathers, loops rolled out, foul-weather variants too */
	lived: 2000,
	/** things of one kit, and clients of one trip */
	things: 200,
	clients: 60,
	/** errors that are told of one input */
	errors: 50,
	/** bytes of what is sent to be saved or planned; of a copy of the whole house as much as the server takes in at all */
	body: 4_000_000,
	/** characters of an answer */
	answer: 16_000_000
} as const;
