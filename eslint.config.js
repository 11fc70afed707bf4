const { defineConfig, globalIgnores } = require('eslint/config');
const expo = require('eslint-config-expo/flat');
const prettier = require('eslint-config-prettier/flat');

/* Who may import whom. A room is a folder under src/; see docs/architecture.md. */
const wall = (target, from, message, except) => ({ target, from, message, ...(except ? { except } : {}) });
const ROOM_WALLS = [
  wall('./src/core', './src', 'core imports only itself and pure libraries', ['./core']),
  wall('./src/contract', './src', 'contract imports only core', ['./contract', './core']),
  wall('./src/words', './src', 'words imports only core', ['./words', './core']),
  wall('./src/server', './src', 'server imports only core, contract and words', [
    './server',
    './core',
    './contract',
    './words',
  ]),
  wall('./src/cli', './src', 'cli imports only core, contract, words and the server’s keeping', [
    './cli',
    './core',
    './contract',
    './words',
    './server/keeping',
  ]),
  wall('./src/client', './src', 'client imports only core, contract and words', [
    './client',
    './core',
    './contract',
    './words',
  ]),
  wall('./src/app', './src', 'routes wire features together and nothing else', ['./app', './client']),
  wall('./src', './oracles', 'oracles are for tests'),
  wall('./src', './tests', 'src does not import tests'),
];
const NOT_PURE = {
  group: [
    'react*',
    '@react*',
    'expo*',
    'tamagui*',
    '@tamagui/*',
    'express*',
    'better-sqlite3',
    'node:*',
    'fs',
    'path',
    'pino*',
  ],
  message: 'Core is pure: no interface, server or Node modules.',
};
/* Words are for reading: what a sentence means is said by data beside it, and a letter is changed by one function. */
const SENTENCES = [
  {
    selector: 'CallExpression[callee.property.name=/^to(Lower|Upper)Case$/]',
    message: 'Words keep their letters: use lowerFirst or upperFirst.',
  },
  {
    selector:
      'CallExpression[callee.property.name=/^(split|replace|replaceAll|match|startsWith|endsWith|includes|slice|search)$/] > MemberExpression > MemberExpression[property.name=/^(label|title|text|why|what|says|words|message|reason|note|next|state)$/]',
    message: 'Nothing is read from a sentence: ask for the data it was made from.',
  },
];
/* What is wanted of a treatment, and what proves it, is one policy: it is asked, and worked out nowhere else. */
const EVIDENCE = [
  {
    selector: 'BinaryExpression[operator=/^[<>]=?$/] > MemberExpression[property.name=/^(pBleed|bleeds?)$/]',
    message: 'Whether colour must be held back is asked of expectsBleed (core/proof).',
  },
  ...['prep', 'primer'].map((name) => ({
    selector: `BinaryExpression[operator=/^[!=]==$/][left.property.name='${name}'][right.property.name='${name}']`,
    message: 'Whether a patch speaks for a treatment is asked of core/proof (requirementsFor, treatmentKey).',
  })),
  {
    selector: 'MemberExpression[property.name=/^(cureDays|cure_days)$/]',
    message: 'When a coat has cured is asked of cureDaysOf (core/proof).',
  },
  {
    selector: "BinaryExpression[operator=/^[!=]==$/][right.value='certified_practice']",
    message: 'What stops work is asked of listStops (core/survey).',
  },
];
/* What a screen says lies in the room of words, so that another language is another folder of it. */
const OWN_WORDS = [
  'JSXText[value=/\\p{L}{2}/u]',
  ...['', ' > JSXExpressionContainer', ' > JSXExpressionContainer > ConditionalExpression'].map(
    (at) =>
      `JSXAttribute[name.name=/^(label|aria-label|title|alt|hint|placeholder|words|what|says)$/]${at} > Literal[value=/\\p{L}{2}/u]`,
  ),
  // Errors thrown at programmers are not shown.
  'Literal[value=/^\\p{Lu}?\\p{Ll}+,? \\p{Ll}+/u]:not(NewExpression > Literal)',
  'TemplateElement[value.raw=/(?<!px) ?\\b(?!solid)\\p{L}{2,}[,;:.]? |^[,;:.]? \\p{L}{2,}/u]',
].map((selector) => ({ selector, message: 'Words of screens lie in src/words.' }));
const NO_CLOCK = {
  selector: "NewExpression[callee.name='Date'][arguments.length=0]",
  message: 'Time is an argument of core.',
};
/* Core gives data; what its rows are called stands on the rows, in its tables. */
const CORE_WORDS = [
  'Literal[value=/^(?!fl oz$).*\\p{L}{2,},? \\p{L}{2,}/u]:not(NewExpression > Literal)',
  'TemplateElement[value.raw=/^(?!.*[<="]| fl oz$).*(\\p{L}{2,} \\p{L}{2,}|\\p{L}{2,}: $)/u]:not(NewExpression TemplateElement)',
].map((selector) => ({ selector, message: 'Words lie in src/words, or on the rows of src/core/knowledge.' }));
const HOOK_RULES = [...new Set(expo.flatMap(({ rules = {} }) => Object.keys(rules)))].filter((name) =>
  name.startsWith('react-hooks/'),
);
/* A module's index.ts is its only door. */
const DEEP_CORE = { group: ['@/core/*/*'], message: 'Import from the module’s index.' };
const DEEP_WORDS = {
  group: ['@/words/*', '!@/words/terminal'],
  message: 'Import from the room’s index: it picks the language.',
};
const DEEP_FEATURE = { group: ['@/client/features/*/*'], message: 'Import from the feature’s index.' };

module.exports = defineConfig([
  globalIgnores(['dist', 'dist-server', 'dist-e2e', '.expo', '.tamagui', 'node_modules', 'data', '.cache']),
  expo,
  prettier,
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { prefer: 'type-imports' }],
      'no-console': 'error',
      eqeqeq: 'error',
      // The compiler knows what a namespace holds, and asks in a tenth of the time.
      'import/namespace': 'off',
      // fast-check and others are documented with their default export as a namespace.
      'import/no-named-as-default-member': 'off',
      // A third of the time, to tell that a default has the name of another export.
      'import/no-named-as-default': 'off',
    },
  },
  {
    files: ['src/**/*.ts', 'src/**/*.tsx'],
    ignores: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
    rules: {
      'import/no-restricted-paths': ['error', { basePath: __dirname, zones: ROOM_WALLS }],
      'no-restricted-imports': ['error', { patterns: [DEEP_CORE, DEEP_FEATURE, DEEP_WORDS] }],
      'no-restricted-syntax': ['error', ...SENTENCES],
    },
  },
  {
    files: ['src/client/**/*.ts', 'src/client/**/*.tsx', 'src/app/**/*.tsx'],
    ignores: ['src/**/*.test.ts', 'src/**/*.test.tsx'],
    rules: { 'no-restricted-syntax': ['error', ...SENTENCES, ...OWN_WORDS, ...EVIDENCE] },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [NOT_PURE, { group: ['../*/*', '@/*'], message: 'Import from the module’s index.' }] },
      ],
      'no-restricted-globals': ['error', 'console', 'process', 'window', 'fetch', 'setTimeout'],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time is an argument of core.' },
        { object: 'Math', property: 'random', message: 'Randomness is an argument of core.' },
      ],
      'no-restricted-syntax': ['error', ...SENTENCES, NO_CLOCK],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts', 'src/core/knowledge/**', 'src/core/shared/letters.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...SENTENCES, ...CORE_WORDS, NO_CLOCK, ...EVIDENCE],
    },
  },
  {
    // The policy itself.
    files: ['src/core/proof/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...SENTENCES, ...CORE_WORDS, NO_CLOCK] },
  },
  {
    // What a compiler of components would refuse is asked of files that may hold some.
    files: ['src/{core,contract,server,cli,words}/**', 'tests/**', 'scripts/**', 'demo/**'],
    rules: Object.fromEntries(HOOK_RULES.map((name) => [name, 'off'])),
  },
  {
    files: ['src/core/shared/letters.ts'],
    rules: { 'no-restricted-syntax': 'off' },
  },
  {
    files: ['scripts/**', '*.config.js', 'demo/**', 'src/cli/**', 'tests/**'],
    languageOptions: { globals: { __dirname: 'readonly', __filename: 'readonly', process: 'readonly' } },
    rules: { 'no-console': 'off' },
  },
]);
