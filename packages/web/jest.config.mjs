import { createEsmPreset } from 'jest-preset-angular/presets/index.js';

export default {
  ...createEsmPreset({ tsconfig: '<rootDir>/tsconfig.spec.json', diagnostics: false }),
  setupFilesAfterEnv: ['<rootDir>/src/test-setup.ts'],
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  moduleNameMapper: {
    '^@lorvet/core$': '<rootDir>/../core/src/index.ts',
    '^@lorvet/core/demo$': '<rootDir>/../core/src/demo/index.ts',
    'platform/workers/make-worker$': '<rootDir>/src/app/platform/workers/make-worker.stand-in.ts',
  },
};
