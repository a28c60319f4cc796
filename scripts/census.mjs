// npm run census [pattern,…] [-- hoard]: prints what plans wear for every pattern, phase by phase, from honest kits.
import { loadTs, root } from './lib/load-ts.mjs';
import { ensurePackages } from './lib/machine.mjs';

ensurePackages(root);
const { censusOf, countsOf, printedDay } = await loadTs('tests/fixtures/census.ts');
const { HOARD, HONEST_DAYS } = await loadTs('tests/fixtures/honest-kits.ts');
const asked = process.argv.slice(2);
const isHoard = asked.includes('hoard');
const patterns = asked.filter((one) => one !== 'hoard').flatMap((one) => one.split(','));
const all = [];
for (const day of HONEST_DAYS) {
	if (patterns.length > 0 && !patterns.includes(day.patternId)) continue;
	const census = censusOf(day, isHoard ? HOARD : day.kit);
	for (const one of census) console.log(printedDay(one));
	all.push(...census);
}
for (const weather of new Set(all.map((one) => one.weather))) {
	const { phases, fine, whatIfs, held } = countsOf(all.filter((one) => one.weather === weather));
	console.log(
		`${weather}: ${fine} of ${phases} phases right or cool, ${held} of ${whatIfs} what-ifs up to half an hour held`
	);
}
