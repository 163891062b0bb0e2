import type { FixtureKind } from '@azulejo/core/surface/fixtureCatalogue';

/** One pencil stroke in a box of one by one, y up: a line through points, or a circle. */
export type Stroke =
  | { readonly kind: 'line'; readonly points: readonly (readonly [number, number])[] }
  | { readonly kind: 'circle'; readonly x: number; readonly y: number; readonly r: number };

const line = (...points: readonly (readonly [number, number])[]): Stroke => ({ kind: 'line', points });
const circle = (x: number, y: number, r: number): Stroke => ({ kind: 'circle', x, y, r });
const box = (x1: number, y1: number, x2: number, y2: number): Stroke => line([x1, y1], [x2, y1], [x2, y2], [x1, y2], [x1, y1]);
const FRAME = box(0, 0, 1, 1);

/** How each kind of fixture is drawn; stretched to its size on the drawing. */
export const FIXTURE_STROKES: Readonly<Record<FixtureKind, readonly Stroke[]>> = {
  socket: [FRAME, circle(0.5, 0.5, 0.32), line([0.38, 0.56], [0.38, 0.44]), line([0.62, 0.56], [0.62, 0.44])],
  doubleSocket: [FRAME, circle(0.27, 0.5, 0.17), circle(0.73, 0.5, 0.17), line([0.5, 0.1], [0.5, 0.9])],
  switch: [FRAME, box(0.3, 0.2, 0.7, 0.8), line([0.3, 0.55], [0.7, 0.45])],
  pipe: [circle(0.5, 0.5, 0.5), circle(0.5, 0.5, 0.34)],
  waste: [circle(0.5, 0.5, 0.5), line([0.3, 0.5], [0.7, 0.5]), line([0.5, 0.3], [0.5, 0.7]), circle(0.5, 0.5, 0.3)],
  valve: [circle(0.5, 0.5, 0.5), circle(0.5, 0.5, 0.14), line([0.5, 0.5], [0.85, 0.85])],
  sink: [FRAME, box(0.08, 0.1, 0.92, 0.82), circle(0.5, 0.45, 0.07), line([0.5, 0.96], [0.5, 0.72])],
  hob: [FRAME, circle(0.28, 0.3, 0.16), circle(0.72, 0.3, 0.2), circle(0.28, 0.72, 0.2), circle(0.72, 0.72, 0.14)],
  tray: [
    FRAME,
    line([0, 0], [0.44, 0.44]),
    line([1, 1], [0.56, 0.56]),
    line([0, 1], [0.44, 0.56]),
    line([1, 0], [0.56, 0.44]),
    circle(0.5, 0.5, 0.08),
  ],
  bath: [FRAME, line([0.1, 0.14], [0.8, 0.14], [0.92, 0.34], [0.92, 0.66], [0.8, 0.86], [0.1, 0.86], [0.1, 0.14]), circle(0.2, 0.5, 0.05)],
  cabinet: [FRAME, line([0.5, 0], [0.5, 1]), line([0.42, 0.5], [0.42, 0.62]), line([0.58, 0.5], [0.58, 0.62])],
  island: [FRAME, box(0.07, 0.12, 0.93, 0.88)],
  applianceBay: [FRAME, line([0, 1], [1, 0]), line([0, 0], [1, 1])],
  door: [FRAME, box(0.08, 0, 0.92, 0.95), circle(0.82, 0.46, 0.035)],
  window: [FRAME, line([0.5, 0], [0.5, 1]), line([0, 0.5], [1, 0.5]), box(0.06, 0.07, 0.94, 0.93)],
  column: [
    FRAME,
    line([0, 0.33], [0.33, 0]),
    line([0, 0.67], [0.67, 0]),
    line([0, 1], [1, 0]),
    line([0.33, 1], [1, 0.33]),
    line([0.67, 1], [1, 0.67]),
  ],
  radiatorBracket: [FRAME, line([0.5, 0.15], [0.5, 0.85]), circle(0.5, 0.3, 0.08), circle(0.5, 0.7, 0.08)],
  shelf: [FRAME, line([0, 0.5], [1, 0.5])],
  nicheOpening: [
    FRAME,
    box(0.1, 0.14, 0.9, 0.86),
    line([0, 0], [0.1, 0.14]),
    line([1, 0], [0.9, 0.14]),
    line([0, 1], [0.1, 0.86]),
    line([1, 1], [0.9, 0.86]),
  ],
  cutOut: [FRAME],
};
