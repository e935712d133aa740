import type { Definition } from './definition.ts'
import { UNIVERSAL_STOP } from './plan-parts.ts'

/** Nothing is done to a tired fish but good water: further-schools.md 1 and 10, rest. */
export const REST_COURSES: readonly Definition[] = [
  {
    id: 'rest',
    kind: 'plan',
    name: 'rest',
    treats: [],
    roles: [{ role: 'main', label: 'Tank', must: true }],
    drugs: [],
    products: [],
    options: [],
    days: 14,
    ends: 'plan',
    lead: 'days',
    tracks: [{ id: 'days', kind: 'hold', by: 'elapsed', name: 'days of rest', days: 14 }],
    steps: [
      {
        id: 'look',
        title: 'Look: appetite, breathing, faeces',
        act: 'look',
        due: { by: 'look-twice' },
        how: 'From two metres away first, then at the meal. No net, no hand, no light that was not there.',
      },
      {
        id: 'step-1-change',
        title: 'Change a little water',
        act: 'change',
        due: { day: 3, every: 3.5, until: 14 },
        amount: 'change-share',
        share: 0.15,
        how: 'Twice a week at most, no more than 15 %, matched, in slowly and without a hand near the fish.',
      },
      { id: 'close', title: 'Finish the rest', act: 'close', due: { by: 'close-plan' } },
    ],
    rules: [
      UNIVERSAL_STOP,
      {
        id: 'stop-1',
        role: 'stop',
        when: { judged: 'sign-seen' },
        says: 'a sign of disease is seen',
        then: 'the school that fits it',
      },
      {
        id: 'escalate-1',
        role: 'escalate',
        when: { judged: 'not-better' },
        says: 'no better at day 7',
        then: 'a veterinarian',
      },
      { id: 'success', role: 'success', when: { judged: 'eats-all' }, says: 'eats all on three days running' },
    ],
    handling: 0,
    restore: [],
    water: 'any',
  },
]
