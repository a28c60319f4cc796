/** How sure we are of a rule or a value: a published standard, common practice, or our own assumption. */
export type ReasonKind = 'standard' | 'practice' | 'assumption';
