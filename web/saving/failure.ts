import { ServerError } from '../api/client.ts';

/** What was not answered is sent again after this, ms. */
export const RETRY_MS = 2000;

/** Refused for good: sent again, the answer would be the same. */
const FINAL: ReadonlySet<string> = new Set(['request/invalid', 'request/too-large', 'request/unsupported', 'job/refused']);

/** What a failure of sending something means for it: it is put aside, the server failed at it, its job is gone, others were first, or it goes again later. */
export type Meaning = 'refused' | 'unexplained' | 'gone' | 'elsewhere' | 'later';

/** What a failure means for what was sent: changes, ticks and entries alike. */
export function meaningOf({ code }: Pick<ServerError, 'code'>): Meaning {
  if (FINAL.has(code)) return 'refused';
  if (code === 'server/failed') return 'unexplained';
  if (code === 'job/not-found') return 'gone';
  return code === 'job/changed-elsewhere' ? 'elsewhere' : 'later';
}

/** Whatever was thrown, as a failure with words. */
export const failureOf = (error: unknown, words: string): ServerError =>
  error instanceof ServerError ? error : new ServerError('server/failed', words);
