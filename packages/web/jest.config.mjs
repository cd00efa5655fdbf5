import presets from 'jest-preset-angular/presets/index.js';

const { createEsmPreset } = presets;

export default {
  ...createEsmPreset({ tsconfig: '<rootDir>/tsconfig.spec.json', diagnostics: false }),
  testEnvironment: 'jest-preset-angular/environments/jest-jsdom-env',
  setupFilesAfterEnv: ['<rootDir>/src/test-setup.ts'],
  // The first test of a file makes all parts it shows: on a busy machine that takes its time.
  testTimeout: 30_000,
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  moduleNameMapper: {
    '^@lucide/angular$': '<rootDir>/src/app/testing/icons.stand-in.ts',
    '^@lorvet/core$': '<rootDir>/../core/src/index.ts',
    '^@lorvet/core/demo$': '<rootDir>/../core/src/demo/index.ts',
    '^@lorvet/core/desk$': '<rootDir>/../core/src/desk.ts',
    '^@lorvet/core/evidence$': '<rootDir>/../core/src/evidence.ts',
    '^@lorvet/core/helps$': '<rootDir>/../core/src/helps.ts',
    '^@lorvet/core/intake$': '<rootDir>/../core/src/intake/index.ts',
    '^@lorvet/core/lists$': '<rootDir>/../core/src/lists.ts',
    '^@lorvet/core/marking$': '<rootDir>/../core/src/marking.ts',
    '^@lorvet/core/report$': '<rootDir>/../core/src/report.ts',
    '^@lorvet/core/results$': '<rootDir>/../core/src/results.ts',
    '^@lorvet/core/measures$': '<rootDir>/../core/src/measures.ts',
    '^@lorvet/core/rich$': '<rootDir>/../core/src/activity/rich.ts',
    'platform/workers/make-worker$': '<rootDir>/src/app/platform/workers/make-worker.stand-in.ts',
  },
};
