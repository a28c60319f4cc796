import { CLIENT_FACT_NAMES } from './client-facts';
import type { FactsOfClient } from './types';

/** What is known of a client of whom nobody has asked anything. */
export const NOTHING_KNOWN = Object.fromEntries(
	CLIENT_FACT_NAMES.map((name) => [name, { value: null, source: 'client', state: 'not asked' }])
) as FactsOfClient;
