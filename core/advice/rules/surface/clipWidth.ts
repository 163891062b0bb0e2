import { READS_ALIKE_MM } from '../../../tolerances.ts';
import { CLIP_WIDTHS_MM } from '../../../takeoff/materials/levellingClips.ts';
import type { AdviceRule } from '../../finding.ts';

const nearest = (jointMm: number): number => [...CLIP_WIDTHS_MM].sort((a, b) => Math.abs(a - jointMm) - Math.abs(b - jointMm))[0];

/** A stem as near as this keeps a joint, mm: 1/8 in is sold as 3 mm, 1/16 in as 1.5. */
const KEEPS_MM = READS_ALIKE_MM;

/** Clips keep the joint of their own stem: another joint than theirs can't be kept. */
export const clipWidth: AdviceRule = ({ job, surface, surfaceIndex, plan }) => {
  if (!plan.figures.works.does.clips) return [];
  const chosen = job.materials['levellingClips']?.choices?.['widthMm'] ?? 'asJoint';
  const widthMm = typeof chosen === 'number' ? chosen : nearest(surface.jointMm);
  if (Math.abs(widthMm - surface.jointMm) < KEEPS_MM) return [];
  const isThere = Math.abs(nearest(surface.jointMm) - surface.jointMm) < KEEPS_MM;
  return [
    {
      code: 'advice/clip-width',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'jointMm'],
      figures: { widthMm, jointMm: surface.jointMm },
      // Clips of another width where there are such; else the joint goes by the clips.
      mend: isThere
        ? { path: ['materials', 'levellingClips', 'choices', 'widthMm'], value: 'asJoint' }
        : { path: ['surfaces', surfaceIndex, 'jointMm'], value: widthMm },
    },
  ];
};
