import { HAIR_MM } from '../../tolerances.ts';
import { labelPoint } from '../../geometry/labelPoint.ts';
import type { Point } from '../../geometry/point.ts';
import { boxOf, mapPolygon, polygonArea, rectangleRing } from '../../geometry/ring.ts';
import { cellShift } from '../../pattern/repeat.ts';
import { placementMotion, type Layout } from '../../setout/place/layout.ts';
import type { Field } from '../../setout/fields/field.ts';
import type { CutKind } from '../../tile/cutKinds.ts';
import { hasWayUp, productNamed, type Product } from '../../tile/product.ts';
import { keptSides, type CutPiece } from '../cutPiece.ts';
import { chipTool, type Tool } from '../cutTool.ts';
import { sheetBox } from './cutSheet.ts';
import type { SheetPart, SheetPlan } from './planSheets.ts';
import { cellKey } from './sheetCells.ts';

/**
 * What hands cut: tiles and stones piece by piece, mosaics by the sheet. The part of a sheet is one piece with its label, its
 * marks from the sides of the sheet and the tool of its passes; the chips that are cut with it are no pieces of their own.
 */
export function piecesToCut(
  { fields, cuts }: { readonly fields: readonly Field[]; readonly cuts: readonly CutPiece[] },
  sheets: readonly SheetPlan[],
  products: readonly Product[],
): readonly CutPiece[] {
  if (sheets.length === 0) return cuts;
  const chips = new Map<string, CutPiece[]>();
  for (const chip of cuts.filter(({ of }) => of === 'chip')) {
    const key = cellKey(chip.field, chip.address);
    chips.set(key, [...(chips.get(key) ?? []), chip]);
  }
  return [
    ...cuts.filter(({ of }) => of !== 'chip'),
    ...sheets.flatMap(({ parts, productId }) =>
      parts.map((part) =>
        pieceOf(part, fields[part.field].layout, chips.get(cellKey(part.field, part)) ?? [], productNamed(products, productId)),
      ),
    ),
  ];
}

function pieceOf(part: SheetPart, layout: Layout, chips: readonly CutPiece[], product: Product): CutPiece {
  const { turn } = placementMotion(layout.placement);
  const [dx, dy] = cellShift(layout.repeat, part.i, part.j);
  const sheet = sheetBox(layout.repeat);
  const size = { widthMm: sheet.maxX - sheet.minX, heightMm: sheet.maxY - sheet.minY };
  const onSurface = ([x, y]: Point): Point => turn([x + sheet.minX + dx, y + sheet.minY + dy]);
  const inTile = part.cut.outline;
  const box = boxOf(inTile[0]);
  const { passes, bitten, nibbled, knife, minutes } = part.cut;
  return {
    label: part.label,
    field: part.field,
    address: { piece: 0, i: part.i, j: part.j },
    of: 'sheet',
    sheet: { bitten, nibbled, knife },
    productId: product.id,
    hand: null,
    polygon: mapPolygon(inTile, onSurface),
    labelAt: onSurface(labelPoint(inTile)),
    inTile,
    tile: rectangleRing(0, 0, size.widthMm, size.heightMm),
    hasWayUp: hasWayUp(product),
    kind: kindOf(part),
    marks: passes,
    tool: toolOf(part, chips, product),
    edgeShows: chips.some(({ edgeShows }) => edgeShows),
    sizeMm: { widthMm: box.maxX - box.minX, heightMm: box.maxY - box.minY },
    areaMm2: polygonArea(inTile),
    minutes,
    factorySides: keptSides(inTile, size),
  };
}

function kindOf({ cut: { passes, bitten, nibbled } }: SheetPart): CutKind {
  if (bitten > 0) return passes.length > 0 || nibbled > 0 ? 'several' : 'uCut';
  if (nibbled > 0) return passes.length > 0 ? 'several' : 'curve';
  if (passes.length > 1) return 'several';
  const [first, last] = passes[0]?.mm ?? [0, 0];
  return Math.abs(first - last) < HAIR_MM ? 'straight' : 'taper';
}

/** What most of a sheet is cut with: the tool of its passes, else what bites its chips, else a knife. */
function toolOf({ cut: { tool } }: SheetPart, [chip]: readonly CutPiece[], product: Product): Tool {
  if (tool !== null) return tool;
  if (!chip) return 'knife';
  const { minX, minY, maxX, maxY } = boxOf(chip.tile);
  return chipTool(chip.kind, product, Math.max(maxX - minX, maxY - minY));
}
