import eslint from '@eslint/js';
import { defineConfig, globalIgnores } from 'eslint/config';
import tseslint from 'typescript-eslint';
import angular from 'angular-eslint';
import boundaries from 'eslint-plugin-boundaries';
import globals from 'globals';

const el = (type) => ({ element: { type } });

/** The parts of core in their one direction: a part may use those before it. */
const order = [
  'schema',
  'units',
  'threads',
  'drill',
  'connectors',
  'seals',
  'fittings',
  'chains',
  'hose',
  'job',
  'commands',
  'lines',
  'drawing',
  'cutting',
  'purchasing',
  'contracts',
];
/** Papers stand side by side at the end; drawing does not know them. */
const before = Object.fromEntries(order.map((part, i) => [part, order.slice(0, i)]));

export default defineConfig(
  globalIgnores(['**/dist/', '**/.angular/', '**/node_modules/', 'e2e/out/', '.gewinde/']),
  {
    files: ['**/*.mjs'],
    extends: [eslint.configs.recommended],
    languageOptions: { globals: { ...globals.node, document: 'readonly', localStorage: 'readonly' } },
    rules: {
      'no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'max-lines': ['error', { max: 350, skipBlankLines: true }],
    },
  },
  {
    files: ['**/*.ts'],
    extends: [eslint.configs.recommended, tseslint.configs.recommendedTypeChecked],
    languageOptions: {
      // one service for all rooms: each file's nearest tsconfig.json leads to the project it is in
      parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/require-await': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true }],
      'max-lines': ['error', { max: 350, skipBlankLines: true }],
    },
  },
  {
    files: ['web/src/**/*.ts'],
    extends: [angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: { '@angular-eslint/component-class-suffix': 'off' },
  },
  {
    files: ['web/src/**/*.html'],
    extends: [angular.configs.templateRecommended, angular.configs.templateAccessibility],
    rules: { '@angular-eslint/template/no-any': 'error' },
  },
  {
    // unit tests are checked by the compiler; what the rules would add with types there is not worth typing them twice
    files: ['**/*.spec.ts', 'server/test/**', 'web/test/**', 'core/testing/**', 'core/published/**'],
    ignores: ['e2e/**'],
    ...tseslint.configs.disableTypeChecked,
    languageOptions: { parserOptions: { projectService: false, project: false } },
  },
  {
    files: ['**/*.spec.ts', 'server/test/**', 'e2e/**/*.ts', 'web/test/**'],
    rules: Object.fromEntries(
      ['assignment', 'member-access', 'return', 'argument', 'call'].map((r) => [`@typescript-eslint/no-unsafe-${r}`, 'off']),
    ),
  },
  {
    files: ['**/*.ts'],
    ignores: ['**/*.spec.ts', 'server/test/**', 'core/testing/**', 'core/published/**'],
    // its types name a narrower set of configurations than it has
    plugins: { boundaries: /** @type {import('eslint').ESLint.Plugin} */ (/** @type {unknown} */ (boundaries)) },
    settings: {
      'import/resolver': {
        typescript: {
          noWarnOnMultipleProjects: true,
          project: ['core/tsconfig.src.json', 'server/tsconfig.src.json', 'web/tsconfig.app.json'],
        },
      },
      'boundaries/elements': [
        ...order.map((part) => ({ type: part, pattern: `core/src/${part}`, partialMatch: false })),
        ...['core', 'server', 'web', 'e2e'].map((type) => ({ type, pattern: type, partialMatch: false })),
      ],
      'boundaries/files': [{ category: 'entry', pattern: 'core/src/*/index.ts' }],
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          checkAllOrigins: true,
          policies: [
            ...['server', 'web', 'e2e'].map((room) => ({ from: el(room), allow: { to: { module: { origin: ['external', 'core'] } } } })),
            ...order.map((part) => ({
              from: el(part),
              allow: { to: { module: { origin: ['external'], source: ['typebox', 'typebox/value'] } } },
            })),
            ...order.map((part) => ({ from: el(part), allow: { to: el(part) } })),
            ...order.flatMap((part) =>
              before[part].map((earlier) => ({ from: el(part), allow: { to: { ...el(earlier), file: { categories: 'entry' } } } })),
            ),
            { from: el('core'), allow: { to: [...order.map(el), el('core')] } },
            { from: el('server'), allow: { to: [el('server'), el('core')] } },
            { from: el('web'), allow: { to: [el('web'), el('core')] } },
            { from: el('e2e'), allow: { to: el('e2e') } },
          ],
        },
      ],
    },
  },
);
