import { issue, type Issue } from '../result.ts';
import { outlineOf } from '../surface/shapes/registry.ts';
import { traceSurface } from '../surface/traceSurface.ts';
import type { Job } from './job.ts';
import { standOffs } from './standOffs.ts';

/** What can't be true of the corners of a job: faces that each would have to be laid before the next, and surfaces that corners and trims leave nothing of. */
export const checkCorners = (job: Job): Issue[] => [...checkCircles(job), ...job.surfaces.flatMap((_, k) => checkRoomLeft(job, k))];

/** Inside corners in which one face runs through: which is laid before which. */
const orders = ({ links }: Pick<Job, 'links'>): { readonly k: number; readonly before: string; readonly after: string }[] =>
  links.flatMap(({ a, b, meets, through }, k) => {
    if (meets !== 'inside' || through === undefined || a.surface === b.surface) return [];
    const [before, after] = through === 'a' ? [a, b] : [b, a];
    return [{ k, before: before.surface, after: after.surface }];
  });

/** Takes away what nothing has to be laid before, again and again: what stays goes in circles. */
function checkCircles(job: Job): Issue[] {
  let left = orders(job);
  for (let count = -1; count !== left.length;) {
    count = left.length;
    const waiting = new Set(left.map(({ after }) => after));
    left = left.filter(({ before }) => waiting.has(before));
  }
  if (left.length === 0) return [];
  // What only waits for a circle is none of it.
  const round = circleOf(left);
  const names = round.map(({ before }) => job.surfaces.find(({ id }) => id === before)?.name ?? before).join(', ');
  return [issue('link/runs-in-a-circle', ['links', Math.max(...round.map(({ k }) => k)), 'through'], { names })];
}

/** Goes back from what waits to what it waits for, until it comes round. */
function circleOf<Order extends { readonly before: string; readonly after: string }>(left: readonly Order[]): readonly Order[] {
  const way: Order[] = [left[0]];
  for (;;) {
    const last = way[way.length - 1];
    const next = left.find(({ after }) => after === last.before);
    if (!next) return way;
    const met = way.indexOf(next);
    if (met >= 0) return way.slice(met);
    way.push(next);
  }
}

/** Whether corners and trims leave room on a surface; one that has none without them is told of elsewhere. */
function checkRoomLeft(job: Job, k: number): Issue[] {
  const { measured } = job.surfaces[k];
  const offs = Object.entries(standOffs(job, job.surfaces[k])).filter(([, mm]) => mm > 0);
  if (offs.length === 0 || traceSurface(measured, Object.fromEntries(offs)).field.length > 0 || traceSurface(measured).field.length === 0)
    return [];
  const [edge, takesMm] = offs.reduce((a, b) => (b[1] > a[1] ? b : a));
  return [
    issue('surface/corners-leave-nothing', ['surfaces', k, 'trims', edge], {
      edge: outlineOf(measured.shape).names?.[edge] ?? edge,
      takesMm,
    }),
  ];
}
