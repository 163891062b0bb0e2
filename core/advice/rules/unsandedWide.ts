import { SANDED_FROM_MM } from '../../takeoff/works/works.ts';
import type { AdviceRule } from '../finding.ts';

/** Grout without sand shrinks and cracks in wide joints; glass takes it all the same. */
export const unsandedWide: AdviceRule = ({ surface, surfaceIndex, plan: { figures } }) =>
  figures.works.grout === 'fine' && surface.jointMm >= SANDED_FROM_MM && figures.tileMaterial !== 'glass'
    ? [
        {
          code: 'advice/unsanded-wide',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'works', 'grout'],
          figures: { jointMm: surface.jointMm, fromMm: SANDED_FROM_MM },
          mend: { path: ['surfaces', surfaceIndex, 'works', 'grout'], value: 'sanded' },
        },
      ]
    : [];
