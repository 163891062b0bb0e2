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
  testMatch: ['<rootDir>/**/*.test.ts'],
});

export default { projects: ['core', 'cli', 'server', 'web'].map(project) };
