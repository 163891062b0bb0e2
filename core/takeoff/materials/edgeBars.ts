import { cutFromBars, type BarRun, type BarsHow } from '../cutFromBars.ts';
import { material, type Need, type PackOffer, type Taken } from '../materialKind.ts';
import type { Trim } from '../works/trims.ts';

/** What cutting bars goes by: what the saw takes, mm. */
export const BAR_FIGURES = { kerfMm: { typical: 3, min: 0, max: 10 } } as const;

/** Edges that end in a trim which comes in bars: a run each, mitred where the trim goes round a corner. */
export const edgeRuns = (surfaces: Need['surfaces'], trim: Trim): BarRun[] =>
  surfaces.flatMap(({ surfaceId, trims }) =>
    trims
      .filter((run) => run.trim === trim)
      .flatMap(({ edgeId, runsMm, mitres }) => runsMm.map((mm) => ({ surfaceId, edgeId, mm, mitres: runsMm.length === 1 ? mitres : 0 }))),
  );

/** A trim that is cut from bars, m. */
export const edgeBars = (trim: Trim, packs: readonly PackOffer[]) =>
  material({
    packs,
    spread: 0,
    figures: BAR_FIGURES,
    choices: {},
    takeOff: (need, { figures }, offers): Taken<BarsHow>[] => cutFromBars(edgeRuns(need.surfaces, trim), offers, figures.kerfMm.value),
  });
