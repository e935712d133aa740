import { TRANSFER_RULES } from '../treatments/transfer-rules.data.ts'
import type { Definition, Rule, Step, Track } from './definition.ts'

const COPPER = ['cu-chelated-std', 'cu-chelated-gentle', 'cu-amine-std', 'cu-ion-std'] as const

/** Observation without any drug: 14 days at least, 28 preferred, quarantine.md 7.2. */
const watch: Track = { id: 'watch', kind: 'hold', by: 'no-signs', name: 'observation', days: 14, preferredDays: 28 }

const look: Step = { id: 'look', title: 'Watch half an hour', act: 'look', due: { by: 'look' } }
const close: Step = { id: 'close', title: 'Finish the course', act: 'close', due: { by: 'close' } }
const ammonia: Step = { id: 'ammonia', title: 'Test ammonia', act: 'read', due: { by: 'ammonia' } }
const join: Step = { id: 'join', title: 'Does it join the course?', act: 'tick', due: { by: 'join' } }

/** The steps of a drug that is held in the water. */
const heldSteps: readonly Step[] = [
  { id: 'ramp', title: 'Step of the ramp', act: 'dose', due: { by: 'ramp' } },
  { id: 'redose', title: 'Redose', act: 'dose', due: { by: 'redose' } },
  { id: 'dilute', title: 'Change water: over the range', act: 'change', due: { by: 'dilute' } },
  { id: 'read', title: 'Read', act: 'read', due: { by: 'read-after-carbon' } },
  join,
  { id: 'read', title: 'Read', act: 'read', due: { by: 'read' } },
  ammonia,
  look,
]

const ammoniaLow: Rule = {
  id: 'ammonia',
  role: 'gate',
  when: { judged: 'ammonia-low' },
  says: 'total ammonia under 0.25 mg/L',
}
const heldRules: readonly Rule[] = [
  { id: 'gate', role: 'gate', when: { judged: 'two-in-range' }, says: 'two readings in range, 12 h apart' },
  ammoniaLow,
  { id: 'held', role: 'hard', when: { track: 'held', is: 'full' }, says: 'in range all the days on end' },
]
/** What a held drug's count meets, quarantine.md 7.4. */
const levelEvents: readonly Rule[] = [
  { id: 'level-low', role: 'event', when: { judged: 'level-low' }, says: 'the level is under its range' },
  { id: 'level-unknown', role: 'event', when: { judged: 'level-unknown' }, says: 'too long without a reading' },
  { id: 'level-high', role: 'event', when: { judged: 'level-high' }, says: 'the level is over its range' },
  {
    id: 'carbon-left-in',
    role: 'event',
    when: { judged: 'carbon-left-in' },
    says: 'carbon or resin was in the water',
  },
]
/** What sets the counts of a school back, quarantine.md 7.4. */
const setBack: readonly Rule[] = [
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

const transferRule = (id: string): string => TRANSFER_RULES.find((rule) => rule.id === id)!.rule

const NO_SIGNS_AT_THE_MOVE: Rule = {
  id: 'tr-5',
  role: 'hard',
  when: { judged: 'no-signs' },
  says: 'no signs at the move',
}
const NO_SIGNS_AT_THE_END: Rule = { ...NO_SIGNS_AT_THE_MOVE, says: 'no signs at the end' }

const thirty = (id: string, drugs: readonly string[], source: string): Definition => ({
  id,
  kind: 'school',
  name: 'thirty days',
  what: 'One tank: the drug is held for thirty days, then carbon and water changes take it out, and the fish are watched.',
  treats: ['marine-ich', 'marine-velvet', ...(drugs.includes('chloroquine-std') ? ['brooklynella'] : [])],
  roles: [{ role: 'main', label: 'Tank', hint: 'bare: no rock, no sand, no invertebrate', must: true }],
  drugs,
  products: [],
  options: [],
  days: 30,
  ends: 'clear',
  lead: 'held',
  tracks: [{ id: 'held', kind: 'hold', by: 'drug', name: 'in range', days: 30 }, watch],
  steps: [...heldSteps, { id: 'clear', title: 'Take the drug out', act: 'switch', due: { by: 'clear' } }, close],
  rules: [...heldRules, NO_SIGNS_AT_THE_END, ...levelEvents, ...setBack],
  handling: 1,
  restore: ['carbon', 'resin', 'uv', 'ozone', 'skimmer'],
  cautions: ['Off-label in many places: label, local law and a licensed aquatic veterinarian decide.'],
  source,
})

/** What all three tank-transfer schools share. */
const transfer = (
  part: Pick<Definition, 'id' | 'name' | 'what' | 'treats' | 'handling' | 'source'> & {
    rule: Extract<Track, { of: 'move' }>['rule']
    baths?: Extract<Track, { of: 'bath' }>
  },
): Definition => ({
  id: part.id,
  kind: 'school',
  name: part.name,
  what: part.what,
  treats: part.treats,
  roles: [
    { role: 'main', label: 'First tank set', hint: 'where the fish are when it begins', must: true },
    {
      role: 'other',
      label: 'Second tank set',
      hint: 'with its own heater, pump, net and hides; nothing is ever shared with the first',
      must: true,
    },
    { role: 'tub', label: 'Tub for baths', hint: 'new salt water of the same temperature', must: false },
  ],
  drugs: [],
  products: part.baths ? [{ dose: part.baths.dose, ingredient: 'peroxide', label: 'Peroxide for the baths' }] : [],
  options: [
    {
      id: 'capture',
      label: 'Caught with',
      choices: [
        { id: 'container', label: 'a container', why: 'the fish stays in water: least wear on its skin' },
        { id: 'net', label: 'a net', why: 'quicker where it hides; costs slime and nerves' },
      ],
    },
  ],
  days: 12,
  ends: 'rounds',
  lead: 'moves',
  tracks: [
    { id: 'moves', kind: 'rounds', of: 'move', name: 'moves', rule: part.rule },
    ...(part.baths ? [part.baths] : []),
    watch,
  ],
  steps: [
    join,
    ...(part.baths
      ? [
          {
            id: 'bath',
            title: 'Peroxide bath',
            act: 'bath',
            due: { by: 'baths' },
            caution:
              'Gloves and goggles: peroxide burns skin and eyes. Strong air, stay beside it; out at once when a fish lies over or gasps. Local law and a licensed aquatic veterinarian decide on its use.',
          } satisfies Step,
        ]
      : []),
    {
      id: 'move',
      title: 'Move the fish',
      act: 'move',
      due: { by: 'moves' },
      caution: 'Only the fish moves: no water, net, filter or hide goes with it. Unplug heaters before hands go in.',
    },
    {
      id: 'sterilise',
      title: 'Empty and sterilise the tank they left',
      act: 'tick',
      due: { by: 'sets' },
      caution: 'Bleach: gloves, goggles, open windows, never with acids or ammonia. Rinse and dechlorinate, then dry.',
    },
    ammonia,
    look,
    close,
  ],
  rules: [
    { id: 'late-move', role: 'event', when: { judged: 'late-move' }, says: 'a move came too late' },
    ...(part.baths
      ? ([
          {
            id: 'bath-spacing',
            role: 'event',
            when: { judged: 'bath-spacing' },
            says: 'the second bath was not six days after the first',
          },
          {
            id: 'bath-without-move',
            role: 'event',
            when: { judged: 'bath-without-move' },
            says: 'a bath was not followed by a move within two hours',
          },
        ] satisfies Rule[])
      : []),
    {
      id: 'set-dry',
      role: 'gate',
      when: { judged: 'sets-dry' },
      says: 'the next tank set has stood bleached or dry for 24 h',
    },
    ammoniaLow,
    ...setBack,
  ],
  handling: part.handling,
  restore: [],
  cautions: ['Only the fish moves. Two tank sets that never share a net, a hose or a hand that was not washed.'],
  source: part.source,
})

/** Schools of prophylactic quarantine that the engine runs: quarantine.md 7.1–7.4, further-schools.md 1. */
export const SCHOOL_COURSES: readonly Definition[] = [
  {
    id: 'qt-b-drug14',
    kind: 'school',
    name: 'fourteen days then move',
    what: 'The drug is held for fourteen days; then only the fish move to a sterile tank, and are watched.',
    treats: ['marine-ich', 'marine-velvet'],
    roles: [
      { role: 'main', label: 'Tank', hint: 'bare: no rock, no sand, no invertebrate', must: true },
      {
        role: 'observe',
        label: 'Then to',
        hint: 'sterile, at least 3 m (10 ft) from any salt water; only the fish moves',
        must: true,
      },
    ],
    drugs: [...COPPER, 'chloroquine-std'],
    products: [],
    options: [],
    days: 14,
    ends: 'move',
    lead: 'held',
    tracks: [{ id: 'held', kind: 'hold', by: 'drug', name: 'in range', days: 14 }, watch],
    steps: [
      ...heldSteps,
      {
        id: 'move',
        title: 'Move the fish',
        act: 'move',
        due: { by: 'move-once' },
        needs: ['held', 'tr-5', 'tr-2', 'tr-3'],
      },
      close,
    ],
    rules: [
      ...heldRules,
      NO_SIGNS_AT_THE_MOVE,
      { id: 'tr-2', role: 'hard', when: { judged: 'level-kept' }, says: 'the level is not lowered before the move' },
      { id: 'tr-3', role: 'hard', when: { asks: transferRule('tr-3') }, says: transferRule('tr-3') },
      { id: 'tr-1', role: 'hard', when: { asks: transferRule('tr-1') }, says: transferRule('tr-1') },
      ...levelEvents,
      ...setBack,
    ],
    handling: 2,
    restore: ['carbon', 'resin', 'uv', 'ozone', 'skimmer'],
    cautions: ['Off-label in many places: label, local law and a licensed aquatic veterinarian decide.'],
    source: 'quarantine.md 7.1–7.3, qt-b-drug14',
  },
  {
    id: 'qt-f-observe',
    kind: 'school',
    name: 'observe, treat on sign',
    what: 'No drug: watched daily for thirty days, sentinels with it where there are any; at the first sign the matching treatment begins at once.',
    treats: [],
    roles: [{ role: 'main', label: 'Tank', hint: 'its own water and tools, away from the display', must: true }],
    drugs: [],
    products: [],
    options: [],
    days: 30,
    ends: 'watch',
    lead: 'watch',
    tracks: [{ id: 'watch', kind: 'hold', by: 'no-signs', name: 'observation', days: 30, preferredDays: 45 }],
    steps: [join, ammonia, look, close],
    rules: [ammoniaLow, NO_SIGNS_AT_THE_END, ...setBack],
    handling: 0,
    restore: [],
    cautions: ['Velvet kills within days: without somebody who looks every day this school is none. Hidden carriers stay hidden.'],
    source: 'quarantine.md 7.1 and 7.2, qt-f-observe',
  },
  thirty('qt-a-cu30', COPPER, 'quarantine.md 7.1, qt-a-cu30'),
  thirty('qt-a-cq30', ['chloroquine-std'], 'further-schools.md 1, qt-a-cq30'),
  transfer({
    id: 'qt-c-ttm',
    name: 'tank transfer',
    what: 'Four moves within twelve days, never over 72 h apart, between two tank sets: the parasite’s cysts stay behind.',
    treats: ['marine-ich'],
    handling: 4,
    source: 'quarantine.md 7.1 and 7.2, qt-c-ttm',
    rule: { maxIntervalHours: 72, minTotalHours: 288, minTransfers: 4 },
  }),
  transfer({
    id: 'qt-c-velvet',
    name: 'tank transfer, velvet interval',
    what: 'Eight moves within twelve days, never over 36 h apart, between two tank sets.',
    treats: ['marine-velvet', 'marine-ich'],
    handling: 8,
    source: 'quarantine.md 7.1 and 7.2, qt-c-velvet',
    rule: { maxIntervalHours: 36, minTotalHours: 288, minTransfers: 8 },
  }),
  transfer({
    id: 'qt-c-hybrid',
    name: 'tank transfer with two peroxide baths',
    what: 'Four moves within twelve days, and two peroxide baths exactly six days apart, each on the way to the next tank.',
    treats: ['marine-ich', 'marine-velvet'],
    handling: 6,
    source: 'quarantine.md 7.1 and 7.2, qt-c-hybrid',
    rule: { maxIntervalHours: 72, minTotalHours: 288, minTransfers: 4 },
    baths: {
      id: 'baths',
      kind: 'rounds',
      of: 'bath',
      name: 'peroxide baths',
      dose: 'peroxide-bath',
      need: 2,
      apartHours: [138, 144, 150],
      moveWithinHours: 2,
    },
  }),
]
