/** What strips of tile are for. */
export const STRIP_PURPOSES = ['skirting', 'nosing'] as const;

/** What strips of tile are for. */
export type StripPurpose = (typeof STRIP_PURPOSES)[number];

/** How a strip ends: against what stands there, mitred through its thickness by so many degrees, or in sight. */
export type StripEnd = { readonly kind: 'butts' } | { readonly kind: 'shows' } | { readonly kind: 'mitred'; readonly deg: number };

/** Whether two ends are finished alike: mitres to half a degree, which no saw is set finer to. */
export const areEndsAlike = (a: StripEnd, b: StripEnd): boolean =>
  a.kind === b.kind && (a.kind !== 'mitred' || b.kind !== 'mitred' || Math.abs(a.deg - b.deg) < 0.5);

/** Where a strip of tile stands, and how it is finished. */
export interface Strip {
  readonly purpose: StripPurpose;
  readonly edgeId: string;
  /** Where it begins along the edge, mm; before its start where a mitre reaches round the corner. */
  readonly alongMm: number;
  readonly lengthMm: number;
  readonly widthMm: number;
  /** Its ends as one stands before it: at the left, at the right. */
  readonly ends: readonly [StripEnd, StripEnd];
  /** Whether the long edge that shows is one of the factory. */
  readonly isFactory: boolean;
}
