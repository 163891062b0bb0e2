import { boxOf } from '@azulejo/core/geometry/ring';
import type { Point } from '@azulejo/core/geometry/point';
import type { Drawing } from '@azulejo/core/plan';
import type { TracedFixture } from '@azulejo/core/surface/traceSurface';
import { formatLength } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import { writeOver, type Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

/** Shorter measures than this have no room for their figure, pixels. */
const ROOM_PX = 30;

/** The two measures that place each fixture, drawn from the edges they were taken from. */
export function paintFixturePlaces(brush: Brush, { traced }: Drawing, tape: Tape): void {
  for (const placed of traced.fixtures) {
    const { fixture } = placed;
    const { minX, maxX, minY, maxY } = traced.body;
    const [x, y] = anchorOf(placed);
    paintMeasure(brush, [fixture.fromX === 'left' ? minX : maxX, y], [x, y], formatLength(fixture.xMm, tape));
    paintMeasure(brush, [x, fixture.fromY === 'bottom' ? minY : maxY], [x, y], formatLength(fixture.yMm, tape));
  }
}

/** Where both measures end: the centre of a round fixture, the near corner of a rectangular one. */
function anchorOf({ fixture, ring }: TracedFixture): Point {
  const box = boxOf(ring);
  if (fixture.outline.kind === 'round') return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  return [fixture.fromX === 'left' ? box.minX : box.maxX, fixture.fromY === 'bottom' ? box.minY : box.maxY];
}

function paintMeasure(brush: Brush, edge: Point, anchor: Point, figure: string): void {
  const { context, view, palette } = brush;
  const [x1, y1] = toScreen(view, edge);
  const [x2, y2] = toScreen(view, anchor);
  if (Math.hypot(x2 - x1, y2 - y1) < ROOM_PX) return;
  context.setLineDash([2, 3]);
  context.strokeStyle = palette.label;
  context.lineWidth = 1.5;
  context.beginPath();
  context.moveTo(x1, y1);
  context.lineTo(x2, y2);
  context.stroke();
  context.setLineDash([]);
  writeOver(brush, figure, (x1 + x2) / 2, (y1 + y2) / 2);
}
