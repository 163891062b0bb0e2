import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { NEW_PLACES, type TestPlace } from '../../testing/databases.ts';
import type { Database } from './database.ts';

/** Each way in which the first run of a query can fail; `again` succeeds with the same words. */
const FAILURES: Readonly<Record<string, { sql: string; first: unknown[]; again: unknown[]; before?: string; code: string }>> = {
  'a row that nothing holds': {
    sql: 'INSERT INTO child (id, parent) VALUES (1, $1::integer) RETURNING id',
    first: [7],
    again: [null],
    code: '23503',
  },
  'a key that is taken': {
    sql: 'INSERT INTO parent (id) VALUES ($1::integer) RETURNING id',
    first: [1],
    again: [2],
    before: 'INSERT INTO parent VALUES (1)',
    code: '23505',
  },
  'a value that can not be read': { sql: 'SELECT $1::integer AS id', first: ['north'], again: [1], code: '22P02' },
  'a sum that has none': { sql: 'SELECT 1 / $1::integer AS id', first: [0], again: [1], code: '22012' },
};

describe.each(NEW_PLACES)('what a database promises: %s', (name, newPlace) => {
  let place: TestPlace;
  let database: Database;

  beforeAll(async () => {
    place = await newPlace();
    database = await place.open();
    await database.run(
      `CREATE TABLE parent (id integer PRIMARY KEY, note text NOT NULL DEFAULT '');
       CREATE TABLE child (id integer PRIMARY KEY, parent integer REFERENCES parent)`,
    );
  }, 60_000);
  afterAll(async () => {
    await database.close();
    await place.remove();
  });
  beforeEach(() => database.run('DELETE FROM child; DELETE FROM parent'));

  const notes = (): Promise<readonly { id: number; note: string }[]> => database.query('SELECT id, note FROM parent ORDER BY id');

  test.each(Object.entries(FAILURES))('a query whose first run fails leaves all others and itself as they are: %s', async (_, failing) => {
    if (failing.before) await database.run(failing.before);
    await expect(database.query(failing.sql, failing.first)).rejects.toMatchObject({ code: failing.code });
    for (let k = 0; k < 3; k++)
      expect(await database.query<{ id: number }>(`SELECT ${k} + $1::integer AS id`, [40])).toEqual([{ id: 40 + k }]);
    expect(await database.query(failing.sql, failing.again)).toHaveLength(1);
  });

  test('a query that can not be read at all, or stands in a transaction that has failed, takes no name', async () => {
    await expect(database.query('SELECT nothing FROM nowhere')).rejects.toMatchObject({ code: '42P01' });
    await expect(database.query('SELEKT')).rejects.toMatchObject({ code: '42601' });
    const within = database.transaction(async (on) => {
      await on.query('INSERT INTO child (id, parent) VALUES (3, 9)').catch(() => undefined);
      await on.query('SELECT 5 AS never_before');
    });
    await expect(within).rejects.toMatchObject({ code: '25P02' });
    expect(await database.query('SELECT 5 AS never_before')).toEqual([{ never_before: 5 }]);
  });

  test('every kind of value comes back as it was given', async () => {
    const long = `"ü" \\ 'o' ${'tile \n'.repeat(50_000)}`;
    const doc = { name: long.slice(0, 30), mm: 0.1 + 0.2, none: null, list: [1, 'two', { three: true }] };
    const at = '2027-03-28T01:30:00.123Z';
    const rows = await database.query(
      `SELECT $1::text AS long, $2::jsonb AS doc, $3::timestamptz AS at, $4::integer AS whole, $5::float8 AS part,
              $6::boolean AS said, $7::text AS nothing, $8::uuid AS id, count(*) AS many FROM parent`,
      [long, JSON.stringify(doc), at, 2_147_483_647, 0.1 + 0.2, true, null, '7b0d4f0e-6a0f-4a3c-8f55-0a4f6f1f2b11'],
    );
    const id = '7b0d4f0e-6a0f-4a3c-8f55-0a4f6f1f2b11';
    const expected = { long, doc, at: new Date(at), whole: 2_147_483_647, part: 0.1 + 0.2, said: true, nothing: null, id, many: 0 };
    expect(rows).toEqual([expected]);
  });

  test('a transaction is all or nothing, and what it throws comes out', async () => {
    const reason = new Error('a mind was changed');
    const done = database.transaction(async (on) => {
      await on.query('INSERT INTO parent (id) VALUES ($1::integer)', [1]);
      await on.run("INSERT INTO parent (id) VALUES (2); UPDATE parent SET note = 'seen'");
      expect(await on.query('SELECT note FROM parent')).toHaveLength(2);
      throw reason;
    });
    await expect(done).rejects.toBe(reason);
    expect(await notes()).toEqual([]);
    const made = await database.transaction(async (on) => {
      await on.query('INSERT INTO parent (id) VALUES (3)');
      return 'kept';
    });
    expect(made).toBe('kept');
    expect(await notes()).toEqual([{ id: 3, note: '' }]);
  });

  test('of those who write at once where a row stands, one is first, and the others find out', async () => {
    await database.run('INSERT INTO parent VALUES (1)');
    const raise = (from: string, to: string): Promise<readonly unknown[]> =>
      database.query('UPDATE parent SET note = $2::text WHERE id = 1 AND note = $1::text RETURNING id', [from, to]);
    const found = await Promise.all(['a', 'b', 'c', 'd'].map((to) => raise('', to)));
    expect(found.map((rows) => rows.length).sort()).toEqual([0, 0, 0, 1]);
    const inside = await Promise.all(
      ['e', 'f', 'g'].map((to) =>
        database.transaction(async (on) => {
          const [{ note }] = await on.query<{ note: string }>('SELECT note FROM parent WHERE id = 1 FOR UPDATE');
          await on.query('UPDATE parent SET note = $1::text WHERE id = 1', [note + to]);
        }),
      ),
    );
    expect(inside).toHaveLength(3);
    const [{ note }] = await notes();
    expect([...note.slice(1)].sort()).toEqual(['e', 'f', 'g']);
  });

  test('a transaction that was under way when another failed is not touched by it', async () => {
    const slow = database.transaction(async (on) => {
      await on.query('INSERT INTO parent (id) VALUES (1)');
      await new Promise((resolve) => setTimeout(resolve, 50));
      await on.query('INSERT INTO parent (id) VALUES (2)');
    });
    const failing = database.transaction((on) => on.query('SELECT 1 / 0'));
    await expect(failing).rejects.toMatchObject({ code: '22012' });
    await slow;
    expect(await notes()).toHaveLength(2);
  });

  test('what was answered is there when it is opened again', async () => {
    await database.query("INSERT INTO parent VALUES (1, 'kept')");
    await database.close();
    database = await place.open();
    expect(await notes()).toEqual([{ id: 1, note: 'kept' }]);
  }, 60_000);

  test('a task that is done once for all falls to the one that asked first, and to the next when that is gone', async () => {
    expect([await database.leads('copies'), await database.leads('copies')]).toEqual([true, true]);
    if (name === 'PGlite') return;
    const beside = await place.open();
    expect([await beside.leads('copies'), await beside.leads('another')]).toEqual([false, true]);
    await database.close();
    expect(await beside.leads('copies')).toBe(true);
    await beside.close();
    database = await place.open();
  }, 60_000);
});
