import withNuxt from './.nuxt/eslint.config.mjs'

export default withNuxt(
  { ignores: ['core/data/lightTable.ts', '.output/**', '.nuxt/**', 'test-results/**'] },
  {
    rules: {
      '@stylistic/max-statements-per-line': 'off',
      '@stylistic/member-delimiter-style': 'off',
      '@stylistic/quote-props': ['error', 'consistent-as-needed'],
      '@stylistic/no-mixed-operators': 'off',
      '@stylistic/operator-linebreak': ['error', 'before', { overrides: { '=': 'after' } }],
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/html-self-closing': 'off',
      '@typescript-eslint/unified-signatures': 'off',
    },
  },
)
