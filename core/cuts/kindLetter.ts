import type { CutKind } from '../tile/cutKinds.ts';

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

/** The sign a kind of cut carries beside its label, so that kinds differ without colour; none for a plain straight cut. */
export const kindLetter = (kind: CutKind): string => LETTERS[kind];
