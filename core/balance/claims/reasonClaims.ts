import { Memory } from '../../memory.ts';
import { describeBehind, describeReasons } from '../../messages/en/reasons.ts';
import { thingNamesOf } from '../../messages/thingNames.ts';
import type { Job } from '../../job/job.ts';
import { drawingOf } from '../../plan/layout/drawSurface.ts';
import { prepareSurface } from '../../plan/prepare/prepareSurface.ts';
import type { Drawing, SurfacePlan } from '../../plan/planned.ts';
import type { Candidate } from '../../setout/tally/candidate.ts';
import { tallyOf } from '../../setout/tally/figures.ts';
import type { Reasons } from '../../setout/tell/explainSetout.ts';
import type { Statement } from '../../setout/tell/statement.ts';
import type { Tape } from '../../units/tape.ts';
import type { Claim, Fault } from './claim.ts';
import { depthsAlong, laidPieces, tilesRound, type LaidPiece } from './laidPieces.ts';
import { statementFault } from './statementFault.ts';

/** A setout as it is laid. */
interface Laid {
  readonly drawing: Drawing;
  readonly pieces: readonly LaidPiece[];
  readonly candidate: Candidate;
}

type Judged = readonly [Fault, string] | null;

/** Everything that is said of the setout of one surface, judged by the pieces as they lie in it and in what it is held against. */
export function reasonClaims(job: Job, plan: SurfacePlan, tape: Tape): Claim[] {
  const surface = job.surfaces.find(({ id }) => id === plan.surfaceId);
  if (!surface || surface.border) return [];
  const { reasons, chosen } = plan.advice;
  const { gain, cost, rival, instead, than, rivalIsBest } = reasons;
  const own: Laid = { drawing: plan, pieces: laidPieces(plan), candidate: chosen };
  const other = than && laidOut(job, plan.surfaceId, than);
  const judge = (statement: Statement, of: Laid, against: Laid | null): Judged => {
    const untrue = statementFault(of.drawing, of.pieces, statement, of.candidate);
    if (untrue) return ['untrue', untrue];
    if (statement.says === 'work' && !statement.less) return ['needless', 'a bare count'];
    return against && isShared(statement, of, against) ? ['misleading', 'the other one has it too'] : null;
  };
  const said: (readonly [Statement, Judged])[] = [[gain, judge(gain, own, TELLS_APART.has(gain.says) ? other : null)]];
  if (cost) said.push([cost, judge(cost, own, rivalIsBest ? other : null) ?? hides(cost, own, reasons)]);
  if (rival && other && !rivalIsBest) said.push([rival, judge(rival, other, own)]);
  if (instead && other) said.push([instead, judge(instead, other, own)]);
  const names = thingNamesOf(plan.traced);
  const lines = [...describeReasons(reasons, names, tape), ...(rivalIsBest ? [describeBehind(reasons, names, tape) ?? ''] : [])];
  return said.map(([statement, judged], k) => ({
    code: statement.says,
    surface: surface.name,
    words: lines[k] ?? '',
    fault: judged?.[0] ?? null,
    why: judged?.[1] ?? null,
  }));
}

/** What is said to tell a setout from another; how its ends come out is said of it alone. */
const TELLS_APART: ReadonlySet<Statement['says']> = new Set(['narrowest', 'square', 'middle', 'falls', 'motifs']);

function laidOut(job: Job, surfaceId: string, candidate: Candidate): Laid | null {
  const surface = job.surfaces.find(({ id }) => id === surfaceId);
  if (!surface) return null;
  const drawing = drawingOf(surface, prepareSurface(job, surface, new Memory()), 100, candidate);
  return { drawing, pieces: laidPieces(drawing), candidate };
}

/** Alike to the eye, mm. */
const ALIKE_MM = 2;

/** Whether what is said of one setout is so of the other, by the pieces of both. */
function isShared(statement: Statement, { drawing, pieces, candidate }: Laid, other: Laid): boolean {
  switch (statement.says) {
    case 'strips':
    case 'pieces': {
      const { id, kind } = statement.size.along;
      if (kind !== 'edge') return false;
      const [mine, theirs] = [depthsAlong(drawing, pieces, id), depthsAlong(other.drawing, other.pieces, id)].map((all) =>
        all.filter((mm) => mm >= 1),
      );
      const least = (all: readonly number[]): number => Math.min(Infinity, ...all);
      // Aslant, pieces that reach in as far may still be of another width on the tape.
      const [ours, others] = [candidate, other.candidate].map(({ figures }) => tallyOf(figures, id)?.thinnestMm ?? 0);
      return (
        mine.length > 0 &&
        theirs.length >= mine.length &&
        Math.abs(least(mine) - least(theirs)) < ALIKE_MM &&
        Math.abs(ours - others) < ALIKE_MM
      );
    }
    case 'narrowest':
      return Math.abs(narrowestMm(other) - (statement.size.cutMm?.[0] ?? 0)) < ALIKE_MM;
    case 'full':
    case 'mainFull':
    case 'square':
      return statementFault(other.drawing, other.pieces, statement, other.candidate) === null;
    case 'falls': {
      const circle = drawing.traced.fixtures.find(({ fixture }) => fixture.id === statement.fixtureId)?.clearCircle;
      if (!circle) return false;
      const [mine, theirs] = [pieces, other.pieces].map((all) =>
        [0.06, 2].map((mm) => tilesRound(all, circle.centre, circle.radiusMm - mm)).join(),
      );
      return mine === theirs;
    }
    case 'middle':
      return other.candidate.figures.middles.some(
        ({ fixtureId, offMm }) => fixtureId === statement.fixtureId && Math.abs(offMm - statement.offMm) < ALIKE_MM,
      );
    case 'motifs':
      return other.candidate.figures.motifs >= statement.motifs && statement.motifs > 0;
    default:
      return false;
  }
}

/** The narrowest piece of a setout as a tape reads it, mm. */
const narrowestMm = ({ candidate }: Laid): number =>
  Math.min(
    ...candidate.figures.edges.flatMap(({ owner, cutMm, thinnestMm }) => (owner.kind !== 'other' && cutMm >= 1 ? [thinnestMm] : [])),
  );

/** What hides that slivers stand along an edge that is looked at, where the other one has none there. */
function hides(cost: Statement, { candidate }: Laid, { than, gain }: Reasons): Judged {
  const tellsPieces = (one: Statement): boolean => ['strips', 'pieces', 'ends', 'narrowest', 'even', 'full'].includes(one.says);
  if (tellsPieces(cost) || tellsPieces(gain) || !than) return null;
  const hidden = candidate.figures.edges.find(({ owner, sliverMm }) => {
    const there = than.figures.edges.find((one) => one.owner.id === owner.id);
    return owner.kind === 'edge' && owner.seen > 1 && sliverMm > 50 && (there?.sliverMm ?? 0) < 1;
  });
  return hidden ? ['misleading', `slivers along ${hidden.owner.id} are not told`] : null;
}
