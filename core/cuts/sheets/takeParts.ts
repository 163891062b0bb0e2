import { seededNumbers } from '../../geometry/seededNumbers.ts';
import type { Sheet } from '../../tile/sheet/sheet.ts';
import type { SheetPart } from './planSheets.ts';
import { movesOf, type SheetMove } from './sheetMoves.ts';

/** A part of a sheet: the chips that it keeps, by their place in the sheet. */
export interface WantedPart {
  readonly label: string;
  readonly chips: readonly number[];
}

/** Where a part is taken from. */
export type TakenPart = Pick<SheetPart, 'loose' | 'sheet' | 'restOf' | 'turnDeg' | 'chipsFrom' | 'added'>;

/** How parts are taken: none from a rest where rests are not kept; it is enough to open so many sheets. */
interface Taking {
  readonly kept: boolean;
  readonly mayTurn: boolean;
  readonly enough: number;
}

/** A part of so few chips, or so small a share of the sheet, is made up of loose chips; and so many may be added to a rest. */
const LOOSE_CHIPS = 6;
const LOOSE_SHARE = 0.05;

/** Parts are taken anew in other orders this often, unless it is proven that fewer sheets can't do. */
const ROUNDS = 60;
const SEED = 5;

/** All parts of one plan. */
interface ChipsTaken {
  readonly taken: readonly TakenPart[];
  readonly opened: number;
  readonly chipsLeft: number;
  /** Chips that are set one by one where a rest falls short: work that a plan better does without. */
  readonly added: number;
}

/**
 * Takes parts out of as few sheets as it finds: out of rests of others where the chips lie alike, turned by half where the
 * face allows it, with a few loose chips of other rests where that spares a sheet. The same parts give the same plan.
 */
export function takeParts(sheet: Sheet, parts: readonly WantedPart[], taking: Taking): ChipsTaken {
  const bySize = parts.map((_, k) => k).sort((a, b) => parts[b].chips.length - parts[a].chips.length);
  const means: Means = {
    moves: parts.length === 0 || !taking.kept ? [] : movesOf(sheet, taking.mayTurn),
    few: Math.max(LOOSE_CHIPS, Math.floor(sheet.chips.length * LOOSE_SHARE)),
    kept: taking.kept,
  };
  let best = takeInOrder(sheet, parts, bySize, means);
  const next = seededNumbers(SEED);
  for (let round = 0; round < ROUNDS && taking.kept && best.opened > taking.enough; round++) {
    const order = bySize
      .map((k) => ({ k, by: parts[k].chips.length * (0.75 + 0.5 * next()) }))
      .sort((a, b) => b.by - a.by)
      .map(({ k }) => k);
    const again = takeInOrder(sheet, parts, order, means);
    if (again.opened < best.opened || (again.opened === best.opened && again.added < best.added)) best = again;
  }
  return best;
}

interface Rest {
  readonly number: number;
  readonly from: string;
  /** Whether a chip is there still. */
  readonly has: Uint8Array;
  left: number;
}

/** What parts are taken by, the same in every order. */
interface Means {
  readonly moves: readonly SheetMove[];
  /** So few chips are set loose. */
  readonly few: number;
  readonly kept: boolean;
}

function takeInOrder(sheet: Sheet, parts: readonly WantedPart[], order: readonly number[], { moves, few, kept }: Means): ChipsTaken {
  const perSheet = sheet.chips.length;
  const rests: Rest[] = [];
  const taken: TakenPart[] = new Array<TakenPart>(parts.length);
  let added = 0;
  for (const k of order) {
    const { label, chips } = parts[k];
    const loose = chips.length <= few;
    const smallestFirst = [...rests].sort((a, b) => a.left - b.left);
    const found = !kept ? null : loose ? pickLoose(sheet, chips, smallestFirst) : cutFromRest(sheet, chips, smallestFirst, moves, few);
    if (found) {
      for (const { rest, chips: own } of found.takes) takeFrom(rest, own);
      const [main, ...more] = found.takes;
      added += more.reduce((sum, take) => sum + take.chips.length, 0);
      taken[k] = {
        loose,
        sheet: main.rest.number,
        restOf: main.rest.from,
        turnDeg: found.turnDeg,
        chipsFrom: main.chips,
        added: more.map((take) => ({ restOf: take.rest.from, sheet: take.rest.number, chipsFrom: take.chips })),
      };
    } else {
      const rest: Rest = { number: rests.length + 1, from: label, has: new Uint8Array(perSheet).fill(1), left: perSheet };
      takeFrom(rest, chips);
      rests.push(rest);
      taken[k] = { loose, sheet: rest.number, restOf: null, turnDeg: 0, chipsFrom: chips, added: [] };
    }
  }
  return { taken, opened: rests.length, chipsLeft: rests.reduce((sum, { left }) => sum + left, 0), added };
}

function takeFrom(rest: Rest, chips: readonly number[]): void {
  for (const chip of chips) rest.has[chip] = 0;
  rest.left -= chips.length;
}

/** Chips out of one or more rests, the one that gives most first. */
interface FoundPart {
  readonly takes: readonly { readonly rest: Rest; readonly chips: readonly number[] }[];
  readonly turnDeg: 0 | 180;
}

/** The smallest rest that gives a part in one; else the one that lacks the fewest chips, which others can give loosely. */
function cutFromRest(
  sheet: Sheet,
  chips: readonly number[],
  rests: readonly Rest[],
  moves: readonly SheetMove[],
  few: number,
): FoundPart | null {
  let best: { readonly rest: Rest; readonly move: SheetMove; readonly lacks: number } | null = null;
  for (const rest of rests) {
    const most: number = best ? best.lacks - 1 : few;
    if (rest.left < chips.length - most) continue;
    for (const move of moves) {
      const lacks = lackOf(chips, rest, move, best ? best.lacks - 1 : few);
      if (lacks >= 0) best = { rest, move, lacks };
      if (lacks === 0) break;
    }
    if (best?.lacks === 0) break;
  }
  if (!best) return null;
  const { rest, move } = best;
  const own: number[] = [];
  const missing: number[] = [];
  for (const chip of chips) {
    const there = move.chipAt[chip];
    if (there >= 0 && rest.has[there] === 1) own.push(there);
    else missing.push(chip);
  }
  const main = { rest, chips: own };
  if (missing.length === 0) return { takes: [main], turnDeg: move.turnDeg };
  const loosely = pickLoose(sheet, missing, rests, main);
  return loosely && { takes: [main, ...loosely.takes], turnDeg: move.turnDeg };
}

/** How many chips a rest lacks for a part; -1 where more than `most`. */
function lackOf(chips: readonly number[], { has }: Rest, { chipAt }: SheetMove, most: number): number {
  let lacks = 0;
  for (const chip of chips) {
    const there = chipAt[chip];
    if ((there < 0 || has[there] === 0) && ++lacks > most) return -1;
  }
  return lacks;
}

/** Loose chips of the right type, and in a motif of the right colour, whatever their place, out of the smallest rests that have them. */
function pickLoose(
  sheet: Sheet,
  need: readonly number[],
  rests: readonly Rest[],
  spoken?: { readonly rest: Rest; readonly chips: readonly number[] },
): FoundPart | null {
  let open = [...need];
  const takes: { rest: Rest; chips: number[] }[] = [];
  for (const rest of rests) {
    const has = Uint8Array.from(rest.has);
    if (spoken?.rest === rest) for (const chip of spoken.chips) has[chip] = 0;
    const picked: number[] = [];
    open = open.filter((chip) => {
      const { type, colour } = sheet.chips[chip];
      const found = sheet.chips.findIndex((other, k) => has[k] === 1 && other.type === type && (!sheet.figured || other.colour === colour));
      if (found < 0) return true;
      has[found] = 0;
      picked.push(found);
      return false;
    });
    if (picked.length > 0) takes.push({ rest, chips: picked });
    if (open.length === 0) return { takes: takes.sort((a, b) => b.chips.length - a.chips.length), turnDeg: 0 };
  }
  return null;
}
