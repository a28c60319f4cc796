import { GET_MESSAGES } from '../en/get-messages';
import { format, type MessageValues } from '../message';

/** A sentence of what to get, who gets what and the lists. @throws Error when a value is missing */
export const getMessage = (id: keyof typeof GET_MESSAGES, values: MessageValues = {}): string =>
	format(GET_MESSAGES[id], values);
