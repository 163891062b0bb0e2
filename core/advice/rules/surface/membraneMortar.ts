import { productOf } from '../../../job/job.ts';
import { worksOf } from '../../../takeoff/works/works.ts';
import type { AdviceRule } from '../../finding.ts';

/** Waterproofing and the mortar on it are made for each other, or one lets go of the other: their data sheets say so. Told once for a job. */
export const membraneMortar: AdviceRule = ({ job, surface, surfaceIndex }) => {
  if (job.materials['membrane']?.sheet && job.materials['adhesive']?.sheet) return [];
  const first = job.surfaces.find((one) => {
    const works = worksOf(one, productOf(job, one));
    return works.does.membrane && works.adhesive === 'powder';
  });
  return first === surface
    ? [{ code: 'advice/membrane-mortar', severity: 'note', path: ['surfaces', surfaceIndex, 'works', 'does'], figures: {} }]
    : [];
};
