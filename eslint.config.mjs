import prettier from 'eslint-config-prettier'
import withNuxt from './.nuxt/eslint.config.mjs'

/**
 * Layout is the formatter's (`npm run format`); the linter holds what it cannot break: lines of at most 120 columns.
 */
export default withNuxt(
  { ignores: ['core/data/lightTable.ts', '.output/**', '.nuxt/**', 'test-results/**'] },
  {
    rules: {
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      '@typescript-eslint/unified-signatures': 'off',
    },
  },
  prettier,
  { rules: { 'max-len': ['error', { code: 120, tabWidth: 2 }] } },
)
