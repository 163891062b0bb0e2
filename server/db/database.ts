/** What the repositories need of a database; PGlite and a PostgreSQL pool can both give it. */
export interface Queryable {
  query<Row>(sql: string, parameters?: readonly unknown[]): Promise<readonly Row[]>;
}

/** A database that repositories and migrations run on. */
export interface Database extends Queryable {
  /** Runs several statements without parameters. */
  run(sql: string): Promise<void>;
  /** All or nothing: an error inside rolls back. */
  transaction<T>(work: (inside: Queryable & Pick<Database, 'run'>) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}
