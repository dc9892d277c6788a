// The arrows between packages, and what core may not do, are enforced here; docs/architecture.md says why.
import eslintPluginVue from 'eslint-plugin-vue';
import tseslint from 'typescript-eslint';
import vueParser from 'vue-eslint-parser';

const NO_CLOCK = [
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'Time is an argument, not read.',
  },
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'Time is an argument, not read.',
  },
  {
    selector: "MemberExpression[object.name='Temporal'][property.name='Now']",
    message: 'Time is an argument, not read.',
  },
  { selector: "MemberExpression[object.name='performance']", message: 'Time is an argument, not read.' },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Chance is an argument.',
  },
];
const NO_EXPORT_ALL = { selector: 'ExportAllDeclaration', message: 'Name what you offer.' };

/** What the library has not: the cells of the outline's lines, of which hundreds are drawn as one scrolls. */
const CELLS = ['packages/web/src/setup/outline/table/{MinutesCell,MomentCell,OutlineLine}.vue'];

/** Imports that core may have: its own files and the few libraries that compute. */
const onlyFrom = (...libraries) => `^(?!\\.{1,2}/|(?:${libraries.join('|')})$)`;
const OTHER_PACKAGES = {
  regex: '^(\\.\\./)+(packages/)?(core|contract|server|web|cli)/src/',
  message: 'Go through the package, not into it.',
};
const banned = (...patterns) => ['error', { patterns: [OTHER_PACKAGES, ...patterns] }];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/node_modules/**', '.data/**', 'test-results/**', 'playwright-report/**'] },
  ...tseslint.configs.strict,
  ...eslintPluginVue.configs['flat/essential'],
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, sourceType: 'module' } },
  },
  {
    // What is begun is waited for, or said to be left (`void`). Types cost seconds for every component: those are
    // looked through when they are changed, and by the long run.
    files: [
      process.env.ITINERARY_LONG === '1' ? 'packages/**/*.{ts,vue}' : 'packages/**/*.ts',
      'e2e/**/*.ts',
      'scripts/test/**/*.ts',
    ],
    languageOptions: {
      parserOptions: {
        project: ['tsconfig.json', 'packages/web/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
        extraFileExtensions: ['.vue'],
      },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': 'error',
    },
  },
  {
    rules: {
      'no-restricted-syntax': ['error', NO_EXPORT_ALL],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-invalid-void-type': 'off',
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      'vue/multi-word-component-names': 'off',
      // TypeScript proves that a switch is exhaustive; this rule cannot see it.
      'vue/return-in-computed-property': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-console': 'off',
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    rules: {
      'no-restricted-syntax': ['error', NO_EXPORT_ALL, ...NO_CLOCK],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'localStorage',
        'setTimeout',
      ],
      'no-restricted-imports': banned({
        regex: onlyFrom('zod', 'temporal-polyfill'),
        message: 'Core computes with zod and temporal-polyfill alone.',
      }),
    },
  },
  {
    // The look of a course is computed with a colour library besides; zones are found in a list of them.
    files: ['packages/core/src/{look,typed}/**/*.ts'],
    rules: {
      'no-restricted-imports': banned({
        regex: onlyFrom('zod', 'temporal-polyfill', 'culori', 'culori/fn', '@vvo/tzdb'),
        message: 'Core computes with few libraries.',
      }),
    },
  },
  {
    files: ['packages/core/src/people/lists/*.ts'],
    rules: {
      'no-restricted-imports': banned({
        regex: onlyFrom('papaparse'),
        message: 'Lists are read with one library.',
      }),
    },
  },
  {
    files: ['packages/contract/src/**/*.ts'],
    rules: {
      'no-restricted-imports': banned({
        regex: onlyFrom('zod', '@itinerary/core', '@itinerary/core/people'),
        message: 'The contract stands on core alone.',
      }),
    },
  },
  {
    files: ['packages/cli/src/**/*.ts'],
    rules: {
      'no-restricted-imports': banned({
        regex: '^@itinerary/(?!core$)',
        message: 'The command line stands on core alone.',
      }),
    },
  },
  {
    files: ['packages/server/**/*.ts'],
    rules: {
      'no-restricted-imports': banned({
        regex: '^@itinerary/(web|cli)',
        message: 'Server and web never import each other.',
      }),
    },
  },
  {
    files: ['packages/server/src/usecases/**/*.ts'],
    rules: {
      'no-restricted-imports': banned({
        regex: '^express|^@itinerary/(web|cli)',
        message: 'Use cases know nothing of HTTP.',
      }),
    },
  },
  {
    files: ['packages/web/**/*.{ts,vue}'],
    rules: {
      'no-restricted-imports': banned({
        regex: '^@itinerary/(server|cli)',
        message: 'Server and web never import each other.',
      }),
    },
  },
  {
    // What a learner's page loads: answers arrive resolved, so it needs the shapes and nothing else.
    files: ['packages/web/src/{learner,app,api,words,theme}/**/*.{ts,vue}'],
    ignores: ['packages/web/src/app/zod-without-eval.ts'],
    rules: {
      'no-restricted-imports': 'off',
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            OTHER_PACKAGES,
            {
              regex: '^@itinerary/(core(?!/(?:kinds|film)$)|contract)',
              allowTypeImports: true,
              message: "Learner's pages import types only.",
            },
            {
              regex: '^(zod|temporal-polyfill|@tiptap/|echarts|@itinerary/(server|cli))',
              message: "Not on a learner's page.",
            },
            { regex: '/setup/', message: "Not on a learner's page." },
          ],
        },
      ],
    },
  },
  {
    // Controls are the library's, dressed in packages/web/src/ui.
    files: ['packages/web/src/{setup,desk,palette,parts,signin,page-editor,app}/**/*.vue'],
    ignores: CELLS,
    rules: {
      'vue/no-restricted-html-elements': [
        'error',
        ...['button', 'input', 'select', 'textarea', 'table', 'dialog'].map((element) => ({
          element,
          message: `No bare <${element}>: packages/web/src/ui has the parts.`,
        })),
      ],
    },
  },
  {
    files: ['**/*.mjs', '**/*.cjs', '**/*.config.*'],
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
);
