/** The kinds of cut a single piece can need. */
export const CUT_KINDS = ['straight', 'rip', 'taper', 'notch', 'uCut', 'hole', 'halfHole', 'curve', 'several'] as const;

/** One kind of cut. */
export type CutKind = (typeof CUT_KINDS)[number];

/** Minutes one such cut takes with the tile in hand; typical, to be replaced by own pace. */
export const MINUTES: Readonly<Record<CutKind, number>> = {
  straight: 1,
  rip: 2,
  taper: 2,
  notch: 6,
  uCut: 9,
  hole: 8,
  halfHole: 7,
  curve: 12,
  several: 3,
};
