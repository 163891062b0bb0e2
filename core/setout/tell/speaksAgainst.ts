import { ROUNDED_OFTEN } from '../../tolerances.ts';
import type { Candidate } from '../tally/candidate.ts';
import { unevenStatement } from './endStatements.ts';
import { tallyOf, type EdgeTally } from '../tally/figures.ts';
import { alongOf, clearlyMore, sizeOf, type Statement } from './statement.ts';
import type { Care } from '../choice/ways.ts';

/**
 * What a setout costs by a care; null where there is nothing to say. Where it is held against another one, what that
 * one has too is not told.
 */
export function speaksAgainst(care: Care, chosen: Candidate, than: Candidate | null): Statement | null {
  const { figures } = chosen;
  switch (care) {
    case 'slivers': {
      const thin = worst(chosen, than, ({ sliverMm, thinMm, owner }) => (sliverMm + thinMm) * owner.seen);
      if (!thin || thin.sliverMm === 0) return null;
      // Where the other one's are hardly wider, both have them.
      const there = than && tallyOf(than.figures, thin.owner.id);
      if (there && there.cutMm >= 1 && there.thinnestMm < thin.thinnestMm + NOTICED_MM) return null;
      return { says: 'strips', size: { along: alongOf(thin), cutMm: [thin.thinnestMm, thin.thinnestMm] } };
    }
    case 'ends':
      return piecesAlong(worstPieces(chosen, than, ({ smallMm, owner }) => (isEdge(owner) ? smallMm * owner.seen : 0)));
    case 'fullSeen':
      return piecesAlong(
        worstPieces(chosen, than, ({ mainCutMm, owner }) => (isEdge(owner) && owner.seen > 1.5 ? mainCutMm * owner.seen : 0)),
      );
    case 'beside':
      return piecesAlong(worstPieces(chosen, than, ({ smallMm, owner }) => (owner.kind === 'beside' ? smallMm * owner.seen : 0)));
    case 'balance':
      return unevenStatement(chosen, than);
    case 'square': {
      const offThere = (id: string): number => than?.figures.runOffs.find(({ owner }) => owner.id === id)?.mm ?? 0;
      const [most] = figures.runOffs
        .filter(({ owner, mm }) => mm > offThere(owner.id) + NOTICED_MM)
        .sort((a, b) => b.mm * b.owner.seen - a.mm * a.owner.seen);
      return most ? { says: 'runOff', along: { ...most.owner }, mm: most.mm } : null;
    }
    case 'middle': {
      const [most] = figures.middles
        .filter(({ offMm }, k) => offMm >= NOTICED_MM && offMm > (than?.figures.middles[k]?.offMm ?? 0) + (than ? NOTICED_MM : 0))
        .sort((a, b) => b.offMm / b.mostMm - a.offMm / a.mostMm);
      return most ? { says: 'middle', fixtureId: most.fixtureId, offMm: most.offMm } : null;
    }
    case 'rounds': {
      const hard = figures.rounds.find(({ falls }, k) => falls === 'piece' && than?.figures.rounds[k]?.falls !== 'piece');
      return hard ? { says: 'falls', fixtureId: hard.fixtureId, falls: hard.falls } : null;
    }
    case 'ears':
      return figures.legs > 0 && !(than && than.figures.legs > 0) ? { says: 'legs', some: true } : null;
    case 'work':
    case 'pieces': {
      // How many tiles are opened for the cuts the cutting plan knows.
      const { minutes } = figures;
      return than && clearlyMore(minutes, than.figures.minutes) ? { says: 'moreWork' } : null;
    }
    case 'motifs':
      return than && figures.motifs < than.figures.motifs ? { says: 'motifs', motifs: figures.motifs } : null;
  }
}

const isEdge = ({ kind, isReveal }: EdgeTally['owner']): boolean => kind === 'edge' && !isReveal;

/** The same of the edges whose pieces are clearly more, or narrower, than in the other setout: what both have is not told of one. */
const worstPieces = (chosen: Candidate, than: Candidate | null, of: (tally: EdgeTally) => number): EdgeTally | null =>
  worst(chosen, than, (tally) => {
    const other = than && tallyOf(than.figures, tally.owner.id);
    return !than || !other || clearlyWorse(tally, other) ? of(tally) : 0;
  });

/** Less of an edge by this share, or a piece wider by so many mm, is seen. */
const SEEN_SHARE = 0.95;
const NOTICED_MM = 5;

/** Whether the cut pieces along an edge are clearly more, or narrower, than in another setout. */
const clearlyWorse = (tally: EdgeTally, other: EdgeTally): boolean =>
  other.mainCutMm < SEEN_SHARE * tally.mainCutMm || other.thinnestMm > tally.thinnestMm + NOTICED_MM;

/** The edge of which something is most, or most more than in another setout; null where it is nowhere more. */
function worst(chosen: Candidate, than: Candidate | null, of: (tally: EdgeTally) => number): EdgeTally | null {
  let [found, most]: [EdgeTally | null, number] = [null, 0];
  for (const tally of chosen.figures.edges) {
    const other = than && tallyOf(than.figures, tally.owner.id);
    const by = of(tally) - (other ? of(other) : 0);
    if (by > most + ROUNDED_OFTEN) [found, most] = [tally, by];
  }
  return found;
}

/** The cut pieces along an edge; null where only those are cut that fill in between the tiles. */
const piecesAlong = (tally: EdgeTally | null): Statement | null =>
  tally && tally.mainCutMm >= 1 ? { says: 'pieces', size: sizeOf(tally) } : null;
