import type { Job, Surface } from './job.ts';
import { startSurfaceOf } from './startJob.ts';
import { clipText } from '../units/clipText.ts';
import type { Link } from '../surface/link.ts';
import { facesOfSet, type SetForm } from '../surface/sets/registry.ts';
import type { SetFace } from '../surface/sets/setKind.ts';

/** What a set adds to a job. */
export interface StartedSet {
  readonly room: Job['rooms'][number];
  readonly surfaces: readonly Surface[];
  readonly links: readonly Link[];
}

/** The surfaces of a set with good defaults, in a room of their own, named by `name` and what `faceName` calls each; ids are made from `id`, which no other may start with. */
export function startSet(job: Job, id: string, name: string, form: SetForm, faceName: (face: SetFace) => string): StartedSet {
  const { faces, joins } = facesOfSet(form);
  const idOf = (key: string): string => `${id}-${key}`.slice(0, 40);
  const surfaces = faces.map((face): Surface => {
    const plain = startSurfaceOf(job, idOf(face.key), clipText(`${name}, ${faceName(face)}`, 80), face.kind, face.shape);
    return { ...plain, roomId: id, measured: { ...plain.measured, roles: { ...face.roles } } };
  });
  const links = joins.map(({ a, b, meets, through }, k): Link => {
    const end = ([key, edge]: readonly [string, string]): Link['a'] => ({ surface: idOf(key), edge });
    return { id: `${id}-join-${k + 1}`.slice(0, 40), a: end(a), b: end(b), meets, ...(through ? { through } : {}) };
  });
  return { room: { id, name }, surfaces, links };
}
