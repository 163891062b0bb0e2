import { AS_MADE_MM } from '../../tolerances.ts';
import { selfTurns } from '../../geometry/selfTurns.ts';
import { boxOf } from '../../geometry/ring.ts';
import { oncePer } from '../../oncePer.ts';
import { chipOutline, chipRing } from '../../tile/sheet/sheetChips.ts';
import type { Sheet } from '../../tile/sheet/sheet.ts';

/** Chips that lie this near to where one is wanted are the one, mm. */
const SAME_PLACE_MM = AS_MADE_MM;

/** A way to lay a sheet upon itself so that chips come to lie on equal ones. */
export interface SheetMove {
  readonly turnDeg: 0 | 180;
  /** For each chip of the sheet the one that lies where it is wanted; -1 where none does. */
  readonly chipAt: Int16Array;
}

/** A sheet has no more moves than this looked at: those that keep most chips come first. */
const MOST_MOVES = 2500;

/**
 * Every move of a sheet, itself first: in a motif that alone; in a plain sheet steps in every direction, and the same turned
 * by half, since its face has no way up.
 */
export function movesOf(sheet: Sheet, mayTurn: boolean): readonly SheetMove[] {
  const stay: SheetMove = { turnDeg: 0, chipAt: Int16Array.from(sheet.chips, (_, k) => k) };
  if (sheet.figured) return [stay];
  const moves = allMoves(sheet);
  return [stay, ...(mayTurn ? moves : moves.filter(({ turnDeg }) => turnDeg === 0))];
}

/** A chip by its middle and its kind: kinds are one where a chip lies on the other. */
interface Chip {
  readonly x: number;
  readonly y: number;
  readonly kind: number;
  /** The kind that it is when it is turned by half. */
  readonly turnedKind: number;
}

const allMoves = oncePer((sheet: Sheet): readonly SheetMove[] => {
  const chips = chipsOf(sheet);
  const finder = new ChipFinder(chips);
  const found = new Map<number, { readonly turnDeg: 0 | 180; readonly dx: number; readonly dy: number; hits: number }>();
  for (const a of chips)
    for (const b of chips)
      for (const turnDeg of [0, 180] as const) {
        if ((turnDeg === 0 ? a.kind : a.turnedKind) !== b.kind) continue;
        const sign = turnDeg === 0 ? 1 : -1;
        const [dx, dy] = [b.x - sign * a.x, b.y - sign * a.y];
        const key = (Math.round(dx) * 20_011 + Math.round(dy)) * 2 + (turnDeg === 0 ? 0 : 1);
        const before = found.get(key);
        if (before) before.hits++;
        else found.set(key, { turnDeg, dx, dy, hits: 1 });
      }
  return [...found.values()]
    .filter(({ turnDeg, dx, dy }) => turnDeg === 180 || Math.hypot(dx, dy) > SAME_PLACE_MM)
    .sort((a, b) => b.hits - a.hits)
    .slice(0, MOST_MOVES)
    .map(({ turnDeg, dx, dy }) => {
      const sign = turnDeg === 0 ? 1 : -1;
      const chipAt = Int16Array.from(chips, ({ x, y, kind, turnedKind }) =>
        finder.at(sign * x + dx, sign * y + dy, turnDeg === 0 ? kind : turnedKind),
      );
      return { turnDeg, chipAt };
    });
});

function chipsOf(sheet: Sheet): Chip[] {
  const kinds = new Map<string, number>();
  const kindOf = (type: number, turnDeg: number, periodDeg: number): number => {
    const turn = ((turnDeg % periodDeg) + periodDeg) % periodDeg;
    // A hair under the whole period is no turn at all.
    const key = `${type} ${Math.round(turn * 10) % Math.round(periodDeg * 10)}`;
    const kind = kinds.get(key) ?? kinds.size;
    kinds.set(key, kind);
    return kind;
  };
  // A chip turned by its own turns is the same.
  const periods = sheet.types.map((type) => 360 / Math.max(1, selfTurns(chipOutline(type, sheet.jointMm), SAME_PLACE_MM).length));
  return sheet.chips.map((chip) => {
    const { minX, minY, maxX, maxY } = boxOf(chipRing(sheet, chip));
    const periodDeg = periods[chip.type];
    return {
      x: (minX + maxX) / 2,
      y: (minY + maxY) / 2,
      kind: kindOf(chip.type, chip.turnDeg, periodDeg),
      turnedKind: kindOf(chip.type, chip.turnDeg + 180, periodDeg),
    };
  });
}

/** Side of the squares that chips are filed in, mm. */
const FILE_MM = 2;

/** Finds chips by where their middle lies. */
class ChipFinder {
  private readonly chips: readonly Chip[];
  private readonly filed = new Map<number, number[]>();

  constructor(chips: readonly Chip[]) {
    this.chips = chips;
    chips.forEach(({ x, y }, k) => {
      const key = keyOf(x, y);
      this.filed.set(key, [...(this.filed.get(key) ?? []), k]);
    });
  }

  /** The chip of a kind at a place; -1 where there is none. */
  at(x: number, y: number, kind: number): number {
    for (const dx of [-SAME_PLACE_MM, SAME_PLACE_MM])
      for (const dy of [-SAME_PLACE_MM, SAME_PLACE_MM])
        for (const k of this.filed.get(keyOf(x + dx, y + dy)) ?? []) {
          const chip = this.chips[k];
          if (chip.kind === kind && Math.hypot(chip.x - x, chip.y - y) < SAME_PLACE_MM) return k;
        }
    return -1;
  }
}

const keyOf = (x: number, y: number): number => Math.floor(x / FILE_MM) * 100_003 + Math.floor(y / FILE_MM);
