import { AS_MADE_MM } from '../tolerances.ts';
import { distance } from '../geometry/point.ts';
import type { TracedFixture } from '../surface/traceSurface.ts';
import type { CutPiece } from './cutPiece.ts';

/** A hole that several pieces share: what comes through, and the other pieces that close round it. */
export interface SharedHole {
  readonly name: string;
  readonly others: readonly string[];
}

/** A corner of a piece this near to the circle lies on it, mm: a ring stands for the circle. */
const ON_CIRCLE_MM = AS_MADE_MM;

/** Fewer corners on a circle are no bite of it. */
const FEWEST_CORNERS = 3;

/** The holes that pieces share, by the label of each: everything round that more than one piece closes round. */
export function sharedHoles(
  { fixtures }: { readonly fixtures: readonly TracedFixture[] },
  cuts: readonly Pick<CutPiece, 'label' | 'polygon'>[],
): Map<string, SharedHole[]> {
  const shared = new Map<string, SharedHole[]>();
  for (const { fixture, clearCircle } of fixtures) {
    if (!clearCircle) continue;
    const { centre, radiusMm } = clearCircle;
    const round = cuts.filter(({ polygon }) =>
      polygon.some((ring) => ring.filter((p) => Math.abs(distance(p, centre) - radiusMm) <= ON_CIRCLE_MM).length >= FEWEST_CORNERS),
    );
    if (round.length < 2) continue;
    for (const { label } of round) {
      const others = round.map((piece) => piece.label).filter((other) => other !== label);
      shared.set(label, [...(shared.get(label) ?? []), { name: fixture.name, others }]);
    }
  }
  return shared;
}
