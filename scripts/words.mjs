// npm run words: prints every message in every branch, as a guide would read it.
import { ensurePackages } from './lib/machine.mjs';
import { loadTs, root } from './lib/load-ts.mjs';

ensurePackages(root);
const { printedWords } = await loadTs('scripts/lib/printed-words.ts');
console.log(printedWords());
