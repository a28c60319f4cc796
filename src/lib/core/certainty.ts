/** How sure we are of a rule or a value: a published standard, common practice, or our own assumption. */
export const REASON_KINDS = ['standard', 'practice', 'assumption'] as const;
export type ReasonKind = (typeof REASON_KINDS)[number];
