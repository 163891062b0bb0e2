import { expect, test } from '@jest/globals';
import { ERRORS } from './errors/catalogue.ts';
import { toApiError } from './errors/apiError.ts';
import { readSettings } from './settings.ts';

test('the loopback and a home folder unless told otherwise; flags win over the environment', () => {
  expect(readSettings([], {})).toMatchObject({
    host: '127.0.0.1',
    port: 4680,
    dataFolder: expect.stringMatching(/\.azulejo$/),
    jobFiles: [],
    withSite: false,
  });
  const environment = { AZULEJO_DATA: '/srv/tiles', AZULEJO_PORT: '5000', AZULEJO_HOST: '::1' };
  expect(readSettings([], environment)).toMatchObject({ host: '::1', port: 5000, dataFolder: '/srv/tiles' });
  expect(readSettings(['--port', '0', '--data', '/tmp/d', '--add-job', 'a', '--add-job', 'b'], environment)).toMatchObject({
    port: 0,
    dataFolder: '/tmp/d',
    jobFiles: ['a', 'b'],
  });
});

test.each(['70000', '-1', 'four', '80.5'])('a port of %s is refused', (port) =>
  expect(() => readSettings([`--port=${port}`], {})).toThrow(/port from 0 to 65535/),
);
test('an unknown flag is refused', () => expect(() => readSettings(['--dat', 'x'], {})).toThrow(/--dat/));

test.each([
  [{ code: '53100', message: 'x' }, 'storage/full'],
  [{ code: 'ENOSPC', message: 'x' }, 'storage/full'],
  [{ message: 'could not write block: No space left on device' }, 'storage/full'],
  [{ statusCode: 413, message: 'x' }, 'request/too-large'],
  [{ statusCode: 429, message: 'x' }, 'request/too-many'],
  [{ statusCode: 415, message: 'x' }, 'request/unsupported'],
  [{ statusCode: 400, message: 'x' }, 'request/invalid'],
  [{ code: '23505', message: 'duplicate key' }, 'server/failed'],
] as const)('%j is told as %s', (thrown, code) => {
  const error = toApiError(Object.assign(new Error(thrown.message), thrown));
  expect(error.code).toBe(code);
  expect(ERRORS[error.code].message).toBe(error.message);
});
