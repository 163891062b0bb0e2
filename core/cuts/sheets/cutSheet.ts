import { AS_MADE_MM, HAIR_MM, SEEN_MM } from '../../tolerances.ts';
import { oncePer } from '../../oncePer.ts';
import { intersect, unionOfRings } from '../../geometry/clip.ts';
import { drawnIn } from '../../geometry/drawnIn.ts';
import { add, cross, dot, length, quarterTurn, scale, subtract, unit, type Point } from '../../geometry/point.ts';
import {
  boxOf,
  boxRing,
  mapPolygon,
  polygonArea,
  rectangleRing,
  ringArea,
  tidyRing,
  type Box,
  type Polygon,
  type Ring,
} from '../../geometry/ring.ts';
import { cellShift, type Repeat } from '../../pattern/repeat.ts';
import { placementMotion, type CutTile, type Layout } from '../../setout/place/layout.ts';
import type { Product } from '../../tile/product.ts';
import type { Mark } from '../cutKind.ts';
import { narrowestSnapMm, SNAP_MATERIALS, type Tool } from '../cutTool.ts';
import { traceCuts } from '../traceCuts.ts';
import type { SheetCell } from './sheetCells.ts';

/** A line right across a sheet, taped over and cut in one pass: what is kept, from a side of the sheet at both ends of the line, mm. */
type SheetPass = Extract<Mark, { type: 'line' }>;

/** How a sheet becomes the part that is laid of it. */
export interface SheetCut {
  readonly passes: readonly SheetPass[];
  /** Chips cut to lines that end within the sheet, as round a box: bitten out of it together. */
  readonly bitten: number;
  /** Chips nibbled to a round. */
  readonly nibbled: number;
  /** The mesh is cut between chips, and no chip is. */
  readonly knife: boolean;
  /** What the passes are made with; null without any. */
  readonly tool: Tool | null;
  readonly minutes: number;
  /** What is kept, from the lower left corner of the box round the sheet, mm; the largest part where it falls apart. */
  readonly outline: Polygon;
}

/** One pass at the saw, minutes: glass and stone go slower than ceramic (trade practice). */
const PASS_MINUTES = { slow: 1, usual: 0.7 } as const;
/** A knife through the mesh, a bite round a box, a chip at the nippers, minutes (trade practice: a bite takes 4 to 6). */
const [KNIFE_MINUTES, BITE_MINUTES, NIBBLE_MINUTES] = [0.3, 5, 1];

/** Cuts of neighbouring chips are one line where they lie this near to it, mm, and turn no more against it: walls bow a little. */
const ONE_LINE_MM = 2 * SEEN_MM;
const ONE_LINE_SINE = Math.sin((1.5 * Math.PI) / 180);

/** A straight cut of one chip, in the frame of its cell; what is kept lies to the left. */
interface ChipLine {
  readonly chip: number;
  readonly from: Point;
  readonly along: Point;
  readonly lengthMm: number;
  /** How far the chip reaches on the side that is narrower, square to the line, mm. */
  readonly narrowMm: number;
  /** Whether the line runs along the sides of a rectangle: the chips beside it lie in a straight row. */
  readonly inRow: boolean;
}

/** The cut chips of each cell of a layout. */
const cutChips = oncePer((layout: Layout): ReadonlyMap<string, readonly CutTile[]> => {
  const found = new Map<string, CutTile[]>();
  for (const tile of layout.cutTiles) {
    const key = `${tile.i}/${tile.j}`;
    const known = found.get(key);
    if (known) known.push(tile);
    else found.set(key, [tile]);
  }
  return found;
});

/** The sheet as it comes, in the frame of its cell. */
export const sheetBox = oncePer((repeat: Repeat): Box => boxOf(repeat.pieces.flatMap(({ ring }) => ring)));

/**
 * How the part of a sheet that lies at a cell is cut: the cuts of its chips run together to lines. A line that has all that is
 * kept on one side goes right across the sheet, in one pass; where the sheet is kept beyond it, it is bitten out.
 */
export function cutSheet(layout: Layout, { i, j, whole }: Pick<SheetCell, 'i' | 'j' | 'whole'>, product: Product): SheetCut {
  const { unturn } = placementMotion(layout.placement);
  const [dx, dy] = cellShift(layout.repeat, i, j);
  const inCell = (p: Point): Point => {
    const [x, y] = unturn(p);
    return [x - dx, y - dy];
  };
  const { pieces } = layout.repeat;
  const cut = (cutChips(layout).get(`${i}/${j}`) ?? []).map(({ piece, polygons }) => ({
    piece,
    ring: pieces[piece].ring,
    polygons: polygons.map((polygon) => mapPolygon(polygon, inCell)),
  }));
  const kept: readonly Ring[] = [
    ...whole.map((chip) => pieces[chip].ring),
    ...cut.flatMap(({ polygons }) => polygons.map(([outer]) => outer)),
  ];
  const [bitten, nibbled] = [new Set<number>(), new Set<number>()];
  const straight: ChipLine[] = [];
  for (const { piece, ring, polygons } of cut)
    for (const polygon of polygons)
      for (const { points, closed, curved } of traceCuts(polygon, ring))
        if (closed || curved) nibbled.add(piece);
        else if (points.length > 2) bitten.add(piece);
        else straight.push(lineOf(piece, points, ring, polygon));
  const passes: ChipLine[] = [];
  for (const line of straight.sort((a, b) => b.lengthMm - a.lengthMm)) {
    if (!goesAcross(line, kept)) bitten.add(line.chip);
    else if (!passes.some((other) => isOneLine(other, line))) passes.push(line);
  }
  const sheet = sheetBox(layout.repeat);
  const gone = pieces.filter((_, chip) => !whole.includes(chip) && !cut.some(({ piece }) => piece === chip));
  const isBare = gone.every(({ ring }) => passes.some((line) => isBeyond(line, ring))) && bitten.size + nibbled.size === 0;
  const closed = isBare ? (layout.repeat.sheetEdges ?? []).map((ring) => [ring]) : runTogether(kept, layout.repeat);
  const tool = passes.length === 0 ? null : passTool(straight, product);
  const knife = cut.length === 0;
  const slow = product.material === 'glass' || product.material === 'natural stone';
  return {
    passes: passes.map((line) => passOf(line, sheet)),
    bitten: bitten.size,
    nibbled: nibbled.size,
    knife,
    tool,
    minutes:
      passes.length * (slow ? PASS_MINUTES.slow : PASS_MINUTES.usual) +
      (bitten.size > 0 ? BITE_MINUTES : 0) +
      nibbled.size * NIBBLE_MINUTES +
      (knife ? KNIFE_MINUTES : 0),
    outline: outlineWithin(closed, [boxRing(boxOf(kept.flat())), ...passes.map(keptSide)], sheet, ringArea(pieces[0].ring)),
  };
}

/** Chips with half a joint round them, run together. */
const runTogether = (rings: readonly Ring[], { sheet }: Repeat): Polygon[] =>
  unionOfRings(rings.map((ring) => drawnIn(ring, -((sheet?.jointMm ?? 0) / 2 + HAIR_MM))));

const isBeyond = ({ from, along }: ChipLine, ring: Ring): boolean => ring.every((p) => cross(along, subtract(p, from)) <= ONE_LINE_MM);

/** Larger than any sheet, mm. */
const FAR_MM = 10_000;

/** The side of a line that is kept. */
function keptSide({ from, along }: ChipLine): Ring {
  const [back, ahead] = [add(from, scale(along, -FAR_MM)), add(from, scale(along, FAR_MM))];
  const left = scale(quarterTurn(along), FAR_MM);
  return [back, ahead, add(ahead, left), add(back, left)];
}

/** What of an outline lies within all of some rings, its largest part; gaps between chips, smaller than a chip, belong to it. */
function outlineWithin(closed: readonly Polygon[], rings: readonly Ring[], { minX, minY, maxX, maxY }: Box, chipMm2: number): Polygon {
  const parts = rings.reduce<readonly Polygon[]>((rest, ring) => intersect(rest, [[ring]]), closed);
  const [largest] = [...parts].sort((p, q) => polygonArea(q) - polygonArea(p));
  if (!largest) return [rectangleRing(0, 0, maxX - minX, maxY - minY)];
  const bounds = largest.filter((ring, k) => k === 0 || Math.abs(ringArea(ring)) > chipMm2);
  return mapPolygon(bounds, ([x, y]) => [x - minX, y - minY]).map(tidyRing);
}

function lineOf(chip: number, [from, to]: readonly Point[], ring: Ring, [outer]: Polygon): ChipLine {
  const along = unit(subtract(to, from));
  const offs = (points: Ring): number[] => points.map((p) => cross(along, subtract(p, from)));
  return {
    chip,
    from,
    along,
    lengthMm: length(subtract(to, from)),
    narrowMm: Math.min(Math.max(...offs(outer)), -Math.min(...offs(ring))),
    inRow: ring.length === 4 && ring.some((p, k) => Math.abs(cross(along, unit(subtract(ring[(k + 1) % 4], p)))) <= ONE_LINE_SINE),
  };
}

/** Whether nothing that is kept lies beyond a line. */
const goesAcross = ({ from, along }: ChipLine, kept: readonly Ring[]): boolean =>
  kept.every((ring) => ring.every((p) => cross(along, subtract(p, from)) >= -ONE_LINE_MM));

function isOneLine(a: ChipLine, b: ChipLine): boolean {
  return (
    dot(a.along, b.along) > 0 &&
    Math.abs(cross(a.along, b.along)) <= ONE_LINE_SINE &&
    Math.abs(cross(a.along, subtract(b.from, a.from))) <= ONE_LINE_MM
  );
}

/** A line as it is set on the sheet, mm. */
function passOf({ from, along }: ChipLine, { minX, maxX, minY, maxY }: Box): SheetPass {
  const [dx, dy] = along;
  if (Math.abs(dy) > Math.abs(dx)) {
    const at = (y: number): number => from[0] + ((y - from[1]) * dx) / dy;
    const [low, high] = [at(minY), at(maxY)];
    return dy > 0
      ? { type: 'line', from: 'left', mm: [low - minX, high - minX] }
      : { type: 'line', from: 'right', mm: [maxX - low, maxX - high] };
  }
  const at = (x: number): number => from[1] + ((x - from[0]) * dy) / dx;
  const [left, right] = [at(minX), at(maxX)];
  return dx > 0
    ? { type: 'line', from: 'top', mm: [maxY - left, maxY - right] }
    : { type: 'line', from: 'bottom', mm: [left - minY, right - minY] };
}

/** A straight row of ceramic chips breaks along a scored line where what stays and what goes of each is wide enough; all else is sawn. */
function passTool(lines: readonly ChipLine[], { material, thicknessMm }: Product): Tool {
  const snaps =
    SNAP_MATERIALS.has(material) && lines.every(({ inRow, narrowMm }) => inRow && narrowMm >= narrowestSnapMm(thicknessMm) - AS_MADE_MM);
  return snaps ? 'snapCutter' : 'wetSaw';
}
