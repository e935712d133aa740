import type { ParameterId } from '../../parameter.types.ts'
import type { Condition, Definition, Only, Step } from '../definition.ts'
import { byDay, escalate, measured, planOf, stop, success } from '../plan-parts.ts'

const CUTTING =
  'Goggles and gloves: skeleton splinters, leather juice is toxic, zoanthids hold palytoxin. Iodine stains and burns eyes; mind thyroid disease.'

const EDGE = measured('edge-mm', 'lost from the marked line', 'mm', { of: 'worst' })
const edge = (id: string, due: Step['due'], how?: string): Step => ({
  id,
  title: 'Millimetres from the marked line',
  act: 'count',
  measure: 'edge-mm',
  each: 'coral',
  due,
  how: how ?? 'A scale bar beside a fixed mark, the same light.',
})

/** The elements that may be corrected, each with its usual band: outbreaks.md 8, large-polyp reef. */
const ELEMENTS = [
  { id: 'k', label: 'potassium', band: [370, 430] },
  { id: 'ca', label: 'calcium', band: [390, 450] },
  { id: 'mg', label: 'magnesium', band: [1250, 1400] },
  { id: 'alk-kh', label: 'alkalinity', band: [7.5, 10] },
] as const

/** A dose of the day, and where it stops: outbreaks.md 5.2, nutrient-raise, and its success. */
const NUTRIENTS_RAISED = [
  { id: 'no3', label: 'nitrate', perDay: 1, until: 5 },
  { id: 'po4', label: 'phosphate', perDay: 0.02, until: 0.05 },
] as const

/** In the tank's own band for some days: the usual ends hold where it has none. */
const held = (parameter: ParameterId, low: number, high: number, forDays: number): Condition => ({
  all: [
    { left: { parameter }, op: '>=', right: { bandEnd: 'low', of: parameter, usual: low }, forDays },
    { left: { parameter }, op: '<=', right: { bandEnd: 'high', of: parameter, usual: high }, forDays },
  ],
})

const ofElement = (id: string): Only => ({ option: 'element', is: [id] })

/** Plans for corals that decline, and for the water that they stand in: outbreaks.md 5.1–5.4. */
export const DECLINE_PLANS: readonly Definition[] = [
  planOf({
    id: 'brown-jelly',
    name: 'brown jelly',
    treats: ['brown-jelly', 'ship-injury'],
    water: 'marine',
    days: 7,
    lead: 'edge-mm',
    tracks: [EDGE],
    steps: [
      {
        id: 'step-1',
        title: 'Siphon the jelly, cut the sick head away',
        act: 'bench',
        procedure: 'brown-jelly-cut',
        due: { day: 0 },
        how: 'Pumps off; do not blow. Expect to lose more heads than you save.',
        caution: CUTTING,
      },
      {
        id: 'step-2',
        title: 'Iodine dip, rinse, isolation tank; flow back on',
        act: 'tick',
        partOfBench: 'step-1',
        due: { day: 0 },
        how: 'Part of the bench. Back to the display only where there is no other water: then it is looked at twice a day for fourteen days.',
      },
      edge('step-3', { day: 0.5, every: 0.5, until: 2 }, 'At 12, 24 and 48 h: jelly, smell, edge. A second dip if the edge is soft.'),
      {
        id: 'step-4',
        title: 'Back, if it is firm for seven days',
        act: 'tick',
        due: { day: 7 },
        how: 'The display is looked at daily for fourteen days.',
      },
    ],
    rules: [
      stop(1, 'Is there jelly on a second head?', 'jelly on a second head', 'cut it, or give it up at once'),
      escalate(1, byDay(1, { asks: 'Is there any jelly at 24 h?' }), 'any jelly at 24 h', 'give the colony up'),
      success(byDay(7, { asks: 'No jelly, and the edge firm for seven days?' }), 'no jelly, the edge firm for seven days'),
    ],
    restore: ['flow', 'auto-top-off'],
  }),
  planOf({
    id: 'cut-and-save',
    name: 'cut and save',
    treats: ['rtn', 'leather-decay', 'brown-jelly', 'stn'],
    water: 'marine',
    days: 14,
    lead: 'edge-mm',
    tracks: [EDGE],
    steps: [
      {
        id: 'step-1',
        title: 'Cut 10–20 mm into live tissue, iodine dip for 5 min, remount',
        act: 'tick',
        page: 'corals',
        due: { day: 0 },
        how: 'Leather: 10 mm past the decay, in mesh with strong flow. No heroic dosing.',
        caution: CUTTING,
      },
      {
        id: 'step-1-read',
        title: 'The full set of tests',
        act: 'read',
        parameters: ['temp', 'salinity', 'alk-kh', 'ca', 'mg', 'no3', 'po4'],
        due: { day: 0 },
        how: 'And what happened in the last 21 days.',
      },
      edge('step-2', { day: 0.5, every: 0.5, until: 3 }, 'Cut again where it goes faster than 2 mm in 12 h.'),
    ],
    rules: [
      stop(1, 'Does the frag fail?', 'the frag fails', 'give it up'),
      escalate(1, 'Were there two colonies or more within 24 h?', 'two colonies or more in 24 h', 'look for the cause now'),
      escalate(2, 'A leather coral, cut twice again?', 'a leather coral cut twice again', 'give it up'),
      success(byDay(7, { asks: 'Has the line stood still for seven days?' }), 'the line still for seven days'),
    ],
  }),
  planOf({
    id: 'recession-workup',
    looksBack: true,
    name: 'look for the cause of recession',
    treats: [
      'stn',
      'alk-swing',
      'aefw',
      'montipora-nudi',
      'red-bugs',
      'black-bugs',
      'rtn',
      'bleach-light',
      'nutrient-spike',
      'k-trace-low',
      'leather-decay',
    ],
    water: 'marine',
    days: 28,
    lead: 'edge-mm',
    tracks: [{ ...EDGE, silentByDay: 14 } as typeof EDGE],
    steps: [
      {
        id: 'step-1',
        title: 'Photograph, mark the line, loupe and baster for pests; all kits',
        act: 'read',
        parameters: ['temp', 'salinity', 'alk-kh', 'ca', 'mg', 'k', 'no3', 'po4', 'ph'],
        due: { day: 0 },
        how: 'What is off is tested again with a second kit.',
      },
      edge('step-1-count', { day: 0 }),
      {
        id: 'step-2',
        title: 'The last 21 days: swings, light, flow, newcomers, sprays, quarrels',
        act: 'tick',
        page: 'corals',
        due: { day: 1 },
        how: 'Look back 21 days: tissue is slow to show what happened.',
      },
      {
        id: 'step-3',
        title: 'Correct the worst value first, within its cap',
        act: 'tick',
        page: 'correct',
        due: { day: 1 },
        how: 'One thing a week.',
      },
      edge('step-4', { day: 2, every: 2, until: 28 }, 'The next cause after seven days.'),
    ],
    rules: [
      escalate(1, 'No cause found, and more than 2 mm a day?', 'no cause found, over 2 mm a day', 'cut and save'),
      success('Less than half a millimetre in a week?', 'under 0.5 mm in a week'),
    ],
  }),
  planOf({
    id: 'element-correct',
    byPump: true,
    name: 'correct an element',
    treats: ['k-trace-low', 'alk-swing'],
    water: 'marine',
    options: [{ id: 'element', label: 'Which', choices: ELEMENTS.map(({ id, label }) => ({ id, label })) }],
    days: 30,
    lead: 'days',
    tracks: [{ id: 'days', kind: 'hold', by: 'elapsed', name: 'days', days: 30 }],
    steps: [
      {
        id: 'step-1',
        title: 'Test twice; grams and days worked out',
        act: 'tick',
        page: 'correct',
        due: { day: 0 },
        how: 'Grams a step × gap ÷ step × net litres ÷ 100; as many days as its cap asks. Never two carbonates together.',
        caution: 'Goggles: caustic salts go into water, never the reverse.',
      },
      ...ELEMENTS.map(({ id, label }): Step => ({
        id: 'step-2',
        title: `Test ${label}${id === 'alk-kh' ? '' : ' and alkalinity'}; four portions a day or more`,
        act: 'read',
        parameters: id === 'alk-kh' ? [id] : [id, 'alk-kh'],
        page: 'devices',
        only: ofElement(id),
        due: { day: 0, every: 1, until: 30 },
        how: 'Calcium and alkalinity half an hour apart. Alkalinity is read after carbonates. By hand, today’s portion follows from the test.',
      })),
      ...ELEMENTS.map(({ id, label, band }): Step => ({
        id: 'step-2-dose',
        title: `Raise ${label} today`,
        act: 'dose',
        raises: { parameter: id, middleOf: band },
        only: ofElement(id),
        due: { by: 'raise-today' },
      })),
    ],
    rules: [
      ...ELEMENTS.map(({ id, label }) =>
        stop(
          1,
          { left: { parameter: id, at: 'day-change' }, op: '>', right: { dayCap: 'rise', of: id } },
          `${label} over its cap a day`,
          'skip a day',
          ofElement(id),
        ),
      ),
      ...ELEMENTS.map(({ id, label }) =>
        escalate(
          1,
          byDay(5, { left: { parameter: id }, op: '<=', right: { parameter: id, at: 'start' } }),
          `${label} stuck after five days`,
          'a lab, and the pump measured again',
          ofElement(id),
        ),
      ),
      ...ELEMENTS.map(({ id, label, band: [low, high] }) =>
        success(held(id, low, high, 7), `${label} in its band for seven days`, ofElement(id)),
      ),
    ],
    restore: ['dosing-pump'],
  }),
  planOf({
    id: 'nutrient-lower',
    name: 'lower the nutrients',
    treats: ['nutrient-spike', 'green-water', 'bacterial-bloom'],
    water: 'any',
    days: 60,
    lead: 'days',
    tracks: [{ id: 'days', kind: 'hold', by: 'elapsed', name: 'days', days: 60 }],
    steps: [
      {
        id: 'step-1',
        title: 'Find the source; change water, at most a fifth at a time',
        act: 'tick',
        page: 'correct',
        due: { day: 0 },
        how: 'The share is (C − target) ÷ (C − new water’s).',
      },
      {
        id: 'step-2',
        title: 'Phosphate after 24 h of remover, at a quarter of its label dose',
        act: 'read',
        parameters: ['no3', 'po4'],
        due: { day: 1, every: 1, until: 14 },
        how: 'About 0.2 g for a net litre, rinsed; doubled only while the fall is under its cap. Not below the floors.',
      },
      { id: 'step-2-later', title: 'Nitrate and phosphate', act: 'read', parameters: ['no3', 'po4'], due: { day: 17, every: 3, until: 60 } },
    ],
    rules: [
      stop(
        1,
        {
          any: [
            { left: { parameter: 'no3', at: 'day-change' }, op: '<', right: { dayCap: 'fall', of: 'no3' } },
            { left: { parameter: 'po4', at: 'day-change' }, op: '<', right: { dayCap: 'fall', of: 'po4' } },
          ],
        },
        'a fall over the cap of a day',
        'half the media',
      ),
      stop(2, 'Does a coral pale?', 'a coral pales', 'half the media'),
      escalate(
        1,
        byDay(
          14,
          { left: { parameter: 'no3' }, op: '>=', right: { parameter: 'no3', at: 'start' } },
          { left: { parameter: 'po4' }, op: '>=', right: { parameter: 'po4', at: 'start' } },
        ),
        'no fall in fourteen days',
        'leaching rock, or the feeding',
      ),
      success({ all: [held('no3', 2, 20, 14), held('po4', 0.03, 0.15, 14)] }, 'in their bands for fourteen days, above the floors'),
    ],
    restore: ['phosphate-remover'],
  }),
  planOf({
    id: 'nutrient-raise',
    byPump: true,
    name: 'raise the nutrients',
    treats: ['bleach-nutrient', 'dino-amphidinium-large', 'chrysophytes'],
    water: 'marine',
    days: 60,
    lead: 'days',
    tracks: [{ id: 'days', kind: 'hold', by: 'elapsed', name: 'days', days: 60 }],
    steps: [
      {
        id: 'step-1',
        title: 'Test, then nitrate and phosphate by what is taken up',
        act: 'read',
        parameters: ['no3', 'po4'],
        page: 'correct',
        due: { day: 0, every: 1, until: 21 },
        how: 'Export off. 1 mg/L of nitrate and 0.02 of phosphate at a time; done when they hold for three days without dosing.',
        caution: 'Food-grade salts or better; potassium nitrate is an oxidiser, its sale limited by law in places.',
      },
      ...NUTRIENTS_RAISED.map(({ id, label, perDay, until }): Step => ({
        id: `step-1-${id}`,
        title: `Raise ${label} today`,
        act: 'dose',
        raises: { parameter: id, perDay, until },
        due: { by: 'raise-today' },
      })),
    ],
    rules: [
      stop(1, { left: { parameter: 'po4' }, op: '>', right: 0.2 }, 'phosphate over 0.2 mg/L', 'no phosphate until it is under'),
      stop(2, { left: { parameter: 'no3' }, op: '>', right: 25 }, 'nitrate over 25 mg/L', 'no nitrate until it is under'),
      escalate(1, 'Does phosphate vanish every day?', 'phosphate vanishes every day', 'the rock takes it: go on with the same dose'),
      success(
        {
          all: [
            { left: { parameter: 'no3' }, op: '>=', right: 5, forDays: 7 },
            { left: { parameter: 'po4' }, op: '>=', right: 0.05, forDays: 7 },
          ],
        },
        'nitrate at 5 or over and phosphate at 0.05 or over for seven days',
      ),
    ],
    restore: ['skimmer', 'phosphate-remover'],
  }),
  planOf({
    id: 'coral-rest',
    name: 'rest for corals',
    treats: ['bleach-light', 'ship-injury', 'bleach-nutrient'],
    water: 'marine',
    days: 60,
    lead: 'colour',
    tracks: [
      measured('colour', 'on the colour card, 1 to 6', '', {
        of: 'mean',
        better: 'higher',
        expected: [
          { byDay: 14, share: 1 },
          { byDay: 30, plus: 1 },
        ],
        silentByDay: 21,
      }),
    ],
    steps: [
      {
        id: 'step-1',
        title: 'Colour card, 1 to 6',
        act: 'count',
        measure: 'colour',
        each: 'coral',
        due: { day: 0, every: 7, until: 60 },
        how: 'Light 40 % down or shaded, one place, no handling, a little food twice a week. From day 7 on light 10 % more a week.',
      },
    ],
    rules: [
      stop(1, 'Is tissue lost?', 'tissue is lost', 'look for the cause'),
      escalate(1, byDay(21, { left: { measure: 'colour' }, op: '<', right: { measure: 'colour', at: 'start' } }), 'paler by day 21', 'feed it, and look again'),
      success({ left: { measure: 'colour' }, op: '>=', right: { measure: 'colour', at: 'start', plus: 1 } }, 'a step up within thirty days'),
    ],
    restore: ['light'],
  }),
  planOf({
    id: 'coral-relocate',
    name: 'another place for a coral',
    treats: ['flow-damage', 'sting-damage', 'zoa-nudi', 'leather-shed'],
    water: 'marine',
    days: 21,
    lead: 'edge-mm',
    tracks: [EDGE],
    steps: [
      {
        id: 'step-1',
        title: 'Move it out of reach, 10–25 cm, or turn the jet; mark the line',
        act: 'tick',
        page: 'corals',
        due: { day: 0 },
        how: 'Mark which way it faced. Look at night by torch.',
      },
      edge('step-1-count', { day: 2, every: 3, until: 14 }),
    ],
    rules: [
      stop(1, 'Is more lost?', 'more is lost', 'another spot'),
      escalate(1, 'Was it moved more than three times?', 'more than three moves', 'look for the cause'),
      success('Is the edge sealed?', 'the edge sealed'),
    ],
  }),
]
