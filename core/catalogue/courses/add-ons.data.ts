import { addOn, CLOSE_ADD_ON as close, doseSeries as series } from './add-on-parts.ts'
import type { Definition, Only } from './definition.ts'
import { ADD_ON_PARTS } from './further-schools.data.ts'
import {
  DEWORM_SPACING,
  DEWORM_STEP,
  DEWORMINGS_ALONE,
  EATING,
  MISSED_REDOSE,
} from './school-parts.ts'

const { FORMALIN_BATH, OXYGEN, METRONIDAZOLE_DOSE, METRONIDAZOLE_MEAL, SOAK_HOW } = ADD_ON_PARTS

const EVERY_48: Only = { option: 'pace', is: ['every-48'] }
const EVERY_24: Only = { option: 'pace', is: ['every-24'] }
const GUT: Only = { option: 'gut', is: ['food'] }

/** Doses that go beside a school: quarantine.md 7.2 and 5.2, further-schools.md 1. */
export const ADD_ONS: readonly Definition[] = [
  addOn({
    id: 'qt-add-worm',
    name: 'two dewormings',
    treats: ['skin-flukes', 'gill-flukes', 'black-spot-worm'],
    products: [
      { dose: 'praziquantel-tank', ingredient: 'praziquantel', label: 'Praziquantel' },
      { dose: 'fenbendazole-food', ingredient: 'fenbendazole', label: 'Fenbendazole for the food', only: GUT },
    ],
    options: [
      {
        id: 'gut',
        label: 'Gut worms',
        choices: [
          { id: 'none', label: 'none' },
          { id: 'food', label: 'fenbendazole with the food' },
        ],
      },
    ],
    days: 8,
    lead: 'dewormings',
    tracks: [
      DEWORMINGS_ALONE,
      {
        id: 'gut-worms',
        kind: 'rounds',
        of: 'dose',
        name: 'fenbendazole with the food',
        dose: 'fenbendazole-food',
        need: 6,
        apart: [
          [12, 24, 36],
          [12, 24, 36],
          [336, 408, 504],
          [12, 24, 36],
        ],
        first: { after: { full: 'dewormings' }, hours: [144, 168, 240] },
        missed: 'extend',
        only: GUT,
      },
    ],
    steps: [
      DEWORM_STEP,
      {
        id: 'feed',
        title: 'Feed fenbendazole with the food',
        act: 'feed',
        due: { by: 'doses' },
        track: 'gut-worms',
        only: GUT,
        needs: ['eating'],
        how: SOAK_HOW,
        caution:
          'Gloves; not in pregnancy. Snails and crabs die of it and rock holds it for weeks: only in a bare tank. Off-label: a veterinarian decides.',
      },
      close,
    ],
    rules: [EATING, DEWORM_SPACING, { ...MISSED_REDOSE, only: GUT }],
    water: 'any',
  }),
  addOn({
    id: 'qt-add-metro',
    name: 'metronidazole in the same water',
    treats: ['uronema'],
    products: [
      { dose: 'metronidazole-prophylactic', ingredient: 'metronidazole', label: 'Metronidazole', only: EVERY_48 },
      { dose: 'metronidazole-uronema', ingredient: 'metronidazole', label: 'Metronidazole', only: EVERY_24 },
      { dose: 'metronidazole-food', ingredient: 'metronidazole', label: 'Metronidazole for the food', only: { option: 'food', is: ['soaked'] } },
    ],
    options: [
      {
        id: 'pace',
        label: 'How often',
        choices: [
          { id: 'every-48', label: 'every 48 h, five doses' },
          { id: 'every-24', label: 'every 24 h, ten doses' },
        ],
      },
      {
        id: 'food',
        label: 'With the food too',
        choices: [
          { id: 'plain', label: 'no' },
          { id: 'soaked', label: 'yes, ten days' },
        ],
      },
    ],
    days: 10,
    lead: 'doses',
    tracks: [
      series('doses', 'metronidazole in the water', 'metronidazole-prophylactic', 5, [36, 48, 60], { only: EVERY_48 }),
      series('doses', 'metronidazole in the water', 'metronidazole-uronema', 10, [18, 24, 36], { only: EVERY_24 }),
      series('food', 'metronidazole in the food', 'metronidazole-food', 10, [12, 24, 36], {
        only: { option: 'food', is: ['soaked'] },
      }),
    ],
    steps: [
      METRONIDAZOLE_DOSE,
      { ...METRONIDAZOLE_MEAL, only: { option: 'food', is: ['soaked'] } },
      close,
    ],
    rules: [{ ...EATING, only: { option: 'food', is: ['soaked'] } }, MISSED_REDOSE],
    water: 'any',
  }),
  addOn({
    id: 'qt-add-formalin',
    name: 'formalin bath before entry',
    treats: ['brooklynella', 'uronema'],
    products: [{ dose: 'formalin-bath', ingredient: 'formalin', label: 'Formalin' }],
    roles: [
      { role: 'main', label: 'Tank', must: true },
      { role: 'tub', label: 'Tub for the bath', must: false },
    ],
    days: 1,
    lead: 'baths',
    tracks: [series('baths', 'formalin bath', 'formalin-bath', 1, [48, 60, 72], { first: { after: 'start', hours: [0, 0, 12] } })],
    steps: [FORMALIN_BATH, close],
    rules: [OXYGEN],
    handling: 3,
    water: 'any',
  }),
  addOn({
    id: 'qt-add-soak',
    name: 'medicine with the food',
    treats: ['intestinal-worms', 'hexamita'],
    products: [
      { dose: 'metronidazole-food', ingredient: 'metronidazole', label: 'Metronidazole', only: { option: 'soak', is: ['metronidazole'] } },
      { dose: 'praziquantel-food', ingredient: 'praziquantel', label: 'Praziquantel', only: { option: 'soak', is: ['praziquantel'] } },
      { dose: 'fenbendazole-food', ingredient: 'fenbendazole', label: 'Fenbendazole', only: { option: 'soak', is: ['fenbendazole'] } },
    ],
    options: [
      {
        id: 'soak',
        label: 'Against',
        choices: [
          { id: 'metronidazole', label: 'flagellates of the gut: metronidazole, ten days' },
          { id: 'praziquantel', label: 'tapeworms: praziquantel, twice a week apart' },
          { id: 'fenbendazole', label: 'roundworms: fenbendazole, three days' },
        ],
      },
    ],
    days: 10,
    lead: 'food',
    tracks: [
      series('food', 'soaked food', 'metronidazole-food', 10, [12, 24, 36], { only: { option: 'soak', is: ['metronidazole'] } }),
      series('food', 'soaked food', 'praziquantel-food', 2, [144, 168, 216], { only: { option: 'soak', is: ['praziquantel'] } }),
      series('food', 'soaked food', 'fenbendazole-food', 3, [12, 24, 36], { only: { option: 'soak', is: ['fenbendazole'] } }),
    ],
    steps: [
      {
        id: 'feed',
        title: 'Feed the soaked food',
        act: 'feed',
        due: { by: 'doses' },
        track: 'food',
        needs: ['eating'],
        how: SOAK_HOW,
        caution: 'Gloves, no food for people nearby. Never for fish that may be eaten. The label and a veterinarian decide.',
      },
      close,
    ],
    rules: [EATING, MISSED_REDOSE],
    water: 'any',
  }),
]
