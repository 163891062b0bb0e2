import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Database, Queryable } from './database.ts';

const FOLDER = fileURLToPath(new URL('./migrations/', import.meta.url));

/** Names of all migrations, in the order they run. */
export const migrationNames = (): string[] =>
  readdirSync(FOLDER)
    .filter((name) => name.endsWith('.sql'))
    .sort();

/**
 * Brings a database forward, one numbered file after the other; each is recorded in the transaction that runs it, and
 * runs once where several processes start beside each other. Returns the names that ran here. Throws when the database
 * is newer than this code.
 */
export async function migrate(database: Database, names: readonly string[] = migrationNames()): Promise<string[]> {
  const ran: string[] = [];
  const done = await database.transaction(async (inside) => {
    await othersWait(inside);
    await inside.run('CREATE TABLE IF NOT EXISTS migration (name text PRIMARY KEY, ran_at timestamptz NOT NULL DEFAULT now())');
    return doneIn(inside);
  });
  const unknown = done.filter((name) => !migrationNames().includes(name));
  if (unknown.length > 0) throw new Error(`the data was written by a newer Azulejo: it has ${unknown.join(', ')}`);
  for (const name of names.filter((one) => !done.includes(one))) {
    await database.transaction(async (inside) => {
      await othersWait(inside);
      // Somebody else may have been first meanwhile.
      if ((await doneIn(inside)).includes(name)) return;
      await inside.run(readFileSync(FOLDER + name, 'utf8'));
      await inside.query('INSERT INTO migration (name) VALUES ($1::text)', [name]);
      ran.push(name);
    });
  }
  return ran;
}

const doneIn = async (inside: Queryable): Promise<string[]> =>
  (await inside.query<{ name: string }>('SELECT name FROM migration')).map(({ name }) => name);

/** Whoever migrates beside us waits until this transaction ends. */
const othersWait = (inside: Queryable): Promise<unknown> => inside.query("SELECT pg_advisory_xact_lock(hashtext('azulejo migrations'))");
