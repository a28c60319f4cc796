import type { Handle, HandleServerError } from '@sveltejs/kit';
import { FIRST_HOUSE } from '$lib/server/db/house';
import { closePool } from '$lib/server/db/pool';

process.on('sveltekit:shutdown', () => {
	void closePool();
});

/** Whose data a request may see: the one house, until people sign in. */
export const handle: Handle = ({ event, resolve }) => {
	event.locals.houseId = FIRST_HOUSE;
	event.locals.by = null;
	return resolve(event);
};

/** A page that fails says so in plain words; the details go to the log. */
export const handleError: HandleServerError = ({ error, status }) => {
	if (status === 404) return { message: 'There is nothing at this address.', hint: 'Go back to the trips.' };
	console.error(error);
	return { message: 'Something went wrong on the server.', hint: 'Nothing was lost; try again in a moment.' };
};
