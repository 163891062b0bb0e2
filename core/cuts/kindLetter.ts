import type { CutKind } from '../tile/cutKinds.ts';
import type { CutPiece } from './cutPiece.ts';

const LETTERS: Readonly<Record<CutKind, string>> = {
  straight: '',
  rip: 'r',
  taper: 't',
  notch: 'L',
  uCut: 'U',
  hole: 'o',
  halfHole: 'c',
  curve: '~',
  several: '+',
};

/** The sign a piece carries beside its label, so that kinds of cut differ without colour; none for a plain straight cut, nor for a strip. */
export const kindLetter = ({ kind, strip }: Pick<CutPiece, 'kind' | 'strip'>): string => (strip ? '' : LETTERS[kind]);
