import { tileAndBedMm } from '../../../takeoff/materials/bedding.ts';
import type { AdviceRule } from '../../finding.ts';

/** Screws as they come with a plate reach about this much deeper, mm. */
const SCREWS_REACH_MM = 9;

/** Boards on a wall are about so thick, mm (usual). */
const BOARD_MM = 12;

/** Boxes sit as much deeper as board, tile and bed are thick: longer screws, from some depth on an extension ring. */
export const deepBoxes: AdviceRule = ({ job, surfaceIndex, plan: { figures } }) => {
  const boardMm = figures.works.does.board ? BOARD_MM : 0;
  const deepMm = Math.round(tileAndBedMm(figures, job.materials) + boardMm);
  return figures.boxes > 0 && deepMm > SCREWS_REACH_MM
    ? [
        {
          code: 'advice/deep-boxes',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'measured', 'fixtures'],
          figures: { count: figures.boxes, deepMm },
        },
      ]
    : [];
};
