import type { Only, Option, Rule, Step, Track } from './definition.ts'

/** Observation without any drug: 14 days at least, 28 preferred, quarantine.md 7.2. */
export const watch: Track = {
  id: 'watch',
  kind: 'hold',
  by: 'no-signs',
  name: 'observation',
  days: 14,
  preferredDays: 28,
}

export const look: Step = { id: 'look', title: 'Watch half an hour', act: 'look', due: { by: 'look' } }
export const close: Step = { id: 'close', title: 'Finish the course', act: 'close', due: { by: 'close' } }
export const ammonia: Step = { id: 'ammonia', title: 'Test ammonia', act: 'read', due: { by: 'ammonia' } }
export const join: Step = { id: 'join', title: 'Does it join the course?', act: 'tick', due: { by: 'join' } }

export const ammoniaLow: Rule = {
  id: 'ammonia',
  role: 'gate',
  when: { judged: 'ammonia-low' },
  says: 'total ammonia under 0.25 mg/L',
}
/** What sets the counts of a school back, quarantine.md 7.4. */
export const setBack: readonly Rule[] = [
  { id: 'new-fish', role: 'event', when: { judged: 'new-fish' }, says: 'a new fish came into the water' },
  {
    id: 'cross-contact',
    role: 'event',
    when: { judged: 'cross-contact' },
    says: 'something wet of another system touched the water',
  },
  { id: 'sign-seen', role: 'event', when: { judged: 'sign-seen' }, says: 'a sign of disease was seen' },
  {
    id: 'unexplained-death',
    role: 'event',
    when: { unexplainedDeath: { withinDays: 14 } },
    says: 'a death without a cause',
  },
]

export const NO_SIGNS_AT_THE_MOVE: Rule = {
  id: 'tr-5',
  role: 'hard',
  when: { judged: 'no-signs' },
  says: 'no signs at the move',
}
export const NO_SIGNS_AT_THE_END: Rule = { ...NO_SIGNS_AT_THE_MOVE, says: 'no signs at the end' }

/** Where the wormer goes, and what is said beside every dose of it: further-schools.md 1, prazi-powder; quarantine.md 6, prazi-any, prazi-repeat. */
const PRAZIQUANTEL_HOW =
  'An air stone in for two days: it can feed a bloom that takes the oxygen. Powder does not dissolve in water: wet it with the least food-grade alcohol or make up a stock, shake, strain. Carbon, UV and skimmer off.'

/** When the two dewormings are done: further-schools.md 1, worm-timing. */
export const DEWORM_AFTER: Option = {
  id: 'deworm',
  label: 'Two dewormings',
  choices: [
    { id: 'after', label: 'after the treatment' },
    { id: 'none', label: 'none' },
  ],
}
export const DEWORM: Option = {
  ...DEWORM_AFTER,
  choices: [
    DEWORM_AFTER.choices[0]!,
    {
      id: 'before',
      label: 'before it',
    },
    DEWORM_AFTER.choices[1]!,
  ],
}

/** Two rounds a week apart, day 5 to 9, quarantine.md 7.2: eggs live through it, so the second is the cure. */
const dewormTrack = (first: Extract<Track, { of: 'dose' }>['first'], only?: Only): Track => ({
  id: 'dewormings',
  kind: 'rounds',
  of: 'dose',
  name: 'dewormings',
  dose: 'praziquantel-tank',
  need: 2,
  apart: [[120, 168, 216]],
  first,
  missed: 'redo',
  ...(only && { only }),
})

/** The dewormings of a school, by its option. */
export const dewormings: readonly Track[] = [
  dewormTrack({ after: 'watch', hours: [24, 48, 168] }, { option: 'deworm', is: ['after'] }),
  dewormTrack({ after: 'start', hours: [0, 24, 72] }, { option: 'deworm', is: ['before'] }),
]
/** The same, alone. */
export const DEWORMINGS_ALONE: Track = dewormTrack({ after: 'start', hours: [0, 0, 24] })

export const DEWORM_STEP: Step = {
  id: 'deworm',
  title: 'Deworm: praziquantel',
  act: 'dose',
  due: { by: 'doses' },
  track: 'dewormings',
  needs: ['eating'],
  changeFirst: 1 / 3,
  how: PRAZIQUANTEL_HOW,
  caution: 'Gloves. Flatworms and some tube worms die of it. Extra air, and look again after some hours.',
}
export const EATING: Rule = { id: 'eating', role: 'gate', when: { judged: 'eating' }, says: 'stable and eating' }
export const DEWORM_SPACING: Rule = {
  id: 'deworm-spacing',
  role: 'event',
  when: { judged: 'deworm-spacing' },
  says: 'the second deworming was not five to nine days after the first',
}

const DEWORMED: Only = { option: 'deworm', is: ['after', 'before'] }
/** After the drug was taken out, before the dewormings. */
export const CARBON_OUT: Step = {
  id: 'carbon-out',
  title: 'Carbon and resin out again',
  act: 'switch',
  due: { by: 'carbon-out' },
  only: DEWORMED,
}
export const dewormStep: Step = { ...DEWORM_STEP, only: DEWORMED }
export const dewormRules: readonly Rule[] = [
  { ...EATING, only: DEWORMED },
  { ...DEWORM_SPACING, only: DEWORMED },
]
export const dewormProduct = {
  dose: 'praziquantel-tank',
  ingredient: 'praziquantel',
  label: 'Praziquantel, for the dewormings',
  only: DEWORMED,
}

/** Missed doses end the count later: quarantine.md 7.4. */
export const MISSED_REDOSE: Rule = {
  id: 'missed-redose',
  role: 'event',
  when: { judged: 'missed-redose' },
  says: 'a dose was missed',
}

/** The only way out of doubt with an antibiotic: quarantine.md 10. */
export const RESISTANCE =
  'Antibiotics breed resistance when wasted or given low: never to prevent, the full course, one drug, a culture where it can be had. Prescription in many places: a licensed veterinarian decides. Never keep leftovers.'
