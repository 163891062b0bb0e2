import { fenceOf, type CutSetting } from './cutOrder.ts';
import type { Side } from './cutKind.ts';
import type { CutPiece } from './cutPiece.ts';

/** Straight cuts this near to each other look like one to who cuts them, mm: walls out of square make many of them. */
const NEAR_MM = 3;

/** Fewer settings are told one by one anyway. */
const FEWEST = 3;

/** Settings that follow each other, as one is told to cut them: with the least and the greatest figure where they hardly differ. */
export interface NearCuts {
  readonly settings: readonly CutSetting[];
  /** Kept from the edge of the tile, mm; null where the settings are told one by one. */
  readonly rangeMm: readonly [number, number] | null;
}

/** The side a cut is set from; a tile without a way up is turned, and its opposite sides are one. */
const sideOf = ({ hasWayUp }: CutPiece, side: Side): string => (hasWayUp ? side : side === 'left' || side === 'right' ? 'across' : 'up');

/**
 * Puts straight cuts of one tile together that follow each other and differ by no more than a hand tells apart at a glance.
 * Each piece keeps its own figure: what is near is not equal.
 */
export function nearCuts(settings: readonly CutSetting[]): NearCuts[] {
  const found: { settings: CutSetting[]; from: string | null; productId: string; low: number; high: number }[] = [];
  for (const setting of settings) {
    const { first } = setting.group;
    const [mark] = first.marks;
    // Sheets are few, and each has its own bites.
    const mm = first.of === 'sheet' ? undefined : fenceOf(first)?.mm;
    const from = mm !== undefined && mark.type === 'line' ? sideOf(first, mark.from) : null;
    const open = found.at(-1);
    if (open && from !== null && mm !== undefined && open.from === from && open.productId === first.productId) {
      const [low, high] = [Math.min(open.low, mm), Math.max(open.high, mm)];
      if (high - low <= NEAR_MM) {
        open.settings.push(setting);
        [open.low, open.high] = [low, high];
        continue;
      }
    }
    found.push({ settings: [setting], from, productId: first.productId, low: mm ?? 0, high: mm ?? 0 });
  }
  return found.flatMap(({ settings: own, low, high }): NearCuts[] =>
    own.length >= FEWEST ? [{ settings: own, rangeMm: [low, high] }] : own.map((one) => ({ settings: [one], rangeMm: null })),
  );
}
