import { tileAndBedMm } from '../../../takeoff/materials/bedding.ts';
import type { AdviceRule } from '../../finding.ts';

const BOXES: ReadonlySet<string> = new Set(['socket', 'doubleSocket', 'switch']);

/** Screws as they come with a plate reach about this much deeper, mm. */
const SCREWS_REACH_MM = 9;

/** Boards on a wall are about so thick, mm (usual). */
const BOARD_MM = 12;

/** Boxes sit as much deeper as board, tile and bed are thick: longer screws, from some depth on an extension ring. */
export const deepBoxes: AdviceRule = ({ job, surface, surfaceIndex, plan: { figures } }) => {
  const boxes = surface.measured.fixtures.filter(({ kind, tiledUnder }) => BOXES.has(kind) && !tiledUnder);
  const boardMm = figures.works.does.board ? BOARD_MM : 0;
  const deepMm = Math.round(tileAndBedMm(figures, job.materials) + boardMm);
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
