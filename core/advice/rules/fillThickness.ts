import type { AdviceRule } from '../finding.ts';

/** Thinnest and thickest, mm. */
const LIMITS_MM = { leveller: [2, 30], bed: [15, 80] } as const;

/** A bed or a leveller thinner or thicker than it can be laid (usual limits of data sheets). */
export const fillThickness: AdviceRule = ({ surface, surfaceIndex, plan: { levels } }) => {
  if (!levels) return [];
  const fill = surface.measured.levels?.fill ?? 'leveller';
  const [leastMm, mostMm] = LIMITS_MM[fill];
  const depths = levels.pads.map(({ thicknessMm }) => thicknessMm);
  const [thinnestMm, thickestMm] = [Math.min(...depths), Math.max(...depths)];
  if (thinnestMm >= leastMm - 0.01 && thickestMm <= mostMm + 0.01) return [];
  const isThin = thinnestMm < leastMm - 0.01;
  return [
    {
      code: isThin ? 'advice/fill-thin' : 'advice/fill-thick',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'measured', 'levels'],
      figures: { fill, depthMm: isThin ? thinnestMm : thickestMm, limitMm: isThin ? leastMm : mostMm },
      ...(isThin ? { mend: { path: ['surfaces', surfaceIndex, 'measured', 'levels', 'leastMm'], value: leastMm } } : {}),
    },
  ];
};
