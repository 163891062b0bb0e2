import { edgeLength } from '../../../surface/link.ts';
import type { AdviceRule } from '../../finding.ts';

/** Two tapes along one edge agree to about this, mm. */
const SAME_EDGE_MM = 4;

/** A corner that two surfaces share was measured differently on each; told on the one that comes first. Floors meet in doorways narrower than either. */
export const meetingDiffers: AdviceRule = ({ job, surface, surfaceIndex }) =>
  job.links.flatMap(({ a, b, meets }) => {
    const other = job.surfaces.find(({ id }) => id === b.surface);
    if (a.surface !== surface.id || !other || meets === 'inLine' || meets === 'flat') return [];
    const [mine, theirs] = [edgeLength(surface.measured.shape, a.edge), edgeLength(other.measured.shape, b.edge)];
    if (mine === null || theirs === null || Math.abs(mine - theirs) <= SAME_EDGE_MM) return [];
    return [
      {
        code: 'advice/meeting-differs',
        severity: 'warning',
        path: ['surfaces', surfaceIndex, 'measured', 'shape'],
        figures: {
          edge: a.edge,
          other: other.name,
          mineMm: mine,
          theirsMm: theirs,
          areWalls: surface.kind === 'wall' && other.kind === 'wall' ? 1 : 0,
        },
      },
    ];
  });
