import type { CutKind } from '@azulejo/core/tile/cutKinds';

const TILE_PX = 10;

type Strokes = readonly (readonly [number, number, number, number])[];

const RISING: Strokes = [
  [-2, 12, 12, -2],
  [-2, 2, 2, -2],
  [8, 12, 12, 8],
];
const FALLING: Strokes = [
  [-2, -2, 12, 12],
  [-2, 8, 2, 12],
  [8, -2, 12, 2],
];
const LEVEL: Strokes = [
  [0, 2.5, 10, 2.5],
  [0, 7.5, 10, 7.5],
];
const DOTS: Strokes = [
  [2, 2.5, 3.6, 2.5],
  [7, 7.5, 8.6, 7.5],
];

/** Pencil strokes by kind of cut, so that kinds differ without colour. */
const STROKES: Readonly<Record<CutKind, Strokes>> = {
  straight: RISING,
  rip: [...RISING, [3, 12, 12, 3], [-2, 7, 7, -2]],
  taper: FALLING,
  notch: [...RISING, ...FALLING],
  uCut: [...RISING, ...FALLING],
  hole: DOTS,
  halfHole: DOTS,
  curve: LEVEL,
  several: [...LEVEL, ...RISING],
};

const made = new Map<string, CanvasPattern | null>();

/** The hatching of a kind of cut in a colour. */
export function hatchOf(context: CanvasRenderingContext2D, kind: CutKind, colour: string): CanvasPattern | string {
  const key = `${kind} ${colour}`;
  if (!made.has(key)) made.set(key, drawHatch(context, STROKES[kind], colour));
  return made.get(key) ?? colour;
}

function drawHatch(context: CanvasRenderingContext2D, strokes: Strokes, colour: string): CanvasPattern | null {
  const tile = document.createElement('canvas');
  [tile.width, tile.height] = [TILE_PX, TILE_PX];
  const pencil = tile.getContext('2d');
  if (!pencil) return null;
  pencil.strokeStyle = colour;
  pencil.lineWidth = 1;
  for (const [x1, y1, x2, y2] of strokes) {
    pencil.beginPath();
    pencil.moveTo(x1, y1);
    pencil.lineTo(x2, y2);
    pencil.stroke();
  }
  return context.createPattern(tile, 'repeat');
}
