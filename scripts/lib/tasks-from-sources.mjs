// What runs in a thread of the work pool, from the sources: for tests and the server with live reload.
import { loadTs } from './load-ts.mjs';

const tasks = await loadTs('src/lib/server/work/tasks.ts');
export const { plan, answerOf, readPlan, readChanges, changes, archiveOf } = tasks;
