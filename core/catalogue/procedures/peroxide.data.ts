import {
  FLOW_OFF,
  FLOW_ON,
  HANDS,
  LEVEL_AND_HEATER_BACK,
  LEVEL_BACK,
  OUT_OF_WATER,
  TOP_OFF_OFF,
  TOP_OFF_ON,
  TUB_LITRES,
  TUBS_READY,
  UV_OFF,
  UV_ON,
  WEAR_FOR_PEROXIDE,
  WHO_IS_ON_IT,
} from './lists.data.ts'
import type { Procedure, ProcedureChoice, ProcedureStep } from './procedure.types.ts'

const TIER: ProcedureChoice = {
  id: 'tier',
  label: 'Who is in the water',
  options: [
    { id: 'spot', label: 'animals stay in', why: 'up to 0.79 mg/L, nothing needed after' },
    { id: 'spot-changed', label: 'fish alone, every invertebrate out', why: 'up to 1.6 mg/L, then a change' },
  ],
}
const CHANGED = { choice: 'tier', is: ['spot-changed'] }

const SPOT: ProcedureStep = {
  id: 'spot',
  title: 'Tip 1–3 mm from the alga, release slowly',
  why: 'what runs off treats nothing and counts against the cap',
  each: true,
  caution: 'Goggles on: it burns eyes. Never over the session’s cap.',
  amount: 'session-cap',
  records: [{ id: 'ml', label: '3 % peroxide', unit: 'mL', sessionLimit: 'peroxide-by-tier' }],
}
const STILL: ProcedureStep = {
  id: 'still',
  title: 'Leave the water still',
  why: 'fifteen to twenty minutes: it has to stay on the alga',
  caution: 'A shrimp that lies down or a fish that gasps: flow on at once, change half of the water.',
  timer: { minutes: 20, leastMinutes: 15, stopMinutes: 30 },
}
const SIPHON: ProcedureStep = {
  id: 'siphon',
  title: 'Siphon what has lifted',
  caution: 'Never start a siphon by mouth.',
}
const CHANGE: ProcedureStep = {
  id: 'change',
  title: 'Change water at once',
  why: 'what is left has to come under 0.79 mg/L; decay is not counted on',
  amount: 'tier-change',
  records: [{ id: 'changedL', label: 'changed', unit: 'L' }],
  makes: 'water-change',
}

const SPOT_BEFORE = [
  WEAR_FOR_PEROXIDE,
  { id: 'syringe', words: 'Syringe with a rigid tip, the session’s mL drawn and no more', amount: 'session-cap' as const, caution: 'Of 3 %: stronger peroxide is diluted first, into water.' },
  FLOW_OFF,
  TOP_OFF_OFF,
  UV_OFF,
]
const SPOT_AFTER = [
  FLOW_ON,
  LEVEL_BACK,
  TOP_OFF_ON,
  UV_ON,
  { id: 'away', words: 'Syringe rinsed, peroxide locked away' },
]
const SPOT_WATCH = [
  { afterHours: 1, words: 'fish and shrimp: upright, breathing as usual' },
  { afterHours: 24, words: 'stage of each patch, the untreated one too' },
]

/** Procedures with peroxide, in the tank and at the bench. What the handbook leaves open is marked EA. */
export const PEROXIDE_PROCEDURES: readonly Procedure[] = [
  {
    id: 'peroxide-spot',
    name: 'Peroxide on spots',
    about: '3 % by syringe on patches in the tank, one patch left alone',
    group: 'algae',
    water: null,
    subjects: ['patch', 'plant'],
    choices: [TIER],
    figures: [],
    doses: { ingredient: 'peroxide', recordId: 'ml', percentByMass: 3 },
    before: SPOT_BEFORE,
    steps: [SPOT, STILL, { ...SIPHON, only: CHANGED }, { ...CHANGE, only: CHANGED }],
    after: SPOT_AFTER,
    watch: SPOT_WATCH,
    source: 'outbreaks.md 5.2 peroxide-spot 1 and 2; further-schools.md 4. At most 30 minutes without flow: EA',
  },
  {
    id: 'turf-in-tank',
    name: 'Turf and slime in the tank',
    about: 'pull, siphon, peroxide, twenty minutes, siphon: again tomorrow',
    group: 'algae',
    water: 'marine',
    subjects: ['patch'],
    choices: [TIER],
    figures: [],
    doses: { ingredient: 'peroxide', recordId: 'ml', percentByMass: 3 },
    before: [
      ...SPOT_BEFORE.slice(0, 2),
      { id: 'sock', words: 'Siphon with a sock on its end, bucket' },
      ...SPOT_BEFORE.slice(2),
    ],
    steps: [
      {
        id: 'pull',
        title: 'Pull off what comes, the siphon beside it',
        each: true,
        caution: 'Zoanthids or brown strings on it: gloves, goggles, mask, window open. Never dry-scrape, never boil.',
      },
      SPOT,
      STILL,
      SIPHON,
      { ...CHANGE, only: CHANGED },
    ],
    after: SPOT_AFTER,
    watch: SPOT_WATCH,
    source: 'further-schools.md 4 and 10, turf-in-tank. At most 30 minutes without flow: EA',
  },
  {
    id: 'peroxide-emersed',
    name: 'Peroxide on what is lifted out',
    about: 'spray or brush 3 % on plants, wood and rock out of the water',
    group: 'algae',
    water: 'freshwater',
    subjects: ['plant', 'rock', 'patch'],
    choices: [
      {
        id: 'what',
        label: 'What is sprayed',
        options: [
          { id: 'plants', label: 'plants', why: '2–3 min of contact' },
          { id: 'hardscape', label: 'wood or rock', why: 'up to 5 min of contact' },
        ],
      },
    ],
    figures: [],
    before: [
      WEAR_FOR_PEROXIDE,
      { id: 'buckets', words: 'Two buckets of tank water to rinse in, spray or brush ready' },
      TOP_OFF_OFF,
    ],
    steps: [
      {
        id: 'lift',
        title: 'Lift it out, roots wrapped wet',
        caution: 'Roots that dry in the air kill the plant.',
        each: true,
        begins: { clock: 'air', label: 'out of the water', warnMinutes: 10, stopMinutes: 15 },
      },
      { id: 'spray', title: 'Spray or brush 3 % on the alga alone', each: true, records: [{ id: 'ml', label: '3 % peroxide', unit: 'mL', mayBeEmpty: true }] },
      {
        id: 'contact',
        title: 'Let it work, wet',
        each: true,
        only: { choice: 'what', is: ['plants'] },
        timer: { minutes: 2, stopMinutes: 3 },
      },
      {
        id: 'contact-long',
        title: 'Let it work, wet',
        each: true,
        only: { choice: 'what', is: ['hardscape'] },
        timer: { minutes: 3, stopMinutes: 5 },
      },
      { id: 'rinse', title: 'Rinse twice, a bucket each', each: true },
      { id: 'back', title: 'Back into the tank', each: true, ends: 'air' },
    ],
    after: [LEVEL_BACK, TOP_OFF_ON, { id: 'away', words: 'Rinse water down the drain, peroxide locked away' }],
    watch: [
      { afterHours: 24, words: 'stage of each, melting leaves' },
      { afterHours: 168, words: 'again on what is left; three rounds at most' },
    ],
    source: 'outbreaks.md 5.2 peroxide-emersed 1 and 2. At most 15 minutes in air: further-schools.md 4',
  },
  {
    id: 'peroxide-bench',
    name: 'Peroxide at the bench, coral on the rock',
    about: 'drip, flood the tub, watch, rinse twice, back',
    group: 'algae',
    water: 'marine',
    subjects: ['rock', 'coral'],
    choices: [WHO_IS_ON_IT],
    figures: [TUB_LITRES],
    before: [WEAR_FOR_PEROXIDE, TUBS_READY, { id: 'tools', words: 'Syringe of 5 mL, brush, thermometer, a tray for what crawls out' }, TOP_OFF_OFF],
    steps: [
      {
        id: 'lift',
        title: 'Lift the rock out, mark which side is up',
        caution: 'Zoanthids on it: work wet, gloves, goggles, mask; no rotary tool.',
        each: true,
        photo: true,
        begins: OUT_OF_WATER,
      },
      {
        id: 'drip',
        title: 'Drip 3 % onto rock and alga, not on tissue',
        why: '1–2 mL, then it waits',
        each: true,
        caution: 'Goggles on. Off the tissue: it strips polyps.',
        amount: 'tub-cap',
        records: [{ id: 'ml', label: '3 % peroxide', unit: 'mL', sessionLimit: 'peroxide-in-tub' }],
      },
      { id: 'wait', title: 'Let it work on the rock', each: true, timer: { minutes: 2, leastMinutes: 1, stopMinutes: 3 } },
      { id: 'flood', title: 'Fill the tub until just above the coral', each: true, ends: 'air' },
      {
        id: 'watch',
        title: 'Watch the bubbling; out at the first tissue that lifts',
        caution: 'Tissue lifts or slime comes off in sheets: rinse now.',
        each: true,
        timer: { minutes: 10, leastMinutes: 3, stopMinutes: 20, meanwhile: true },
      },
      {
        id: 'evicted',
        title: 'Pick out what has left the rock',
        caution: 'Bristleworms: tongs, never fingers.',
        each: true,
        records: [{ id: 'evicted', label: 'worms and crabs', unit: '', kind: 'count', begins: 0 }],
      },
      { id: 'rinse', title: 'Rinse twice in new salt water', each: true },
      { id: 'back', title: 'Back, the same side up', each: true },
    ],
    after: [LEVEL_AND_HEATER_BACK, TOP_OFF_ON, HANDS],
    watch: [
      { afterHours: 24, words: 'stage, polyps open or not; each day for a week' },
      { afterHours: 168, words: 'regrowth: again, three rounds at most' },
    ],
    source: 'outbreaks.md 5.2 peroxide-bench 1 to 3; further-schools.md 4. Three minutes at least in the tub, 3 on the rock: EA',
  },
  {
    id: 'leather-drip',
    name: 'Peroxide drip on a leather coral',
    about: 'one that sulks under algae or a film it does not shed',
    group: 'corals',
    water: 'marine',
    subjects: ['coral'],
    choices: [],
    figures: [],
    notWithinDays: 7,
    before: [
      WEAR_FOR_PEROXIDE,
      { id: 'tub', words: 'Empty tub, pipette, tank water in a jug beside it' },
      { id: 'look', words: 'Firm, no smell, no holes', caution: 'Smell or holes: this is rot. No drip: cut it back instead.' },
      TOP_OFF_OFF,
    ],
    steps: [
      {
        id: 'lift',
        title: 'Lift it into the empty tub',
        each: true,
        begins: { clock: 'air', label: 'out of the water', warnMinutes: 10, stopMinutes: 15 },
      },
      {
        id: 'drip',
        title: '1 mL of 3 % on the algae, 1 mL on its rock',
        each: true,
        records: [{ id: 'ml', label: '3 % peroxide', unit: 'mL', sessionLimit: 'leather-drip' }],
      },
      { id: 'cover', title: 'Tank water in from below until it is covered', each: true, ends: 'air' },
      { id: 'soak', title: 'Leave it covered', each: true, timer: { minutes: 3, stopMinutes: 5 } },
      {
        id: 'back',
        title: 'Out of the tub, to a place with more flow and its usual light hours',
        why: 'the tub’s water is thrown away',
        each: true,
        photo: true,
      },
    ],
    after: [LEVEL_BACK, TOP_OFF_ON, HANDS],
    watch: [
      { afterHours: 24, words: 'upright or fallen, film, shed, polyps; each day for 14 days' },
      { afterHours: 336, words: 'no polyps by now: look for the cause' },
    ],
    source: 'further-schools.md 3 and 10, leather-drip',
  },
]
