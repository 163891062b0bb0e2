import { backsFor } from '../../../takeoff/materials/bedding.ts';
import type { AdviceRule } from '../../finding.ts';

/** In the wet, outdoors and under heavy loads nearly all of the back has to be in mortar: 95 % (North American practice; a full bed in European). */
export const thinCoverage: AdviceRule = ({ job, surfaceIndex, plan: { figures } }) => {
  const { works, longestSideMm } = figures;
  const backs = job.materials[works.adhesive === 'powder' ? 'adhesive' : 'readyAdhesive']?.choices?.['backs'];
  const wanted = backsFor(figures);
  const isWet = works.place !== 'dry';
  if (backs !== 'none' && !(backs === 'skim' && wanted === 'notched')) return [];
  // Small pieces may be beaten in until their backs are full; where nobody butters any, that is looked at.
  if (wanted === 'none' && !isWet) return [];
  const item = works.adhesive === 'powder' ? 'adhesive' : 'readyAdhesive';
  return [
    {
      code: works.load === 'heavy' ? 'advice/heavy-load' : 'advice/thin-coverage',
      severity: wanted === 'none' ? 'note' : 'warning',
      path: ['surfaces', surfaceIndex, 'works', 'place'],
      figures: { longestSideMm, sharePercent: isWet ? 95 : 80 },
      mend: { path: ['materials', item, 'choices', 'backs'], value: wanted === 'none' ? 'skim' : 'byTile' },
    },
  ];
};
