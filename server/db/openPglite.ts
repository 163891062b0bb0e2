import { PGlite, type Transaction } from '@electric-sql/pglite';
import type { Database, Queryable } from './database.ts';

/** Opens PGlite on a folder, or in memory when it is null. A commit is on disk before it is answered. */
export async function openPglite(folder: string | null, loadDataDir?: Blob): Promise<Database> {
  const pglite = await PGlite.create({
    ...(folder === null ? {} : { dataDir: folder }),
    ...(loadDataDir ? { loadDataDir } : {}),
    relaxedDurability: false,
  });
  return {
    ...queryable(pglite),
    transaction: (work) => pglite.transaction((inside) => work(queryable(inside))),
    close: () => pglite.close(),
  };
}

function queryable(on: PGlite | Transaction): Queryable & Pick<Database, 'run'> {
  return {
    query: async <Row>(sql: string, parameters: readonly unknown[] = []) => (await on.query<Row>(sql, [...parameters])).rows,
    run: async (sql) => {
      await on.exec(sql);
    },
  };
}
