import { Memory } from '../../memory.ts';
import type { Surface } from '../../job/job.ts';
import type { Candidate } from '../../setout/tally/candidate.ts';
import { chooseSetout } from '../../setout/search/chooseSetout.ts';
import { ledgerOf } from '../../setout/lines/ledger.ts';
import { strikeLines } from '../../setout/lines/strikeLines.ts';
import { handyPart } from '../../surface/squareTriangle.ts';
import { groupedSetout, groupsOf } from '../groups/groupSetouts.ts';
import { prepareSurface, type OpeningRules, type OpenSurface } from '../prepare/prepareSurface.ts';
import type { Drawing, PlanRules } from '../planned.ts';

/** The first stage of a surface's plan: all that the drawing needs. */
export function drawSurface(rules: OpeningRules & Pick<PlanRules, 'tape'>, surface: Surface, memory: Memory = new Memory()): Drawing {
  const ready = prepareSurface(rules, surface, memory);
  return drawingOf(
    surface,
    ready,
    handyPart(surface.tape ?? rules.tape),
    chooseSetout(ready.placer, groupedSetout(groupsOf(rules, memory), surface)).best,
  );
}

/** The drawing of a setout that was chosen; `partMm` is what a handy triangle is made of. */
export function drawingOf(surface: Surface, { traced, placer }: OpenSurface, partMm: number, candidate: Candidate): Drawing {
  const { fields, edges, beside } = placer.lay(candidate);
  const [{ layout }] = fields;
  const { x, y, turn, turnDeg, sides } = candidate;
  return {
    surfaceId: surface.id,
    traced,
    layout,
    fields: [...fields, ...placer.open.fixed],
    edges,
    beside,
    pins: placer.pins,
    choice: {
      x,
      y,
      turn,
      turnDeg,
      sides,
      startsMm: placer.startsMm(candidate),
      snapsMm: { x: placer.snapsMm('x', turnDeg), y: placer.snapsMm('y', turnDeg) },
      frame: placer.open.ground.frame,
      mayTurn: placer.open.mayTurn,
    },
    weighed: candidate,
    ledger: surface.kind === 'wall' ? ledgerOf(layout, traced, edges, [...fields, ...placer.open.fixed]) : null,
    struck: strikeLines(fields, traced, partMm),
  };
}
