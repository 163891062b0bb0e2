import { productOf } from '../../../job/job.ts';
import { worksOf } from '../../../takeoff/works/works.ts';
import type { AdviceRule } from '../../finding.ts';

/** Two grounds under one field move apart: the joint between them is carried through the tiles. */
export const mixedSubstrates: AdviceRule = ({ job, surface, surfaceIndex, plan: { figures } }) =>
  job.links
    .filter(({ meets, a, b }) => meets === 'flat' && (a.surface === surface.id || b.surface === surface.id))
    .flatMap(({ a, b }) => {
      const other = job.surfaces.find(({ id }) => id === (a.surface === surface.id ? b : a).surface);
      if (!other || a.surface !== surface.id) return [];
      const theirs = worksOf(other, productOf(job, other)).substrate;
      return theirs === figures.works.substrate
        ? []
        : [
            {
              code: 'advice/mixed-substrates',
              severity: 'warning' as const,
              path: ['surfaces', surfaceIndex, 'works', 'substrate'],
              figures: { other: other.name, mine: figures.works.substrate, theirs },
            },
          ];
    });
