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
  { files: ['**/*.mjs', 'public/*.js'], ...tseslint.configs.disableTypeChecked },
  {
    files: ['bench/**', 'scripts/**', 'src/workers/**', 'src/app/api/**', 'src/devices/**'],
    rules: { 'no-console': 'off' },
  },
);
