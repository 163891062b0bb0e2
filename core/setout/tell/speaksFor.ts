import type { Candidate } from '../tally/candidate.ts';
import { endsStatement, evenStatement, fullStatement, fullSeenStatement, narrowestStatement } from './endStatements.ts';
import { alongOf, clearlyMore, type Statement } from './statement.ts';
import type { Care } from '../choice/ways.ts';

/** What a setout gains by a care over a rival; null where there is nothing to say. */
export function speaksFor(care: Care, chosen: Candidate, rival: Candidate): Statement | null {
  const { figures } = chosen;
  switch (care) {
    case 'slivers':
      if (figures.edges.some(({ sliverMm, owner }) => sliverMm > 0 && owner.seen > 0.5)) return narrowestStatement(chosen, rival);
      return evenStatement(chosen) ?? fullStatement(chosen) ?? narrowestStatement(chosen, rival);
    case 'ends':
    case 'fullSeen':
      return fullSeenStatement(chosen) ?? fullStatement(chosen) ?? narrowestStatement(chosen, rival) ?? endsStatement(chosen, rival);
    case 'balance':
      return evenStatement(chosen) ?? fullStatement(chosen) ?? endsStatement(chosen, rival);
    case 'square': {
      const off = new Set(figures.runOffs.map(({ owner }) => owner.id));
      const [square] = figures.edges
        .filter(({ owner }) => owner.kind === 'edge' && !owner.isReveal && !off.has(owner.id) && owner.seen > 0)
        .sort((a, b) => b.owner.seen * b.owner.lengthMm - a.owner.seen * a.owner.lengthMm);
      return square ? { says: 'square', along: alongOf(square) } : null;
    }
    case 'middle': {
      const middle = figures.middles.find(({ offMm }) => offMm < 0.1);
      return middle ? { says: 'middle', fixtureId: middle.fixtureId, offMm: middle.offMm } : null;
    }
    case 'beside': {
      const full = figures.edges.find(({ owner, cutMm }) => owner.kind === 'beside' && owner.seen > 0.5 && cutMm < 1);
      return full ? { says: 'full', along: alongOf(full), rest: null } : null;
    }
    case 'rounds': {
      const easy = figures.rounds.find(({ falls }) => falls === 'crossing' || falls === 'joint');
      return easy ? { says: 'falls', fixtureId: easy.fixtureId, falls: easy.falls } : null;
    }
    case 'ears':
      return figures.legs === 0 && rival.figures.legs > 0 ? { says: 'legs', some: false } : null;
    case 'work': {
      const { cutPieces, minutes } = figures;
      return clearlyMore(rival.figures.minutes, minutes) ? { says: 'work', cutPieces, less: true } : null;
    }
    case 'pieces':
      // How many tiles are opened for the cuts the cutting plan knows.
      return null;
    case 'motifs':
      return figures.motifs > 0 ? { says: 'motifs', motifs: figures.motifs } : null;
  }
}
