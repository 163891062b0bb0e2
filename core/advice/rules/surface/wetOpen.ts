import type { AdviceRule } from '../../finding.ts';

/** Tiles and grout keep no water out: behind a wet surface lies waterproofing. */
export const wetOpen: AdviceRule = ({ surfaceIndex, plan: { figures } }) =>
  figures.works.place === 'wet' && !figures.works.does.membrane
    ? [
        {
          code: 'advice/wet-open',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'works', 'does'],
          figures: {},
          mend: { path: ['surfaces', surfaceIndex, 'works', 'does', 'membrane'], value: true },
        },
      ]
    : [];
