// Core's own tests, as the mutants are tried with them.
import config from './jest.config.mjs';

const [unit] = config.projects;
export default {
  ...unit,
  displayName: 'core',
  testMatch: ['<rootDir>/packages/core/test/**/*.test.ts'],
  testTimeout: 60_000,
};
