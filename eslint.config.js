import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      'data/**',
      'node_modules/**',
      'playwright-report/**',
      'test-results/**',
      '.mutants/**',
    ],
  },
  { languageOptions: { parserOptions: { tsconfigRootDir: import.meta.dirname } } },
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-extraneous-class': [
        'error',
        { allowWithDecorator: true, allowEmpty: true, allowStaticOnly: true },
      ],
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      'no-console': ['error', { allow: ['error', 'log'] }],
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
    },
  },
  // Nest reads constructor and parameter types at run time, so they must be real imports.
  { files: ['apps/server/src/**/*.ts'], rules: { '@typescript-eslint/consistent-type-imports': 'off' } },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      ...reactHooks.configs.recommended.rules,
      // React calls whatever an effect returns when it is over, and a newer browser's call may return a promise.
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CallExpression[callee.name=/^use(Layout)?Effect$/] > ArrowFunctionExpression[body.type=/^(Call|Chain|Await)Expression$/]',
          message: 'An effect returns nothing, or the function that ends it: write its body in braces.',
        },
      ],
    },
  },
);
