// npm run census [pattern,…] [-- hoard]: prints what plans wear for every pattern, phase by phase, from honest kits.
import { loadTs, root } from './lib/load-ts.mjs';
import { ensurePackages } from './lib/machine.mjs';

ensurePackages(root);
const { censusOf, printedDay } = await loadTs('tests/fixtures/census.ts');
const { HOARD, HONEST_DAYS } = await loadTs('tests/fixtures/honest-kits.ts');
const asked = process.argv.slice(2);
const isHoard = asked.includes('hoard');
const patterns = asked.filter((one) => one !== 'hoard').flatMap((one) => one.split(','));
for (const day of HONEST_DAYS) {
	if (patterns.length > 0 && !patterns.includes(day.patternId)) continue;
	for (const one of censusOf(day, isHoard ? HOARD : day.kit)) console.log(printedDay(one));
}
