// Property tests run from one seed, so that a check that passed passes again; PROPERTY_SEED tries another.
import fc from 'fast-check';

fc.configureGlobal({ seed: Number(process.env.PROPERTY_SEED ?? 2314) });
