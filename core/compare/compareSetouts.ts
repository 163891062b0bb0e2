import { ROUNDING } from '../tolerances.ts';
import { Memory } from '../memory.ts';
import { forgives, movedWalls, type Forgiveness } from './forgives.ts';
import type { SetoutAdvice } from '../setout/tell/adviseSetout.ts';
import type { Surface } from '../job/job.ts';
import { misfitOf, type Pattern } from '../pattern/registry.ts';
import { moduleOf } from '../pattern/laying.ts';
import { searchOffsets, THOROUGH } from '../setout/search/searchOffsets.ts';
import { chooseSetout } from '../setout/search/chooseSetout.ts';
import { fewAndDifferent } from '../setout/search/fewAndDifferent.ts';
import { ONLY_THE_START } from '../setout/choice/allowed.ts';
import type { Turn } from '../setout/choice/turns.ts';
import type { Candidate, LaidSetout } from '../setout/tally/candidate.ts';
import type { Placer } from '../setout/search/placer.ts';
import { BEST_SETOUT, type SetoutChoice } from '../setout/choice/setoutChoice.ts';
import { explainSetout, type Reasons } from '../setout/tell/explainSetout.ts';
import type { Statement } from '../setout/tell/statement.ts';
import { weightsOf } from '../setout/choice/ways.ts';
import { handyPart } from '../surface/squareTriangle.ts';
import { fewestSheets } from '../plan/share/fewestSheets.ts';
import { groupedSetout, groupsOf } from '../plan/groups/groupSetouts.ts';
import { drawingOf } from '../plan/layout/drawSurface.ts';
import { prepareSurface, type OpeningRules } from '../plan/prepare/prepareSurface.ts';
import { finishSteps } from '../plan/layout/planSurfaceLayout.ts';
import type { PlanRules, SurfacePlan } from '../plan/planned.ts';
import { shareOut } from '../plan/share/shareOut.ts';

/** What choosing a setout changes of its surface. */
export interface SetoutChange {
  readonly setout: SetoutChoice;
  readonly jointMm: number;
  readonly pattern: Pattern;
}

/** A setout that was found, with what it lays and what choosing it changes. */
export interface ComparedSetout {
  readonly candidate: Candidate;
  readonly laid: LaidSetout;
  readonly change: SetoutChange;
  /** Why: the best against the next, every other against the best. */
  readonly reasons: Reasons;
  /** What becomes of it where a wall stands a little off. */
  readonly forgives: Forgiveness;
}

/** How far a comparison has come: the share that is done, the trials made, and the best so far. */
export interface ComparisonProgress {
  readonly share: number;
  readonly trials: number;
  readonly best: Candidate | null;
}

/** So many are laid out and weighed again by what they lay. */
const MOST_LAID = 100;

/** So many are shown. */
const MOST_SHOWN = 6;

/** Joints of a range are tried at every so many mm. */
const JOINT_STEP_MM = 1 / 2;

interface ComparedStart {
  readonly candidate: Candidate;
  readonly placer: Placer;
  readonly change: Omit<SetoutChange, 'setout'>;
}

/** Searches setouts of a surface over all that is allowed, and keeps a few that differ in kind, the best first; a step at a time. */
export function* compareSetouts(
  rules: OpeningRules & Pick<PlanRules, 'consumption'>,
  surface: Surface,
  memory: Memory,
): Generator<ComparisonProgress, ComparedSetout[]> {
  const variants = variantsOf(rules, surface);
  const free = groupedSetout(groupsOf(rules, memory), { ...surface, setout: BEST_SETOUT });
  const found: ComparedStart[] = [];
  let [trials, tried] = [0, 0];
  const best = (): Candidate | null =>
    found.reduce<Candidate | null>((a, { candidate }) => (a && a.score <= candidate.score ? a : candidate), null);
  for (const [k, change] of variants.entries()) {
    const { placer } = prepareSurface(rules, { ...surface, ...change }, memory);
    const turns = free.turn ? placer.turns(free.turn) : turnsToTry(placer, surface);
    for (const [t, turn] of turns.entries()) {
      const steps = searchOffsets(placer.trialsAt(turn.deg), rangeOf(placer, turn, free), placer.weights, {
        ...THOROUGH,
        trials: Math.ceil(THOROUGH.trials / (turns.length * variants.length)),
        refined: Math.max(3, Math.ceil(THOROUGH.refined / (turns.length * variants.length))),
      });
      for (let step = steps.next(); ; step = steps.next()) {
        if (step.done) {
          for (const { at } of step.value.slice(0, MOST_LAID))
            found.push({ candidate: placer.candidateAt(placer.home(at, turn.deg, free), turn, free), placer, change });
          break;
        }
        tried = step.value;
        yield { share: (0.7 * (k + (t + 0.5) / turns.length)) / variants.length, trials: trials + tried, best: best() };
      }
      trials += tried;
    }
  }
  found.sort((a, b) => a.candidate.score - b.candidate.score);
  // What a plan of the surface would lay is one of them, so that nothing laid is better than the first.
  const [own] = variants;
  const { placer: ownPlacer } = prepareSurface(rules, { ...surface, ...own }, memory);
  const laidNow: ComparedStart = { candidate: chooseSetout(ownPlacer, free).best, placer: ownPlacer, change: own };
  const laid: (Omit<ComparedSetout, 'reasons' | 'forgives'> & { readonly index: number })[] = [];
  const different = [
    laidNow,
    ...fewAndDifferent(found, ({ candidate, change }) => ({ candidate, kind: JSON.stringify(change) }), MOST_LAID / 4),
  ];
  for (const [index, { candidate, placer, change }] of different.entries()) {
    const written = fewestSheets(
      rules,
      placer,
      free,
      placer.writtenDown(candidate.at, { choice: candidate.turn, deg: candidate.turnDeg }, free),
    );
    const own = placer.lay(written);
    const weighed = placer.weighLaid(written, own);
    const { x, y, turn } = weighed;
    const { pins } = surface.setout;
    laid.push({ index, candidate: weighed, laid: own, change: { ...change, setout: { x, y, turn, ...(pins ? { pins } : {}) } } });
    yield { share: 0.7 + (0.3 * index) / different.length, trials, best: best() };
  }
  laid.sort((a, b) => a.candidate.score - b.candidate.score || a.index - b.index);
  const shown = fewAndDifferent(laid, ({ candidate, change }) => ({ candidate, kind: keyOf(change) }), MOST_SHOWN);
  const weights = weightsOf(rules.way);
  const told: Statement[] = [];
  const moved = new Map<string, ReturnType<typeof movedWalls>>();
  for (const { change } of shown) {
    const { jointMm, pattern } = change;
    if (!moved.has(keyOf(change))) moved.set(keyOf(change), movedWalls(rules, { ...surface, jointMm, pattern }));
    yield { share: 1, trials, best: best() };
  }
  return shown.map(({ candidate, laid: own, change }, k) => {
    const rival = k === 0 ? shown.at(1) : shown[0];
    const reasons = explainSetout(candidate, rival ? [rival.candidate] : [], { weights, isBest: k === 0, told });
    told.push(reasons.gain);
    return { candidate, laid: own, change, reasons, forgives: forgives(candidate, moved.get(keyOf(change)) ?? []) };
  });
}

/** Setouts of one joint and pattern are of one kind. */
const keyOf = ({ jointMm, pattern }: Pick<SetoutChange, 'jointMm' | 'pattern'>): string => `${jointMm} ${JSON.stringify(pattern)}`;

/** The same at once. */
export function candidatesOf(rules: OpeningRules & Pick<PlanRules, 'consumption'>, surface: Surface): ComparedSetout[] {
  const steps = compareSetouts(rules, surface, new Memory());
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

const rangeOf = (placer: Placer, turn: Turn, { x, y }: SetoutChoice) => ({
  x: placer.rangeOn('x', x, turn.deg),
  y: placer.rangeOn('y', y, turn.deg),
});

function turnsToTry(placer: Placer, { allowed = ONLY_THE_START }: Surface): Turn[] {
  const turns = placer.turns({ rule: 'best' });
  if (!allowed.diagonal || !placer.open.mayTurn) return turns;
  const { ground } = placer.open;
  const first = ground.sides.bottom ?? ground.edges[0]?.id;
  const diagonal = turns.flatMap(({ choice }): Turn[] =>
    placer.turns({ rule: 'edge', edge: choice.rule === 'edge' ? choice.edge : first, diagonal: true }),
  );
  return [...turns, ...diagonal];
}

/** Every way to lay the surface that is allowed, the chosen one first. */
function variantsOf({ products }: Pick<PlanRules, 'products'>, surface: Surface): Omit<SetoutChange, 'setout'>[] {
  const { allowed = ONLY_THE_START, pattern, jointMm } = surface;
  const patterns: Pattern[] = [pattern];
  if (allowed.otherWay && 'lay' in pattern) patterns.push({ ...pattern, lay: pattern.lay === 'lying' ? 'upright' : 'lying' } as Pattern);
  const shared = patterns.flatMap((own): Pattern[] =>
    own.kind === 'runningBond'
      ? [own, ...allowed.shares.filter((offset) => offset !== own.offset).map((offset) => ({ ...own, offset }))]
      : [own],
  );
  const joints = [jointMm, ...jointsOf(allowed.jointMm).filter((mm) => mm !== jointMm)];
  return shared
    .flatMap((own) => joints.map((mm) => ({ pattern: own, jointMm: mm })))
    .filter((change, k) => k === 0 || misfitOf(change.pattern, moduleOf({ ...surface, ...change }, products)) === null);
}

function jointsOf(range: readonly [number, number] | null): number[] {
  if (range === null) return [];
  const [low, high] = range;
  const steps = Math.min(12, Math.floor((high - low) / JOINT_STEP_MM + ROUNDING));
  return [...Array.from({ length: steps + 1 }, (_, k) => low + k * ((high - low) / Math.max(1, steps)))];
}

/** The whole plan of a surface in a setout that was compared, so that what it takes can be told. */
export function planCompared(
  rules: PlanRules,
  surface: Surface,
  { candidate, change, reasons }: ComparedSetout,
  memory: Memory,
): SurfacePlan {
  const changed = { ...surface, ...change };
  const drawing = drawingOf(changed, prepareSurface(rules, changed, memory), handyPart(surface.tape ?? rules.tape), candidate);
  const advice: SetoutAdvice = {
    chosen: candidate,
    best: candidate,
    isBest: true,
    reasons,
    options: { x: [], y: [] },
    missedPins: [],
    hindered: [],
  };
  const steps = finishSteps(rules, changed, drawing, advice, groupsOf(rules, memory));
  for (;;) {
    const step = steps.next();
    if (step.done) return shareOut(rules, [step.value], memory)[0];
  }
}
