import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['node_modules', '.next', 'build', 'data', 'next-env.d.ts', 'test-data', 'test-results'] },
  ...tseslint.configs.recommendedTypeChecked,
  { languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } } },
  reactHooks.configs.flat.recommended,
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      // Event handlers that start a promise are how React forms work.
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'TSAsExpression > TSAsExpression > :matches(TSUnknownKeyword, TSNeverKeyword)',
          message: 'A type that has to be forced is the wrong type.',
        },
        {
          selector: 'TSAsExpression > TSNeverKeyword',
          message: 'A type that has to be forced is the wrong type.',
        },
      ],
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    // The core is told the time and the seed; it never asks.
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The core is told what time it is.' },
        { object: 'Math', property: 'random', message: 'The core draws from a seed.' },
      ],
    },
  },
  {
    // A function is read as one thought; the markup of a view takes more lines for the same.
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.*', '**/*.spec.*'],
    rules: {
      'max-params': ['error', { max: 4 }],
      'max-lines-per-function': ['error', { max: 70, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['src/ui/**/*.tsx'],
    ignores: ['**/*.test.*'],
    rules: { 'max-lines-per-function': ['error', { max: 100, skipBlankLines: true, skipComments: true }] },
  },
  {
    // Statements lie with what keeps the rows: the store, accounts, and what fills an empty database.
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/server/{store,auth,db,demo,setup}/**', '**/*.test.*'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '/db/rows$',
              importNames: ['rowsOf', 'write'],
              message: 'SQL is written in src/server/store.',
            },
          ],
        },
      ],
    },
  },
  {
    // The search's innermost loops make no objects; rows of tables name their columns above them.
    files: ['src/core/solver/**', 'src/core/formula/ingredients.ts', 'src/server/setup/*.ts'],
    rules: { 'max-params': ['error', { max: 7 }] },
  },
  { files: ['**/*.mjs', 'public/*.js'], ...tseslint.configs.disableTypeChecked },
  {
    files: ['bench/**', 'scripts/**', 'src/workers/**', 'src/app/api/**', 'src/devices/**'],
    rules: { 'no-console': 'off' },
  },
);
