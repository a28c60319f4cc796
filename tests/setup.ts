import fc from 'fast-check';

process.env.SNUG_LOG_LEVEL ??= 'silent';

// The same cases in every run, so that a failure can be had again. SNUG_SEED=7 npm test tries others.
// SNUG_RUNS: how many random cases a property tries, where it states none itself.
fc.configureGlobal({
	seed: Number(process.env.SNUG_SEED ?? 20_270_123),
	numRuns: Number(process.env.SNUG_RUNS ?? 100)
});
