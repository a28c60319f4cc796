import type { Cloth } from '../cloth/things';
import type { Cell } from '../conditions/cells';
import type { FindingCode, Severity } from '../document/finding';
import type { Part } from '../document/parts';
import type { RuleId } from '../document/reasons';
import type { SchoolId } from '../document/schools';

/** A thing and where in the stack it is worn. */
export interface Worn {
	cloth: Cloth;
	position: number;
}
/** What a phase asks of what is worn, beside warmth and cover. Adding a demand is adding a row, and a test. */
export interface Requirement {
	rule: FindingCode & RuleId;
	/** what it is chosen in: the search looks at each factor apart */
	factor: 'trunk' | 'legs' | 'head' | 'eyes' | 'feet' | 'hands';
	part: Part;
	/** null: the search heeds it, and a rule of its own tells it */
	severity: Severity | null;
	/** what not contact it counts in the first level */
	penalty: number;
	/** the school that asks for it, and its choice; absent where everybody asks */
	madeBy?: { school: SchoolId; choice: string };
	asks(cell: Cell): boolean;
	/** the thing that does not meet it; null when all is well, or nothing is worn there */
	unmet(worn: readonly Worn[], cell: Cell): Cloth | null;
}
