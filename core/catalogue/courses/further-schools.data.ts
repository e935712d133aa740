import type { Definition, Rule, Step, Track } from './definition.ts'
import {
  ammonia,
  ammoniaLow,
  close,
  DEWORM_AFTER,
  dewormings,
  dewormProduct,
  dewormRules,
  dewormStep,
  EATING,
  join,
  look,
  MISSED_REDOSE,
  NO_SIGNS_AT_THE_END,
  setBack,
  watch,
} from './school-parts.ts'

/** Hyposalinity as specific gravity: the dose row's range, and what breaks the count, quarantine.md 5.2 and 7.4. */
const LOW_SALT = { low: 1.008, target: 1.009, high: 1.01 } as const

const salinityEvents: readonly Rule[] = [
  { id: 'salinity-high', role: 'event', when: { judged: 'salinity-high' }, says: 'the specific gravity is over 1.010' },
  { id: 'salinity-low', role: 'event', when: { judged: 'salinity-low' }, says: 'the specific gravity is under 1.008' },
  { id: 'level-unknown', role: 'event', when: { judged: 'level-unknown' }, says: 'too long without a reading' },
]

const lowSalt = (part: Pick<Definition, 'id' | 'name' | 'treats' | 'days'>): Definition => ({
  ...part,
  kind: 'school',
  roles: [{ role: 'main', label: 'Tank', must: true }],
  drugs: [],
  products: [dewormProduct],
  options: [DEWORM_AFTER],
  ends: 'raise',
  lead: 'held',
  tracks: [
    { id: 'held', kind: 'hold', by: 'salinity', name: 'low salinity', days: part.days, ...LOW_SALT },
    watch,
    ...dewormings.filter(({ only }) => only?.is.includes('after')),
  ],
  steps: [
    {
      id: 'lower',
      title: 'Swap for fresh water',
      act: 'change',
      due: { by: 'lower-salinity' },
      needs: ['ph'],
      how: 'Fresh water of the same temperature, with its alkalinity made up, in slowly. Read again before the next step.',
      caution: 'Never with copper in the water, and no invertebrate lives through it. Stop where a fish lies or gasps.',
    },
    join,
    {
      id: 'read',
      title: 'Read the salinity',
      act: 'read',
      due: { by: 'read-salinity' },
      how: 'Fill up what evaporated with fresh water first: over 1.010 the days start over. A refractometer checked in a 35 g/kg standard.',
    },
    ammonia,
    dewormStep,
    look,
    {
      id: 'raise',
      title: 'Swap for salt water',
      act: 'change',
      due: { by: 'raise-salinity' },
      needs: ['held'],
      how: 'At most 0.002 a day, over eight days or more.',
    },
    close,
  ],
  rules: [
    { id: 'ph', role: 'gate', when: { left: { parameter: 'ph' }, op: '>=', right: 7.8 }, says: 'pH 7.8 or over' },
    EATING,
    ammoniaLow,
    { id: 'held', role: 'hard', when: { track: 'held', is: 'full' }, says: 'low on end for all the days' },
    { id: 'deworm-spacing', role: 'event', when: { judged: 'deworm-spacing' }, says: dewormRules[1]!.says, only: { option: 'deworm', is: ['after'] } },
    NO_SIGNS_AT_THE_END,
    ...salinityEvents,
    ...setBack,
  ],
  handling: 0,
  restore: ['auto-top-off', 'skimmer'],
})

const METRONIDAZOLE_CAUTION =
  'Gloves and mask: suspected to cause cancer. Often on prescription; a licensed veterinarian and the label decide. Never for fish that may be eaten.'

/** Metronidazole with the food: it reaches what sits in the flesh, quarantine.md 5.3. */
const SOAK_HOW =
  'Bind it to the food with unflavoured gelatin or agar; mix fresh, keep cold, throw away after seven days. Only for fish that eat; it tastes bitter.'

const METRONIDAZOLE_DOSE: Step = {
  id: 'dose',
  title: 'Metronidazole in the water',
  act: 'dose',
  due: { by: 'doses' },
  track: 'doses',
  how: 'Change a quarter of the water before each, and redose what runs beside it; carbon, UV and skimmer off; extra air.',
  caution: METRONIDAZOLE_CAUTION,
}
const METRONIDAZOLE_MEAL: Step = {
  id: 'feed',
  title: 'Feed metronidazole with the food',
  act: 'feed',
  due: { by: 'doses' },
  track: 'food',
  needs: ['eating'],
  how: SOAK_HOW,
  caution: METRONIDAZOLE_CAUTION,
}

const uronemaTracks: readonly Track[] = [
  {
    id: 'baths',
    kind: 'rounds',
    of: 'dose',
    name: 'formalin bath',
    dose: 'formalin-bath',
    need: 1,
    apart: [[48, 60, 72]],
    first: { after: 'start', hours: [0, 0, 12] },
    missed: 'extend',
  },
  {
    id: 'doses',
    kind: 'rounds',
    of: 'dose',
    name: 'metronidazole in the water',
    dose: 'metronidazole-uronema',
    need: 10,
    apart: [[18, 24, 36]],
    first: { after: 'start', hours: [0, 0, 24] },
    missed: 'extend',
  },
  {
    id: 'food',
    kind: 'rounds',
    of: 'dose',
    name: 'metronidazole in the food',
    dose: 'metronidazole-food',
    need: 10,
    apart: [[12, 24, 36]],
    first: { after: 'start', hours: [0, 12, 36] },
    missed: 'extend',
  },
]

const FORMALIN_BATH: Step = {
  id: 'bath',
  title: 'Formalin bath, then into the tank',
  act: 'bath',
  due: { by: 'doses' },
  track: 'baths',
  needs: ['oxygen'],
  how: 'In a bucket of its own, strong air, 45 to 60 minutes, beside it all the time; under 27 °C. Out at once when a fish lies over. Test ammonia before: formalin spoils the test.',
  caution:
    'Formalin gives off a poisonous vapour and is known to cause cancer: outdoors or in a strong draught, nitrile gloves, goggles. Never near permanganate or bleach. Throw away what has a white deposit; spills and bath water with much water, as local rules allow.',
}
const OXYGEN: Rule = {
  id: 'oxygen',
  role: 'gate',
  when: { any: [{ left: { parameter: 'oxygen' }, op: '>', right: 6 }, { asks: 'strong air stands ready' }] },
  says: 'oxygen over 6 mg/L, or strong air by the keeper’s word',
}

/** Schools of quarantine.md 7.1 without a drug held in its range, and those of further-schools.md 1. */
export const FURTHER_SCHOOLS: readonly Definition[] = [
  lowSalt({
    id: 'qt-d-hypo',
    name: 'low salinity, thirty days',
    treats: ['marine-ich', 'skin-flukes'],
    days: 30,
  }),
  lowSalt({
    id: 'qt-d-fluke',
    name: 'low salinity against flukes, seven days',
    treats: ['skin-flukes'],
    days: 7,
  }),
  {
    id: 'qt-e-uronema',
    kind: 'school',
    name: 'against uronema: formalin bath, metronidazole ten days',
    treats: ['uronema', 'brooklynella'],
    roles: [
      { role: 'main', label: 'Tank', must: true },
      { role: 'tub', label: 'Tub for the bath', must: false },
    ],
    drugs: [],
    products: [
      { dose: 'formalin-bath', ingredient: 'formalin', label: 'Formalin for the bath' },
      { dose: 'metronidazole-uronema', ingredient: 'metronidazole', label: 'Metronidazole' },
      { dose: 'metronidazole-food', ingredient: 'metronidazole', label: 'Metronidazole for the food' },
    ],
    options: [],
    days: 10,
    ends: 'doses',
    goesOn: ['qt-b-drug14', 'qt-a-cu30', 'qt-a-cq30', 'qt-c-ttm', 'qt-c-hybrid'],
    lead: 'doses',
    tracks: uronemaTracks,
    steps: [
      FORMALIN_BATH,
      join,
      METRONIDAZOLE_DOSE,
      METRONIDAZOLE_MEAL,
      ammonia,
      look,
      { id: 'close', title: 'Finish, and go on with a school', act: 'close', due: { by: 'close-doses' } },
    ],
    rules: [
      OXYGEN,
      EATING,
      ammoniaLow,
      MISSED_REDOSE,
      {
        id: 'red-sore',
        role: 'escalate',
        when: { sign: ['red-sore-flank', 'open-ulcer'], withinHours: 48 },
        says: 'a red sore: the ciliate is in the flesh',
        then: 'two ways, both open, and a veterinarian for either: go on treating, or a painless end, since few recover and it spreads',
      },
      ...setBack,
    ],
    handling: 3,
    restore: ['carbon', 'uv', 'skimmer'],
  },
  {
    id: 'qt-f-observe',
    kind: 'school',
    name: 'observe, treat on sign',
    treats: [],
    roles: [{ role: 'main', label: 'Tank', must: true }],
    drugs: [],
    products: [dewormProduct],
    options: [
      {
        id: 'sentinels',
        label: 'Sentinels',
        choices: [
          { id: 'none', label: 'none' },
          {
            id: 'mollies',
            label: 'two to four mollies',
          },
        ],
      },
      { ...DEWORM_AFTER, choices: [DEWORM_AFTER.choices[1]!, { ...DEWORM_AFTER.choices[0]!, label: 'during it' }] },
    ],
    days: 30,
    ends: 'watch',
    lead: 'watch',
    tracks: [
      { id: 'watch', kind: 'hold', by: 'no-signs', name: 'observation', days: 30, preferredDays: 45 },
      ...dewormings.filter(({ only }) => only?.is.includes('after')),
    ],
    steps: [join, ammonia, dewormStep, look, close],
    rules: [ammoniaLow, ...dewormRules, NO_SIGNS_AT_THE_END, ...setBack],
    handling: 0,
    restore: [],
  },
  {
    id: 'qt-g-none',
    kind: 'school',
    name: 'no quarantine, watched',
    treats: [],
    roles: [{ role: 'main', label: 'Tank', must: true }],
    drugs: [],
    products: [],
    options: [],
    days: 30,
    ends: 'watch',
    lead: 'watch',
    tracks: [{ id: 'watch', kind: 'hold', by: 'no-signs', name: 'watch', days: 30, preferredDays: 45 }],
    steps: [look, close],
    rules: [NO_SIGNS_AT_THE_END, ...setBack],
    handling: 0,
    restore: [],
  },
  {
    id: 'qt-freshwater',
    kind: 'school',
    name: 'freshwater quarantine',
    treats: [],
    water: 'freshwater',
    roles: [{ role: 'main', label: 'Tank', must: true }],
    drugs: [],
    products: [
      {
        dose: 'praziquantel-tank',
        ingredient: 'praziquantel',
        label: 'Praziquantel',
        only: { option: 'worms', is: ['flukes', 'both'] },
      },
      {
        dose: 'levamisole-bath',
        ingredient: 'levamisole',
        label: 'Levamisole',
        only: { option: 'worms', is: ['both'] },
      },
    ],
    options: [
      {
        id: 'worms',
        label: 'Worms',
        choices: [
          { id: 'on-sign', label: 'on sign alone' },
          { id: 'flukes', label: 'praziquantel twice' },
          { id: 'both', label: 'praziquantel twice, levamisole twice' },
        ],
      },
    ],
    days: 28,
    ends: 'watch',
    lead: 'watch',
    tracks: [
      {
        id: 'dewormings',
        kind: 'rounds',
        of: 'dose',
        name: 'dewormings',
        dose: 'praziquantel-tank',
        need: 2,
        apart: [[120, 168, 216]],
        first: { after: 'start', hours: [144, 168, 240] },
        missed: 'redo',
        only: { option: 'worms', is: ['flukes', 'both'] },
      },
      {
        id: 'gut-worms',
        kind: 'rounds',
        of: 'dose',
        name: 'levamisole baths',
        dose: 'levamisole-bath',
        need: 2,
        apart: [[336, 336, 504]],
        first: { after: { full: 'dewormings' }, hours: [48, 72, 168] },
        missed: 'redo',
        only: { option: 'worms', is: ['both'] },
      },
      { id: 'watch', kind: 'hold', by: 'no-signs', name: 'observation', days: 28, preferredDays: 42, afterSignDays: 14 },
    ],
    steps: [
      join,
      ammonia,
      { ...dewormStep, only: { option: 'worms', is: ['flukes', 'both'] } },
      {
        id: 'gut-worms',
        title: 'Levamisole bath',
        act: 'bath',
        due: { by: 'doses' },
        track: 'gut-worms',
        needs: ['eating'],
        only: { option: 'worms', is: ['both'] },
        how: 'A day and a night in water of its own, dark, with air; then clean the floor of what came out.',
        caution: 'Poisonous if swallowed: gloves. On prescription in many places. No shrimp, snail or crab in it.',
      },
      look,
      close,
    ],
    rules: [
      ammoniaLow,
      { ...EATING, only: { option: 'worms', is: ['flukes', 'both'] } },
      { ...dewormRules[1]!, only: { option: 'worms', is: ['flukes', 'both'] } },
      NO_SIGNS_AT_THE_END,
      ...setBack,
    ],
    handling: 0,
    restore: [],
  },
]

/** Shared with the add-ons. */
export const ADD_ON_PARTS = { FORMALIN_BATH, OXYGEN, METRONIDAZOLE_DOSE, METRONIDAZOLE_MEAL, SOAK_HOW }
