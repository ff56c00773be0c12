import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

/** The front end in its order: each folder uses the earlier ones only. */
const LAYERS = ['lib', 'api', 'composables', 'components', 'pages']
const oneWay = LAYERS.slice(0, -1).map((layer, k) => ({
  files: [`resources/js/${layer}/**/*.{ts,vue}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: LAYERS.slice(k + 1).map((later) => ({
          group: [`@/${later}/*`, `@/${later}`, `**/../${later}/*`],
          message: `${layer}/ uses nothing of ${later}/: the order is ${LAYERS.join(' ← ')}.`,
        })),
      },
    ],
  },
}))

export default ts.config(
  { ignores: ['public/**', 'vendor/**', 'storage/**', 'resources/js/api/generated/**', 'test-results/**', 'playwright-report/**'] },
  js.configs.recommended,
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
  },
  {
    files: ['scripts/**/*.mjs', '*.js', '*.ts', 'bench/**/*.mjs'],
    languageOptions: {
      globals: {
        URL: 'readonly',
        console: 'readonly',
        process: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        setTimeout: 'readonly',
        document: 'readonly',
        window: 'readonly',
      },
    },
  },
  {
    // Prettier has its own say on line breaks in templates; TypeScript knows the globals.
    rules: {
      'no-undef': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/html-indent': 'off',
      'vue/html-self-closing': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/attributes-order': 'off',
      // Optional props of ours are undefined on purpose.
      'vue/require-default-prop': 'off',
    },
  },
  ...oneWay,
)
