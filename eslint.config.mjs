import prettier from 'eslint-config-prettier'
import vue from 'eslint-plugin-vue'
import typescript from 'typescript-eslint'

/** Folders in the order of the arrow: each may import only what stands before it, and itself. */
const APP_LAYERS = ['storage', 'workers', 'instruments', 'stores', 'composables', 'components', 'pages']
const OUTER = ['**/app/**', '~/**', '**/server/**', '**/cli/**', '**/scripts/**', '**/tests/**']

const forbid = (group, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ group, message }] }],
})

/** Layers above one of the application's, as import patterns. */
const above = (layer) =>
  APP_LAYERS.slice(APP_LAYERS.indexOf(layer) + 1).flatMap((upper) => [
    `~/${upper}/**`,
    `../${upper}/**`,
    `../../${upper}/**`,
  ])

export default typescript.config(
  {
    ignores: [
      '.nuxt/**',
      '.output/**',
      'node_modules/**',
      'dist/**',
      'cli/dist/**',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  ...typescript.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-invalid-void-type': 'off',
      'no-console': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-eval': 'error',
      'no-new-func': 'error',
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: typescript.parser } },
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/no-v-html': 'error',
      'no-undef': 'off',
    },
  },
  {
    // The core computes and does nothing else: no interface, no server, no clock, no chance, no output.
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      ...forbid(
        [
          ...OUTER,
          'vue',
          'vue-*',
          'pinia',
          'nuxt',
          'nuxt/**',
          '#*',
          '@nuxt/**',
          '@vueuse/**',
          'dexie',
          'comlink',
          'echarts',
          'h3',
          'node:*',
          'fs',
          'path',
        ],
        'core/ imports no interface, Nuxt, DOM or Node.',
      ),
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'localStorage',
        'process',
        'console',
        'fetch',
        'Date',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance comes in as a seeded generator.' },
      ],
      'no-console': 'error',
    },
  },
  ...APP_LAYERS.slice(0, -1).map((layer) => ({
    files: [`app/${layer}/**/*.{ts,vue}`],
    rules: forbid(above(layer), `app/${layer}/ may not import what stands on it.`),
  })),
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "ObjectExpression > Property[kind='get']",
          message:
            'An object with a getter outlives its use until all of the memory is cleared: make it a function.',
        },
      ],
    },
  },
  {
    // A recipe runs again on what another tab has stored: ids and times made inside it would differ each time.
    files: ['app/**/*.{ts,vue}'],
    rules: {
      'no-restricted-syntax': [
        'error',
        ...["callee.name='newId'", "callee.property.name='now'"].map((made) => ({
          selector: `CallExpression[callee.property.name='change'] ArrowFunctionExpression CallExpression[${made}]`,
          message: 'A recipe may run more than once: make ids and times outside it.',
        })),
        {
          selector:
            "CallExpression[callee.property.name='change'] ArrowFunctionExpression NewExpression[callee.name='Date']",
          message: 'A recipe may run more than once: make ids and times outside it.',
        },
      ],
    },
  },
  {
    files: ['app/charts/**/*.ts'],
    rules: forbid(['~/**', '../stores/**', '../components/**', '../storage/**'], 'Charts see only the core.'),
  },
  {
    files: ['app/**/*.vue', 'app/**/*.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'crypto', property: 'randomUUID', message: 'Missing at an insecure address: use newId().' },
      ],
    },
  },
  {
    files: ['**/*.test.ts', 'tests/**/*.ts'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off', '@typescript-eslint/no-explicit-any': 'off' },
  },
  prettier,
)
