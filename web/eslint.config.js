import { readdirSync } from 'node:fs'

import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import globals from 'globals'
import ts from 'typescript-eslint'

// A folder a view: a feature knows what is shared and itself, what is shared knows no feature.
const FEATURES = readdirSync(new URL('./src/features', import.meta.url))
const restricted = (files, group, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group, message }] }] },
})

export default ts.config(
  { ignores: ['dist', 'dist-bare', 'src/shared/api/schema.generated.ts'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue', '**/*.ts'],
    languageOptions: { globals: globals.browser, parserOptions: { parser: ts.parser } },
    rules: {
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/multi-word-component-names': 'off',
    },
  },
  ...FEATURES.map((own) =>
    restricted(
      [`src/features/${own}/**`],
      ['@/features/*/**', `!@/features/${own}/**`],
      'A feature imports no other: what two share belongs in src/shared.',
    ),
  ),
  restricted(['src/shared/**'], ['@/features/**'], 'What is shared knows no feature.'),
)
