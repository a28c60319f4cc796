import { PICTURE_MESSAGES } from '../en/picture-messages';
import { format, type MessageValues } from '../message';

/** A sentence of the drawings, the evening before, the group and the bin. @throws Error when a value is missing */
export const pictureMessage = (id: keyof typeof PICTURE_MESSAGES, values: MessageValues = {}): string =>
	format(PICTURE_MESSAGES[id], values);
