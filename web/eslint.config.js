import js from '@eslint/js';
import jsxA11y from 'eslint-plugin-jsx-a11y';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['dist', 'target', 'src/shared/api/schema.d.ts', '*.cjs', 'eslint.config.js', 'budget.js', 'pack.js'] },
  js.configs.recommended,
  ...tseslint.configs.recommendedTypeChecked,
  jsxA11y.flatConfigs.recommended,
  reactHooks.configs.flat.recommended,
  { languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } } },
  {
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [{ name: 'react-router', importNames: ['useSearchParams'], message: 'Use useAddress of shared/ui.' }],
        },
      ],
    },
  },
);
