import { mkdirSync } from 'node:fs';
import lockfile from 'proper-lockfile';

/** A lock that was not touched for this long belongs to a process that died, ms. */
const STALE_MS = 8000;

/**
 * Takes a data folder for this process alone; PGlite would let two processes destroy each other's
 * data. Waits for the lock of a process that was killed to go stale. Returns what lets go of it.
 * Throws when another process keeps the folder.
 */
export async function lockFolder(folder: string, lost: () => void): Promise<() => Promise<void>> {
  mkdirSync(folder, { recursive: true });
  try {
    return await lockfile.lock(folder, {
      stale: STALE_MS,
      update: 2000,
      onCompromised: lost,
      retries: { retries: 24, factor: 1, minTimeout: 500, maxTimeout: 500 },
    });
  } catch (error) {
    throw new Error(`the data folder is in use by another Azulejo: ${folder}`, { cause: error });
  }
}
