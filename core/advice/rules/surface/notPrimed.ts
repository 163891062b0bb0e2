import { PRIMED } from '../../../takeoff/works/works.ts';
import type { AdviceRule } from '../../finding.ts';

/** Thirsty or closed grounds are primed, or the bed lets go of them; gypsum and cement also need keeping apart. */
export const notPrimed: AdviceRule = ({ surface, surfaceIndex, plan: { figures } }) => {
  const { works } = figures;
  // Boards are what the bed lies on then.
  if (works.does.prime || works.does.board || !PRIMED.has(works.substrate)) return [];
  return [
    {
      code: 'advice/not-primed',
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'works', 'does'],
      figures: { substrate: works.substrate, kind: surface.kind },
      mend: { path: ['surfaces', surfaceIndex, 'works', 'does', 'prime'], value: true },
    },
  ];
};
