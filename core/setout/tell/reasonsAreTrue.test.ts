import { Memory } from '../../memory.ts';
import { expect, test } from '@jest/globals';
import type { Job } from '../../job/job.ts';
import { drawingOf } from '../../plan/layout/drawSurface.ts';
import { prepareSurface } from '../../plan/prepare/prepareSurface.ts';
import type { Drawing } from '../../plan/planned.ts';
import { roomToSearch } from '../../samples/roomToSearch.ts';
import { randomJob } from '../../samples/randomJob.ts';
import { checkJob } from '../../job/checkJob.ts';
import { laidPieces, type LaidPiece } from '../../balance/claims/laidPieces.ts';
import { statementFault } from '../../balance/claims/statementFault.ts';
import { adviseSetout, type SetoutAdvice } from './adviseSetout.ts';
import type { Candidate } from '../tally/candidate.ts';
import { chooseSetout } from '../search/chooseSetout.ts';
import { evenStatement } from './endStatements.ts';
import { tallyOf } from '../tally/figures.ts';
import { BEST_SETOUT } from '../choice/setoutChoice.ts';
import { startName } from './startName.ts';
import type { Statement } from './statement.ts';
import { trials } from '../../../testing/trials.ts';

/** A surface set out with its reasons, without its cuts: what a reason speaks of. */
interface SetOut extends Drawing {
  readonly advice: SetoutAdvice;
}

function setOut(job: Job): SetOut {
  const [surface] = job.surfaces;
  const ready = prepareSurface(job, surface, new Memory());
  const chosen = chooseSetout(ready.placer, surface.setout).best;
  const found = chooseSetout(ready.placer, BEST_SETOUT);
  const drawing = drawingOf(surface, ready, 100, chosen);
  return { ...drawing, advice: adviseSetout(ready.placer, chosen, ready.placer.weighLaid(chosen, drawing), found) };
}

test('no reason is untrue, in any room', () => {
  const wrong: string[] = [];
  let [rooms, told, rivals] = [0, 0, 0];
  for (let seed = 1; rooms < trials(300) && seed < trials(700); seed++) {
    // Plain rooms, and every seventh of any shape, pattern and turn.
    const job = seed % 7 === 0 ? randomJob(seed) : roomToSearch(seed, 8);
    // Within a border the edges of the field are those of the border.
    if (checkJob(job).length > 0 || job.surfaces[0].border) continue;
    rooms++;
    const plan = setOut(job);
    const pieces = laidPieces(plan);
    const { gain, cost, rival, than } = plan.advice.reasons;
    const check = (of: SetOut, laid: readonly LaidPiece[], statement: Statement, candidate: Candidate): void => {
      told++;
      const fault = statementFault(of, laid, statement, candidate);
      if (fault) wrong.push(`${seed} ${job.surfaces[0].pattern.kind}: ${fault}: ${JSON.stringify(statement)}`);
    };
    for (const statement of [gain, ...(cost ? [cost] : [])]) check(plan, pieces, statement, plan.advice.chosen);
    if (!rival || !than) continue;
    rivals++;
    const other = { ...drawingOf(job.surfaces[0], prepareSurface(job, job.surfaces[0], new Memory()), 100, than), advice: plan.advice };
    check(other, laidPieces(other), rival, than);
    // What the other one is told to leave, the chosen one does not leave, or less of it.
    if (rival.says !== 'strips' && rival.says !== 'pieces') continue;
    const [own, its] = [plan.advice.chosen, than].map(({ figures }) => tallyOf(figures, rival.size.along.id));
    const isLess =
      !own ||
      !its ||
      (rival.says === 'strips'
        ? own.sliverMm + own.thinMm < its.sliverMm + its.thinMm
        : own.mainCutMm < 0.95 * its.mainCutMm || own.thinnestMm > its.thinnestMm + 1);
    if (!isLess) wrong.push(`${seed}: the other one leaves ${JSON.stringify(rival.size)}, and so does this one`);
  }
  expect(rooms).toBe(trials(300));
  expect(told).toBeGreaterThan(trials(400));
  expect(rivals).toBeGreaterThan(trials(100));
  expect(wrong).toEqual([]);
});

test('what speaks against a start that is behind is what the best one has not; a start is called what it does', () => {
  const wrong: string[] = [];
  let [behind, named] = [0, 0];
  for (let seed = 1; seed <= trials(80); seed++) {
    const room = roomToSearch(seed, 8);
    const setout = { x: { rule: seed % 2 === 0 ? 'fullFromStart' : 'jointCentred' }, y: { rule: 'fullFromEnd' } } as const;
    const job = { ...room, surfaces: [{ ...room.surfaces[0], setout }] };
    const plan = setOut(job);
    const pieces = laidPieces(plan);
    const { chosen, reasons } = plan.advice;
    const check = (of: SetOut, laid: readonly LaidPiece[], statement: Statement, candidate: Candidate): void => {
      const fault = statementFault(of, laid, statement, candidate);
      if (fault) wrong.push(`${seed}: ${fault}: ${JSON.stringify(statement)}`);
    };

    const name = startName(chosen);
    if (name.says === 'school' && name.school === 'noCuts' && pieces.some(({ whole }) => !whole)) wrong.push(`${seed}: cuts in "no cuts"`);
    if (name.says === 'fullAround')
      for (const { id } of plan.traced.edges)
        check(plan, pieces, { says: 'full', along: { id, kind: 'edge', role: 'wall', seen: 1 }, rest: null }, chosen);
    if (name.says === 'ends') {
      named++;
      for (const along of name.full) check(plan, pieces, { says: 'full', along, rest: null }, chosen);
      const own = evenStatement(chosen);
      if (name.even.length > 0 && own) check(plan, pieces, own, chosen);
    }

    const { rivalIsBest, cost, instead, than } = reasons;
    if (!rivalIsBest || !than) continue;
    behind++;
    if (cost) check(plan, pieces, cost, chosen);
    if (cost?.says === 'work') wrong.push(`${seed}: a number of cuts by itself says nothing against it`);
    if (!instead) continue;
    const best = { ...drawingOf(job.surfaces[0], prepareSurface(job, job.surfaces[0], new Memory()), 100, than), advice: plan.advice };
    check(best, laidPieces(best), instead, than);
  }
  expect(behind).toBeGreaterThan(trials(40));
  expect(named).toBeGreaterThan(trials(30));
  expect(wrong).toEqual([]);
});
