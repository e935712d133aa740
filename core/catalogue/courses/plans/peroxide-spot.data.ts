import type { Definition } from '../definition.ts'
import { ALL_WHITE, OPEN_WATER, PATCH_STAGE, STAGES, TIER_OPTION, UNIVERSAL_STOP } from '../plan-parts.ts'

/** Peroxide on spots: outbreaks.md 5.1–5.3 with further-schools.md 4. */
export const PEROXIDE_SPOT: readonly Definition[] = [
  {
    id: 'peroxide-spot',
    isTreatment: true,
    kind: 'plan',
    name: 'peroxide on spots',
    treats: ['staghorn-algae', 'gha-marine', 'black-beard-algae', 'hair-algae-fresh'],
    water: 'any',
    roles: [{ role: 'main', label: 'Tank', must: true }],
    drugs: [],
    products: [{ dose: 'peroxide-spot', ingredient: 'peroxide', label: 'Peroxide' }],
    options: [TIER_OPTION],
    days: 14,
    ends: 'plan',
    lead: 'stage',
    tracks: [PATCH_STAGE],
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
        how: STAGES,
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
        then: 'identify it again',
      },
      {
        id: 'success',
        role: 'success',
        when: ALL_WHITE,
        says: 'all treated patches at stage 4 or over, the control lower',
      },
    ],
    handling: 0,
    restore: ['flow', 'filter', 'auto-top-off'],
  },
]
