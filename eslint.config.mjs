import vue from 'eslint-plugin-vue'
import typescript from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

const worldIsPassedIn = [
  { object: 'Date', property: 'now', message: 'The hour is passed in.' },
  { object: 'Math', property: 'random', message: 'Chance is passed in as a seed.' },
]

/** Rules of layout that Prettier answers in its own way. */
const laidOutByPrettier = [
  'html-indent',
  'html-closing-bracket-newline',
  'html-self-closing',
  'max-attributes-per-line',
  'first-attribute-linebreak',
  'multiline-html-element-content-newline',
  'singleline-html-element-content-newline',
]

export default typescript.config(
  { ignores: ['.nuxt/', '.output/', 'node_modules/', 'test-results/', 'playwright-report/', 'public/'] },
  ...typescript.configs.recommended,
  ...typescript.configs.stylistic,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: { parser: vueParser, parserOptions: { parser: typescript.parser, sourceType: 'module' } },
    rules: {
      '@typescript-eslint/consistent-type-definitions': ['error', 'type'],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-explicit-any': 'error',
      'vue/multi-word-component-names': 'off',
      ...Object.fromEntries(laidOutByPrettier.map((name) => [`vue/${name}`, 'off'])),
      'vue/require-default-prop': 'off',
      // Prettier lays out; what it cannot break is kept short here.
      'vue/max-len': ['error', { code: 140, template: 140 }],
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      'eqeqeq': 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-properties': ['error', ...worldIsPassedIn],
      'no-restricted-syntax': [
        'error',
        { selector: 'NewExpression[callee.name="Date"][arguments.length=0]', message: 'The hour is passed in.' },
      ],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['vue', 'vue/*', 'nuxt', '#app', '#imports', 'pinia', '~/*', 'dexie', 'node:*'],
              message: 'core knows no interface and no machine.',
            },
          ],
        },
      ],
    },
  },
  { files: ['core/**/*.test.ts'], rules: { 'no-restricted-imports': 'off' } },
  { files: ['scripts/**', 'bench/**', '*.config.*'], rules: { 'no-console': 'off' } },
)
