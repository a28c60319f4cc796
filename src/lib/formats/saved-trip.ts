import type { Document } from '../core/document/types';
import type { EverybodyBrings, LineEdit } from '../core/kit/own-lines';
import type { Decision } from '../core/remedy/decision';

/** What persons wrote and decided for one client of a trip. */
export interface PackedBy {
	clientId: string;
	decisions: Decision[];
	/** lines of the list that were changed or written by hand */
	lines: LineEdit[];
}

/** A trip as a file: the document, and what was written and decided beside it. No plan depends on that. */
export interface SavedTrip extends Document {
	packing?: { everybody: EverybodyBrings[]; clients: PackedBy[] };
}
