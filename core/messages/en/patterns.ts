import type { LiesBy, Misfit } from '../../pattern/patternKind.ts';
import { PATTERNS, type Pattern, type PatternId } from '../../pattern/registry.ts';
import type { TileShapeKind } from '../../tile/shape.ts';

/** What the kinds of pattern are called. */
export const PATTERN_NAMES: Readonly<Record<PatternId, string>> = {
  stack: 'Stack',
  runningBond: 'Running bond',
  randomStagger: 'Random stagger',
  herringbone: 'Herringbone',
  chevron: 'Chevron',
  basketWeave: 'Basket weave',
  turnedSquares: 'Turned squares',
  wovenDots: 'Woven with dots',
  windmill: 'Windmill',
  pinwheel: 'Pinwheel',
  modularSet: 'Modular set',
  corridor: 'Corridor',
  hexagon: 'Hexagon',
  octagonDot: 'Octagon and dot',
  arabesque: 'Arabesque',
  scallop: 'Scallop',
  pennyRound: 'Penny rounds',
  diamond: 'Diamond',
  cubes: 'Cubes',
  triangle: 'Triangle',
  ashlar: 'Random ashlar',
  sheet: 'Mosaic sheets',
};

/** Where a kind of pattern suits, in a sentence. */
export const PATTERN_SUITS: Readonly<Record<PatternId, string>> = {
  stack: 'Calm and modern; shows every difference in size, so it wants even tiles.',
  runningBond: 'Forgives small differences; long pieces shifted by a third at most.',
  randomStagger: 'For planks: end joints stand apart and make no stairs and no H.',
  herringbone: 'Lively and strong; many cuts at the walls, so it wants a patient saw.',
  chevron: 'Points run the room in straight lines, so the line of points must be dead true.',
  basketWeave: 'Strips that make up a square; looks woven on small floors and old buildings.',
  turnedSquares: 'Square tiles with a grain or a print, turned by turns; one tile looks like a weave.',
  wovenDots: 'Strips over and under with a dot at each crossing; small bathrooms and entrance floors.',
  windmill: 'Four strips turn round a dot; a lively floor that still has straight lines to follow.',
  pinwheel: 'Large and small squares; no joint runs through, so small differences do not show.',
  modularSet: 'Four sizes in one ratio; a settled look on large floors, buy the set in its proportion.',
  corridor: 'A course of large tiles and one of small by turns; leads the eye along a passage.',
  hexagon: 'No long joint to keep straight; the cuts at the walls all differ, so allow more of them.',
  octagonDot: 'Old hallways and small rooms; the dot forgives little, so measure both tiles.',
  arabesque: 'A splashback to look at; full pieces where it ends in sight, as cuts through curves show.',
  scallop: 'Fish scales for walls; points up or down, with a straight start that wants a template.',
  pennyRound: 'Follows curves and falls to a drain; takes much grout, so choose its colour first.',
  diamond: 'Slanted joints make a room look wider; lay it from a centre line, never from a wall.',
  cubes: 'Three shades make cubes; every piece meets five others, so joints have to be even.',
  ashlar: 'Stones of many sizes cut from one tile; looks chance, keeps rules; for countertops and hearths.',
  triangle: 'A pattern for colour; the points chip, so sort them before laying.',
  sheet: 'Niches, shower floors, bands; follows falls and curves, cuts between chips, and every seam has to vanish.',
};

/** What a kind of pattern is called, by its id. */
export const patternName = (kind: string | number): string => PATTERN_NAMES[kind as PatternId] ?? String(kind);

/** What a part of a pattern is called. */
export const partName = (part: string | number): string => PART_NAMES[part] ?? String(part);

const PART_NAMES: Readonly<Record<string, string>> = {
  dot: 'Dot',
  small: 'Small tile',
  half: 'Half tile',
  large: 'Large tile',
};

/** Why a tile can't be laid in a pattern. */
export const MISFIT_WORDS: Readonly<Record<Misfit | 'otherOutline', string>> = {
  otherOutline: 'Wants tiles of another outline.',
  tooSquare: 'This tile is too square for it.',
  notSquare: 'Wants a square tile.',
  notSixtyDegrees: 'Wants diamonds of 60 degrees: one diagonal 1.732 times the other.',
  pointsTooLong: 'The points of this tile leave no flats between them.',
  cornersTooLarge: 'The corners cut off this tile leave no sides.',
  moduleTooLarge: 'No stone of this module can be cut from the tile with the saw; take a smaller module.',
  stonesLeaveGaps: 'The stones set by hand leave gaps or lie on each other; draw them again.',
  chipsOverlap: 'Two chips of the sheet lie on each other; open the sheet and move one.',
  chipsDoNotRepeat: 'The sheets do not meet with their joint; open the sheet and mend its repeat.',
  sheetsOverlap: 'At this joint the sheets reach into each other; take the joint they are made with, or a wider one.',
  sheetOfOtherSize: 'The sheet measures more than 3 % other than its chips; measure again, or mend the chips.',
  tooNarrow: 'The joint is too wide for so small a tile.',
};

/** What the outlines of tiles are called. */
export const SHAPE_NAMES: Readonly<Record<TileShapeKind, string>> = {
  rectangle: 'Rectangle',
  hexagon: 'Hexagon',
  octagon: 'Octagon',
  lantern: 'Lantern',
  round: 'Round',
  scallop: 'Scallop',
  diamond: 'Diamond',
  triangle: 'Triangle',
  chevron: 'Chevron strip',
  sheet: 'Mosaic sheet',
};

/** What a pattern is called, with what was chosen for it. */
export function describePattern(pattern: Pattern): string {
  const name = PATTERN_NAMES[pattern.kind];
  switch (pattern.kind) {
    case 'runningBond':
      return `${name}, ${shareName(pattern.offset)} offset, ${pattern.step}, ${pattern.lay}`;
    case 'randomStagger':
      return `${name} ${pattern.seed}, ends ${Math.round(pattern.apart * 100)} % apart, ${pattern.lay}`;
    case 'herringbone':
      return `${pattern.strips === 2 ? 'Double herringbone' : name}, ${pattern.lay}`;
    case 'basketWeave':
      return `${name} of ${pattern.strips} strips, ${pattern.lay}`;
    case 'ashlar':
      return `${name}${pattern.stones ? ' set by hand' : ` ${pattern.seed}`}, module ${Math.round(pattern.moduleMm * 10) / 10} mm`;
    case 'corridor':
      return `${name}, ${pattern.each} small to one large, ${pattern.lay}`;
    default:
      return 'lay' in pattern ? `${name}, ${LAY_WORDS[PATTERNS[pattern.kind].liesBy ?? 'longSide'][pattern.lay]}` : name;
  }
}

/** How a pattern lies, by what one tells it. */
export const LAY_WORDS: Readonly<Record<LiesBy, Readonly<Record<'lying' | 'upright', string>>>> = {
  longSide: { lying: 'lying', upright: 'upright' },
  flats: { lying: 'flats up', upright: 'points up' },
  points: { lying: 'points sideways', upright: 'points up' },
};

const SHARES: readonly (readonly [number, string])[] = [
  [1 / 2, 'half'],
  [1 / 3, 'third'],
  [1 / 4, 'quarter'],
  [2 / 3, 'two-thirds'],
  [3 / 4, 'three-quarter'],
];

/** A share of a piece in words: half, third, or as percent. */
export function shareName(share: number): string {
  const known = SHARES.find(([value]) => Math.abs(value - share) < 0.002);
  return known ? known[1] : `${Math.round(share * 1000) / 10} %`;
}
