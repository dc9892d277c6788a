import { fileURLToPath } from 'node:url';

// Unit tests run anywhere; server tests need a PostgreSQL whose address scripts/test.mjs passes in.
const shared = {
  extensionsToTreatAsEsm: ['.ts', '.vue'],
  moduleFileExtensions: ['js', 'mjs', 'cjs', 'ts', 'json', 'node', 'vue'],
  transform: {
    '^.+\\.ts$': ['@swc/jest', { jsc: { target: 'es2022', parser: { syntax: 'typescript' } } }],
    '^.+\\.vue$': '<rootDir>/scripts/jest/vue.mjs',
  },
  testEnvironment: fileURLToPath(new URL('scripts/jest/plain.cjs', import.meta.url)),
};
export default {
  projects: [
    {
      ...shared,
      displayName: 'unit',
      setupFiles: ['<rootDir>/scripts/jest/browser.mjs'],
      // Vuetify's parts bring their style sheets along.
      moduleNameMapper: {
        '\\.css$': '<rootDir>/scripts/jest/no-styles.mjs',
        // What a browser gets of it, and not what Node would.
        '^tus-js-client$': '<rootDir>/node_modules/tus-js-client/lib.es5/browser/index.js',
      },
      testMatch: [
        '<rootDir>/packages/{core,contract,cli,web}/test/**/*.test.ts',
        '<rootDir>/scripts/test/**/*.test.ts',
      ],
    },
    { ...shared, displayName: 'server', testMatch: ['<rootDir>/packages/server/test/**/*.test.ts'] },
  ],
};
