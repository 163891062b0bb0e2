import { HAIR_MM } from '../../tolerances.ts';
import { circleRing } from '../../geometry/circleRing.ts';
import { unionOfRings } from '../../geometry/clip.ts';
import { TILE_SAGITTA_MM } from '../../geometry/conventions.ts';
import { drawnIn } from '../../geometry/drawnIn.ts';
import { motion } from '../../geometry/point.ts';
import { boxOf, mapRing, tidyRing, type Ring } from '../../geometry/ring.ts';
import type { Size } from '../product.ts';
import { cellAround, lanternCell, scallopCell, tileOutline } from '../tileOutline.ts';
import { oncePer } from '../../oncePer.ts';
import type { Chip, ChipType, Sheet } from './sheet.ts';

/** The outline of a chip with its middle at the origin, mm. Lanterns and scallops are drawn in for the joint they are made for. */
export function chipOutline({ shape, widthMm, heightMm }: ChipType, jointMm: number): Ring {
  const ring = outlineOf(shape, { widthMm, heightMm }, jointMm);
  const { minX, minY, maxX, maxY } = boxOf(ring);
  return ring.map(([x, y]) => [x - (minX + maxX) / 2, y - (minY + maxY) / 2]);
}

/** A round chip is small: fewer corners stand for it than for a tile. */
const CHIP_SAGITTA_MM = 2 * TILE_SAGITTA_MM;

function outlineOf(shape: ChipType['shape'], size: Size, jointMm: number): Ring {
  if (shape.kind === 'round') return circleRing([0, 0], size.widthMm / 2, CHIP_SAGITTA_MM);
  if (shape.kind === 'lantern') return cellAround(size, jointMm, (w, h) => lanternCell(w, h, shape.swell)).piece;
  if (shape.kind === 'scallop') return cellAround(size, jointMm, scallopCell).piece;
  return tileOutline(shape, size);
}

/** The outlines of the types of a sheet. */
const typeOutlines = oncePer((sheet: Sheet) => sheet.types.map((type) => chipOutline(type, sheet.jointMm)));

/** Where a chip lies in its sheet, mm, counter-clockwise. */
export const chipRing = (sheet: Sheet, { type, xMm, yMm, turnDeg }: Chip): Ring =>
  mapRing(typeOutlines(sheet)[type], motion(turnDeg, [xMm, yMm]).turn);

/** The box round the chips of a sheet: its size as it is bought, mm. */
export const sheetSize = oncePer((sheet: Sheet): Size => {
  const { minX, minY, maxX, maxY } = boxOf(sheet.chips.flatMap((chip) => chipRing(sheet, chip)));
  return { widthMm: maxX - minX, heightMm: maxY - minY };
});

/**
 * The outline of a sheet: its chips with half a joint round them, run together; interlocking ones have a
 * toothed edge. Gaps within, as between rounds, belong to the sheet.
 */
export const sheetOutline = oncePer((sheet: Sheet): readonly Ring[] => {
  const grown = sheet.chips.map((chip) => drawnIn(chipRing(sheet, chip), -(sheet.jointMm / 2 + HAIR_MM)));
  return unionOfRings(grown).map(([outer]) => tidyRing(outer));
});

/** Whether sheets reach into each other: their edge is no straight line. */
export function interlocks(sheet: Sheet): boolean {
  const outline = sheetOutline(sheet);
  return outline.length > 1 || outline[0].length > 4;
}
