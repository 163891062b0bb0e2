import { byRate } from '../byRate.ts';
import { lengthHere } from '../countedThere.ts';
import type { SurfaceFigures } from '../figures.ts';
import { material } from '../materialKind.ts';

/** Sealing tape into the corners under waterproofing, m: along every edge that meets another plane, each corner once. */
export const cornerTape = material({
  group: 'underTheTiles',
  packs: [
    { size: 10, price: 14.2 },
    { size: 50, price: 58 },
  ],
  spread: 0.05,
  figures: { overlapPercent: { typical: 5, min: 0, max: 50 } },
  choices: {},
  takeOff: (need, { figures }) =>
    byRate(need.surfaces, { unit: 'm', of: 'm', figures }, (surface) =>
      surface.works.does.membrane
        ? {
            amount: surface.planes.reduce((sum, joint) => sum + lengthHere(need, surface, joint, taped), 0) / 1000,
            per: 1 + figures.overlapPercent.value / 100,
          }
        : null,
    ),
});

/** A corner is taped with a surface that is waterproofed. */
const taped = ({ works, planes }: SurfaceFigures): SurfaceFigures['planes'] => (works.does.membrane ? planes : []);
