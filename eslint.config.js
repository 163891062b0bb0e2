import eslint from '@eslint/js';
import vue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';

const TOLERANCE = 'How near is near has one home: core/tolerances.ts.';

export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', '.data/', 'test-results/'] },
  eslint.configs.recommended,
  ...tseslint.configs.strict,
  ...tseslint.configs.stylistic,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.ts', '**/*.vue'],
    languageOptions: { parserOptions: { parser: tseslint.parser, extraFileExtensions: ['.vue'] } },
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/consistent-type-definitions': ['error', 'interface'],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }],
      'vue/block-lang': ['error', { script: { lang: 'ts' } }],
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/require-default-prop': 'off',
      'vue/html-indent': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/multi-word-component-names': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
    },
  },
  {
    // What is kept from one plan to the next is in the Memory that is handed in; what hangs on data is worked out oncePer it.
    files: ['core/**/*.ts'],
    ignores: ['core/oncePer.ts', 'core/tolerances.ts', 'core/{samples,balance,stories}/**', '**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            ':matches(Program, Program > ExportNamedDeclaration) > VariableDeclaration > VariableDeclarator > NewExpression[callee.name=/^(Weak)?Map$/][arguments.length=0]',
          message: 'The core keeps nothing of its own: hand in a Memory, or work it out oncePer what it hangs on.',
        },
        { selector: 'Literal[raw=/^[0-9.]+e-/]', message: TOLERANCE },
        { selector: 'VariableDeclarator[id.name=/_MM$/] > Literal[value>0][value<0.6]', message: TOLERANCE },
        { selector: 'VariableDeclarator[id.name=/^(HAIR|SAW|SEEN|ON_LINE|SAME)_MM$/] > Literal', message: TOLERANCE },
      ],
    },
  },
  {
    files: ['scripts/**', '**/*.mjs', '*.js', '*.cjs'],
    languageOptions: { globals: { module: 'writable', process: 'readonly', URL: 'readonly', console: 'readonly', setTimeout: 'readonly' } },
  },
);
