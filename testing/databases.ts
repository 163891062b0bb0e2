import { cpSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Database } from '../server/db/database.ts';
import { openPglite } from '../server/db/openPglite.ts';
import { openPostgres } from '../server/db/openPostgres.ts';
import { hasPostgres, startPostgres, type TestPostgres } from './postgres.ts';

/** A place where tests keep data; what is in it stays when the database is closed and opened again. */
export interface TestPlace {
  /** Opens the data of the place; a PostgreSQL as often as one likes. */
  open(): Promise<Database>;
  remove(): Promise<void>;
}

/** A new place without data, for each database that there is. */
export const NEW_PLACES: readonly (readonly [string, () => Promise<TestPlace>])[] = [
  ['PGlite', newPglite],
  ...(hasPostgres() ? [['PostgreSQL', newPostgres] as const] : []),
];

/** A new place in a folder. */
export async function newPglite(): Promise<TestPlace> {
  const folder = mkdtempSync(join(tmpdir(), 'azulejo-pglite-'));
  await emptyDatabase(join(folder, 'db'));
  return {
    open: () => openPglite(join(folder, 'db')),
    remove: () => Promise.resolve(rmSync(folder, { recursive: true, force: true })),
  };
}

/**
 * Puts an empty database of PGlite into a folder, without tables. Making one takes seconds: in a run of all tests the first
 * that asks makes it, and the others get a copy.
 */
export async function emptyDatabase(folder: string): Promise<void> {
  const { AZULEJO_PLANS: shared } = process.env;
  const made = shared === undefined ? null : join(shared, 'empty-database');
  if (made !== null && existsSync(made)) return cpSync(made, folder, { recursive: true });
  await (await openPglite(folder)).close();
  if (made === null) return;
  // Two may make it at a time; neither is read by half.
  const own = `${made}.${process.pid}`;
  cpSync(folder, own, { recursive: true });
  try {
    renameSync(own, made);
  } catch {
    rmSync(own, { recursive: true, force: true });
  }
}

/** One server for all places of a file of tests. */
let running: Promise<TestPostgres> | null = null;
let places = 0;

async function newPostgres(): Promise<TestPlace> {
  const server = await (running ??= startPostgres());
  places++;
  const address = await server.newDatabase();
  return {
    open: () => openPostgres(address),
    remove: async () => {
      if (--places > 0) return;
      running = null;
      await server.stop();
    },
  };
}
