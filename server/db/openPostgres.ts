import { types } from '@electric-sql/pglite';
import pg from 'pg';
import type { Database } from './database.ts';

/** So many questions are asked at once; others wait. */
const CONNECTIONS = 10;

/** A connection that takes longer is given up, ms. */
const CONNECT_LIMIT_MS = 10_000;

/** What is read comes as PGlite gives it. */
const TYPES = {
  getTypeParser: (type: number) => (value: string) => (types.parsers[type] ? (types.parsers[type](value, type) as unknown) : value),
};

/** What a query may be given; everything else goes in as JSON text. */
type Parameter = string | number | boolean | null;

/**
 * Opens a PostgreSQL server by its address, such as postgres://user@host/name; any number of processes may. An answer
 * means that it is committed, and on the disk as that server is set. Throws when it can't be reached.
 */
export async function openPostgres(address: string): Promise<Database> {
  const config = {
    connectionString: address,
    connectionTimeoutMillis: CONNECT_LIMIT_MS,
    keepAlive: true,
    types: TYPES as pg.CustomTypesConfig,
  };
  const pool = new pg.Pool({ ...config, max: CONNECTIONS });
  // A connection that is lost while nobody uses it is opened again when somebody does.
  pool.on('error', () => undefined);
  const names = new Map<string, string>();
  const ask = async <Row>(on: pg.Pool | pg.PoolClient, sql: string, parameters: readonly unknown[]): Promise<readonly Row[]> => {
    const name = names.get(sql) ?? `statement_${names.size}`;
    names.set(sql, name);
    const values = parameters.map((value) => (value === null ? null : String(value as Parameter)));
    return (await on.query<Row & pg.QueryResultRow>({ name, text: sql, values })).rows;
  };
  const leader = new Leader(config);
  await pool.query('SELECT 1');
  return {
    query: (sql, parameters = []) => ask(pool, sql, parameters),
    run: async (sql) => void (await pool.query(sql)),
    transaction: (work) =>
      inTransaction(pool, (on) =>
        work({ query: (sql, parameters = []) => ask(on, sql, parameters), run: async (sql) => void (await on.query(sql)) }),
      ),
    leads: (task) => leader.leads(task),
    close: async () => {
      await leader.end();
      await pool.end();
    },
  };
}

async function inTransaction<T>(pool: pg.Pool, work: (on: pg.PoolClient) => Promise<T>): Promise<T> {
  const on = await pool.connect();
  let broken: Error | undefined;
  try {
    await on.query('BEGIN');
    const result = await work(on);
    await on.query('COMMIT');
    return result;
  } catch (error) {
    // Where the connection is gone, the server rolls back by itself.
    await on.query('ROLLBACK').catch((lost: Error) => (broken = lost));
    throw error;
  } finally {
    on.release(broken);
  }
}

/** Holds the tasks that fall to this process, on a connection of its own: they are free again when that is lost. */
class Leader {
  private readonly config: pg.ClientConfig;
  private connection: Promise<pg.Client> | null = null;
  private held = new Set<string>();

  constructor(config: pg.ClientConfig) {
    this.config = config;
  }

  async leads(task: string): Promise<boolean> {
    const on = await (this.connection ??= this.connect());
    if (this.held.has(task)) return true;
    const { rows } = await on.query<{ got: boolean }>('SELECT pg_try_advisory_lock(hashtext($1::text)) AS got', [`azulejo ${task}`]);
    if (rows[0].got) this.held.add(task);
    return rows[0].got;
  }

  async end(): Promise<void> {
    const open = await this.connection?.catch(() => null);
    await open?.end();
  }

  private async connect(): Promise<pg.Client> {
    const client = new pg.Client(this.config);
    const lost = (): void => {
      this.connection = null;
      this.held = new Set();
    };
    client.on('error', lost);
    client.on('end', lost);
    try {
      await client.connect();
    } catch (error) {
      lost();
      throw error;
    }
    return client;
  }
}
