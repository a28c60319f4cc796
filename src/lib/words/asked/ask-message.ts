import { ASK_MESSAGES } from '../en/ask-messages';
import { format, type MessageValues } from '../message';

/** A sentence about one thing that somebody asks about or wishes. @throws Error when a value is missing */
export const askMessage = (id: keyof typeof ASK_MESSAGES, values: MessageValues = {}): string =>
	format(ASK_MESSAGES[id], values);
