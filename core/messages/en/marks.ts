import type { Mark, Side } from '../../cuts/cutKind.ts';
import { isLevel } from '../../cuts/flats.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** How one mark is set, from the factory edges of the tile. */
export function describeMark(mark: Mark, tape: Tape): string {
  const before = 'beforeCuts' in mark && mark.beforeCuts ? ', marked before any cut' : '';
  return `${markInWords(mark, tape)}${before}`;
}

function markInWords(mark: Mark, tape: Tape): string {
  const show = (mm: number): string => formatLength(mm, tape);
  switch (mark.type) {
    case 'line': {
      const [first, last] = mark.mm;
      const [low, high] = isUpright(mark.from) ? ['bottom', 'top'] : ['left', 'right'];
      const end = `${mark.from} ${mark.end ?? 'edge'}`;
      return show(first) === show(last)
        ? `${show(first)} from the ${end}`
        : `from the ${end} ${show(first)} at the ${low}, ${show(last)} at the ${high}`;
    }
    case 'corner': {
      const what = mark.keeps === 'rest' ? 'corner off' : 'keep only the corner';
      return `${what}: ${show(mark.xMm)} along from the ${mark.sideX}, ${show(mark.yMm)} from the ${mark.sideY}`;
    }
    case 'chord': {
      const [a, b] = mark.ends.map(({ flat, mm }) => `${show(mm)} ${isLevel(flat) ? 'along' : 'up'} the ${flat} flat`);
      return `straight from ${a} to ${b}`;
    }
    case 'notch':
      return `notch ${show(mark.xMm)} in from the ${mark.sideX}, ${show(mark.yMm)} from the ${mark.sideY}${afterCut(mark)}`;
    case 'slot':
      return `slot from the ${mark.side}: starts at ${show(mark.startMm)}, ${show(mark.widthMm)} wide, ${show(mark.depthMm)} deep${afterCut(mark)}`;
    case 'bite': {
      const [a, b] = mark.ends.map(({ side, mm }) => placeOnSide(side, mm, show));
      return `bite from ${a} to ${b}, radius ${show(mark.radiusMm)}; grind to the line`;
    }
    case 'circle': {
      const bit = mark.coreMm === null ? 'grind to the line' : `core bit ${mark.coreMm} mm`;
      return `hole ${formatLengthWithUnit(mark.diameterMm, tape)}, centre ${show(mark.xMm)} from the left, ${show(mark.yMm)} from the bottom; ${bit}`;
    }
    case 'window':
      return `box ${show(mark.widthMm)} x ${show(mark.heightMm)}, ${show(mark.xMm)} from the left, ${show(mark.yMm)} from the bottom`;
    case 'path':
      return mark.points.length > MOST_PLACES_SAID ? describeCurve(mark, show) : `line ${placesOf(mark, show).join(', ')}`;
  }
}

const afterCut = (mark: { readonly afterCut: boolean }): string => (mark.afterCut ? ', after the straight cut' : '');

const isUpright = (side: Side): boolean => side === 'left' || side === 'right';

const placeOnSide = (side: Side, mm: number, show: (mm: number) => string): string =>
  isUpright(side) ? `${show(mm)} up the ${side} side` : `${show(mm)} along the ${side} side`;

/** The places a free line runs through, in its order: on a side by one figure, within the tile by two; each once as the tape reads. */
function placesOf({ points, from, to }: Extract<Mark, { type: 'path' }>, show: (mm: number) => string): string[] {
  const last = points.length - 1;
  const places = points.map(([x, y], k) => {
    const side = k === 0 ? from : k === last ? to : null;
    return side ? placeOnSide(side, isUpright(side) ? y : x, show) : `${show(x)} from the left and ${show(y)} from the bottom`;
  });
  const word = (k: number): string => (k === 0 ? 'from' : k === last ? 'to' : 'by');
  const isTold = (place: string, k: number): boolean => k === 0 || k === last || (place !== places[k - 1] && place !== places[last]);
  return places.flatMap((place, k) => (isTold(place, k) ? [`${word(k)} ${place}`] : []));
}

/** A line through more places than this is read as a list of figures. */
const MOST_PLACES_SAID = 4;

/** A curve by offsets: where it begins and ends, and between them how far across and how far up it lies, in pairs. */
function describeCurve(mark: Extract<Mark, { type: 'path' }>, show: (mm: number) => string): string {
  const places = placesOf(mark, show);
  const between = mark.points.slice(1, -1).map(([x, y]) => `${show(x)} / ${show(y)}`);
  return `curve ${places[0]} ${places[places.length - 1]}; between, from the left / from the bottom: ${between.join(', ')}`;
}
