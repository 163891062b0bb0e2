import type { FixtureKind } from '../../surface/fixtureCatalogue.ts';
import type { ShapeId } from '../../surface/shapes/registry.ts';

/** What shapes are called. */
export const SHAPE_NAMES: Readonly<Record<ShapeId, string>> = {
  rectangle: 'Rectangle',
  lShape: 'L',
  uShape: 'U',
  tShape: 'T',
  alcove: 'With alcove',
  counterRun: 'Counter round a corner',
  walls: 'Wall by wall',
};

/** What each figure of a shape measures, in the order it is taken. */
export const SHAPE_FIELDS: Readonly<Record<Exclude<ShapeId, 'walls'>, readonly (readonly [field: string, label: string])[]>> = {
  rectangle: [
    ['widthMm', 'Width, left to right'],
    ['heightMm', 'Height, bottom to top'],
  ],
  lShape: [
    ['widthMm', 'Width over all'],
    ['heightMm', 'Height over all'],
    ['missingWidthMm', 'Missing corner, width'],
    ['missingHeightMm', 'Missing corner, height'],
  ],
  uShape: [
    ['widthMm', 'Width over all'],
    ['baseMm', 'Height of the base'],
    ['leftArmMm', 'Left arm, width'],
    ['heightMm', 'Left arm, height over all'],
    ['rightArmMm', 'Right arm, width'],
    ['rightHeightMm', 'Right arm, height over all'],
  ],
  tShape: [
    ['widthMm', 'Bar, left to right'],
    ['barMm', 'Bar, bottom to top'],
    ['stemWidthMm', 'Stem, width'],
    ['stemMm', 'Stem, below the bar'],
    ['stemFromLeftMm', 'Stem, from the left'],
  ],
  alcove: [
    ['widthMm', 'Width'],
    ['heightMm', 'Height beside the alcove'],
    ['alcoveWidthMm', 'Alcove, width'],
    ['alcoveDepthMm', 'Alcove, depth'],
    ['alcoveFromLeftMm', 'Alcove, from the left'],
  ],
  counterRun: [
    ['backMm', 'Along the back wall'],
    ['backDepthMm', 'Depth there'],
    ['sideMm', 'Along the side wall'],
    ['sideDepthMm', 'Depth there, side'],
    ['cornerCutMm', 'Slant at the inner corner'],
  ],
};

/** What fixtures are called. */
export const FIXTURE_NAMES: Readonly<Record<FixtureKind, string>> = {
  socket: 'Socket',
  doubleSocket: 'Double socket',
  switch: 'Switch',
  pipe: 'Pipe',
  waste: 'Waste',
  valve: 'Valve',
  sink: 'Sink',
  hob: 'Hob',
  tray: 'Tray',
  bath: 'Bath',
  cabinet: 'Cabinet',
  island: 'Island',
  applianceBay: 'Appliance bay',
  door: 'Door',
  window: 'Window',
  column: 'Column',
  radiatorBracket: 'Radiator bracket',
  shelf: 'Shelf',
  nicheOpening: 'Niche opening',
  cutOut: 'Cut-out',
};
