import process from 'node:process';
import js from '@eslint/js';
import boundaries from 'eslint-plugin-boundaries';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** What each folder may use: dependencies point one way, and a feature never reaches into another. */
const uses = {
  api: [],
  drawing: ['api'],
  glossary: [],
  units: ['api'],
  parts: ['api', 'drawing', 'glossary', 'units'],
  shell: ['api', 'drawing', 'glossary', 'units', 'parts'],
  instruments: ['api', 'units', 'parts'],
  pictures: ['api', 'parts'],
  feature: ['api', 'drawing', 'glossary', 'units', 'parts', 'shell', 'instruments', 'pictures'],
  app: ['api', 'units', 'parts', 'shell', 'feature'],
};
const folders = Object.keys(uses).filter((name) => name !== 'feature');
const tests = ['src/**/*.test.{ts,tsx}', 'src/testing/**', 'src/**/*Fixtures.{ts,tsx}'];

/**
 * React's compiler reads every component for what it would have to leave alone: a third of the time of all rules. The
 * short run has the two rules of hooks, the long one and `npm run lint` all of them.
 */
const short = Boolean(process.env.MERGANSER_SHORT);
const ofHooks = short
  ? {
      plugins: { 'react-hooks': hooks },
      rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'warn' },
    }
  : hooks.configs.flat.recommended;

export default tseslint.config(
  { ignores: ['src/api/schema.d.ts', '**/*.module.css.d.ts', 'node_modules'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  ofHooks,
  { linterOptions: { reportUnusedDisableDirectives: short ? 'off' : 'warn' } },
  { languageOptions: { globals: globals.browser } },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: tests,
    plugins: { boundaries },
    settings: {
      'import/resolver': { node: { extensions: ['.ts', '.tsx', '.css'] } },
      'boundaries/elements': [
        ...folders.map((type) => ({ type, pattern: `src/${type}` })),
        { type: 'testing', pattern: 'src/testing' },
        { type: 'feature', pattern: 'src/features/*', capture: ['name'] },
      ],
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          message: '{{from.type}} may not use {{to.type}}: see the table in eslint.config.js',
          policies: Object.entries(uses)
            .filter(([, may]) => may.length > 0)
            .map(([type, may]) => ({
              from: { element: { type } },
              allow: { to: { element: { types: { anyOf: may } } } },
            })),
        },
      ],
    },
  },
);
