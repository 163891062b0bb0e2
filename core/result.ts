import type { IssueCode } from './issueCodes.ts';

/** Figures an issue speaks of: lengths in mm, counts, or names. */
export type Figures = Readonly<Record<string, number | string>>;

/** Something that can't be accepted: what, where, and the figures. Its words live in messages/. */
export interface Issue {
  readonly code: IssueCode;
  /** Where in the data: keys and positions, outermost first. */
  readonly path: readonly (string | number)[];
  readonly figures: Figures;
}

/** The outcome of reading something from outside. */
export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly Issue[] };

/** A value that was accepted. */
export const accepted = <T>(value: T): Result<T> => ({ ok: true, value });

/** A refusal with one or more reasons. */
export const refused = (...issues: readonly Issue[]): Result<never> => ({ ok: false, issues });

/** Builds one issue. */
export const issue = (code: IssueCode, path: Issue['path'] = [], figures: Figures = {}): Issue => ({ code, path, figures });
