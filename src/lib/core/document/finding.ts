import type { Reason } from './reasons';

export const SEVERITIES = ['blocker', 'warning', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];
export interface Finding {
	code: string;
	severity: Severity;
	weather?: string;
	stageId?: string;
	phaseId?: string;
	part?: string;
	thingIds: string[];
	message: string;
	reasons: Reason[];
}
