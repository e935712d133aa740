import type { Definition, Step } from '../definition.ts'
import { byDay, escalate, measured, planOf, stop, success } from '../plan-parts.ts'
import { pestCount } from './pest-steps.ts'

const OFF_LABEL =
  'An off-label drug: label, local law and a licensed aquatic veterinarian decide. Its residue kills snails for weeks to months.'

/** The plan against planaria: outbreaks.md 5.1, 5.2, further-schools.md 6. */
export const PLANARIA_PLANS: readonly Definition[] = [
  planOf({
    id: 'planaria-fenbendazole',
    isTreatment: true,
    name: 'fenbendazole against planaria',
    treats: ['planaria', 'hydra-fresh'],
    water: 'freshwater',
    products: [{ dose: 'fenbendazole', ingredient: 'fenbendazole', label: 'Fenbendazole' }],
    options: [
      {
        id: 'dose',
        label: 'Dose',
        choices: [
          { id: 'low', label: '0.55 mg/L of active' },
          { id: 'high', label: '2.6 mg/L of active' },
        ],
      },
      {
        id: 'redose',
        label: 'Redose after the half change',
        choices: [
          { id: 'replaced', label: 'the replaced half' },
          { id: 'full', label: 'in full' },
        ],
      },
    ],
    days: 28,
    lead: 'alive',
    tracks: [
      measured('alive', 'alive of ten in the jar', '', { of: 'mean', expected: [{ byDay: 3, value: 0 }], silentByDay: 2 }),
      measured('pest-count', 'in the trap', ''),
    ],
    steps: [
      {
        id: 'step-1-out',
        title: 'Shrimp, snails and bare-skinned catfish out; carbon out',
        act: 'tick',
        due: { day: -1 },
        protects: true,
        switches: [{ item: 'carbon', running: false }],
        moves: 'crew-out',
        how: 'Snails and shrimp die of it, and so may what they crawl over later.',
      },
      {
        id: 'step-1',
        title: 'Trap overnight',
        act: 'count',
        measure: 'pest-count',
        due: { day: -1 },
        protects: true,
        how: 'Substrate vacuumed, flow and air up.',
        caution: OFF_LABEL,
      },
      ...(['low', 'high'] as const).map((dose): Step => ({
        id: 'step-2',
        title: 'Fenbendazole, premixed in warm tank water; a jar with ten worms',
        act: 'dose',
        procedure: 'planaria-dose',
        only: { option: 'dose', is: [dose] },
        due: { day: 0 },
        amount: 'to-level',
        mgPerL: dose === 'low' ? 0.55 : 2.6,
        how: 'Ask whether a packet’s figure is the active drug or the powder. Worms curl and lie still for 6–7 h and may revive.',
        caution: OFF_LABEL,
      })),
      {
        id: 'step-3',
        title: 'Half a change, redose, refill the jar',
        act: 'bench',
        procedure: 'planaria-half-change',
        due: { day: 1, every: 1, until: 3 },
        caution: OFF_LABEL,
      },
      {
        id: 'step-3-count',
        title: 'Score the jar: alive of ten',
        act: 'count',
        measure: 'alive',
        due: { day: 1, every: 1, until: 3 },
        how: 'Shaken, warmed in the hand, all sizes; counted only 12 h or more after a dose.',
      },
      {
        id: 'step-4',
        title: 'Once the jar is dead: two half changes, carbon for 48 h, vacuum',
        act: 'tick',
        due: { day: 2 },
        how: 'Usually on day 3: small worms die last.',
      },
      pestCount('step-5', 'Trap in the evening', { day: 10, every: 2, until: 14 }, { how: 'Any hatched: doses and half changes again, cocoons survive the drug.' }),
      pestCount('step-5-last', 'Trap in the evening', { day: 28 }, { how: 'Shrimp back after three large changes; snails only after two trial snails have lived for fourteen days.' }),
    ],
    rules: [
      stop(1, { left: { parameter: 'tan' }, op: '>=', right: 0.25 }, 'ammonia at 0.25 mg/L or over', 'change half of the water'),
      escalate(1, byDay(2, { left: { measure: 'alive' }, op: '>', right: 0 }), 'worms lively at 48 h', 'the volume, the age of the dose, and what it is'),
      success(
        {
          all: [
            { left: { measure: 'alive' }, op: '<=', right: 0 },
            { left: { day: true }, op: '>=', right: 28 },
            { left: { measure: 'pest-count' }, op: '<=', right: 0, onLast: 2, apartHours: 288 },
          ],
        },
        'the jar dead, and nothing in the trap on day 14 and day 28',
      ),
    ],
    restore: ['carbon'],
  }),
]
