import eslint from '@eslint/js';
import { defineConfig, globalIgnores } from 'eslint/config';
import tseslint from 'typescript-eslint';
import angular from 'angular-eslint';
import globals from 'globals';

/** The parts of core in their one direction: a part may use those before it. */
const order = [
  'schema',
  'units',
  'fluids',
  'threads',
  'drill',
  'connectors',
  'seals',
  'fittings',
  'chains',
  'hose',
  'supplies',
  'job',
  'commands',
  'findings',
  'stock',
  'shop-rules',
  'lines',
  'flow',
  'entry',
  'audit',
  'drawing',
  'cutting',
  'purchasing',
  'shop',
  'contracts',
];
const before = Object.fromEntries(order.map((part, i) => [part, order.slice(0, i)]));

/** What the server and the pages are made of, in their one direction; what starts them stands above all and is not in the list. */
const features = {
  server: 'errors database heavy plugins stand-ins health papers drill history shop catalogue jobs transfer stockroom demo threads'.split(
    ' ',
  ),
  web: 'data workers shared sizing shell system stock order cut store bench survey board flow-bench lines audit'.split(' '),
};

/** The rules that need types take four fifths of the time: `npm run lint` has them, and the specs and the form; `npm test` the rest. */
const typed = !process.env.LINT_QUICK;

const tests = ['**/*.spec.ts', 'server/test/**', 'web/test/**', 'core/testing/**', 'core/published/**'];
const otherRoom = { regex: '^(\\.\\./)+(core|server|web|e2e)/', message: 'Another room is reached by its name, core alone.' };
/** @returns {Partial<import('eslint').Linter.RulesRecord>} */
const restricted = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });

const unknownTo = (part, others) => ({ regex: `^(\\.\\./)+(${others.join('|')})/`, message: `${part} does not know it.` });
/**
 * What is loaded when it is needed has a direction too.
 * @returns {Partial<import('eslint').Linter.RulesRecord>}
 */
const restrictedWhenNeeded = (part, others) => ({
  'no-restricted-syntax': [
    'error',
    { selector: `ImportExpression > Literal[value=/^(\\.\\.\\/)+(${others.join('|')})\\//]`, message: `${part} does not know it.` },
  ],
});

export default defineConfig(
  globalIgnores(['**/dist/', '**/.angular/', '**/node_modules/', 'e2e/out/', '.gewinde/', ...(typed ? [] : tests)]),
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
    extends: [eslint.configs.recommended, typed ? tseslint.configs.recommendedTypeChecked : tseslint.configs.recommended],
    languageOptions: {
      // one service for all rooms: each file's nearest tsconfig.json leads to the project it is in
      parserOptions: { projectService: typed, tsconfigRootDir: import.meta.dirname },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      ...(typed ? { '@typescript-eslint/switch-exhaustiveness-check': 'error', '@typescript-eslint/require-await': 'off' } : {}),
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
  // the rooms in their one direction: core from the others by its name alone
  ...['core', 'server', 'web', 'e2e'].map((room) => ({ files: [`${room}/**/*.ts`], ignores: tests, rules: restricted(otherRoom) })),
  ...Object.entries(features).flatMap(([room, parts]) =>
    parts
      .slice(0, -1)
      .map((part, i) => ({
        files: [`${room}/src/${part}/**/*.ts`],
        ignores: tests,
        rules: { ...restricted(otherRoom, unknownTo(part, parts.slice(i + 1))), ...restrictedWhenNeeded(part, parts.slice(i + 1)) },
      })),
  ),
  ...order.map((part) => ({
    files: [`core/src/${part}/**/*.ts`],
    ignores: tests,
    rules: restricted(
      otherRoom,
      { regex: '^(?!\\.|typebox(/(value|compile))?$|highs$)', message: 'The core stands on the schema library and the solver alone.' },
      {
        regex: `^(\\.\\./)+(${order.filter((other) => !before[part].includes(other) && other !== part).join('|')})/`,
        message: `${part} does not know it.`,
      },
      {
        regex: `^(\\.\\./)+(${[...before[part], 'no-other'].join('|')})/(?!index\\.js$)`,
        message: 'Another part is used by its face, index.js.',
      },
    ),
  })),
);
