import type { Finding } from './finding.ts';
import { HARM } from './harm.ts';

/** What is untrue of a stored job has no harm of its own: it comes before all else. */
const harmOf = (code: string): number => (HARM as Readonly<Record<string, number>>)[code] ?? 0;

/** Notes come after every warning. */
const NOTE = 100;

/** How bad a finding is, the worst lowest: warnings before notes. */
export const rankOf = ({ code, severity }: Pick<Finding, 'code' | 'severity'>): number => (severity === 'note' ? NOTE : 0) + harmOf(code);

/** Findings with the worst first: warnings before notes; those alike as they were found. */
export const worstFirst = <T extends Pick<Finding, 'code' | 'severity'>>(findings: readonly T[]): T[] =>
  [...findings].sort((a, b) => rankOf(a) - rankOf(b));
