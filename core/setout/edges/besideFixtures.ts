import { ROUNDED_OFTEN } from '../../tolerances.ts';
import { distance, motion, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import { isInside } from '../../geometry/ring.ts';
import { coverHidesCut } from '../../surface/fixture.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { Field } from '../fields/field.ts';
import type { Layout, Placement } from '../place/layout.ts';
import { firstPieceSpan, type Axis } from '../choice/axisPlacement.ts';
import type { EdgeSummary } from './edgeCuts.ts';
import { cutSizes } from './endCuts.ts';
import { besideOf } from '../fields/ground.ts';

/** One straight side of something that stands in the field, with the pieces that meet it. */
export interface BesideFixture {
  readonly fixtureId: string;
  readonly name: string;
  /** Which side of the fixture it is. */
  readonly side: 'left' | 'right' | 'bottom' | 'top';
  /** Sizes of the cut pieces along it, each once, largest first, mm; none where full pieces meet it. */
  readonly cutsMm: readonly number[];
  /** What sets a full piece off this side: the direction, and how far from the left or bottom limit it starts, mm. */
  readonly fullPiece: { readonly axis: Axis; readonly offsetMm: number };
}

/** A surface as it is set out. */
interface SetOut {
  readonly traced: Traced;
  readonly beside: readonly EdgeSummary[];
  readonly layout: Layout;
  readonly fields: readonly Field[];
  readonly choice: { readonly turnDeg: number; readonly startsMm: Point };
}

/** Sides that run with the field's own directions and have tiles along them, where no cover hides the cut. */
export function besideFixtures({ traced, beside, layout, fields, choice }: SetOut): BesideFixture[] {
  const { repeat } = layout;
  const { unturn } = motion(choice.turnDeg, [0, 0]);
  const summaries = new Map(beside.map((summary) => [summary.id, summary]));
  return besideOf(traced).flatMap(({ id, from, to }) => {
    const fixture = traced.fixtures.find((one) => id.startsWith(`${one.fixture.id}-`))?.fixture;
    const inward = quarterTurn(unit(subtract(to, from)));
    const facing = unturn(inward);
    const side = sideFacing(facing);
    if (!fixture || !side || coverHidesCut(fixture) || !meetsTiles(from, to, inward, traced)) return [];
    const axis: Axis = side === 'left' || side === 'right' ? 'x' : 'y';
    const k = axis === 'x' ? 0 : 1;
    const { low, high } = firstPieceSpan(repeat, axis);
    const at = unturn(from)[k];
    const now = unturn(placementAlong(from, to, inward, fields, layout).origin);
    const startMm = facing[k] > 0 ? at : at - (high - low);
    return [
      {
        fixtureId: fixture.id,
        name: fixture.name,
        side,
        cutsMm: cutSizes(summaries.get(id)),
        fullPiece: { axis, offsetMm: choice.startsMm[k] + startMm - low - now[k] },
      },
    ];
  });
}

/** The placement of the tiles along a stretch: those beyond a band lie further on. */
function placementAlong(from: Point, to: Point, inward: Point, fields: readonly Field[], { placement }: Layout): Placement {
  const off: Point = [(from[0] + to[0]) / 2 + inward[0] * OFF_MM, (from[1] + to[1]) / 2 + inward[1] * OFF_MM];
  const beyond = fields.find(({ kind, box, layout }) => {
    if (kind !== 'beyondBand') return false;
    const [x, y] = motion(layout.placement.turnDeg, layout.placement.origin).unturn(off);
    return x > box.minX && x < box.maxX && y > box.minY && y < box.maxY;
  });
  return beyond?.layout.placement ?? placement;
}

/** The side of a fixture from which one looks this way into the field; null where it runs aslant. */
function sideFacing([x, y]: Point): BesideFixture['side'] | null {
  if (Math.abs(y) < ROUNDED_OFTEN) return x > 0 ? 'right' : 'left';
  return Math.abs(x) < ROUNDED_OFTEN ? (y > 0 ? 'top' : 'bottom') : null;
}

/** This far off a side there are tiles, or there are none along it, mm. */
const OFF_MM = 1;

function meetsTiles(from: Point, to: Point, inward: Point, { region }: Traced): boolean {
  if (distance(from, to) < OFF_MM) return false;
  return [0.1, 0.5, 0.9].some((share) => {
    const at: Point = [from[0] + (to[0] - from[0]) * share + inward[0] * OFF_MM, from[1] + (to[1] - from[1]) * share + inward[1] * OFF_MM];
    return isInside(at, region);
  });
}
