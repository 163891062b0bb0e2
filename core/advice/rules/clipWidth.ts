import { CLIP_WIDTHS_MM } from '../../takeoff/materials/levellingClips.ts';
import type { AdviceRule } from '../finding.ts';

const nearest = (jointMm: number): number => [...CLIP_WIDTHS_MM].sort((a, b) => Math.abs(a - jointMm) - Math.abs(b - jointMm))[0];

/** Clips keep the joint of their own stem: another joint than theirs can't be kept. */
export const clipWidth: AdviceRule = ({ job, surface, surfaceIndex, plan }) => {
  if (!plan.figures.works.does.clips) return [];
  const chosen = job.materials['levellingClips']?.choices?.['widthMm'] ?? 'asJoint';
  const widthMm = typeof chosen === 'number' ? chosen : nearest(surface.jointMm);
  if (Math.abs(widthMm - surface.jointMm) < 0.01) return [];
  return [
    {
      code: 'advice/clip-width',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'jointMm'],
      figures: { widthMm, jointMm: surface.jointMm },
      mend: { path: ['surfaces', surfaceIndex, 'jointMm'], value: widthMm },
    },
  ];
};
