import type { Job } from '@azulejo/core/job/job';
import { productName } from '@azulejo/core/job/job';
import { tilesNamedBy } from '@azulejo/core/job/tilesNamedBy';
import { describeCourses, describeCoursing } from '@azulejo/core/messages/en/coursing';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import {
  COURSING_ENDS,
  findCoursing,
  type Coursing,
  type CoursingEnd,
  type CoursingRange,
  type Range,
} from '@azulejo/core/setout/coursing/findCoursing';
import type { Tape } from '@azulejo/core/units/tape';

/** Joints that suit most tiles, mm. */
const JOINT: Range = [2, 5];

/** A gap to a wall, mm: room to move, and no more than a bead of sealant fills. */
const GAP: Range = [3, 6];

/** What lies against a profile has next to no gap, mm. */
const AT_PROFILE: Range = [0, 1];

/** What is looked through at first: the usual joints, and gaps about those that the surface has. */
export function startRange({ edges }: SurfacePlan['traced']): CoursingRange {
  const gapOf = (end: CoursingEnd): Range => {
    const gap = edges.find(({ id }) => id === end)?.gapMm ?? GAP[0];
    return gap <= AT_PROFILE[1] ? AT_PROFILE : [Math.min(gap, GAP[0]), Math.max(gap, GAP[1])];
  };
  const [left, right, bottom, top] = COURSING_ENDS.map(gapOf);
  return { jointMm: JOINT, gapsMm: { left, right, bottom, top }, coursesOnly: false };
}

/** A range with one end of it set; the other gives way. */
export const ranged = (range: Range, k: 0 | 1, mm: number): Range =>
  k === 0 ? [mm, Math.max(mm, range[1])] : [Math.min(mm, range[0]), mm];

/** A tile laid one way, as it is shown. */
export interface NoCutRow {
  readonly key: string;
  readonly name: string;
  readonly found: Coursing;
  /** What it comes to, in a line. */
  readonly words: string;
  /** Why, direction by direction. */
  readonly why: readonly string[];
}

/** The tiles that the job lays, and the others of its list; in each what needs no cut first, then what comes nearest. */
export interface NoCutModel {
  readonly laid: readonly NoCutRow[];
  readonly others: readonly NoCutRow[];
}

/** Every rectangular tile of a job, both ways, against the body of a surface. */
export function noCutModel(job: Job, { body }: SurfacePlan['traced'], range: CoursingRange, tape: Tape): NoCutModel {
  const named = new Set(job.surfaces.flatMap((surface) => [...tilesNamedBy(surface)]));
  const rows = findCoursing({ widthMm: body.maxX - body.minX, heightMm: body.maxY - body.minY }, job.products, range).map(
    (found): NoCutRow => ({
      key: `${found.productId} ${found.turned}`,
      name: `${productName(job, found.productId)}${found.turned ? ', turned' : ''}`,
      found,
      words: describeCoursing(found, tape),
      why: [
        ...(found.across ? [`Left to right: ${describeCourses(found.across, tape)}`] : []),
        `Bottom to top: ${describeCourses(found.up, tape)}`,
      ],
    }),
  );
  return { laid: rows.filter(({ found }) => named.has(found.productId)), others: rows.filter(({ found }) => !named.has(found.productId)) };
}
