import type { AdviceCode } from '../advice/harm.ts';
import type { Provoked } from './provoked.ts';
import { PROVOKED_MEASURES } from './provokedMeasures.ts';
import { PROVOKED_SETOUT } from './provokedSetout.ts';
import { PROVOKED_TILE } from './provokedTile.ts';
import { PROVOKED_WORKS } from './provokedWorks.ts';

/** Every code with its two jobs; one without does not compile. */
export const PROVOKED: Readonly<Record<AdviceCode, Provoked>> = {
  ...PROVOKED_MEASURES,
  ...PROVOKED_SETOUT,
  ...PROVOKED_TILE,
  ...PROVOKED_WORKS,
};
