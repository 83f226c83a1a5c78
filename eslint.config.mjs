import js from '@eslint/js';
import globals from 'globals';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

export default ts.config(
  { ignores: ['**/dist/', '**/dist-home/', '**/.build/', '**/node_modules/', 'data/', 'test-results/'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-expressions': 'off',
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error', 'warn'] }],
    },
  },
  {
    // Nest reads the types of constructor parameters at run time, so they must stay plain imports.
    files: ['apps/server/src/**/*.ts'],
    rules: { '@typescript-eslint/consistent-type-imports': 'off' },
  },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    languageOptions: { globals: globals.browser },
    plugins: { 'react-hooks': hooks },
    rules: Object.fromEntries(Object.keys(hooks.rules).map((rule) => [`react-hooks/${rule}`, 'error'])),
  },
  {
    // Answers of the API are looked at as they come.
    files: ['apps/server/test/**/*.ts'],
    rules: { '@typescript-eslint/no-explicit-any': 'off' },
  },
  {
    files: ['scripts/**/*.mjs', 'apps/server/test/**/*.mjs', '*.mjs', '*.cjs', 'e2e/**/*.ts'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: { 'no-console': 'off' },
  },
);
