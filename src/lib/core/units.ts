/** One clo in m²·K/W (ISO 9920). */
export const CLO_M2KW = 0.155;
/** One met in W/m² (ISO 8996). */
export const MET_WM2 = 58.15;

/** m²·K/W of a number of clo. */
export const m2kwFromClo = (insulationClo: number): number => insulationClo * CLO_M2KW;
/** Clo of an insulation in m²·K/W. */
export const cloFromM2kw = (insulationM2kw: number): number => insulationM2kw / CLO_M2KW;
/** m/s of km/h. */
export const msFromKmh = (speedKmh: number): number => speedKmh / 3.6;
/** km/h of m/s. */
export const kmhFromMs = (speedMs: number): number => speedMs * 3.6;
