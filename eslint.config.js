import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

// Templates and scripts of the pages' components. What is in .ts files oxlint reads (.oxlintrc.json).
export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '**/*.{ts,js,mjs,cjs}'] },
  ...tseslint.configs.recommendedTypeChecked,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    files: ['**/*.vue'],
    languageOptions: {
      parser: vueParser,
      parserOptions: {
        parser: tseslint.parser,
        project: ['./web/tsconfig.json'],
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      'max-lines': ['error', { max: 400 }],
      'max-params': ['error', { max: 4 }],
      'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/require-await': 'off',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      'vue/multi-word-component-names': 'off',
      // What comes out of a .vue file is typed by vue-tsc, which the linter does not ask.
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
)
