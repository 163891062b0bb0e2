import { fileURLToPath } from 'node:url';

const project = (name) => ({
  displayName: name,
  rootDir: `./${name}`,
  testEnvironment: 'node',
  testEnvironmentOptions: { customExportConditions: ['azulejo-source', 'node', 'node-addons'] },
  extensionsToTreatAsEsm: ['.ts'],
  modulePathIgnorePatterns: ['<rootDir>/dist/'],
  transform: {
    '\\.ts$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'es6' } }],
  },
  setupFiles: [fileURLToPath(new URL('./jest.setup.mjs', import.meta.url))],
  testMatch: ['<rootDir>/**/*.test.ts'],
});

export default { projects: ['core', 'cli', 'server', 'web'].map(project) };
