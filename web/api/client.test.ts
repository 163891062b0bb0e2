import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { api, type ServerError } from './client.ts';
import { isAway, isSignedOut } from './reach.ts';

const page = '<!doctype html><title>Sign in</title>';
const json = (content: unknown, status = 200): Response => new Response(JSON.stringify(content), { status });
const redirect = (): Response => Object.defineProperty(new Response(null, { status: 200 }), 'type', { value: 'opaqueredirect' });
const change = { id: 'c', label: 'Joint', edits: [] };
const codeOf = (done: Promise<unknown>): Promise<string> =>
  done.then(
    () => 'taken',
    (error: unknown) => (error as ServerError).code,
  );
let answer: () => Response;

beforeEach(() => {
  globalThis.fetch = () => Promise.resolve(answer());
});
afterEach(() => {
  [isAway.value, isSignedOut.value] = [false, false];
});

test.each<[string, () => Response, string]>([
  ['a page in the place of an answer', () => new Response(page, { status: 200 }), 'network/signed-out'],
  ['JSON that is no answer', () => json({ login: 'please' }), 'network/signed-out'],
  ['an empty answer', () => new Response('', { status: 200 }), 'network/signed-out'],
  ['no content where some was asked for', () => new Response(null, { status: 204 }), 'network/signed-out'],
  ['a redirect', redirect, 'network/signed-out'],
  ['401', () => new Response(page, { status: 401 }), 'network/signed-out'],
  ['403 of a proxy', () => new Response(page, { status: 403 }), 'network/signed-out'],
  ['502 of a proxy', () => new Response(page, { status: 502 }), 'network/unreachable'],
  ['404 of a proxy', () => new Response(page, { status: 404 }), 'network/unreachable'],
  ['413 of a proxy', () => new Response(page, { status: 413 }), 'request/too-large'],
  ['403 of the server itself', () => json({ code: 'request/foreign-origin', message: 'x' }, 403), 'request/foreign-origin'],
  ['404 of the server itself', () => json({ code: 'job/not-found', message: 'x' }, 404), 'job/not-found'],
])('only an answer of the shape that was asked for counts as saved: %s', async (_, given, code) => {
  answer = given;
  expect(await codeOf(api.makeChange('job', 1, change))).toBe(code);
  expect(await codeOf(api.addTicks('job', []))).toBe(code);
  expect(await codeOf(api.addEntries('job', []))).toBe(code);
  expect([isSignedOut.value, isAway.value]).toEqual([code === 'network/signed-out', code === 'network/unreachable']);
  answer = () => json({ version: 2, undoLabel: 'Joint', redoLabel: null, others: [] });
  expect(await codeOf(api.makeChange('job', 1, change))).toBe('taken');
  expect([isSignedOut.value, isAway.value]).toEqual([false, false]);
});
