import { expect, test } from '@jest/globals';
import { gzipSync } from 'node:zlib';
import { unpack } from './unpack.ts';

test('what a server packed is read again, in any letters; what it did not pack is refused', async () => {
  const text = `Fuge 3 mm – 🧱 ${'x'.repeat(100_000)}`;
  expect(await unpack(gzipSync(text).toString('base64'))).toBe(text);
  await expect(unpack('no base64 !')).rejects.toThrow();
  await expect(unpack(Buffer.from('plain').toString('base64'))).rejects.toThrow();
});
