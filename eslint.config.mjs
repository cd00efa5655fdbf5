import angularTemplate from '@angular-eslint/eslint-plugin-template';
import templateParser from '@angular-eslint/template-parser';
import regexp from 'eslint-plugin-regexp';
import tseslint from 'typescript-eslint';

/** What the core may not know: interface code, Node, storage. */
const NOT_IN_CORE = [
  '@angular/*',
  '@ngrx/*',
  'primeng*',
  'rxjs*',
  'localforage',
  'node:*',
  'fs',
  'path',
  'express',
  '@lorvet/web',
  '@lorvet/hub',
];
/** The places people go. They meet in store/, platform/ and ui/ only. */
const PLACES = ['shelf', 'bench', 'bring', 'bank', 'learners', 'handouts', 'desk', 'marking', 'keeping', 'welcome'];

/** Its parts are named there one by one: whoever takes it whole carries all of it (docs/decisions/0006). */
const ZOD = { name: 'zod', message: 'Take z from @lorvet/core/desk.', allowTypeImports: true };
const WHOLE_CORE = {
  name: '@lorvet/core',
  message: 'The desk would fetch all of it: take what is needed from @lorvet/core/desk.',
  allowTypeImports: true,
};

const apart = (places) => ({
  group: places.flatMap((p) => [`../${p}/*`, `../../${p}/*`]),
  message: 'Places meet in store/, platform/ and ui/.',
});

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '**/.angular/**', '**/*.mjs', 'e2e/test-results/**'] },
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strict],
    plugins: { regexp },
    rules: {
      // What comes from files and learners meets these patterns: none may take more than its length.
      'regexp/no-super-linear-backtracking': 'error',
      'regexp/no-super-linear-move': ['error', { ignoreSticky: false }],
      '@typescript-eslint/no-extraneous-class': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { ignoreRestSiblings: true, varsIgnorePattern: '^_', argsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-dynamic-delete': 'off',
      'no-console': 'error',
      eqeqeq: 'error',
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: NOT_IN_CORE, message: 'The core knows no interface, no Node and no storage.' }] },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'localStorage',
        'sessionStorage',
        'navigator',
        'process',
        'fetch',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "CallExpression[callee.object.name='Math'][callee.property.name='random']",
          message: 'Chance is passed to the core.',
        },
        {
          selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
          message: 'Time is passed to the core.',
        },
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time is passed to the core.' },
      ],
    },
  },
  ...PLACES.map((place) => ({
    files: [`packages/web/src/app/${place}/**/*.ts`],
    rules: { 'no-restricted-imports': ['error', { patterns: [apart(PLACES.filter((p) => p !== place))] }] },
  })),
  {
    files: ['packages/web/src/app/{store,platform,ui}/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: [apart(PLACES)] }] },
  },
  {
    files: ['packages/web/src/**/*.ts'],
    rules: { '@typescript-eslint/no-restricted-imports': ['error', { paths: [ZOD] }] },
  },
  {
    // What a desk that is opened by itself is made of.
    files: [
      'packages/web/src/app/*.ts',
      'packages/web/src/app/desk/**/*.ts',
      'packages/web/src/app/platform/*.ts',
      'packages/web/src/app/platform/storage/**/*.ts',
      'packages/web/src/app/store/{actions,changes,desk-edits,edit,keeping-sync,parts,reducer,selectors,teaching,wants,workspace}.ts',
      'packages/web/src/app/ui/blocks/**/desk.ts',
    ],
    ignores: [
      '**/*.spec.ts',
      'packages/web/src/app/frame.ts',
      'packages/web/src/app/desk/look/*.ts',
      'packages/web/src/app/platform/{bank-search,intake,words}.ts',
      'packages/web/src/app/platform/storage/{all-rules,bulk,chronicle-store,evidence-source,filling}.ts',
    ],
    rules: { '@typescript-eslint/no-restricted-imports': ['error', { paths: [ZOD, WHOLE_CORE] }] },
  },
  {
    files: [
      'packages/hub/src/main.ts',
      'packages/hub/src/roster.ts',
      'packages/web/src/main.ts',
      'packages/core/bench/**',
    ],
    rules: { 'no-console': 'off' },
  },
  {
    files: ['packages/web/src/**/*.html'],
    languageOptions: { parser: templateParser },
    plugins: { '@angular-eslint/template': angularTemplate },
    rules: {
      '@angular-eslint/template/alt-text': 'error',
      '@angular-eslint/template/button-has-type': 'error',
      '@angular-eslint/template/label-has-associated-control': 'off',
      '@angular-eslint/template/no-negated-async': 'error',
      '@angular-eslint/template/eqeqeq': 'error',
    },
  },
);
