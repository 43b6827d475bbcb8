import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

const SIZE = {
  'max-lines': ['error', { max: 600 }],
  'max-lines-per-function': ['error', { max: 80, skipBlankLines: true, skipComments: true }],
}

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/node_modules/**',
      // AssemblyScript: its own compiler reads it.
      'core/kernel/**',
      '.yew-basin/**',
      'test-results/**',
      'tools/*-tmp.*',
    ],
  },
  ...tseslint.configs.recommendedTypeChecked,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    languageOptions: {
      parserOptions: {
        project: ['./tsconfig.json', './web/tsconfig.json'],
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      ...SIZE,
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unsafe-declaration-merging': 'off',
      '@typescript-eslint/require-await': 'off',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      'vue/multi-word-component-names': 'off',
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser } },
  },
  {
    // What comes out of a .vue file is typed by vue-tsc, which the linter does not ask.
    files: ['web/src/**', 'web/test/**'],
    rules: {
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['**/*.mjs', '*.cjs', '.*.cjs'],
    ...tseslint.configs.disableTypeChecked,
  },
  {
    files: ['**/test/**', 'e2e/**'],
    rules: {
      'max-lines-per-function': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
    },
  },
)
