import type { SchoolId } from '../core/document/schools';
import { SCHOOL_WORDS } from './en/schools';

/** What the schools are called, and what may be chosen. */
export const schoolQuestion = (id: string): string => SCHOOL_WORDS[id as SchoolId]?.question ?? id;
export const choiceWords = (id: string, choice: string): string =>
	SCHOOL_WORDS[id as SchoolId]?.choices[choice] ?? choice;
