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
export type Requirement = RequirementFacts &
	(
		| { rule: FindingCode & RuleId; severity: Severity }
		/** the search heeds it; what is missing is told by the kit's own rules */
		| { rule: RuleId; severity: null }
	);

/** All that a demand looks at of a cell once it is made: where that is the same, the same stack meets it or does not. */
export type SeenOfCell = Pick<Cell, 'doing' | 'marks'>;

interface RequirementFacts {
	/** what it is chosen in: the search looks at each factor apart */
	factor: 'trunk' | 'legs' | 'head' | 'eyes' | 'feet' | 'hands';
	part: Part | 'legs';
	/** what it counts where it is not met */
	penalty: number;
	/** the school that asks for it, and its choice; absent where everybody asks */
	madeBy?: { school: SchoolId; choice: string };
	asks(cell: Cell): boolean;
	/** whether hands and feet are looked at too, where trunk or legs are chosen */
	seesLimbs?: true;
	/** the thing that does not meet it; null when all is well, or nothing is worn there */
	unmet(worn: readonly Worn[], cell: SeenOfCell): Cloth | null;
	/** another thing that the first one is at odds with */
	with?(worn: readonly Worn[], cell: SeenOfCell): Cloth | null;
	/** whether what it asks for is not worn at all; what is missing is told by the kit's own rules */
	lacks?(worn: readonly Worn[], cell: SeenOfCell): boolean;
}
