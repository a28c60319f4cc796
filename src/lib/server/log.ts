import pino from 'pino';

/**
 * What the server says of itself: one line of JSON for each request, each piece of work and each error. It tells routes, ids and
 * times, and never what somebody is called or owns. SNUG_LOG_FILE writes it to a file, SNUG_LOG_LEVEL says how much.
 */
const level = process.env.SNUG_LOG_LEVEL ?? 'info';
export const log = process.env.SNUG_LOG_FILE
	? pino({ level }, pino.destination({ dest: process.env.SNUG_LOG_FILE, mkdir: true, sync: false }))
	: pino({ level });
