import type { Mark } from '../../cuts/cutKind.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** How one mark is set, from the factory edges of the tile. */
export function describeMark(mark: Mark, tape: Tape): string {
  const show = (mm: number): string => formatLength(mm, tape);
  switch (mark.type) {
    case 'line': {
      const [first, last] = mark.mm;
      return show(first) === show(last)
        ? `${show(first)} from the ${mark.from} edge`
        : `from the ${mark.from} edge ${show(first)} at one end, ${show(last)} at the other`;
    }
    case 'corner':
      return `corner off: ${show(mark.xMm)} along from the ${mark.sideX}, ${show(mark.yMm)} from the ${mark.sideY}`;
    case 'chord': {
      const [a, b] = mark.ends.map(({ corner, mm }) => `${show(mm)} past corner ${corner}`);
      return `straight from ${a} to ${b}`;
    }
    case 'notch':
      return `notch ${show(mark.xMm)} in from the ${mark.sideX}, ${show(mark.yMm)} from the ${mark.sideY}${afterCut(mark)}`;
    case 'slot':
      return `slot from the ${mark.side}: starts at ${show(mark.startMm)}, ${show(mark.widthMm)} wide, ${show(mark.depthMm)} deep${afterCut(mark)}`;
    case 'circle': {
      const bit = mark.coreMm === null ? 'grind to the line' : `core bit ${mark.coreMm} mm`;
      return `hole ${formatLengthWithUnit(mark.diameterMm, tape)}, centre ${offTile(mark.xMm, 'left', show)}, ${offTile(mark.yMm, 'bottom', show)}; ${bit}`;
    }
    case 'window':
      return `box ${show(mark.widthMm)} x ${show(mark.heightMm)}, ${show(mark.xMm)} from the left, ${show(mark.yMm)} from the bottom`;
    case 'path':
      return `line through ${mark.points.map(([x, y]) => `${show(x)}/${show(y)}`).join(', ')} (from left/from bottom)`;
  }
}

const afterCut = (mark: { readonly afterCut: boolean }): string => (mark.afterCut ? ', after the straight cut' : '');

const offTile = (mm: number, side: string, show: (mm: number) => string): string =>
  mm < 0 ? `${show(-mm)} outside the ${side} edge` : `${show(mm)} from the ${side}`;
