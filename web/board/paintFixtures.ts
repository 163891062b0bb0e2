import { labelPoint } from '@azulejo/core/geometry/labelPoint';
import { motion, type Point } from '@azulejo/core/geometry/point';
import { boxOf, type Box } from '@azulejo/core/geometry/ring';
import type { Drawing } from '@azulejo/core/plan/planned';
import { fixtureSize, type Fixture, type FixturePlace } from '@azulejo/core/surface/fixture';
import { sideOf } from '@azulejo/core/surface/sides';
import { FIXTURE_STROKES } from './fixtureStrokes.ts';
import { traceRing, type Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

/** Fixtures smaller than this on screen go without a name, pixels. */
const NAMED_PX = 20;

/** Fixtures smaller than this on screen go without their symbol, pixels. */
const SYMBOL_PX = 14;

/** Fixtures wider than this carry their name inside, pixels. */
const NAME_INSIDE_PX = 52;

/** Fixtures: cut out ones as the ground that shows, tiled-under ones as a dashed outline, each with its symbol. */
export function paintFixtures(brush: Brush, { traced }: Drawing): void {
  const { context, palette } = brush;
  for (const { fixture, ring, place } of traced.fixtures) {
    context.beginPath();
    traceRing(brush, ring);
    if (!fixture.tiledUnder) {
      context.fillStyle = palette.fixture;
      context.fill();
    }
    context.setLineDash(fixture.tiledUnder ? [6, 4] : []);
    context.strokeStyle = palette.outline;
    context.lineWidth = 1.5;
    context.stroke();
    paintSymbol(brush, fixture, place);
    context.setLineDash([]);
  }
}

/** The strokes of a fixture's symbol, stretched to its size and turned with it. */
function paintSymbol(brush: Brush, { kind, outline }: Fixture, { centre, turnDeg }: FixturePlace): void {
  const { context, view, palette } = brush;
  const { widthMm, heightMm } = fixtureSize(outline);
  if (outline.kind === 'shape' || Math.min(widthMm, heightMm) * view.scale < SYMBOL_PX) return;
  const { turn } = motion(turnDeg, centre);
  const place = ([x, y]: Point): Point => toScreen(view, turn([(x - 0.5) * widthMm, (y - 0.5) * heightMm]));
  context.save();
  if (outline.kind === 'round') {
    context.beginPath();
    context.arc(...toScreen(view, centre), (widthMm / 2) * view.scale, 0, 2 * Math.PI);
    context.clip();
  }
  context.strokeStyle = palette.fixtureLine;
  context.lineWidth = 1.2;
  for (const stroke of FIXTURE_STROKES[kind]) {
    context.beginPath();
    if (stroke.kind === 'circle') {
      context.arc(...place([stroke.x, stroke.y]), stroke.r * Math.min(widthMm, heightMm) * view.scale, 0, 2 * Math.PI);
    } else {
      stroke.points.forEach((point, k) => (k === 0 ? context.moveTo(...place(point)) : context.lineTo(...place(point))));
    }
    context.stroke();
  }
  context.restore();
}

/** The name of a fixture where it is written, pixels; `box` is kept clear of other words. */
export interface PlacedName {
  readonly text: string;
  readonly at: Point;
  readonly box: Box;
  readonly isOnFixture: boolean;
}

/** Where the names of fixtures go: inside where there is room, else beside them, away from where they are measured. */
export function placeFixtureNames({ context, view }: Brush, { traced }: Drawing): PlacedName[] {
  context.font = NAME_FONT;
  return traced.fixtures.flatMap(({ fixture, ring, lines }) => {
    const box = boxOf(ring);
    const [wide, high] = [(box.maxX - box.minX) * view.scale, (box.maxY - box.minY) * view.scale];
    if (Math.max(wide, high) < NAMED_PX) return [];
    const { width } = context.measureText(fixture.name);
    const inside = wide > width + 8 || wide > NAME_INSIDE_PX;
    const middle: Point = fixture.outline.kind === 'shape' ? labelPoint([ring]) : [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
    const [x, y] = toScreen(view, middle);
    const out = (lines.some((line) => sideOf(line) === 'top') ? 1 : -1) * (high / 2 + 10);
    const at: Point = inside ? [x, y] : [x, y + out];
    const clear = { minX: at[0] - width / 2 - 3, maxX: at[0] + width / 2 + 3, minY: at[1] - 9, maxY: at[1] + 9 };
    return [{ text: fixture.name, at, box: clear, isOnFixture: inside && !fixture.tiledUnder }];
  });
}

const NAME_FONT = '600 13px "Barlow", sans-serif';

/** Writes the names of fixtures. */
export function paintFixtureNames(brush: Brush, names: readonly PlacedName[]): void {
  const { context, palette } = brush;
  context.font = NAME_FONT;
  for (const { text, at, isOnFixture } of names) {
    if (isOnFixture) writeOn(brush, text, ...at, palette.fixtureText, palette.fixture);
    else writeOn(brush, text, ...at, palette.label, palette.labelHalo);
  }
}

function writeOn({ context }: Brush, text: string, x: number, y: number, colour: string, halo: string): void {
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.lineWidth = 4;
  context.lineJoin = 'round';
  context.strokeStyle = halo;
  context.strokeText(text, x, y);
  context.fillStyle = colour;
  context.fillText(text, x, y);
}
