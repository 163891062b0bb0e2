import { rectangleRing } from '@azulejo/core/geometry/ring';
import type { Fixture, FixturePlace } from '@azulejo/core/surface/fixture';
import { add, dot, motion, quarterTurn, scale, subtract, unit, type Point } from '@azulejo/core/geometry/point';
import type { Drawing } from '@azulejo/core/plan/planned';
import { formatLength } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import { traceRing, writeOver, type Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

/** Shorter measures than this have no room for their figure, pixels. */
const ROOM_PX = 30;

/** The two measures that place each fixture, drawn square to the edges they were taken from. */
export function paintFixturePlaces(brush: Brush, { traced }: Drawing, tape: Tape): void {
  for (const { fixture, place, lines } of traced.fixtures) {
    if (fixture.cover) paintCover(brush, fixture.cover, place);
    fixture.from.forEach(({ mm }, k) => {
      const { from, to } = lines[k];
      const inward = quarterTurn(unit(subtract(to, from)));
      const foot = add(place.centre, scale(inward, -dot(subtract(place.centre, from), inward)));
      paintMeasure(brush, foot, add(foot, scale(inward, mm)), formatLength(mm, tape));
    });
  }
}

/** The plate or flange that hides the cut, dotted. */
function paintCover(brush: Brush, { widthMm, heightMm }: NonNullable<Fixture['cover']>, { centre, turnDeg }: FixturePlace): void {
  const { context, palette } = brush;
  context.beginPath();
  traceRing(brush, rectangleRing(-widthMm / 2, -heightMm / 2, widthMm, heightMm).map(motion(turnDeg, centre).turn));
  context.setLineDash([1, 3]);
  context.strokeStyle = palette.chosen;
  context.lineWidth = 1.5;
  context.stroke();
  context.setLineDash([]);
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
