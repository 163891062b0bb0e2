import { NOTCHES } from '../../../takeoff/consumption.ts';
import { notchFor } from '../../../takeoff/materials/bedding.ts';
import type { AdviceRule } from '../../finding.ts';

/** So many notches off what a piece asks for. */
const FAR_OFF = 2;

/** A notch chosen by hand that leaves less mortar under a piece than it takes to fill the hollows, or more than it can be beaten into. */
export const bedThickness: AdviceRule = ({ job, surfaceIndex, plan: { figures } }) => {
  const item = figures.works.adhesive === 'powder' ? 'adhesive' : 'readyAdhesive';
  const chosenMm = job.materials[item]?.choices?.['notchMm'];
  if (typeof chosenMm !== 'number') return [];
  const usualMm = notchFor(figures.longestSideMm);
  const by = NOTCHES.findIndex((mm) => mm === chosenMm) - NOTCHES.indexOf(usualMm);
  if (Math.abs(by) < FAR_OFF) return [];
  return [
    {
      code: by < 0 ? 'advice/bed-thin' : 'advice/bed-thick',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'works', 'adhesive'],
      figures: { notchMm: chosenMm, usualMm, longestSideMm: figures.longestSideMm },
      mend: { path: ['materials', item, 'choices', 'notchMm'], value: 'byTile' },
    },
  ];
};
