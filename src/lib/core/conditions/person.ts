import { CAREFUL_MARKS, USUAL_MARKS, type DebtMarks } from '../heat/debt';
import type { Client } from '../document/types';
import { schoolsOf, type Schools } from '../document/schools';

/** What the computation knows of a client's body. */
export interface Person {
	offsetClo: number;
	marks: DebtMarks;
	careful: boolean;
	schools: Schools;
}

/** Unknown facts count as average: no offset, the usual marks. */
export function personOf(client: Client): Person {
	const careful = client.careful.value ?? false;
	return {
		offsetClo: client.offsetClo.value ?? 0,
		marks: careful ? CAREFUL_MARKS : USUAL_MARKS,
		careful,
		schools: schoolsOf(client.schools)
	};
}
