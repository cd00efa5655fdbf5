export default {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts'],
  transform: { '^.+\\.ts$': ['ts-jest', { useESM: true, tsconfig: '<rootDir>/tsconfig.json', diagnostics: false }] },
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': '$1' },
  setupFilesAfterEnv: ['<rootDir>/laws.setup.mjs'],
  testMatch: ['<rootDir>/src/**/*.spec.ts', '<rootDir>/bench/*.spec.ts'],
};
