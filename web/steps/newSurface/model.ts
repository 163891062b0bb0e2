import type { Ring } from '@azulejo/core/geometry/ring';
import type { Job, Surface } from '@azulejo/core/job/job';
import { startMeasured } from '@azulejo/core/job/startJob';
import { SET_NAMES, setFaceName } from '@azulejo/core/messages/en/sets';
import type { Fixture } from '@azulejo/core/surface/fixture';
import { facesOfSet, type SetForm } from '@azulejo/core/surface/sets/registry';
import { outlineOf, type Shape } from '@azulejo/core/surface/shapes/registry';
import { traceSurface } from '@azulejo/core/surface/traceSurface';
import { unfold } from '@azulejo/core/surface/unfold';
import { KIND_LABELS } from '../job/surfaceKinds.ts';
import type { Walked } from './walk.ts';

/** How a surface is entered: by its lengths, as one of several that belong together, drawn, or out of a file. */
export type EnteringWay = 'one' | 'set' | 'draw' | 'file';

/** What is entered of new surfaces so far. */
export interface Entered {
  readonly way: EnteringWay;
  readonly kind: Surface['kind'];
  /** Null while not all lengths are there. */
  readonly shape: Shape | null;
  /** What a drawing holds within the outline. */
  readonly cutOuts: readonly Fixture[];
  /** Null where it is not walked wall by wall. */
  readonly walked: Walked | null;
  readonly set: SetForm;
}

/** One outline to draw, closed or still open; lengths in mm. */
export interface PicturedRing {
  readonly ring: Ring;
  readonly edgeIds: readonly string[];
  readonly closed: boolean;
  readonly name: string;
}

/** What to say where there is no shape yet. */
export const MISSING: Readonly<Record<EnteringWay, string>> = {
  one: 'Not all lengths are there yet.',
  set: 'Not all lengths are there yet.',
  draw: 'Draw the corners first, and close them at the first one.',
  file: 'Choose a file with an outline first.',
};

/** What is entered so far, drawn as it grows; nothing before the first wall. */
export function ringsOf({ way, shape, cutOuts, walked, set }: Entered): readonly PicturedRing[] {
  if (way === 'set') return ringsOfSet(set);
  if (shape) {
    const { ring, edgeIds } = outlineOf(shape);
    const { fixtures } = traceSurface({ ...startMeasured(shape), fixtures: [...cutOuts] });
    return [
      { ring, edgeIds, closed: true, name: '' },
      ...fixtures.map((placed) => ({ ring: placed.ring, edgeIds: [], closed: true, name: placed.fixture.name })),
    ];
  }
  return walked && way === 'one' ? [{ ring: walked.points, edgeIds: walked.edgeIds, closed: false, name: '' }] : [];
}

/** The faces of a set as they lie when they are folded out. */
function ringsOfSet(form: SetForm): PicturedRing[] {
  const { faces, joins } = facesOfSet(form);
  const surfaces = faces.map(({ key, shape }) => ({ id: key, measured: { shape } }));
  const links = joins.map(({ a, b, meets }, k) => ({
    id: String(k),
    a: { surface: a[0], edge: a[1] },
    b: { surface: b[0], edge: b[1] },
    meets,
  }));
  return unfold(faces[0].key, surfaces, links).map(({ surfaceId, ring }) => {
    const face = faces.find(({ key }) => key === surfaceId);
    return { ring, edgeIds: [], closed: true, name: face ? setFaceName(face) : '' };
  });
}

/** What it is called where the person gives it no name. */
export function suggestedName({ way, kind, set }: Pick<Entered, 'way' | 'kind' | 'set'>, { surfaces }: Pick<Job, 'surfaces'>): string {
  if (way === 'set') return SET_NAMES[set.kind];
  return `${KIND_LABELS[kind]} ${surfaces.filter((surface) => surface.kind === kind).length + 1}`;
}
