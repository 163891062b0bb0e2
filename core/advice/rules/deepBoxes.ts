import { tileAndBedMm } from '../../takeoff/materials/bedding.ts';
import type { AdviceRule } from '../finding.ts';

const BOXES: ReadonlySet<string> = new Set(['socket', 'doubleSocket', 'switch']);

/** Screws as they come with a plate reach about this much deeper, mm. */
const SCREWS_REACH_MM = 9;

/** Boxes sit as much deeper as tile and bed are thick: longer screws, from some depth on an extension ring. */
export const deepBoxes: AdviceRule = ({ job, surface, surfaceIndex, plan: { figures } }) => {
  const boxes = surface.measured.fixtures.filter(({ kind, tiledUnder }) => BOXES.has(kind) && !tiledUnder);
  const deepMm = Math.round(tileAndBedMm(figures, job.materials));
  return boxes.length > 0 && deepMm > SCREWS_REACH_MM
    ? [
        {
          code: 'advice/deep-boxes',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'measured', 'fixtures'],
          figures: { count: boxes.length, deepMm },
        },
      ]
    : [];
};
