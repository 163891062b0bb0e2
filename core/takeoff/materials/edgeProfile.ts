import { ROUNDED_OFTEN } from '../../tolerances.ts';
import { cutFromBars, type BarsHow } from '../cutFromBars.ts';
import { material, type Taken } from '../materialKind.ts';
import { tileAndBedMm } from './bedding.ts';
import { BAR_FIGURES, edgeRuns } from './edgeBars.ts';

/** What profiles are made of. */
export const FINISHES = ['aluminium', 'steel', 'brass', 'plastic'] as const;

/** Edge profiles, m, in bars: each as deep as the tile and the bed that it frames, in the finish chosen. */
export const edgeProfile = material({
  group: 'edges',
  packs: [{ size: 2.5, price: 13.9 }],
  spread: 0,
  // A metal leg takes no width; a face that stands within the measured end does (trade practice).
  figures: { ...BAR_FIGURES, faceMm: { typical: 0, min: 0, max: 60 } },
  choices: { finish: FINISHES },
  takeOff: ({ surfaces, materials, links }, { figures, choices }, offers): Taken<BarsHow>[] => {
    // Profiles are sold by the half millimetre at most; one that is too low leaves the tile proud.
    const depthOf = (surface: (typeof surfaces)[number]): number => Math.ceil(2 * tileAndBedMm(surface, materials) - ROUNDED_OFTEN) / 2;
    const depths = [...new Set(surfaces.map(depthOf))].sort((a, b) => a - b);
    return depths.flatMap((mm) => {
      const runs = edgeRuns(
        surfaces.filter((one) => depthOf(one) === mm),
        'profile',
        links,
      );
      return cutFromBars(runs, offers, figures.kerfMm.value).map((taken) => ({ ...taken, variant: `${choices.finish} ${mm}` }));
    });
  },
});
