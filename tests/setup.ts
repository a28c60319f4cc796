import fc from 'fast-check';

process.env.SNUG_LOG_LEVEL ??= 'silent';

// The same cases in every run, so that a failure can be had again. SNUG_SEED=7 npm test tries others.
fc.configureGlobal({ seed: Number(process.env.SNUG_SEED ?? 20_270_123) });
