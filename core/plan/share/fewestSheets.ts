import { takeSheets } from '../../cuts/sheets/planSheets.ts';
import type { Candidate } from '../../setout/tally/candidate.ts';
import type { Placer } from '../../setout/search/placer.ts';
import type { SetoutChoice } from '../../setout/choice/setoutChoice.ts';
import type { LayoutRules } from '../planned.ts';

/** So many other places of the sheets are planned, where a start needs more of them than what is proven. */
const MOST_LOOKED_AT = 5;

/**
 * The start that takes the fewest sheets of those that lay the same chips: the sheets may lie anywhere over them. The start
 * itself where it has no sheets, was put by hand, or takes no more than what no plan could do without.
 */
export function fewestSheets(
  { products, consumption }: Pick<LayoutRules, 'products' | 'consumption'>,
  placer: Placer,
  { x, y }: Pick<SetoutChoice, 'x' | 'y'>,
  start: Candidate,
): Candidate {
  if (x.rule !== 'best' || y.rule !== 'best' || !placer.open.laid.repeat.sheet) return start;
  const takenBy = (candidate: Candidate) => {
    const plans = takeSheets(placer.lay(candidate).fields, products, consumption.offCutsKept);
    const taken = plans.reduce((sum, { wholeSheets, openedForParts }) => sum + wholeSheets + openedForParts, 0);
    return { candidate, taken, bound: plans.reduce((sum, { lowerBound }) => sum + lowerBound, 0) };
  };
  let best = takenBy(start);
  if (best.taken <= best.bound) return start;
  for (const other of placer.otherSheetStarts(start, MOST_LOOKED_AT)) {
    const found = takenBy(other);
    if (found.taken < best.taken) best = found;
    if (best.taken <= best.bound) break;
  }
  return best.candidate;
}
