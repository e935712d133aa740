import { TRANSFER_RULES } from '../treatments/transfer-rules.data.ts'
import type { Definition, Rule, Step } from './definition.ts'
import {
  ammonia,
  ammoniaLow,
  CARBON_OUT,
  close,
  DEWORM,
  dewormings,
  dewormProduct,
  dewormRules,
  dewormStep,
  join,
  look,
  NO_SIGNS_AT_THE_END,
  NO_SIGNS_AT_THE_MOVE,
  setBack,
  watch,
} from './school-parts.ts'

const COPPER = ['cu-chelated-std', 'cu-chelated-gentle', 'cu-amine-std', 'cu-ion-std'] as const

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
const transferRule = (id: string): string => TRANSFER_RULES.find((rule) => rule.id === id)!.rule

const thirty = (id: string, drugs: readonly string[]): Definition => ({
  id,
  kind: 'school',
  name: 'thirty days',
  treats: ['marine-ich', 'marine-velvet', ...(drugs.includes('chloroquine-std') ? ['brooklynella'] : [])],
  roles: [{ role: 'main', label: 'Tank', must: true }],
  drugs,
  products: [dewormProduct],
  options: [DEWORM],
  days: 30,
  ends: 'clear',
  lead: 'held',
  tracks: [{ id: 'held', kind: 'hold', by: 'drug', name: 'in range', days: 30 }, watch, ...dewormings],
  steps: [...heldSteps, dewormStep, { id: 'clear', title: 'Take the drug out', act: 'switch', due: { by: 'clear' }, needs: ['held'] }, CARBON_OUT, close],
  rules: [...heldRules, ...dewormRules, NO_SIGNS_AT_THE_END, ...levelEvents, ...setBack],
  handling: 1,
  restore: ['carbon', 'resin', 'uv', 'ozone', 'skimmer'],
})

/** Schools of prophylactic quarantine that the engine runs: quarantine.md 7.1–7.4, further-schools.md 1. */
export const SCHOOL_COURSES: readonly Definition[] = [
  {
    id: 'qt-b-drug14',
    kind: 'school',
    name: 'fourteen days then move',
    treats: ['marine-ich', 'marine-velvet'],
    roles: [
      { role: 'main', label: 'Tank', must: true },
      {
        role: 'observe',
        label: 'Then to',
        must: true,
      },
    ],
    drugs: [...COPPER, 'chloroquine-std'],
    products: [dewormProduct],
    options: [DEWORM],
    days: 14,
    ends: 'move',
    lead: 'held',
    tracks: [{ id: 'held', kind: 'hold', by: 'drug', name: 'in range', days: 14 }, watch, ...dewormings],
    steps: [
      ...heldSteps,
      dewormStep,
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
      ...dewormRules,
      NO_SIGNS_AT_THE_MOVE,
      { id: 'tr-2', role: 'hard', when: { judged: 'level-kept' }, says: 'the level is not lowered before the move' },
      { id: 'tr-3', role: 'hard', when: { asks: transferRule('tr-3') }, says: transferRule('tr-3') },
      { id: 'tr-1', role: 'hard', when: { asks: transferRule('tr-1') }, says: transferRule('tr-1') },
      ...levelEvents,
      ...setBack,
    ],
    handling: 2,
    restore: ['carbon', 'resin', 'uv', 'ozone', 'skimmer'],
  },
  thirty('qt-a-cu30', COPPER),
  thirty('qt-a-cq30', ['chloroquine-std']),
]
