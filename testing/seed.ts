import fc from 'fast-check';

/**
 * Properties try the same values at every run, so that a change is judged by what it changed.
 * `LARCHWOOD_SEED=random` tries others, and a number tries those of a run that failed.
 */
const asked = process.env.LARCHWOOD_SEED ?? '20261128';
if (asked !== 'random') fc.configureGlobal({ seed: Number(asked) });
