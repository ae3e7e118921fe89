import stylistic from '@stylistic/eslint-plugin'
import vue from 'eslint-plugin-vue'
import typescript from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

const worldIsPassedIn = [
  { object: 'Date', property: 'now', message: 'The hour is passed in.' },
  { object: 'Math', property: 'random', message: 'Chance is passed in as a seed.' },
]

export default typescript.config(
  { ignores: ['.nuxt/', '.output/', 'node_modules/', 'test-results/', 'playwright-report/', 'public/'] },
  ...typescript.configs.recommended,
  ...typescript.configs.stylistic,
  ...vue.configs['flat/recommended'],
  stylistic.configs.customize({ indent: 2, quotes: 'single', semi: false, arrowParens: true, braceStyle: '1tbs', commaDangle: 'always-multiline', quoteProps: 'consistent-as-needed' }),
  {
    languageOptions: { parser: vueParser, parserOptions: { parser: typescript.parser, sourceType: 'module' } },
    rules: {
      '@typescript-eslint/consistent-type-definitions': ['error', 'type'],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      '@stylistic/member-delimiter-style': ['error', { multiline: { delimiter: 'none' }, singleline: { delimiter: 'comma', requireLast: false } }],
      '@stylistic/max-statements-per-line': 'off',
      '@stylistic/multiline-ternary': 'off',
      '@stylistic/jsx-one-expression-per-line': 'off',
      '@stylistic/operator-linebreak': ['error', 'before', { overrides: { '=': 'after' } }],
      'vue/multiline-html-element-content-newline': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': ['error', { html: { void: 'any' } }],
      'vue/require-default-prop': 'off',
      'max-lines': ['error', { max: 350, skipBlankLines: true }],
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      'eqeqeq': 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-properties': ['error', ...worldIsPassedIn],
      'no-restricted-syntax': ['error', { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'The hour is passed in.' }],
      'no-restricted-imports': ['error', { patterns: [{ group: ['vue', 'vue/*', 'nuxt', '#app', '#imports', 'pinia', '~/*', 'dexie', 'node:*'], message: 'core knows no interface and no machine.' }] }],
    },
  },
  { files: ['core/**/*.test.ts'], rules: { 'no-restricted-imports': 'off' } },
  { files: ['scripts/**', 'bench/**', '*.config.*'], rules: { 'no-console': 'off' } },
)
