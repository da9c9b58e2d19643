import { createConfigForNuxt } from '@nuxt/eslint-config/flat'
import { CORE_LAYERS, forbiddenFor } from './scripts/lib/layers.mjs'

/**
 * Inside core, each folder may import only from folders below it; core knows nothing of the app, the server or the
 * machine it runs on.
 */
const layerRules = CORE_LAYERS.flat().flatMap((folder) =>
  [1, 2].map((depth) => ({
    files: [depth === 1 ? `core/${folder}/*.ts` : `core/${folder}/*/*.ts`],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: forbiddenFor(folder, depth),
              message: `core/${folder} may import only from the layers below it (docs/decisions/0001-layers.md)`,
            },
          ],
        },
      ],
    },
  })),
)

const LINE = { code: 120, ignoreRegExpLiterals: true, ignorePattern: '^\\s*(it|test|describe)(\\.\\w+)?\\(' }

export default createConfigForNuxt({ features: { stylistic: false } }).append(
  {
    ignores: [
      '.nuxt/**',
      '.output/**',
      '.cache/**',
      'coverage/**',
      'test-results/**',
      'playwright-report/**',
      'server/database/migrations/**',
      'data/**',
      '**/*.local.mjs',
    ],
  },
  {
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      // The clock and chance are passed in.
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'process', 'localStorage'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'randomness is passed in' },
        { object: 'Date', property: 'now', message: 'the clock is passed in' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'the clock is passed in' },
      ],
    },
  },
  ...layerRules,
  // The formatter breaks what it may break; a long string, comment or class it leaves for a person to break by meaning.
  // Titles of tests stay whole, and the formatter keeps a class attribute on one line.
  { files: ['**/*.ts', '**/*.mjs'], rules: { 'max-len': ['error', LINE] } },
  {
    files: ['app/**/*.vue'],
    rules: { 'vue/max-len': ['error', { ...LINE, template: LINE.code, ignorePattern: '^\\s*class="' }] },
  },
  {
    files: ['core/**/*.ts', 'server/**/*.ts', 'demo/**/*.ts', 'tests/**/*.ts', 'bench/**/*.ts'],
    rules: { '@typescript-eslint/no-explicit-any': 'error' },
  },
  {
    files: ['app/**/*.vue'],
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
    },
  },
  {
    files: ['demo/**/*.ts', 'bench/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '(^|/)(app|server)/', message: 'demo and bench stand on core alone' }] },
      ],
    },
  },
  {
    files: ['server/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '(^~/|(^|/)app/)', message: 'the server stands on core, not on the app' }] },
      ],
    },
  },
  {
    files: ['app/**/*.ts', 'app/**/*.vue'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '((^|/)server/|^#server)', message: 'the app speaks to the server by HTTP' }] },
      ],
    },
  },
)
