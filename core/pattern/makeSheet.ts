import { HAIR_MM, ROUNDED_OFTEN } from '../tolerances.ts';
import { cross, motion, type Point } from '../geometry/point.ts';
import { boxOf, mapRing } from '../geometry/ring.ts';
import type { Size } from '../tile/product.ts';
import type { ChipType, Sheet } from '../tile/sheet/sheet.ts';
import { MOST_CHIPS } from '../tile/sheet/sheet.ts';
import { rounded, squaredUp } from '../tile/sheet/editSheet.ts';
import { chipRing, sheetSize } from '../tile/sheet/sheetChips.ts';
import { misfitOf, partsOf, PATTERNS, repeatOf, type Pattern, type PatternId } from './registry.ts';
import type { Module, Repeat, RepeatPiece } from './repeat.ts';
import { turnRepeat } from './turnRepeat.ts';

/** A pattern that chips are mounted in. */
export type MountedId = { [K in PatternId]: (typeof PATTERNS)[K]['isMounted'] extends true ? K : never }[PatternId];

/** Patterns that chips are mounted in, in their order. */
export const MOUNTED = Object.values(PATTERNS).flatMap(({ id, isMounted }) => (isMounted ? [id] : []));

/**
 * Mounts chips in a pattern, turned by some degrees, on the sheet that comes nearest to a size as it is
 * bought, over its teeth where it has any; sheets lie squarely one above the other. Null where the chips
 * don't suit the pattern, or would be more than a sheet can have.
 */
export function makeSheet(pattern: Pattern, module: Module, size: Size, colours: readonly string[], turnDeg = 0): Sheet | null {
  if (!PATTERNS[pattern.kind].isMounted || misfitOf(pattern, module) !== null) return null;
  const repeat = turnRepeat(repeatOf(pattern, module), turnDeg);
  const offBy = (sheet: Sheet | null): number => {
    if (!sheet) return Infinity;
    const { widthMm, heightMm } = sheetSize(sheet);
    return Math.abs(widthMm - size.widthMm) + Math.abs(heightMm - size.heightMm);
  };
  const plain = mountChips(repeat, module, pattern, sheetVectors(repeat, size), colours);
  if (!plain || (turnDeg % 90 !== 0 && !isSquare(plain))) return null;
  if (offBy(plain) < HAIR_MM) return plain;
  // Interlocking sheets measure more than they step by: mounted again for what their teeth leave.
  const made = sheetSize(plain);
  const within = (asked: number, boxMm: number, step: Point): number => Math.max(1, asked - Math.max(0, boxMm - Math.hypot(...step)));
  const step = { widthMm: within(size.widthMm, made.widthMm, plain.across), heightMm: within(size.heightMm, made.heightMm, plain.up) };
  const again = mountChips(repeat, module, pattern, sheetVectors(repeat, step), colours);
  return again && (turnDeg % 90 === 0 || isSquare(again)) && offBy(again) < offBy(plain) ? again : plain;
}

function mountChips(
  repeat: Repeat,
  module: Module,
  pattern: Pattern,
  [across, up]: readonly [Point, Point],
  colours: readonly string[],
): Sheet | null {
  const types: ChipType[] = [];
  const parts = { ...partsOf(pattern, module), ...module.parts };
  const typeOf = ({ part }: RepeatPiece): number => {
    const { widthMm, heightMm } = part === null ? module : parts[part];
    const type: ChipType = { shape: part === null ? pieceShapeOf(module) : { kind: 'rectangle' }, widthMm, heightMm };
    const known = types.findIndex((other) => JSON.stringify(other) === JSON.stringify(type));
    return known === -1 ? types.push(type) - 1 : known;
  };
  const chips = repeat.pieces.flatMap((piece) => {
    const type = typeOf(piece);
    const colour = piece.part === null ? 0 : Math.min(1, colours.length - 1);
    return placesIn(repeat, piece, across, up).map(([xMm, yMm]) => ({ type, xMm, yMm, turnDeg: piece.turnDeg, colour }));
  });
  if (chips.length === 0 || chips.length > MOST_CHIPS) return null;
  const sheet: Sheet = {
    kind: 'sheet',
    jointMm: module.jointMm,
    across: [rounded(across[0]), rounded(across[1])],
    up: [rounded(up[0]), rounded(up[1])],
    mount: 'mesh',
    figured: false,
    types,
    palette: [...colours],
    chips,
  };
  const { minX, minY } = boxOf(sheet.chips.flatMap((chip) => chipRing(sheet, chip)));
  return squaredUp(sheet, [minX, minY]);
}

/** A turned pattern makes a sheet where it comes again square to it. */
const isSquare = ({ across, up }: Sheet): boolean => Math.abs(across[1]) < HAIR_MM && Math.abs(up[0]) < HAIR_MM;

function pieceShapeOf({ shape = { kind: 'rectangle' } }: Module): ChipType['shape'] {
  if (shape.kind === 'sheet') throw new Error('a sheet is made of chips: got another sheet');
  return shape;
}

/** The two steps of the pattern that come nearest to a step across and one up. */
function sheetVectors({ vectors: [a, b] }: Repeat, { widthMm, heightMm }: Size): readonly [Point, Point] {
  const reach = Math.ceil((2 * Math.max(widthMm, heightMm)) / Math.min(Math.hypot(...a), Math.hypot(...b))) + 2;
  const nearest = (x: number, y: number, offAxis: (v: Point) => number): Point => {
    let best: Point | null = null;
    let least = Infinity;
    for (let i = -reach; i <= reach; i++) {
      for (let j = -reach; j <= reach; j++) {
        const v: Point = [i * a[0] + j * b[0], i * a[1] + j * b[1]];
        const off = Math.hypot(v[0] - x, v[1] - y) + 4 * Math.abs(offAxis(v));
        if (off < least - ROUNDED_OFTEN && (x === 0 ? v[1] > 1 : v[0] > 1)) [best, least] = [v, off];
      }
    }
    return best ?? a;
  };
  return [nearest(widthMm, 0, ([, y]) => y), nearest(0, heightMm, ([x]) => x)];
}

/** Every place of a piece whose middle lies in one sheet. */
function placesIn({ vectors: [a, b] }: Repeat, { ring, turnDeg }: RepeatPiece, across: Point, up: Point): Point[] {
  const { unturn, turn } = motion(turnDeg, [0, 0]);
  const box = boxOf(mapRing(ring, unturn));
  const [mx, my] = turn([(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]);
  const cell = cross(across, up);
  const reach = Math.ceil((Math.hypot(...across) + Math.hypot(...up)) / Math.min(Math.hypot(...a), Math.hypot(...b))) + 2;
  const places: Point[] = [];
  for (let j = -reach; j <= reach; j++) {
    for (let i = -reach; i <= reach; i++) {
      const p: Point = [mx + i * a[0] + j * b[0], my + i * a[1] + j * b[1]];
      const [s, t] = [cross(p, up) / cell, cross(across, p) / cell];
      if (s > -EDGE && s < 1 - EDGE && t > -EDGE && t < 1 - EDGE) places.push(p);
    }
  }
  return places;
}

/** A middle that lies on the edge of the sheet counts once. */
const EDGE = ROUNDED_OFTEN;
