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
