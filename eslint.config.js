import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Imports a room may not make; each message says where the thing belongs instead. */
const walls = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });
const noServer = {
  regex: '(^@lattice/server)|(/server/src/)|(^(express|knex|better-sqlite3|node:))',
  message: 'The web app talks to the server over HTTP only.',
};
const noWeb = {
  regex: '(^@lattice/web)|(/web/src/)|(^react)|(^styled-components)',
  message: 'The server knows no interface.',
};
const contractByType = {
  regex: '^@lattice/contract$',
  importNames: ['GROUPS', 'OPERATIONS', 'operationOf', 'faultOfAnswer', 'faultOfRefusal'],
  allowTypeImports: true,
  message:
    'The web takes addresses and types of the contract; its shapes would be carried to every first screen.',
};
const publicFace = {
  regex: '(@lattice/core/)|(packages/core)',
  message: 'Import the core from @lattice/core, its public face.',
};

export default tseslint.config(
  { ignores: ['**/node_modules', '**/dist', 'coverage', 'data', '.lattice', '.mutation', 'test-results'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx,js,mjs}'],
    rules: {
      eqeqeq: 'error',
      'prefer-const': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    rules: {
      ...walls(
        {
          regex: '^(?!\\.{1,2}/|zod$|papaparse$|culori/fn$|d3-(array|polygon|random)$)',
          message:
            'The core imports nothing outside itself but zod, papaparse, culori and d3’s small pure modules.',
        },
        {
          regex: '/(apps|node_modules)/',
          message: 'The core imports nothing outside itself.',
        },
      ),
      'no-restricted-globals': [
        'error',
        ...[
          'window',
          'document',
          'navigator',
          'localStorage',
          'fetch',
          'process',
          'Buffer',
          'Date',
          'performance',
          'setTimeout',
          'console',
        ].map((name) => ({ name, message: 'The core is pure: pass in what it needs.' })),
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'The core is pure: pass the random source in.' },
      ],
    },
  },
  {
    files: ['packages/photo/src/**/*.ts'],
    rules: walls(
      {
        regex: '^(?!\\.{1,2}/|@lattice/core$|ml-matrix$|ml-levenberg-marquardt$|linear-sum-assignment$)',
        message: 'The camera knows the core, linear algebra and assignment, and nothing of page or disk.',
      },
      publicFace,
    ),
  },
  {
    files: ['packages/contract/src/**/*.ts'],
    rules: walls({
      regex: '^(?!\\.{1,2}/|zod$|@lattice/core$|@lattice/export/formats$)',
      message: 'The contract says what is asked and answered; it does neither.',
    }),
  },
  // A component that is longer has parts of its own; a function that is longer does more than one thing.
  { files: ['apps/web/src/**/*.tsx'], rules: { 'max-lines-per-function': ['error', 150] } },
  { files: ['apps/web/src/**/*.ts'], rules: { 'max-lines-per-function': ['error', 80] } },
  { files: ['apps/server/src/**/*.ts'], rules: walls(noWeb, publicFace) },
  {
    files: ['apps/cli/src/**/*.ts'],
    rules: walls(noWeb, { ...noServer, regex: '(^@lattice/server)|(/server/src/)' }, publicFace),
  },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { ...reactHooks.configs.recommended.rules, ...walls(noServer, contractByType, publicFace) },
  },
);
