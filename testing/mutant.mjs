/** One place of one file that is changed, to see whether a test notices: scripts/mutate.mjs. */
const MUTANT = process.env.AZULEJO_MUTANT ? JSON.parse(process.env.AZULEJO_MUTANT) : null;

/** A source with that place changed, where it is in this file. */
export const asMutated = (source, path) =>
  MUTANT && path.endsWith(MUTANT.file) ? source.slice(0, MUTANT.start) + MUTANT.instead + source.slice(MUTANT.end) : source;
