import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Database } from './database.ts';
import { openPglite } from './openPglite.ts';

let database: Database;

beforeAll(async () => {
  database = await openPglite(null);
  await database.run(
    'CREATE TABLE parent (id integer PRIMARY KEY); CREATE TABLE child (id integer PRIMARY KEY, parent integer REFERENCES parent)',
  );
}, 60_000);
afterAll(() => database.close());
beforeEach(() => database.run('DELETE FROM child; DELETE FROM parent'));

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
