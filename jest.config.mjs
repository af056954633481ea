export default {
  testMatch: ['<rootDir>/packages/*/src/**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '<rootDir>/scripts/jest-transform.mjs',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          target: 'es2022',
          experimental: { keepImportAttributes: true },
        },
        module: { type: 'es6' },
      },
    ],
  },
  modulePathIgnorePatterns: ['<rootDir>/data', '<rootDir>/dist', '<rootDir>/packages/.*/dist'],
  testTimeout: 180000,
  // What earlier files left is gone through again and again by the garbage collector.
  workerIdleMemoryLimit: '700MB',
};
