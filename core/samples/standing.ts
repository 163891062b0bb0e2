import type { Fixture } from '../surface/fixture.ts';

/** Something that stands on the surface, measured from the left and the bottom. */
export const standing = (
  kind: 'tray' | 'column' | 'bath' | 'door' | 'waste' | 'socket' | 'pipe' | 'valve',
  outline: Fixture['outline'],
  leftMm: number,
  bottomMm: number,
): Fixture => ({
  id: kind,
  kind,
  name: kind,
  outline,
  from: [
    { edge: 'left', mm: leftMm },
    { edge: 'bottom', mm: bottomMm },
  ],
  tiledUnder: false,
  clearanceMm: 0,
  cover: null,
});
