import type { Candidate } from '../tally/candidate.ts';
import { evenAxes, narrowestEdge } from './endStatements.ts';
import { tallyOf } from '../tally/figures.ts';
import type { Statement } from './statement.ts';

/** Less of an offset is not seen, mm. */
const ALIKE_MM = 3;

/** Whether what is said of one setout is so of another as well: then it tells them apart for nobody. */
export function hasToo(statement: Statement, other: Candidate): boolean {
  const { figures } = other;
  const isFull = (id: string): boolean => (tallyOf(figures, id)?.cutMm ?? 0) < 1;
  switch (statement.says) {
    case 'full':
      return isFull(statement.along.id);
    case 'mainFull':
      return (tallyOf(figures, statement.along.id)?.mainCutMm ?? 0) < 1;
    case 'bothFull':
      return statement.edges.every(isFull);
    case 'even':
      return evenAxes(other).includes(statement.axis);
    case 'narrowest':
      return (narrowestEdge(other)?.thinnestMm ?? Infinity) > (statement.size.cutMm?.[0] ?? 0) - ALIKE_MM;
    case 'square':
      return !figures.runOffs.some(({ owner, mm }) => owner.id === statement.along.id && mm >= ALIKE_MM);
    case 'middle':
      return figures.middles.some(
        ({ fixtureId, offMm }) => fixtureId === statement.fixtureId && Math.abs(offMm - statement.offMm) < ALIKE_MM,
      );
    case 'falls':
      return figures.rounds.some(({ fixtureId, falls }) => fixtureId === statement.fixtureId && falls === statement.falls);
    case 'legs':
      return figures.legs > 0 === statement.some;
    case 'motifs':
      return figures.motifs >= statement.motifs;
    default:
      return false;
  }
}
