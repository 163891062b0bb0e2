import { fileURLToPath } from 'node:url';

const file = (name) => fileURLToPath(new URL(name, import.meta.url));

const SWC = { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } };

/** What only computes: its tests share what they load. */
const FIGURES = {
  displayName: 'figures',
  rootDir: '.',
  runner: 'jest-light-runner',
  setupFiles: [file('testing/loadedOnce.mjs')],
  testMatch: ['<rootDir>/core/**/*.test.ts', '<rootDir>/web/{board,steps}/**/*.test.ts'],
  modulePathIgnorePatterns: ['/dist/'],
};

/** What lives beside others (servers, windows, phones): each file of tests has a world to itself. */
const project = (name) => ({
  displayName: name,
  rootDir: `./${name}`,
  testEnvironment: 'node',
  testEnvironmentOptions: { customExportConditions: ['azulejo-source', 'node', 'node-addons'] },
  extensionsToTreatAsEsm: ['.ts'],
  modulePathIgnorePatterns: ['<rootDir>/dist/'],
  // The clipping library is compiled too, for the sake of its speed.
  transform: { '\\.ts$|/clipper2-ts/': [file('testing/transform.mjs'), SWC] },
  transformIgnorePatterns: ['/node_modules/(?!clipper2-ts/)'],
  setupFiles: [file('testing/setup.mjs')],
  testMatch: ['<rootDir>/**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', '/web/(board|steps)/'],
});

// Every core works: the process that hands tests out has little to do itself. No test is timed: only one that hangs is ended.
export default {
  maxWorkers: '100%',
  testTimeout: 180_000,
  globalSetup: file('testing/plansFolder.mjs'),
  projects: [FIGURES, ...['cli', 'server', 'web'].map(project)],
};
