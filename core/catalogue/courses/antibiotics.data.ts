import { addOn, CLOSE_ADD_ON, doseSeries } from './add-on-parts.ts'
import type { Definition, Only, Option, Rule, Step } from './definition.ts'
import { ammonia, ammoniaLow, EATING, MISSED_REDOSE, RESISTANCE } from './school-parts.ts'

/** Of the water in a tank-dosed antibiotic that is changed before each dose, and at its end: quarantine.md 5.2, 6. */
const CHANGE_SHARE = 0.25

const LESION: Step = {
  id: 'lesion',
  title: 'Look at the sore: worse, the same, better',
  act: 'look',
  due: { by: 'lesion-looks' },
  how: 'From outside, with a ruler held against the glass: how wide it is, and whether the edge is red or white. No net, no hand.',
}
const CLOSE: Step = { ...CLOSE_ADD_ON, due: { by: 'close-antibiotic' } }

const VET: Rule = {
  id: 'vet',
  role: 'gate',
  when: { asks: 'a veterinarian has named this drug for these fish' },
  says: 'a veterinarian has named this drug for these fish',
}
const WORSE: Rule = {
  id: 'lesion-worse',
  role: 'escalate',
  when: { judged: 'lesion-worse' },
  says: 'the sore was worse on three looks in a row',
  then: 'take the page for the veterinarian to them: a culture, another drug, or a painless end. No second antibiotic without them',
}

const FRESH_BATH =
  'In a tub of its own, with water of the same temperature and salinity and strong air. Fresh for each bath, and thrown away after it. Out at once when a fish lies over.'

const BATH_ROLES: Definition['roles'] = [
  { role: 'main', label: 'Tank', must: true },
  { role: 'tub', label: 'Tub for the bath', must: false },
]

const bath = (part: Pick<Step, 'title' | 'caution'> & { how?: string; only?: Only }): Step => ({
  id: 'bath',
  act: 'bath',
  due: { by: 'doses' },
  track: 'doses',
  needs: ['vet'],
  ...part,
  how: [FRESH_BATH, part.how].filter(Boolean).join(' '),
})

const PACE: Option = {
  id: 'pace',
  label: 'How often',
  choices: [
    { id: 'every-48', label: 'every 48 h, four baths' },
    { id: 'every-24', label: 'every 24 h, five baths' },
  ],
}
const EVERY_48: Only = { option: 'pace', is: ['every-48'] }
const EVERY_24: Only = { option: 'pace', is: ['every-24'] }
const FOOD: Only = { option: 'way', is: ['food'] }
const BATHS_48: Only = { option: 'way', is: ['bath-48'] }
const BATHS_24: Only = { option: 'way', is: ['bath-24'] }
const BATHS: Only = { option: 'way', is: ['bath-48', 'bath-24'] }

/**
 * Antibiotics by the rows of quarantine.md 5.2: kanamycin in the tank's water, the others as baths, enrofloxacin with the food first. All wait for
 * a veterinarian's word, test ammonia daily and look at the sore daily.
 */
export const ANTIBIOTICS: readonly Definition[] = [
  addOn({
    id: 'qt-add-kanamycin',
    name: 'kanamycin, a veterinarian’s choice',
    treats: ['bacterial-external', 'bacterial-internal', 'columnaris', 'fw-fin-rot', 'dropsy'],
    products: [{ dose: 'kanamycin-tank', ingredient: 'kanamycin', label: 'Kanamycin' }],
    days: 10,
    lead: 'doses',
    tracks: [doseSeries('doses', 'kanamycin in the water', 'kanamycin-tank', 5, [42, 48, 60])],
    steps: [
      {
        id: 'change',
        title: 'Change a quarter of the water',
        act: 'change',
        due: { by: 'change-before-dose' },
        track: 'doses',
        share: CHANGE_SHARE,
        how: 'Then the next dose goes in, for all of the water.',
      },
      {
        id: 'dose',
        title: 'Kanamycin in the water',
        act: 'dose',
        due: { by: 'doses' },
        track: 'doses',
        needs: ['vet'],
        how: 'The filter may stall: ammonia is tested daily. “A double dose for half an hour” is refused here: a stronger short bath is the veterinarian’s decision.',
        caution: `Gloves; mind allergies. ${RESISTANCE}`,
      },
      ammonia,
      LESION,
      {
        id: 'clear',
        title: 'Take the kanamycin out',
        act: 'switch',
        due: { by: 'clear-doses' },
        track: 'doses',
        share: CHANGE_SHARE,
      },
      CLOSE,
    ],
    rules: [VET, ammoniaLow, MISSED_REDOSE, WORSE],
    restore: ['carbon', 'uv', 'skimmer'],
    water: 'any',
  }),
  addOn({
    id: 'qt-add-nitrofurazone',
    name: 'nitrofurazone baths, a veterinarian’s choice',
    treats: ['bacterial-external', 'columnaris', 'fw-fin-rot'],
    roles: BATH_ROLES,
    products: [{ dose: 'nitrofurazone-bath', ingredient: 'nitrofurazone', label: 'Nitrofurazone' }],
    days: 5,
    lead: 'doses',
    tracks: [doseSeries('doses', 'nitrofurazone baths', 'nitrofurazone-bath', 5, [18, 24, 36])],
    steps: [
      bath({
        title: 'Nitrofurazone bath, half an hour',
        how: 'In the dark: light breaks it down.',
        caution: `Suspected to cause cancer: gloves and mask, no dust; not in pregnancy. ${RESISTANCE}`,
      }),
      ammonia,
      LESION,
      CLOSE,
    ],
    rules: [VET, ammoniaLow, MISSED_REDOSE, WORSE],
    handling: 3,
    water: 'any',
  }),
  addOn({
    id: 'qt-add-enrofloxacin',
    name: 'enrofloxacin, a veterinarian’s choice',
    treats: ['bacterial-internal', 'bacterial-external'],
    roles: [BATH_ROLES[0]!, { ...BATH_ROLES[1]!, label: 'Tub, for baths' }],
    products: [
      { dose: 'enrofloxacin-food', ingredient: 'enrofloxacin', label: 'Enrofloxacin for the food', only: FOOD },
      { dose: 'enrofloxacin-bath', ingredient: 'enrofloxacin', label: 'Enrofloxacin for the bath', only: BATHS },
    ],
    options: [
      {
        id: 'way',
        label: 'How it is given',
        choices: [
          { id: 'food', label: 'with the food, seven days' },
          { id: 'bath-48', label: 'baths of five hours every 48 h, four' },
          { id: 'bath-24', label: 'baths of five hours every 24 h, five' },
        ],
      },
    ],
    days: 7,
    lead: 'doses',
    tracks: [
      doseSeries('doses', 'enrofloxacin with the food', 'enrofloxacin-food', 7, [12, 24, 36], { only: FOOD }),
      doseSeries('doses', 'enrofloxacin baths', 'enrofloxacin-bath', 4, [42, 48, 60], { only: BATHS_48 }),
      doseSeries('doses', 'enrofloxacin baths', 'enrofloxacin-bath', 5, [18, 24, 36], { only: BATHS_24 }),
    ],
    steps: [
      {
        id: 'feed',
        title: 'Feed enrofloxacin with the food',
        act: 'feed',
        due: { by: 'doses' },
        track: 'doses',
        needs: ['vet', 'eating'],
        only: FOOD,
        how: 'Bind it to the food with unflavoured gelatin or agar; mix fresh, keep cold, throw away after seven days. Only for fish that eat: one that does not gets none of it.',
        caution: `Gloves, no food for people nearby. Never for fish that may be eaten. ${RESISTANCE}`,
      },
      bath({
        title: 'Enrofloxacin bath, five hours',
        only: BATHS,
        how: 'Calcium and magnesium bind it: in sea water or hard water it goes with the food first.',
        caution: `Gloves. ${RESISTANCE}`,
      }),
      ammonia,
      LESION,
      CLOSE,
    ],
    rules: [VET, { ...EATING, only: FOOD }, ammoniaLow, MISSED_REDOSE, WORSE],
    handling: 3,
    water: 'any',
  }),
  addOn({
    id: 'qt-add-ciprofloxacin',
    name: 'ciprofloxacin baths, a veterinarian’s choice',
    treats: ['bacterial-external'],
    roles: BATH_ROLES,
    products: [{ dose: 'ciprofloxacin-bath', ingredient: 'ciprofloxacin', label: 'Ciprofloxacin' }],
    options: [PACE],
    days: 7,
    lead: 'doses',
    tracks: [
      doseSeries('doses', 'ciprofloxacin baths', 'ciprofloxacin-bath', 4, [42, 48, 60], { only: EVERY_48 }),
      doseSeries('doses', 'ciprofloxacin baths', 'ciprofloxacin-bath', 5, [18, 24, 36], { only: EVERY_24 }),
    ],
    steps: [
      bath({
        title: 'Ciprofloxacin bath, one to two hours',
        how: 'Calcium and magnesium bind it: in sea water or hard water another of its kind, enrofloxacin, goes with the food first.',
        caution: `Gloves; people depend on this drug. ${RESISTANCE}`,
      }),
      ammonia,
      LESION,
      CLOSE,
    ],
    rules: [VET, ammoniaLow, MISSED_REDOSE, WORSE],
    handling: 3,
    water: 'any',
  }),
]
