import type { Link } from '../surface/link.ts';
import { traceSurface } from '../surface/traceSurface.ts';
import { productOf, type Surface } from './job.ts';
import { cornerRun, finishMm, standOffs, type CornerRules } from './standOffs.ts';

/** One face of a corner as a section shows it. */
export interface CornerFace {
  readonly surface: Surface;
  readonly edge: string;
  /** Of what is laid on it the tile, mm. */
  readonly tileMm: number;
  /** Of what is laid on it what lies under the tile, mm. */
  readonly bedMm: number;
  /** The joint that is left there, mm. */
  readonly gapMm: number;
  /** How far in from the corner of the substrate its tile ends; below zero where it goes on beyond, mm. */
  readonly endMm: number;
}

/** How two faces meet at a corner, cut across. */
export interface CornerSection {
  readonly meets: 'inside' | 'outside';
  readonly run: ReturnType<typeof cornerRun>;
  readonly a: CornerFace;
  readonly b: CornerFace;
  /** Whether tile and bed were told for this corner; as tile and notch tell where not. */
  readonly isTold: boolean;
}

/** A corner of a job, cut across; null where the faces don't meet at one. */
export function cornerSection(rules: CornerRules, link: Link): CornerSection | null {
  const { meets } = link;
  if (meets !== 'inside' && meets !== 'outside') return null;
  const run = cornerRun(rules, link);
  const [a, b] = (['a', 'b'] as const).map((side) =>
    faceAt(rules, link[side], side === coveringSide(meets, run) ? link.finishMm : undefined),
  );
  return a && b ? { meets, run, a, b, isTold: link.finishMm !== undefined } : null;
}

/** The face whose tile and bed come off the other, or are lapped over; null where there is none, or both. */
export const coveringFace = (section: CornerSection): CornerFace | null => {
  const side = coveringSide(section.meets, section.run);
  return side && section[side];
};

function coveringSide(meets: CornerSection['meets'], run: CornerSection['run']): 'a' | 'b' | null {
  if (run !== 'a' && run !== 'b') return null;
  return (run === 'a') === (meets === 'inside') ? 'a' : 'b';
}

function faceAt(rules: CornerRules, { surface: id, edge }: Link['a'], toldMm: number | undefined): CornerFace | null {
  const surface = rules.surfaces.find((one) => one.id === id);
  if (!surface) return null;
  const ends = traceSurface(surface.measured, standOffs(rules, surface)).edges.find(({ id: own }) => own === edge);
  if (!ends) return null;
  const tileMm = productOf(rules, surface).thicknessMm;
  const bedMm = (toldMm ?? finishMm(rules, surface)) - tileMm;
  return { surface, edge, tileMm, bedMm: Math.max(0, bedMm), gapMm: ends.gapMm, endMm: ends.endMm };
}
