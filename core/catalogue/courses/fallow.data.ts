import type { Definition, Only, Option, Rule, Step, Track } from './definition.ts'

/** What sets days without fish back, quarantine.md 7.4 and 7.5. */
export const FISHLESS_EVENTS: readonly Rule[] = [
  { id: 'new-fish', role: 'event', when: { judged: 'new-fish' }, says: 'a fish was in the water' },
  { id: 'cross-contact', role: 'event', when: { judged: 'cross-contact' }, says: 'fish water, a wet tool, a snail or a plug came in' },
  { id: 'new-wet-item', role: 'event', when: { judged: 'new-wet-item' }, says: 'an animal came in that was not quarantined' },
]

/** Warm water that shorter days rest on, and how many days are enough without it: quarantine.md 7.5. */
export interface Warm {
  leastC: number
  elseDays: number
  /** Only for this choice. */
  only?: Only
}

/** How often the water is measured where the days rest on its warmth (EA). */
const MEASURED_EVERY_DAYS = 7

interface Fallow {
  id: string
  days: number
  name: string
  treats: readonly string[]
  warm?: Warm
  water?: Definition['water']
  /** Other lengths to choose from, the first of them the usual one. */
  lengths?: Option
}

/** 45 days, warm; 76 at any temperature: quarantine.md 7.5, fallow-45. */
export const WARM_45: Warm = { leastC: 27, elseDays: 76 }

/** The count of days without fish; `option`: as many as were chosen at the start. */
export const fishlessTrack = (days: number | 'option', warm?: Warm): Track => ({
  id: 'fishless',
  kind: 'hold',
  by: 'no-fish',
  name: 'days without fish',
  days,
  ...(warm && { leastC: warm.leastC, elseDays: warm.elseDays }),
})

/** A choice of how many days, the first the usual one. */
const lengthsOf = (...choices: Option['choices']): Option => ({ id: 'days', label: 'Days without fish', choices })

/** What shows that the water was warm all the days. */
export const warmSteps = (days: number, { leastC, only }: Warm): Step[] => [
  {
    id: 'read-warm',
    title: 'Temperature',
    act: 'read',
    parameters: ['temp'],
    due: { day: 0, every: MEASURED_EVERY_DAYS, until: days },
    how: `The days are this few only at ${leastC} °C and over.`,
    ...(only && { only }),
  },
]
export const warmRules = ({ leastC, only }: Warm): Rule[] => [
  {
    id: 'warm',
    role: 'hard',
    when: { judged: 'kept-warm' },
    says: `at ${leastC} °C and over all the days`,
    ...(only && { only }),
  },
]

function fallow({ id, days, name, treats, warm, water, lengths }: Fallow): Definition {
  return {
    id,
    kind: 'fallow',
    name,
    treats,
    ...(water && { water }),
    roles: [{ role: 'main', label: 'Tank', must: true }],
    drugs: [],
    products: [],
    options: lengths ? [lengths] : [],
    ...(lengths && { daysOption: lengths.id }),
    days,
    ends: 'count',
    lead: 'fishless',
    tracks: [
      fishlessTrack(lengths ? 'option' : days, warm),
    ],
    steps: [
      {
        id: 'feed',
        title: 'Feed the filter bacteria',
        act: 'feed',
        due: { by: 'ghost-feed' },
        how: 'A tiny pinch of food in a reef; without corals ammonium chloride to at most 0.5 mg/L total ammonia.',
      },
      ...(warm ? warmSteps(days, warm) : []),
      {
        id: 'bring-back',
        title: 'Bring fish back',
        act: 'move',
        due: { by: 'bring-back' },
        how: 'Match the water first. Half a meal on the first evening, and nobody else for ten days.',
      },
      { id: 'back-look', title: 'Watch half an hour', act: 'look', due: { by: 'back-looks' } },
      { id: 'ammonia', title: 'Test ammonia', act: 'read', due: { by: 'back-ammonia' } },
      { id: 'close', title: 'Finish the days without fish', act: 'close', due: { by: 'close-back' }, ...(warm && { needs: ['warm'] }) },
    ],
    rules: [
      { id: 'full', role: 'hard', when: { track: 'fishless', is: 'full' }, says: `${days} whole days without fish` },
      ...(warm ? warmRules(warm) : []),
      ...FISHLESS_EVENTS,
    ],
    handling: 0,
    restore: [],
  }
}

/** Displays and tubs without fish: quarantine.md 7.5. Where it names two lengths the longer one is the usual. */
export const FALLOW_COURSES: readonly Definition[] = [
  fallow({ id: 'fallow-76', days: 76, name: '76 days without fish', treats: ['marine-ich', 'marine-velvet'] }),
  fallow({
    id: 'fallow-45',
    days: 45,
    name: '45 days without fish',
    treats: ['marine-ich', 'marine-velvet'],
    warm: WARM_45,
  }),
  fallow({ id: 'fallow-velvet', days: 45, name: '45 days without fish, velvet only', treats: ['marine-velvet'] }),
  fallow({
    id: 'fallow-fluke',
    days: 45,
    name: 'days without fish, flukes and black spot',
    treats: ['skin-flukes', 'gill-flukes', 'black-spot-worm'],
    lengths: lengthsOf({ id: '45', label: '45 days' }, { id: '28', label: '28 days' }),
  }),
  fallow({ id: 'fallow-brook', days: 45, name: '45 days without fish, brooklynella', treats: ['brooklynella'] }),
  fallow({
    id: 'fallow-fw',
    days: 28,
    name: 'days without fish, fresh water',
    treats: ['fw-ich', 'fw-velvet'],
    water: 'freshwater',
    warm: { leastC: 25, elseDays: 28, only: { option: 'days', is: ['14'] } },
    lengths: lengthsOf({ id: '28', label: '28 days' }, { id: '14', label: '14 days, at 25 °C' }),
  }),
]
