import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  js.configs.recommended,
  ...tseslint.configs.strictTypeChecked,
  {
    files: ['resources/js/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    languageOptions: { parserOptions: { projectService: true } },
    rules: {
      'react-hooks/rules-of-hooks': 'error',
      'react-hooks/exhaustive-deps': 'error',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
      'max-lines-per-function': ['error', 40],
      // Whole-package imports would pull all of MUI into the bundle.
      'no-restricted-imports': ['error', { paths: ['@mui/material', '@mui/icons-material'] }],
    },
  },
  {
    // A component is markup for the most part.
    files: ['resources/js/**/*.tsx'],
    rules: { 'max-lines-per-function': ['error', 150] },
  },
  {
    files: ['resources/js/**/*.test.{ts,tsx}'],
    rules: { 'max-lines-per-function': 'off' },
  },
  { ignores: ['resources/js/api/schema.ts'] },
);
