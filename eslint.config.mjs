import prettier from 'eslint-config-prettier'
import importSort from 'eslint-plugin-simple-import-sort'
import withNuxt from './.nuxt/eslint.config.mjs'

const coreOnly = [
  'vue',
  'vue/*',
  'nuxt',
  'nuxt/*',
  'pinia',
  'h3',
  'mysql2',
  'mysql2/*',
  'node:*',
  '#*',
  '~*',
  '@/*',
  '**/app/**',
  '**/server/**',
  '**/shared/**',
]

/** What stands on a screen without being words: keys, units, signs, figures as examples. */
const NOT_WORDS = [
  ...'().,&+-−=*/#%!?:[]{}<>·•–—|°×→←↑↓‹›✓☑☐≠±“”…;'.split(''),
  'Wembric',
  'mm',
  'thou',
  'in',
  'N·m',
  'km',
  'mi',
  'h',
  '°C',
  '°F',

  ...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'.split(''),
  ...'0123456789'.split(''),
]
const SHOWN = [
  'title',
  'label',
  'aria-label',
  'aria-roledescription',
  'alt',
  'header',
  'hint',
  'help',
  'instruction',
  'why',
]

/** Sentences and comments may still be longer; code may not. */
const lineLength = {
  code: 120,
  ignoreUrls: true,
  ignoreStrings: true,
  ignoreTemplateLiterals: true,
  ignoreComments: true,
}

export default withNuxt(
  { ignores: ['.data/**', 'docs/**'] },
  {
    // from far to near, in one block: what comes for its effects, packages, the project's, the neighbors'
    plugins: { 'import-sort': importSort },
    rules: {
      'import-sort/imports': ['error', { groups: [['^\\u0000', '^node:', '^@?\\w', '^#', '^~~', '^\\.\\.', '^\\.']] }],
      'import/first': 'off',
    },
  },
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      // a component that nobody imported renders nothing, and no other check tells
      'vue/no-undef-components': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      'no-console': ['error', { allow: ['warn', 'error'] }],
    },
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ group: coreOnly, message: 'core imports nothing but zod and itself.' }] },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage'],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'core has no clock: the time is passed in.',
        },
        {
          selector: 'CallExpression[callee.object.name="Date"][callee.property.name="now"]',
          message: 'core has no clock: the time is passed in.',
        },
        {
          selector: 'CallExpression[callee.object.name="Math"][callee.property.name="random"]',
          message: 'core has no randomness: it is passed in.',
        },
      ],
    },
  },
  {
    files: ['server/api/**/*.ts', 'server/routes/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: ['mysql2', 'mysql2/*', '**/repositories/**', '**/database/**'], message: 'Routes call services.' },
          ],
        },
      ],
    },
  },
  {
    files: ['app/components/**/*.vue'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/stores/**', '**/server/**', '**/utils/api', '**/utils/upload'],
              message: 'Components take props and emit; composables fetch.',
            },
          ],
        },
      ],
    },
  },
  { files: ['scripts/**'], rules: { 'no-console': 'off' } },
  // the formatter decides how lines look
  prettier,
  { files: ['**/*.{ts,mjs}'], rules: { 'max-len': ['error', lineLength] } },
  {
    files: ['app/**/*.vue'],
    rules: {
      // all words stand in words/: a screen says them by name
      'vue/no-bare-strings-in-template': ['error', { allowlist: NOT_WORDS, attributes: { '/.+/': SHOWN } }],
    },
  },
  { files: ['**/*.vue'], rules: { 'vue/max-len': ['error', { ...lineLength, ignoreHTMLAttributeValues: true }] } },
)
