import { describeBehind, describeReasons, startTitle } from '@azulejo/core/messages/en/reasons';
import { describeForgiveness } from '@azulejo/core/messages/en/forgives';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import { startName } from '@azulejo/core/setout/tell/startName';
import { formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import type { Tape } from '@azulejo/core/units/tape';
import type { Surface } from '@azulejo/core/job/job';
import type { ShownSetout } from '../../../workers/planWorker.ts';

/** What is told of a start, in the same order for all. */
export interface StartFigures {
  readonly gain: string;
  readonly cost: string;
  /** What becomes of it where a wall stands a little off. */
  readonly forgives: string;
  readonly changes: string;
  readonly smallestMm: number | null;
  readonly rows: readonly { readonly label: string; readonly figure: string }[];
}

/** The narrowest tile along any edge that is looked at, mm; null where none is cut. What fills in between the tiles is not told of. */
export function narrowestOf({ candidate }: ShownSetout): number | null {
  const cut = candidate.figures.edges.filter(({ owner, mainCutMm }) => owner.kind !== 'other' && mainCutMm >= 1);
  return cut.length === 0 ? null : Math.min(...cut.map(({ thinnestMainMm }) => thinnestMainMm));
}

/** What starts are called: by what they do, and by their narrowest piece where two do the same. */
export function startTitles(starts: readonly ShownSetout[], tape: Tape): string[] {
  const own = starts.map(({ candidate, plan }) => startTitle(startName(candidate), thingNamesOf(plan.traced)));
  return starts.map((start, k) => {
    if (own.filter((title) => title === own[k]).length === 1) return own[k];
    const narrowest = narrowestOf(start);
    return `${own[k]}, ${narrowest === null ? 'nothing cut' : `down to ${formatLengthWithUnit(narrowest, tape)}`}`;
  });
}

/** Puts a start into words and figures. */
export function startFigures(start: ShownSetout, surface: Surface, tape: Tape): StartFigures {
  const { candidate, change, reasons, plan, forgives } = start;
  const names = thingNamesOf(plan.traced);
  const [gain, cost = describeBehind(reasons, names, tape) ?? ''] = describeReasons(reasons, names, tape);
  const smallestMm = narrowestOf(start);
  return {
    gain,
    cost,
    forgives: describeForgiveness(forgives, names, tape),
    changes: changesOf(change, surface, candidate.turnDeg, tape),
    smallestMm,
    rows: [
      { label: 'Narrowest piece', figure: smallestMm === null ? 'none cut' : formatLengthWithUnit(smallestMm, tape) },
      { label: 'Cut pieces', figure: String(plan.totals.cut) },
      { label: 'Of them shaped', figure: String(candidate.figures.hardPieces) },
      { label: 'At the saw', figure: `${Math.round(plan.figures.cutMinutes)} min` },
      { label: 'Tiles opened', figure: String(plan.totals.opened) },
      { label: 'Left over', figure: `${Math.round(plan.totals.wasteShare * 100)} %` },
    ],
  };
}

function changesOf(change: ShownSetout['change'], surface: Surface, turnDeg: number, tape: Tape): string {
  const parts: string[] = [];
  if (Math.abs(turnDeg) > 0.01) parts.push(`turned ${(Math.round(turnDeg * 10) / 10).toString()}°`);
  if (Math.abs(change.jointMm - surface.jointMm) > 1e-6) parts.push(`joint ${formatLengthWithUnit(change.jointMm, tape)}`);
  const [now, then] = [surface.pattern, change.pattern];
  if ('lay' in now && 'lay' in then && now.lay !== then.lay) parts.push(then.lay);
  if (now.kind === 'runningBond' && then.kind === 'runningBond' && now.offset !== then.offset)
    parts.push(`courses shifted ${Math.round(then.offset * 100)} %`);
  return parts.join(', ');
}
