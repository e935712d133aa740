import { UNIVERSAL_STOP } from './plan-parts.ts'
import type { Definition } from './definition.ts'

const OPEN_WATER = 'Goggles and gloves: peroxide burns eyes and skin. Unplug what stands in the water before hands go in.'

/** Plans for outbreaks that the engine runs: outbreaks.md 5.1–5.3 with further-schools.md 4. */
export const PLAN_COURSES: readonly Definition[] = [
  {
    id: 'peroxide-spot',
    kind: 'plan',
    name: 'peroxide on spots',
    treats: ['staghorn-algae', 'gha-marine', 'black-beard-algae', 'hair-algae-fresh'],
    roles: [{ role: 'main', label: 'Tank', must: true }],
    drugs: [],
    products: [{ dose: 'peroxide-spot', ingredient: 'peroxide', label: 'Peroxide' }],
    options: [
      {
        id: 'tier',
        label: 'Who is in the water',
        choices: [
          { id: 'animals-in', label: 'animals stay in' },
          {
            id: 'changed',
            label: 'fish alone, then a change',
          },
        ],
      },
    ],
    days: 14,
    ends: 'plan',
    lead: 'stage',
    tracks: [
      {
        id: 'stage',
        kind: 'series',
        name: 'stage of each patch',
        measure: 'patch-stage',
        // outbreaks.md 7, algae-peroxide: stage 2 by day 2–4, 4 by 7–10, 5 by 14; no response by day 5.
        expected: [
          { byDay: 4, value: 2 },
          { byDay: 10, value: 4 },
          { byDay: 14, value: 5 },
        ],
        silentByDay: 5,
      },
    ],
    steps: [
      {
        id: 'step-1',
        title: 'Number and photograph the patches; choose one to leave untreated',
        act: 'tick',
        due: { day: -1 },
        how: 'The net volume and who is in the water set the cap of a session.',
      },
      {
        id: 'step-2',
        title: 'Syringe peroxide on the patches',
        act: 'dose',
        due: { day: 0, every: 1, until: 14, alternateWith: 'shrimp' },
        amount: 'session-cap',
        how: 'Pumps, filter and auto top-off off. Tip 1–3 mm from the alga, slowly. Still for 15–20 min. Flow on, wait for the level, then auto top-off. Look at the animals after 1 h.',
        caution: OPEN_WATER,
      },
      {
        id: 'step-2-change',
        title: 'Siphon what lifted and change water at once',
        act: 'change',
        due: { by: 'tier-change' },
        how: 'What is left is brought under 0.79 mg/L by the sum; decay is not counted on.',
        caution: OPEN_WATER,
      },
      {
        id: 'step-3',
        title: 'Score each patch',
        act: 'count',
        measure: 'patch-stage',
        due: { day: 1, every: 1, until: 14 },
        how: 'The same lamp, the same eye: 0 living colour, 1 dull or bubbling, 2 pink, red or lighter, 3 half pale, 4 white, 5 detached.',
      },
      {
        id: 'step-4',
        title: 'Siphon what is loose, change a quarter of the water',
        act: 'change',
        due: { day: 14 },
        amount: 'change-share',
        share: 0.25,
        how: 'Treat the control patch too if the result is clear, and mend the cause.',
      },
      { id: 'close', title: 'Finish the plan', act: 'close', due: { by: 'close-plan' } },
    ],
    rules: [
      UNIVERSAL_STOP,
      { id: 'stop-1', role: 'stop', when: { asks: 'Is a shrimp lying on its side?' }, says: 'a shrimp lies', then: 'change half of the water' },
      { id: 'stop-2', role: 'stop', when: { asks: 'Do leaves melt?' }, says: 'leaves melt', then: 'change half of the water' },
      {
        id: 'stop-3',
        role: 'stop',
        when: { asks: 'Has a coral been shut for over 24 h?' },
        says: 'a coral is shut for over 24 h',
        then: 'change half of the water',
      },
      {
        id: 'escalate-1',
        role: 'escalate',
        when: {
          all: [
            { left: { rounds: 'step-2' }, op: '>=', right: 3 },
            { left: { series: 'stage', arm: 'treated', of: 'most' }, op: '<=', right: 0 },
          ],
        },
        says: 'still stage 0 after three sessions',
        then: 'identify it anew',
      },
      {
        id: 'success',
        role: 'success',
        when: {
          all: [
            { left: { series: 'stage', arm: 'treated', of: 'least' }, op: '>=', right: 4 },
            {
              left: { series: 'stage', arm: 'control', of: 'most' },
              op: '<',
              right: { series: 'stage', arm: 'treated', of: 'least' },
            },
          ],
        },
        says: 'all treated patches at stage 4 or over, the control lower',
      },
    ],
    handling: 0,
    restore: ['flow', 'filter', 'auto-top-off'],
  },
]
