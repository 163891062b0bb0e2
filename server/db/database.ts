/** What the repositories need of a database. */
export interface Queryable {
  /** Runs one statement; parameters go in as text, and are cast where they stand. Throws PostgreSQL's error, with its code. */
  query<Row>(sql: string, parameters?: readonly unknown[]): Promise<readonly Row[]>;
}

/**
 * A database that repositories and migrations run on: PGlite in the data folder (`openPglite`), or a PostgreSQL that
 * several processes share (`openPostgres`). Both keep what `database.test.ts` says.
 */
export interface Database extends Queryable {
  /** Runs several statements without parameters. */
  run(sql: string): Promise<void>;
  /** All or nothing: an error inside rolls back. Inside, only what is handed in is asked. */
  transaction<T>(work: (inside: Queryable & Pick<Database, 'run'>) => Promise<T>): Promise<T>;
  /**
   * Whether it falls to this process to do what is done once for all on this database; it stays with it while it runs.
   * Of processes beside each other one is told so.
   */
  leads(task: string): Promise<boolean>;
  close(): Promise<void>;
}
