import { HAIR_MM } from '../tolerances.ts';
import type { Job, Surface } from '../job/job.ts';

/** Smallest joints, mm: European practice 2 on walls and 3 on floors, North American 1/16 in. Check the standard in force. */
const SMALLEST_MM = {
  european: { floor: 3, wall: 2, countertop: 2 },
  northAmerican: { floor: 1.6, wall: 1.6, countertop: 1.6 },
} as const;

/** The smallest joint that the practice of a job allows on a surface, mm. */
export const smallestJoint = ({ practice }: Pick<Job, 'practice'>, { kind }: Pick<Surface, 'kind'>): number => SMALLEST_MM[practice][kind];

/** Whether a joint is under that. */
export const isNarrow = (job: Pick<Job, 'practice'>, surface: Pick<Surface, 'kind' | 'jointMm'>): boolean =>
  surface.jointMm < smallestJoint(job, surface) - HAIR_MM;
