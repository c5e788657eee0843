import hooks from 'eslint-plugin-react-hooks';
import { defineConfig } from 'eslint/config';
import tseslint from 'typescript-eslint';

export default defineConfig(
  { ignores: ['dist', 'target', 'src/api/schema.d.ts'] },
  ...tseslint.configs.strictTypeChecked,
  {
    languageOptions: {
      parserOptions: { projectService: { allowDefaultProject: ['*.js'] } },
    },
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    },
  },
  { files: ['*.js'], ...tseslint.configs.disableTypeChecked },
  {
    // everything that draws the solid is loaded only when it is shown
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/viewer/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['three', 'three/*'] }] },
  },
);
