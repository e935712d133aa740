import js from '@eslint/js'
import reactHooks from 'eslint-plugin-react-hooks'
import globals from 'globals'
import tseslint from 'typescript-eslint'
import { roomRules } from './scripts/lint/rooms.mjs'

export default tseslint.config(
  { ignores: ['node_modules', 'dist', '.build', 'core/generated', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.recommendedTypeChecked, ...tseslint.configs.stylisticTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
      '@typescript-eslint/consistent-type-definitions': 'off',
      // Index access is checked by the compiler; a "!" after it says why the entry must be there.
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/array-type': 'off',
      '@typescript-eslint/no-empty-function': ['error', { allow: ['arrowFunctions'] }],
      // `||` where an empty text should fall through as well is meant.
      '@typescript-eslint/prefer-nullish-coalescing': 'off',
      '@typescript-eslint/consistent-indexed-object-style': 'off',
      '@typescript-eslint/dot-notation': 'off',
      '@typescript-eslint/prefer-optional-chain': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'error',
    },
  },
  {
    files: ['app/**/*.{ts,tsx}', 'main.tsx'],
    plugins: { 'react-hooks': reactHooks },
    // The compiler that this rule looks after is not in use.
    rules: {
      ...reactHooks.configs.recommended.rules,
      'react-hooks/incompatible-library': 'off',
      // What is typed has to fit into an entry: every field of text bounds its letters.
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "JSXOpeningElement[name.name=/^(input|textarea|Input|Short|Why)$/]:not(:has(> JSXAttribute[name.name='maxLength'])):not(:has(> JSXAttribute[name.name='type'][value.value=/^(checkbox|radio|range|file|date|time|hidden)$/]))",
          message: 'A field of text needs maxLength: core/journal/contents/text-limits.ts.',
        },
      ],
    },
    languageOptions: { globals: globals.browser },
  },
  {
    files: ['scripts/**', 'server/**', '*.{js,mjs,ts}', 'e2e/**'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
  {
    files: ['**/*.cjs'],
    languageOptions: { globals: globals.node },
  },
  {
    files: ['**/*.test.{ts,tsx}', '**/testing.ts', 'e2e/**'],
    rules: { '@typescript-eslint/unbound-method': 'off', '@typescript-eslint/no-unsafe-assignment': 'off' },
  },
  ...roomRules,
)
