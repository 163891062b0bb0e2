import type { AdviceRule } from '../../finding.ts';

/** Larger pieces keep the air out, mm: 300 or 12 in (usual limit of data sheets). */
const LARGEST_MM = 305;

/** Ready-mixed adhesive dries by the air it gets: not between waterproofing and a tile, not under large pieces, not on floors or outdoors. */
export const readyMixed: AdviceRule = ({ surface, surfaceIndex, plan: { figures } }) => {
  const { works, longestSideMm } = figures;
  if (works.adhesive !== 'ready') return [];
  const why = works.does.membrane
    ? 'membrane'
    : works.place === 'outdoors'
      ? 'outdoors'
      : surface.kind === 'floor'
        ? 'floor'
        : longestSideMm > LARGEST_MM
          ? 'large'
          : null;
  return why
    ? [
        {
          code: 'advice/ready-mixed',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'works', 'adhesive'],
          figures: { why, longestSideMm },
          mend: { path: ['surfaces', surfaceIndex, 'works', 'adhesive'], value: 'powder' },
        },
      ]
    : [];
};
