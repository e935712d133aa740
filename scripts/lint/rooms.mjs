/**
 * The four rooms and the one direction between them: app, server and demo may reach into core; core into nothing of ours.
 * Only main.tsx, at the front door, knows both app and demo. Screens don't reach into each other.
 */

const forbid = (files, patterns) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns }] },
})

const INTERFACE = [
  'react',
  'react-*',
  'react-dom/*',
  'styled-components',
  'localforage',
  '@tanstack/*',
  'express',
  'recharts',
  'lucide-react',
  'node:*',
]

/** Global names that would give the core a clock, chance or a page of its own. */
const NO_OUTSIDE = [
  { object: 'Date', property: 'now', message: 'The core has no clock: "now" is an input.' },
  { object: 'Math', property: 'random', message: 'The core has no chance of its own: a seed is an input.' },
]

/** Imports that climb out of a room and into one of these. */
const outOf = (rooms, message) => ({ regex: `^(\\.\\./)+(${rooms.join('|')})/`, message })

const APP_WALL = outOf(['server', 'demo'], 'app reaches only into core; what demo gives comes through main.tsx.')
const SCREEN_WALL = 'Screens do not import each other: what two need belongs beside them, in app.'

export const roomRules = [
  {
    files: ['core/**/*.ts'],
    ignores: ['core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            outOf(['app', 'server', 'demo'], 'core reaches into nothing of ours.'),
            { group: INTERFACE, message: 'core has no interface, storage or machine in it.' },
          ],
        },
      ],
      'no-restricted-properties': ['error', ...NO_OUTSIDE],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'navigator',
        'localStorage',
        'indexedDB',
        'fetch',
        'process',
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Date'][arguments.length=0]",
          message: 'The core has no clock: "now" is an input.',
        },
      ],
    },
  },
  forbid(['app/**/*.{ts,tsx}'], [APP_WALL]),
  forbid(['server/**/*.ts'], [outOf(['app', 'demo'], 'server reaches only into core.')]),
  forbid(['demo/**/*.ts'], [outOf(['app', 'server'], 'demo reaches only into core.')]),
  // From a screen's own folder another screen is "../<screen>"; from a folder inside it, "../../<screen>".
  forbid(['app/screens/*/*.{ts,tsx}'], [APP_WALL, { regex: '^\\.\\./[^.]', message: SCREEN_WALL }]),
  forbid(['app/screens/*/*/*.{ts,tsx}'], [APP_WALL, { regex: '^\\.\\./\\.\\./[^.]', message: SCREEN_WALL }]),
]
