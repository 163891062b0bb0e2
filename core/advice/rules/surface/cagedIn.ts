import type { AdviceRule } from '../../finding.ts';

/** An order of laying zones that leaves somebody in a corner, or walks over fresh tiles. */
export const cagedIn: AdviceRule = ({ surfaceIndex, surface, plan: { zones } }) => {
  const caged = zones.zones.filter(({ isReached }) => !isReached).map(({ number }) => number);
  return caged.length === 0
    ? []
    : [
        {
          code: surface.zones?.order ? 'advice/caged-in' : 'advice/no-way-in',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'zones', surface.zones?.order ? 'order' : 'exit'],
          figures: { zones: caged.join(', '), count: caged.length },
        },
      ];
};
