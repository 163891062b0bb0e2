import type { AdviceRule } from '../finding.ts';

/** Sand in the grout scratches glass. */
export const sandedGlass: AdviceRule = ({ surfaceIndex, plan: { figures } }) =>
  figures.works.grout === 'sanded' && figures.tileMaterial === 'glass'
    ? [
        {
          code: 'advice/sanded-glass',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'works', 'grout'],
          figures: {},
          mend: { path: ['surfaces', surfaceIndex, 'works', 'grout'], value: 'fine' },
        },
      ]
    : [];
