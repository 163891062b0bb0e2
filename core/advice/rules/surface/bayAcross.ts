import { dot, quarterTurn, subtract, unit } from '../../../geometry/point.ts';
import { traceSurface, type Traced } from '../../../surface/traceSurface.ts';
import { productOf } from '../../../job/job.ts';
import { longestBay } from '../../../takeoff/works/bays.ts';
import { worksOf } from '../../../takeoff/works/works.ts';
import type { AdviceRule, Finding } from '../../finding.ts';

/** Floors in one plane with no threshold between them are one bay, and may be too long as one. Told on the first of the two. */
export const bayAcross: AdviceRule = ({ job, surface, surfaceIndex, plan: { traced, figures } }) =>
  surface.kind !== 'floor'
    ? []
    : job.links.flatMap(({ a, b, meets }): Finding[] => {
        const other = job.surfaces.find(({ id }) => id === b.surface);
        if (meets !== 'flat' || a.surface !== surface.id || other?.kind !== 'floor') return [];
        const lengths = [lengthFrom(traced, a.edge), lengthFrom(traceSurface(other.measured), b.edge)];
        const limitMm = Math.min(figures.bays.limitMm, longestBay(job.practice, worksOf(other, productOf(job, other))));
        if (lengths.some((mm) => mm === null || mm > limitMm)) return [];
        const longestMm = lengths.reduce<number>((sum, mm) => sum + (mm ?? 0), 0);
        if (longestMm <= limitMm) return [];
        const path = ['surfaces', surfaceIndex, 'measured', 'roles', a.edge];
        return [
          {
            code: 'advice/bay-across',
            severity: 'note',
            path,
            figures: { other: other.name, longestMm, limitMm },
            mend: { path, value: 'threshold' },
          },
        ];
      });

/** How far a floor reaches from an edge, mm; null where that edge parts it from what is beyond. */
function lengthFrom({ edges, region }: Traced, edgeId: string): number | null {
  const own = edges.filter(({ id }) => id === edgeId);
  const [edge] = own;
  // The joint at a threshold is one that gives.
  if (!edge || own.some(({ role }) => role === 'threshold')) return null;
  const inward = quarterTurn(unit(subtract(edge.to, edge.from)));
  return Math.max(...region.flat(2).map((p) => dot(subtract(p, edge.from), inward)));
}
