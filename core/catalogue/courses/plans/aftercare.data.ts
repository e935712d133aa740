import type { Definition, Step } from '../definition.ts'
import { escalate, measured, planOf, success, weekly } from '../plan-parts.ts'
import { cells, coverage, LAMP, read } from './film-steps.ts'

const FILM = { option: 'watch', is: ['coverage'] }
const PEST = { option: 'watch', is: ['pest-count'] }
const CELLS = { option: 'watch', is: ['cells'] }
const LAMP_ON = { option: 'uv', is: ['uv-on'] }
const LIT = { option: 'light', is: ['was-dark'] }
const CREW = { option: 'crew', is: ['crew-out'] }
const STOCK = { option: 'stock', is: ['restock'] }

/** Weekly looks from the first week on to the end. */
const WEEKLY: Step['due'] = { day: 7, every: 7, until: 56 }

/** Spots of a film that are left count as clean under so many percent: outbreaks.md 5.1, algae-manual-grazers. */
const CLEAN_COVERAGE = 5

/** Cells in a field that count as clean under, and as back from (EA: a few are found in any sand). */
const CLEAN_CELLS = 3
const BACK_CELLS = 5

/** Weekly looks on end that have to be clean, the fewest: outbreaks.md 1, prevent-relapse. */
const CLEAN_WEEKS = 4

/**
 * What follows an outbreak: nutrients and light back, then carbon, UV, grazers and stock as a ladder, one rung a week after a clean look, and weekly
 * looks for eight weeks. Its looks are those of
 * outbreaks.md 1, prevent-relapse; the light ramp is blackout-marine 5, grazers and the test frag are dino-uv 7.
 */
export const AFTERCARE: readonly Definition[] = [
  planOf({
    id: 'aftercare',
    closeBy: 'close-ladder',
    name: 'after an outbreak',
    treats: [],
    water: 'any',
    days: 56,
    lead: 'days',
    options: [
      {
        id: 'watch',
        label: 'What would come back',
        choices: [
          { id: 'coverage', label: 'a film or an alga, by what it covers' },
          { id: 'pest-count', label: 'a pest, by its number' },
          { id: 'cells', label: 'dinoflagellates, by their cells' },
        ],
      },
      {
        id: 'light',
        label: 'Light until now',
        choices: [
          { id: 'as-usual', label: 'as usual' },
          { id: 'was-dark', label: 'dark or dimmed' },
        ],
      },
      {
        id: 'uv',
        label: 'UV until now',
        choices: [
          { id: 'as-before', label: 'as before the outbreak' },
          { id: 'uv-on', label: 'on for the outbreak' },
        ],
      },
      {
        id: 'crew',
        label: 'Snails, shrimp, urchins',
        choices: [
          { id: 'crew-in', label: 'stayed in' },
          { id: 'crew-out', label: 'were taken out' },
        ],
      },
      {
        id: 'stock',
        label: 'New animals',
        choices: [
          { id: 'none', label: 'none are to come' },
          { id: 'restock', label: 'are to come: a test first' },
        ],
      },
    ],
    tracks: [
      { id: 'days', kind: 'hold', name: 'days of looks', by: 'elapsed', days: 56 },
      { ...measured('coverage', 'covered at the weekly look', '%', { of: 'mean' }), only: FILM },
      { ...measured('pest-count', 'seen at the weekly look', ''), only: PEST },
      { ...measured('cells', 'cells in a field, weekly', 'cells', { of: 'mean' }), only: CELLS },
    ],
    steps: [
      {
        id: 'step-1',
        title: 'The cause of it written down',
        act: 'tick',
        due: { day: 0 },
        how: 'Cocoons, eggs, spores and cysts outlast what is seen. No treatment lasts while the cause stays. What was off comes back one thing at a time, each after a clean look.',
      },
      {
        ...read('step-2', 'Nitrate and phosphate back into their bands', ['no3', 'po4'], { day: 1, every: 2, until: 15 }, 'Into the band, not to zero: both at zero feed dinoflagellates. One lever at a time.'),
        page: 'correct',
      },
      {
        id: 'step-3',
        title: 'Light 30 %, then ten points more each day',
        act: 'tick',
        due: { by: 'held-days' },
        heldDays: { day: 0, every: 1, until: 7 },
        how: 'A coral that pales: hold the step it is at for three days.',
        only: LIT,
      },
      {
        id: 'rung-carbon',
        title: 'Carbon and skimmer back on',
        act: 'tick',
        due: { by: 'rungs' },
        rung: {},
        switches: [
          { item: 'carbon', running: true },
          { item: 'skimmer', running: true },
        ],
        how: 'Not with a medicine in the water that carbon takes out.',
      },
      {
        id: 'rung-uv',
        title: 'UV at night alone',
        act: 'tick',
        due: { by: 'rungs' },
        rung: {},
        caution: LAMP,
        only: LAMP_ON,
      },
      {
        id: 'rung-uv-off',
        title: 'UV off',
        act: 'tick',
        due: { by: 'rungs' },
        rung: {},
        switches: [{ item: 'uv', running: false }],
        caution: LAMP,
        how: 'Four weeks at night alone are the usual time before it.',
        only: LAMP_ON,
      },
      {
        id: 'rung-grazer',
        title: 'One grazer back, of one kind',
        act: 'tick',
        due: { by: 'rungs' },
        rung: { times: 3 },
        moves: 'crew-back',
        how: 'The next one only when the last is well and eats after seven days.',
        only: CREW,
      },
      {
        id: 'rung-stock',
        title: 'A test first: one frag, one snail or one fish',
        act: 'tick',
        due: { by: 'rungs' },
        rung: {},
        how: 'Well after fourteen days, others may follow.',
        only: STOCK,
      },
      {
        id: 'rung-stock-more',
        title: 'Others may come, through quarantine',
        act: 'tick',
        due: { by: 'rungs' },
        rung: {},
        only: STOCK,
      },
      { id: 'step-down', title: 'Back down', act: 'tick', due: { by: 'rung-down' } },
      { ...coverage('step-6', WEEKLY), title: 'Weekly look: how much is covered?', only: FILM },
      {
        id: 'step-6-pest',
        title: 'Weekly look: how many are seen?',
        act: 'count',
        measure: 'pest-count',
        due: WEEKLY,
        how: 'The same place, the same hour: after dark with a torch for what hides by day.',
        only: PEST,
      },
      { ...cells('step-6-cells', 'Weekly look: count the cells', WEEKLY), only: CELLS },
    ],
    rules: [
      escalate(1, { left: { measure: 'coverage' }, op: '>=', right: CLEAN_COVERAGE }, 'five percent covered again', 'the case opens again, and its plan', FILM),
      escalate(1, { left: { measure: 'pest-count' }, op: '>', right: 0 }, 'one is seen again', 'the case opens again, and its plan', PEST),
      escalate(1, { left: { measure: 'cells' }, op: '>=', right: BACK_CELLS }, 'five cells in a field again', 'the case opens again, and its plan', CELLS),
      success(
        { all: [weekly('coverage', '<', CLEAN_COVERAGE, CLEAN_WEEKS), { asks: 'Is its cause gone?' }] },
        'clean on four weekly looks, and its cause gone',
        FILM,
      ),
      success(
        { all: [weekly('pest-count', '<=', 0, CLEAN_WEEKS), { asks: 'Is its cause gone?' }] },
        'clean on four weekly looks, and its cause gone',
        PEST,
      ),
      success(
        { all: [weekly('cells', '<', CLEAN_CELLS, CLEAN_WEEKS), { asks: 'Is its cause gone?' }] },
        'clean on four weekly counts, and its cause gone',
        CELLS,
      ),
    ],
    restore: ['skimmer', 'uv', 'carbon', 'phosphate-remover'],
  }),
]
