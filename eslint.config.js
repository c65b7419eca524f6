import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const lengths = [
  {
    selector: "Property[key.name='fontSize'] > Literal[value!='inherit']",
    message: 'Take a size of the scale: typography: dense.',
  },
  { selector: 'Literal[value=/^#[0-9a-f]{3,8}$|\\brgba?\\(|\\bhsla?\\(/i]', message: 'Take an ink of the theme.' },
  {
    selector: "Property[key.name!='track'][key.name!='tracks'] > Literal[value=/[0-9]px/]",
    message: 'Take a length of theme/measures.',
  },
  { selector: 'Property > TemplateLiteral > TemplateElement[value.raw=/[0-9]px/]', message: 'Take a length of theme/measures.' },
];

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
    // Sizes of type, colours and lengths stand in the theme; widths of a list's columns beside the columns.
    files: ['resources/js/{app,features,shared}/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-syntax': ['error', ...lengths],
    },
  },
  {
    // A frame, which has a bottom, is the room that a drawing has of its own; up to 1 is a share of what is there.
    files: ['resources/js/{app,features}/**/*.{ts,tsx}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...lengths,
        {
          selector:
            "ObjectExpression:not(:has(> Property[key.name='bottom'])) > Property[key.name=/^(min|max)?(width|height)$|^flexBasis$/i] > Literal[value>1]",
          message: 'Take a width or height of theme/measures.',
        },
        {
          selector: 'JSXOpeningElement[name.name=/^[A-Z]/] > JSXAttribute[name.name=/^(width|height)$/] Literal[value>1]',
          message: 'Take a width or height of theme/measures.',
        },
      ],
    },
  },
  {
    files: ['resources/js/**/*.test.{ts,tsx}'],
    rules: { 'max-lines-per-function': 'off', 'no-restricted-syntax': 'off' },
  },
  { ignores: ['resources/js/api/schema.ts'] },
);
