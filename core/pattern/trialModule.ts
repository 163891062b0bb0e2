import type { PieceShape } from '../tile/pieceShape.ts';
import { sheetSize } from '../tile/sheet/sheetChips.ts';
import { makeSheet } from './makeSheet.ts';
import { PATTERNS, type Pattern, type PatternId } from './registry.ts';
import type { Module } from './repeat.ts';

/** A likely tile of each outline, about 150 mm; for tests, benches and the gallery. */
const TILES: Readonly<Record<PieceShape['kind'], Omit<Module, 'jointMm'>>> = {
  rectangle: { widthMm: 300, heightMm: 98, shape: { kind: 'rectangle' } },
  hexagon: { widthMm: 150, heightMm: 300 / Math.sqrt(3), shape: { kind: 'hexagon', tipMm: null } },
  octagon: { widthMm: 150, heightMm: 150, shape: { kind: 'octagon', cornerMm: 44 } },
  lantern: { widthMm: 140, heightMm: 160, shape: { kind: 'lantern', swell: 0.8 } },
  round: { widthMm: 90, heightMm: 90, shape: { kind: 'round' } },
  scallop: { widthMm: 140, heightMm: 140, shape: { kind: 'scallop' } },
  diamond: { widthMm: 100, heightMm: 100 * Math.sqrt(3), shape: { kind: 'diamond' } },
  triangle: { widthMm: 200, heightMm: 100 * Math.sqrt(3), shape: { kind: 'triangle' } },
  chevron: { widthMm: 300, heightMm: 80, shape: { kind: 'chevron', cutDeg: 45 } },
};

const SQUARE: ReadonlySet<PatternId> = new Set(['turnedSquares', 'pinwheel', 'modularSet', 'corridor']);

/** A tile that suits a pattern, with a joint in mm. */
export function trialModule(pattern: Pattern, jointMm: number): Module {
  if (SQUARE.has(pattern.kind)) return { widthMm: 197, heightMm: 197, shape: { kind: 'rectangle' }, jointMm };
  if (pattern.kind === 'ashlar') return { widthMm: 6 * pattern.moduleMm - jointMm, heightMm: 6 * pattern.moduleMm - jointMm, jointMm };
  // Strips of a weave have to make up a square for its joints to be those of every pattern.
  if (pattern.kind === 'basketWeave') return { widthMm: pattern.strips * (98 + jointMm) - jointMm, heightMm: 98, jointMm };
  const [outline] = PATTERNS[pattern.kind].takes;
  if (outline === 'sheet') return trialSheet(jointMm);
  return { ...TILES[outline], jointMm };
}

/** A sheet of small hexagons, whose edges reach into each other. */
function trialSheet(jointMm: number): Module {
  const chip = { widthMm: 50, heightMm: 100 / Math.sqrt(3), shape: { kind: 'hexagon', tipMm: null } as const, jointMm };
  const shape = makeSheet({ kind: 'hexagon', lay: 'upright' }, chip, { widthMm: 210, heightMm: 180 }, ['#8a9ba8']);
  if (!shape) throw new Error('hexagons of 50 mm make a sheet of 210 by 180 mm: got none');
  return { ...sheetSize(shape), shape, jointMm };
}
