import { messages, parse, protocol, types, type PGlite } from '@electric-sql/pglite';

const { serialize } = protocol;

/** What a query may be given; everything else goes in as JSON text. */
type Parameter = string | number | boolean | null;

/**
 * Queries of PGlite, each prepared once and then run in one exchange; PGlite's own way takes five a query.
 * What runs one after the other is the caller's to see to.
 */
export class Statements {
  private readonly pglite: PGlite;
  /** Names of queries that PostgreSQL has prepared: it keeps them whether or not their first run succeeds. */
  private readonly names = new Map<string, string>();
  private named = 0;

  constructor(pglite: PGlite) {
    this.pglite = pglite;
  }

  /** Runs a query and returns its rows. Throws PostgreSQL's error, with its code. */
  async query<Row>(sql: string, parameters: readonly unknown[]): Promise<readonly Row[]> {
    const known = this.names.get(sql);
    // A name is never given twice: one whose fate is unknown stays free.
    const name = known ?? `statement_${this.named++}`;
    const values = parameters.map((value) => (value === null ? null : String(value as Parameter)));
    const message = joined([
      ...(known ? [] : [serialize.parse({ name, text: sql })]),
      serialize.bind({ statement: name, values }),
      serialize.describe({ type: 'P' }),
      serialize.execute({}),
      serialize.sync(),
    ]);
    const answer = await this.pglite.execProtocol(message, { syncToFs: false, throwOnError: false });
    if (answer.messages.some((one) => one.name === 'parseComplete')) this.names.set(sql, name);
    const refused = answer.messages.find((one) => one instanceof messages.DatabaseError);
    if (refused) throw refused as Error;
    return parse.parseResults(answer.messages, types.parsers, {})[0].rows as Row[];
  }
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
