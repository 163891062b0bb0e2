import { PGlite } from '@electric-sql/pglite';
import type { Database } from './database.ts';
import { turns } from './inTurn.ts';
import { Statements } from './statements.ts';
import { SyncedFolder } from './syncedFolder.ts';

/** With fsync, which PGlite leaves out; and a log that is let grow no further than these. */
const PARAMETERS = [
  ...PGlite.defaultStartParams.filter((flag) => flag !== '-F'),
  ...['wal_sync_method=fsync', 'max_wal_size=64MB', 'min_wal_size=32MB', 'wal_compression=on'].flatMap((setting) => ['-c', setting]),
];

/** What else opening can be told. */
export interface OpenOptions {
  /** Called with each file that was synced to the disk. */
  readonly onSynced?: (path: string) => void;
  /** Throws when this process may no longer write to the folder. */
  readonly mayWrite?: () => void;
}

/** Opens PGlite on a folder, or in memory when it is null. What was written is on the disk before it is answered. */
export async function openPglite(folder: string | null, { onSynced, mayWrite }: OpenOptions = {}): Promise<Database> {
  const disk = folder === null ? null : new SyncedFolder(folder, onSynced);
  const pglite = await PGlite.create({
    ...(disk === null ? {} : { fs: disk }),
    relaxedDurability: false,
    startParams: PARAMETERS,
  });
  const statements = new Statements(pglite);
  const run = async (sql: string): Promise<void> => {
    await pglite.exec(sql);
  };
  const inside = { query: <Row>(sql: string, parameters: readonly unknown[] = []) => statements.query<Row>(sql, parameters), run };
  const inTurn = turns();
  /** One after the other; answered when it is on the disk, which many wait for together. */
  const kept = async <T>(work: () => Promise<T>): Promise<T> => {
    const result = await inTurn(() => {
      mayWrite?.();
      return work();
    });
    await disk?.synced();
    return result;
  };
  return {
    query: (sql, parameters) => kept(() => inside.query(sql, parameters)),
    run: (sql) => kept(() => run(sql)),
    transaction: (work) => kept(() => inTransaction(inside, () => work(inside))),
    // The folder is this process's alone.
    leads: () => Promise.resolve(true),
    close: () => inTurn(() => pglite.close()),
  };
}

async function inTransaction<T>({ run }: Pick<Database, 'run'>, work: () => Promise<T>): Promise<T> {
  await run('BEGIN');
  try {
    const result = await work();
    await run('COMMIT');
    return result;
  } catch (error) {
    await run('ROLLBACK');
    throw error;
  }
}
