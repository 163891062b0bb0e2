// Lets Node load the sources as they are: TypeScript is compiled on the way, the core is read from its sources, and what tests ask
// of Jest is what their runner put among the globals.
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { transform } from '@swc/core';
import { asMutated } from './mutant.mjs';

const FROM_RUNNER = 'export const { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } = globalThis;';
const SWC = {
  configFile: false,
  swcrc: false,
  jsc: { target: 'es2022', parser: { syntax: 'typescript' } },
  module: { type: 'es6' },
  sourceMaps: 'inline',
};

/** @public Node asks for it by name. */
export function resolve(specifier, context, next) {
  if (specifier === '@jest/globals') return { url: `data:text/javascript,${encodeURIComponent(FROM_RUNNER)}`, shortCircuit: true };
  return next(specifier, { ...context, conditions: [...context.conditions, 'azulejo-source'] });
}

/** @public Node asks for it by name. */
export async function load(url, context, next) {
  const { protocol, pathname } = new URL(url);
  if (protocol !== 'file:' || !pathname.endsWith('.ts')) return next(url, context);
  const filename = fileURLToPath(`file://${pathname}`);
  const { code } = await transform(asMutated(readFileSync(filename, 'utf8'), filename), { ...SWC, filename });
  return { format: 'module', source: code, shortCircuit: true };
}
