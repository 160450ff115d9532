import js from '@eslint/js'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'
import prettier from 'eslint-config-prettier'

// Rules of Vue are for what is drawn: looking for its parts in all other files takes long, and finds nothing.
const drawn = ['**/*.vue', 'packages/web/**/*.ts']
const ofVue = vue.configs['flat/recommended'].map((each) =>
  each.rules && !each.files ? { ...each, files: drawn } : each,
)

export default ts.config(
  { ignores: ['**/node_modules/**', '**/dist/**', 'data/**', '**/*.d.ts', 'test-results/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...ofVue,
  {
    files: ['**/*.{ts,tsx,vue}'],
    languageOptions: {
      parserOptions: {
        parser: ts.parser,
        projectService: {
          allowDefaultProject: [
            'vitest.config.ts',
            'packages/core/vitest.config.ts',
            'packages/contract/vitest.config.ts',
            'packages/server/vitest.config.ts',
            'packages/standins/vitest.config.ts',
            'packages/demo/vitest.config.ts',
            'playwright.config.ts',
          ],
        },
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-undef': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      complexity: ['error', 24],
    },
  },
  {
    // A name that means something else inside is read wrongly, by people and by those who rename.
    files: ['packages/*/src/**/*.{ts,vue}'],
    rules: { '@typescript-eslint/no-shadow': 'error' },
  },
  {
    // SQL has its place: what use cases ask of the database has a name there.
    files: ['packages/server/src/**/*.ts'],
    ignores: ['packages/server/src/store/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CallExpression[callee.property.name=/^(?:rows|one|query)$/][arguments.0.type=/Literal$/]',
          message: 'SQL stands in store/queries.',
        },
      ],
    },
  },
  {
    files: ['**/*.{mjs,cjs,js}'],
    languageOptions: {
      globals: {
        process: 'readonly',
        document: 'readonly',
        console: 'readonly',
        module: 'writable',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        fetch: 'readonly',
        URL: 'readonly',
        AbortSignal: 'readonly',
        window: 'readonly',
        performance: 'readonly',
        PerformanceObserver: 'readonly',
        requestAnimationFrame: 'readonly',
        addEventListener: 'readonly',
        Buffer: 'readonly',
      },
    },
  },
  prettier,
)
