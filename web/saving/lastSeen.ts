import { browserDatabase, hasDatabase } from './browserDatabase.ts';

/**
 * What the server last answered, and what was planned of it, for when it is away: a job under `job/ID`, what was ticked
 * and written down under `ticks/ID` and `entries/ID`, its plan under `plan/ID`, the list under `jobs`.
 */
export const lastSeen = {
  /** Keeps a value; a browser that keeps nothing, or has no room, goes without. */
  keep: async (key: string, value: unknown): Promise<void> => {
    if (hasDatabase)
      await browserDatabase()
        .then((db) => db.put('seen', value, key), ignore)
        .catch(ignore);
  },
  /** What was kept; null for nothing. Its shape is that of the release that kept it. */
  find: async <T>(key: string): Promise<T | null> =>
    hasDatabase
      ? (((await browserDatabase()
          .then((db) => db.get('seen', key))
          .catch(ignore)) as T | undefined) ?? null)
      : null,
  /** Forgets all of a job that is gone. */
  forgetJob: async (jobId: string): Promise<void> => {
    if (!hasDatabase) return;
    const db = await browserDatabase();
    await Promise.all(['job', 'ticks', 'entries', 'plan'].map((kind) => db.delete('seen', `${kind}/${jobId}`))).catch(ignore);
  },
};

const ignore = (): undefined => undefined;
