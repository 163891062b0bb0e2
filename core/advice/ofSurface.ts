import type { Finding } from './finding.ts';

/** What of some findings is about one surface of a job, by its place there. */
export const ofSurface = (findings: readonly Finding[], surfaceIndex: number): Finding[] =>
  findings.filter(({ path }) => path[0] === 'surfaces' && path[1] === surfaceIndex);
