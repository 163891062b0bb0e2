import { standOffs } from '../job/standOffs.ts';
import type { Surface } from '../job/job.ts';
import { weightsOf } from '../setout/choice/ways.ts';
import { isSliver } from '../setout/choice/sliver.ts';
import { openSurface } from '../setout/search/openSurface.ts';
import { Placer } from '../setout/search/placer.ts';
import type { LineOwner } from '../setout/edges/boundary.ts';
import type { Candidate } from '../setout/tally/candidate.ts';
import type { EdgeTally, SetoutFigures } from '../setout/tally/figures.ts';
import { traceSurface } from '../surface/traceSurface.ts';
import type { OpeningRules } from '../plan/prepare/prepareSurface.ts';

/** A wall may stand so far from where it was measured: two readings of a tape that each stray by 1 to 2 mm, and it bows (trade practice), mm. */
export const OFF_MM = 4;

/** Cuts along less of an edge are none to speak of, mm. */
const LEAST_CUT_MM = 1;

/** The narrowest cut piece of a start, and along which edge it lies. */
interface Narrowest {
  readonly at: Pick<LineOwner, 'id' | 'kind'>;
  readonly mm: number;
  readonly isSliver: boolean;
}

/** What becomes of a start where a wall stands a little off. */
export interface Forgiveness {
  readonly offMm: number;
  /** As measured; null where nothing is cut. */
  readonly now: Narrowest | null;
  /** The worst that can come of it; null where nothing would be cut either. */
  readonly worst: (Narrowest & { readonly wall: string; readonly isFurther: boolean }) | null;
  /** Whether a sliver comes of it that is none now: not a cut that is a little narrower, but one where a tile was nearly whole, or nothing. */
  readonly turns: boolean;
}

/** The four walls of a surface, each so far out or in: what starts are tried on besides the surface as it was measured. */
interface MovedWall {
  readonly wall: string;
  readonly isFurther: boolean;
  readonly placer: Placer;
}

/** The surface with one wall moved, for each of its walls both ways; a wall that leaves nothing when it is moved is left out. */
export function movedWalls(rules: OpeningRules, surface: Surface): MovedWall[] {
  const offs = standOffs(rules, surface);
  const { sides } = traceSurface(surface.measured, offs);
  const walls = [...new Set([sides.left, sides.right, sides.bottom, sides.top])].filter((id) => id !== null);
  return walls.flatMap((wall) =>
    [true, false].flatMap((isFurther): MovedWall[] => {
      const byMm = isFurther ? -OFF_MM : OFF_MM;
      const traced = traceSurface(surface.measured, { ...offs, [wall]: (Object.hasOwn(offs, wall) ? offs[wall] : 0) + byMm });
      if (traced.region.length === 0) return [];
      return [{ wall, isFurther, placer: new Placer(openSurface(surface, traced, rules.products), weightsOf(rules.way)) }];
    }),
  );
}

/** Lays a start by its own rules on each of the surfaces whose wall was moved, and tells the worst. */
export function forgives({ x, y, turn, turnDeg, figures }: Candidate, moved: readonly MovedWall[]): Forgiveness {
  const now = narrowestOf(figures);
  const all = moved.flatMap(({ wall, isFurther, placer }) => {
    const narrowest = narrowestOf(placer.weigh(x, y, { choice: turn, deg: turnDeg }).figures);
    return narrowest ? [{ ...narrowest, wall, isFurther }] : [];
  });
  const worst = all.reduce<(typeof all)[number] | null>((a, b) => (a === null || b.mm < a.mm ? b : a), null);
  return { offMm: OFF_MM, now, worst, turns: worst !== null && worst.isSliver && worst.mm < (now?.mm ?? Infinity) - 2 * OFF_MM };
}

/** Of what fills in between the tiles nothing is told; nor of a free end, which is put where the tiles end. */
function narrowestOf({ edges }: SetoutFigures): Narrowest | null {
  const cut = edges.filter(({ owner, mainCutMm }) => owner.kind !== 'other' && owner.role !== 'exposed' && mainCutMm >= LEAST_CUT_MM);
  if (cut.length === 0) return null;
  const thinnest = cut.reduce((a: EdgeTally, b) => (b.thinnestMainMm < a.thinnestMainMm ? b : a));
  const { owner, thinnestMainMm, fullMm } = thinnest;
  return { at: { id: owner.id, kind: owner.kind }, mm: thinnestMainMm, isSliver: isSliver(thinnestMainMm, fullMm) };
}
