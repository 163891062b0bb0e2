import { stonesUnderKerf } from '../../../pattern/kinds/ashlar.ts';
import { moduleOf } from '../../../pattern/laying.ts';
import type { AdviceRule } from '../../finding.ts';

/** Stones of an ashlar that are smaller than the tile by less than the saw takes. */
export const underKerf: AdviceRule = ({ job, surface, surfaceIndex }) => {
  const { kerfMm } = job.consumption;
  const laid = [surface, ...surface.insets].map((laying, k) => ({ laying, path: k === 0 ? [] : ['insets', k - 1] }));
  return laid.flatMap(({ laying, path }) => {
    if (laying.pattern.kind !== 'ashlar') return [];
    const [stone] = stonesUnderKerf(laying.pattern, moduleOf(laying, job.products), kerfMm);
    if (!stone) return [];
    return [
      {
        code: 'advice/under-kerf',
        severity: 'warning' as const,
        path: ['surfaces', surfaceIndex, ...path, 'pattern', 'moduleMm'],
        figures: { ...stone, kerfMm },
      },
    ];
  });
};
