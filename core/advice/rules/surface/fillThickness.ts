import { ON_LINE_MM } from '../../../tolerances.ts';
import type { AdviceRule, Finding } from '../../finding.ts';

/** Thinnest and thickest, mm. */
const LIMITS_MM = { leveller: [2, 30], bed: [15, 80] } as const;

/** A bed or a leveller thinner or thicker than it can be laid (usual limits of data sheets): one floor may be both. */
export const fillThickness: AdviceRule = ({ surface, surfaceIndex, plan: { levels } }) => {
  if (!levels) return [];
  const fill = surface.measured.levels?.fill ?? 'leveller';
  const [leastMm, mostMm] = LIMITS_MM[fill];
  const depths = levels.pads.map(({ thicknessMm }) => thicknessMm);
  const [thinnestMm, thickestMm] = [Math.min(...depths), Math.max(...depths)];
  const path = ['surfaces', surfaceIndex, 'measured', 'levels'];
  // Raised over the highest spot, it is as much thicker over the lowest.
  const raisedMm = thickestMm + leastMm - thinnestMm;
  const thin: Finding = {
    code: 'advice/fill-thin',
    severity: 'warning',
    path,
    figures: { fill, depthMm: thinnestMm, limitMm: leastMm },
    ...(thickestMm > mostMm + ON_LINE_MM || raisedMm <= mostMm + ON_LINE_MM
      ? { mend: { path: [...path, 'leastMm'], value: leastMm } }
      : {}),
  };
  const thick: Finding = { code: 'advice/fill-thick', severity: 'warning', path, figures: { fill, depthMm: thickestMm, limitMm: mostMm } };
  return [...(thinnestMm < leastMm - ON_LINE_MM ? [thin] : []), ...(thickestMm > mostMm + ON_LINE_MM ? [thick] : [])];
};
