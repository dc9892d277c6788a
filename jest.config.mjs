// Unit tests run anywhere; server tests need a PostgreSQL whose address scripts/test.mjs passes in.
const shared = {
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '^.+\\.ts$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } } }] },
  testEnvironment: 'node',
};
export default {
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testMatch: [
        '<rootDir>/packages/{core,contract,cli,web}/test/**/*.test.ts',
        '<rootDir>/scripts/test/**/*.test.ts',
      ],
    },
    { ...shared, displayName: 'server', testMatch: ['<rootDir>/packages/server/test/**/*.test.ts'] },
  ],
};
