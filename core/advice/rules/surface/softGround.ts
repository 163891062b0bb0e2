import type { Substrate } from '../../../takeoff/works/works.ts';
import type { AdviceRule } from '../../finding.ts';

const SOFTENS: ReadonlySet<Substrate> = new Set(['plasterboard', 'plaster', 'anhydrite', 'plywood']);

/** A ground that softens in the wet is no ground for wet tiles, unless boards go over it. */
export const softGround: AdviceRule = ({ surfaceIndex, plan: { figures } }) =>
  figures.works.place !== 'dry' && !figures.works.does.board && SOFTENS.has(figures.works.substrate)
    ? [
        {
          code: 'advice/soft-ground',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'works', 'substrate'],
          figures: { substrate: figures.works.substrate },
        },
      ]
    : [];
