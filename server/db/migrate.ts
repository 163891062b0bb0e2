import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Database } from './database.ts';

const FOLDER = fileURLToPath(new URL('./migrations/', import.meta.url));

/** Names of all migrations, in the order they run. */
export const migrationNames = (): string[] =>
  readdirSync(FOLDER)
    .filter((name) => name.endsWith('.sql'))
    .sort();

/**
 * Brings a database forward, one numbered file after the other; each is recorded in the transaction
 * that runs it. Returns the names that ran. Throws when the database is newer than this code.
 */
export async function migrate(database: Database, names: readonly string[] = migrationNames()): Promise<string[]> {
  await database.run('CREATE TABLE IF NOT EXISTS migration (name text PRIMARY KEY, ran_at timestamptz NOT NULL DEFAULT now())');
  const done = new Set((await database.query<{ name: string }>('SELECT name FROM migration')).map(({ name }) => name));
  const unknown = [...done].filter((name) => !migrationNames().includes(name));
  if (unknown.length > 0) throw new Error(`the data folder was written by a newer Azulejo: it has ${unknown.join(', ')}`);
  const pending = names.filter((name) => !done.has(name));
  for (const name of pending) {
    await database.transaction(async (inside) => {
      await inside.run(readFileSync(FOLDER + name, 'utf8'));
      await inside.query('INSERT INTO migration (name) VALUES ($1::text)', [name]);
    });
  }
  return pending;
}
