import type { Mark, Side, TileEnd } from '../../cuts/cutKind.ts';
import { isLevel, type FlatName } from '../../cuts/flats.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { SIDE_NAMES, sideOf } from './names.ts';

/** How one mark is set, from the factory edges of the tile. */
export function describeMark(mark: Mark, tape: Tape): string {
  const before = 'beforeCuts' in mark && mark.beforeCuts ? ', vor allen Schnitten anzeichnen' : '';
  return `${markInWords(mark, tape)}${before}`;
}

const ENDS: Readonly<Record<TileEnd | 'edge', string>> = { edge: 'Kante', point: 'Spitze', rim: 'Rundung' };

function markInWords(mark: Mark, tape: Tape): string {
  const show = (mm: number): string => formatLength(mm, tape);
  switch (mark.type) {
    case 'line': {
      const [first, last] = mark.mm;
      const [low, high] = isUpright(mark.from) ? ['unten', 'oben'] : ['links', 'rechts'];
      const end = sideOf(mark.from, ENDS[mark.end ?? 'edge']);
      return show(first) === show(last) ? `${show(first)} von der ${end}` : `von der ${end} ${low} ${show(first)}, ${high} ${show(last)}`;
    }
    case 'corner': {
      const what = mark.keeps === 'rest' ? 'Ecke ab' : 'nur die Ecke behalten';
      return `${what}: ${show(mark.xMm)} von ${SIDE_NAMES[mark.sideX]}, ${show(mark.yMm)} von ${SIDE_NAMES[mark.sideY]}`;
    }
    case 'chord': {
      const [a, b] = mark.ends.map(({ flat, mm }) => `${show(mm)} ${isLevel(flat) ? 'entlang' : 'hoch an'} der Flanke ${FLAT_NAMES[flat]}`);
      return `gerade von ${a} bis ${b}`;
    }
    case 'notch':
      return `Ausklinkung ${show(mark.xMm)} von ${SIDE_NAMES[mark.sideX]}, ${show(mark.yMm)} von ${SIDE_NAMES[mark.sideY]}${afterCut(mark)}`;
    case 'slot':
      return `Schlitz von ${SIDE_NAMES[mark.side]}: beginnt bei ${show(mark.startMm)}, ${show(mark.widthMm)} breit, ${show(mark.depthMm)} tief${afterCut(mark)}`;
    case 'bite': {
      const [a, b] = mark.ends.map(({ side, mm }) => placeOnSide(side, mm, show));
      return `Bogen von ${a} bis ${b}, Radius ${show(mark.radiusMm)}; bis zum Strich schleifen`;
    }
    case 'circle': {
      const bit = mark.coreMm === null ? 'bis zum Strich schleifen' : `Bohrkrone ${mark.coreMm} mm`;
      return `Loch ${formatLengthWithUnit(mark.diameterMm, tape)}, Mitte ${show(mark.xMm)} von links, ${show(mark.yMm)} von unten; ${bit}`;
    }
    case 'window':
      return `Ausschnitt ${show(mark.widthMm)} x ${show(mark.heightMm)}, ${show(mark.xMm)} von links, ${show(mark.yMm)} von unten`;
    case 'path':
      return mark.points.length > MOST_PLACES_SAID ? describeCurve(mark, show) : `Linie ${placesOf(mark, show).join(', ')}`;
  }
}

const FLAT_NAMES: Readonly<Record<FlatName, string>> = {
  right: 'rechts',
  'upper right': 'oben rechts',
  top: 'oben',
  'upper left': 'oben links',
  left: 'links',
  'lower left': 'unten links',
  bottom: 'unten',
  'lower right': 'unten rechts',
};

const afterCut = (mark: { readonly afterCut: boolean }): string => (mark.afterCut ? ', nach dem geraden Schnitt' : '');

const isUpright = (side: Side): boolean => side === 'left' || side === 'right';

const placeOnSide = (side: Side, mm: number, show: (mm: number) => string): string =>
  `${show(mm)} ${isUpright(side) ? 'hoch an' : 'entlang'} der ${sideOf(side, 'Seite')}`;

/** The places a free line runs through, in its order: on a side by one figure, within the tile by two; each once as the tape reads. */
function placesOf({ points, from, to }: Extract<Mark, { type: 'path' }>, show: (mm: number) => string): string[] {
  const last = points.length - 1;
  const places = points.map(([x, y], k) => {
    const side = k === 0 ? from : k === last ? to : null;
    return side ? placeOnSide(side, isUpright(side) ? y : x, show) : `${show(x)} von links und ${show(y)} von unten`;
  });
  const word = (k: number): string => (k === 0 ? 'von' : k === last ? 'bis' : 'über');
  const isTold = (place: string, k: number): boolean => k === 0 || k === last || (place !== places[k - 1] && place !== places[last]);
  return places.flatMap((place, k) => (isTold(place, k) ? [`${word(k)} ${place}`] : []));
}

/** A line through more places than this is read as a list of figures. */
const MOST_PLACES_SAID = 4;

/** A curve by offsets: where it begins and ends, and between them how far across and how far up it lies, in pairs. */
function describeCurve(mark: Extract<Mark, { type: 'path' }>, show: (mm: number) => string): string {
  const places = placesOf(mark, show);
  const between = mark.points.slice(1, -1).map(([x, y]) => `${show(x)} / ${show(y)}`);
  return `Rundung ${places[0]} ${places[places.length - 1]}; dazwischen, von links / von unten: ${between.join(', ')}`;
}
