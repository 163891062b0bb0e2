import type { LiesBy } from '../../pattern/patternKind.ts';
import { PATTERNS, type Pattern, type PatternId } from '../../pattern/registry.ts';
import { figure } from './figures.ts';

/** What the kinds of pattern are called. */
export const PATTERN_NAMES: Readonly<Record<PatternId, string>> = {
  stack: 'Kreuzfuge',
  runningBond: 'Verband',
  randomStagger: 'Wilder Verband',
  herringbone: 'Fischgrät',
  chevron: 'Chevron',
  basketWeave: 'Flechtverband',
  turnedSquares: 'Gedrehte Quadrate',
  wovenDots: 'Geflecht mit Einleger',
  windmill: 'Windmühle',
  pinwheel: 'Windrad',
  modularSet: 'Römischer Verband',
  corridor: 'Läuferverband',
  hexagon: 'Sechseck',
  octagonDot: 'Achteck mit Einleger',
  arabesque: 'Arabeske',
  scallop: 'Schuppe',
  pennyRound: 'Knopfmosaik',
  diamond: 'Raute',
  cubes: 'Würfel',
  triangle: 'Dreieck',
  ashlar: 'Wilder Mauerverband',
  sheet: 'Mosaikmatten',
};

/** How a pattern lies, by what one tells it. */
const LAY_WORDS: Readonly<Record<LiesBy, Readonly<Record<'lying' | 'upright', string>>>> = {
  longSide: { lying: 'liegend', upright: 'stehend' },
  flats: { lying: 'Seiten oben', upright: 'Spitzen oben' },
  points: { lying: 'Spitzen seitlich', upright: 'Spitzen oben' },
};

const STEPS: Readonly<Record<'alternating' | 'stepped', string>> = { alternating: 'wechselnd', stepped: 'steigend' };

const SHARES: readonly (readonly [number, string])[] = [
  [1 / 2, 'ein halbes'],
  [1 / 3, 'ein Drittel'],
  [1 / 4, 'ein Viertel'],
  [2 / 3, 'zwei Drittel'],
  [3 / 4, 'drei Viertel'],
];

function shareName(share: number): string {
  const known = SHARES.find(([value]) => Math.abs(value - share) < 0.002);
  return known ? known[1] : `${figure(Math.round(share * 1000) / 10)} %`;
}

/** What a pattern is called, with what was chosen for it. */
export function describePattern(pattern: Pattern): string {
  const name = PATTERN_NAMES[pattern.kind];
  switch (pattern.kind) {
    case 'runningBond':
      return `${name}, um ${shareName(pattern.offset)} versetzt, ${STEPS[pattern.step]}, ${LAY_WORDS.longSide[pattern.lay]}`;
    case 'randomStagger':
      return `${name} ${pattern.seed}, Stöße ${Math.round(pattern.apart * 100)} % auseinander, ${LAY_WORDS.longSide[pattern.lay]}`;
    case 'herringbone':
      return `${pattern.strips === 2 ? 'Doppeltes Fischgrät' : name}, ${LAY_WORDS.longSide[pattern.lay]}`;
    case 'basketWeave':
      return `${name} aus ${pattern.strips} Streifen, ${LAY_WORDS.longSide[pattern.lay]}`;
    case 'ashlar':
      return `${name}${pattern.stones ? ' von Hand gesetzt' : ` ${pattern.seed}`}, Modul ${figure(Math.round(pattern.moduleMm * 10) / 10)} mm`;
    case 'corridor':
      return `${name}, ${pattern.each} kleine auf eine große, ${LAY_WORDS.longSide[pattern.lay]}`;
    default:
      return 'lay' in pattern ? `${name}, ${LAY_WORDS[PATTERNS[pattern.kind].liesBy ?? 'longSide'][pattern.lay]}` : name;
  }
}
