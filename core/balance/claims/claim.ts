/** What can be wrong with a claim: it is not so; it is so of what it is held against too, or hides what is worse; nobody would act on it. */
export type Fault = 'untrue' | 'misleading' | 'needless';

/** One thing that a plan says to people, with what is wrong with it. */
export interface Claim {
  /** What says it: a statement of a setout, or the code of a finding. */
  readonly code: string;
  readonly surface: string;
  /** As it is said. */
  readonly words: string;
  readonly fault: Fault | null;
  /** What is wrong, in words. */
  readonly why: string | null;
}

/** The most words one says in a breath. */
export const ONE_BREATH = 20;

/** Words of a sentence; a figure with its unit is one. */
export const wordsIn = (said: string): number =>
  said
    .replace(/(\d) (mm|m²|m|kg|%|h|min)\b/g, '$1$2')
    .replace(/(\d['"]?) (?=\d)/g, '$1')
    .split(/\s+/)
    .filter(Boolean).length;

/** How much of what is said is wrong, each as a share of all, and what is. */
export interface ClaimShares {
  readonly all: number;
  readonly shares: Readonly<Record<Fault | 'long', number>>;
  readonly wrong: readonly string[];
}

/** Counts claims by what is wrong with them. */
export function sharesOf(claims: readonly Claim[]): ClaimShares {
  const share = (isSo: (claim: Claim) => boolean): number => claims.filter(isSo).length / Math.max(1, claims.length);
  const isLong = ({ words }: Claim): boolean => wordsIn(words) > ONE_BREATH;
  return {
    all: claims.length,
    shares: {
      untrue: share(({ fault }) => fault === 'untrue'),
      misleading: share(({ fault }) => fault === 'misleading'),
      needless: share(({ fault }) => fault === 'needless'),
      long: share(isLong),
    },
    wrong: claims.flatMap((claim) =>
      claim.fault
        ? [`${claim.surface}, ${claim.fault}: ${claim.words} (${claim.code}: ${claim.why ?? ''})`]
        : isLong(claim)
          ? [`${claim.surface}, ${wordsIn(claim.words)} words: ${claim.words}`]
          : [],
    ),
  };
}
