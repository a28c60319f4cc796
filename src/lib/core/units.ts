/** One clo in m²·K/W (ISO 9920). */
export const CLO_M2KW = 0.155;
/** m²·K/W of a number of clo. */
export const m2kwFromClo = (insulationClo: number): number => insulationClo * CLO_M2KW;
/** Clo of an insulation in m²·K/W. */
export const cloFromM2kw = (insulationM2kw: number): number => insulationM2kw / CLO_M2KW;
