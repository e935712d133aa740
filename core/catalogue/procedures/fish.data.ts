import type { Procedure, ProcedureChoice, ProcedureStep, StepRecord } from './procedure.types.ts'
import { TUB_LITRES } from './lists.data.ts'

const TANK_C: StepRecord = { id: 'tankC', label: 'their tank', unit: '°C' }
const TUB_C: StepRecord = {
  id: 'tubC',
  label: 'the tub',
  unit: '°C',
  near: { record: 'tankC', within: 1, words: 'Bring the tub within a degree of their tank first: a jump in temperature is a second illness.' },
}
const TANK_PH: StepRecord = { id: 'tankPh', label: 'pH of their tank', unit: 'pH' }
const TUB_PH: StepRecord = {
  id: 'tubPh',
  label: 'pH of the tub',
  unit: 'pH',
  near: { record: 'tankPh', within: 0.2, words: 'Match the pH to 0.2 first, with bicarbonate: fresh water of another pH burns the gills.' },
}

const AFTERWARDS: ProcedureChoice = {
  id: 'afterwards',
  label: 'Afterwards',
  options: [
    { id: 'move', label: 'into a clean tank', why: 'what the bath left in the old one cannot find them again' },
    { id: 'home', label: 'back where they were' },
  ],
}

const HOME: ProcedureStep = { id: 'home', title: 'Out with the net or a cup, back into their tank', only: { choice: 'afterwards', is: ['home'] }, ends: 'tub' }
const MOVED: ProcedureStep = {
  id: 'moved',
  title: 'Into the clean tank: only the fish, none of the water',
  caution: 'A net or cup that is dry and clean; nothing wet of the old tank goes along.',
  only: { choice: 'afterwards', is: ['move'] },
  ends: 'tub',
  makes: 'move',
}
const INTO_TUB: ProcedureStep = {
  id: 'in',
  title: 'Fish into the tub, in a cup with as little water as can be',
  begins: { clock: 'tub', label: 'in the tub', warnMinutes: 70, stopMinutes: 90 },
}
const STOP_AT = 'One that rolls over, darts or lies on its side: into clean water at once, whatever the clock says.'
const AWAY = { id: 'away', words: 'Bath water down the drain where the law allows, tub bleached or dried for a day' }
const LID = { id: 'lid', words: 'Lid on the tub: they jump' }

/** Procedures of fish. What the handbook leaves open is marked EA. */
export const FISH_PROCEDURES: readonly Procedure[] = [
  {
    id: 'dip-freshwater',
    name: 'Freshwater dip',
    about: 'three to ten minutes over a dark tray: flecks are flukes',
    group: 'fish',
    water: 'marine',
    subjects: ['animal'],
    choices: [{ ...AFTERWARDS, options: [AFTERWARDS.options[1]!, AFTERWARDS.options[0]!] }],
    figures: [TUB_LITRES],
    movesTo: { choice: 'afterwards', is: ['move'] },
    before: [
      { id: 'water', words: 'Fresh water without chlorine, aired, over a dark tray', records: [TANK_C, TUB_C, TANK_PH, TUB_PH] },
      LID,
    ],
    steps: [
      { id: 'in', title: INTO_TUB.title, begins: { clock: 'tub', label: 'in the tub', warnMinutes: 10, stopMinutes: 12 } },
      { id: 'dip', title: 'Stay beside them', caution: STOP_AT, timer: { minutes: 5, leastMinutes: 3, stopMinutes: 10 }, makes: 'bath' },
      HOME,
      MOVED,
      { id: 'flecks', title: 'Look for white flecks in the tray', records: [{ id: 'flecks', label: 'flecks', unit: '', kind: 'count', begins: 0 }] },
    ],
    after: [AWAY],
    watch: [
      { afterHours: 1, words: 'breathing, upright' },
      { afterHours: 24, words: 'appetite, eyes, breathing' },
    ],
    source: 'quarantine.md 5.2 fw-dip-std (temperature ± 1 °C, pH ± 0.2). 12 min in the tub at most: EA',
  },
  {
    id: 'bath-peroxide',
    name: 'Peroxide bath',
    about: '75 mg/L for half an hour, then a clean tank',
    group: 'fish',
    water: 'marine',
    subjects: ['animal'],
    choices: [AFTERWARDS],
    figures: [TUB_LITRES],
    measuredOut: { for: 'bath', dose: 'peroxide-bath' },
    movesTo: { choice: 'afterwards', is: ['move'] },
    before: [
      { id: 'wear', words: 'Gloves and goggles on', caution: 'Peroxide burns eyes and skin. Never with formalin, acid or bleach near it.' },
      { id: 'tub', words: 'New water of the same salinity, strong air', records: [TANK_C, TUB_C] },
      { id: 'mix', words: 'Peroxide into the tub, stirred', amount: 'measured-out', caution: 'Gloves and goggles stay on. Peroxide into water, never water into it.' },
      LID,
    ],
    steps: [INTO_TUB, { id: 'bath', title: 'Stay beside them', caution: STOP_AT, timer: { by: 'chosen' }, makes: 'bath' }, MOVED, HOME],
    after: [AWAY],
    watch: [
      { afterHours: 1, words: 'breathing, upright' },
      { afterHours: 144, words: 'the second bath, six days after the first' },
    ],
    source: 'quarantine.md 5.2 peroxide-bath, 7.2. 90 min in the tub at most: EA',
  },
  {
    id: 'bath-formalin',
    name: 'Formalin bath',
    about: 'three quarters of an hour with strong air, then a clean tank',
    group: 'fish',
    water: 'marine',
    subjects: ['animal'],
    choices: [AFTERWARDS],
    figures: [TUB_LITRES],
    measuredOut: { for: 'bath', dose: 'formalin-bath' },
    movesTo: { choice: 'afterwards', is: ['move'] },
    before: [
      {
        id: 'wear',
        words: 'Gloves, goggles, and outdoors or window wide open',
        caution: 'Formalin is a carcinogen and its vapour is toxic: not near food, not without air. A white deposit in the bottle: never use it. Follow its label and the law.',
      },
      { id: 'tub', words: 'New water of the same salinity, strong air', records: [TANK_C, { ...TUB_C, most: { value: 27, words: 'Formalin is never used in water over 27 °C: cool it first.' } }], caution: 'Formalin takes oxygen: two air stones. Test ammonia before it: formalin spoils the test.' },
      { id: 'mix', words: 'Formalin into the tub, stirred', amount: 'measured-out', caution: 'At arm’s length, air moving: the vapour is toxic. Formalin into water.' },
      LID,
    ],
    steps: [INTO_TUB, { id: 'bath', title: 'Stay beside them', caution: STOP_AT, timer: { by: 'chosen' }, makes: 'bath' }, MOVED, HOME],
    after: [{ ...AWAY, words: 'Bath water where the law allows, never to a storm drain; tub rinsed and dried' }],
    watch: [
      { afterHours: 1, words: 'breathing, upright' },
      { afterHours: 48, words: 'again, where the course says so' },
    ],
    source: 'quarantine.md 5.1 and 5.2 formalin-bath. 90 min in the tub at most: EA',
  },
  {
    id: 'transfer',
    name: 'Transfer to the sterile set',
    about: 'only the fish moves; the old set is bleached and dries',
    group: 'fish',
    water: null,
    subjects: ['animal'],
    choices: [],
    figures: [],
    movesTo: true,
    before: [
      { id: 'set', words: 'New set filled, airing, bleached or dried for a day', records: [TANK_C, { ...TUB_C, label: 'the new set' }] },
      { id: 'tools', words: 'Container or net that belongs to the new set' },
    ],
    steps: [
      { id: 'catch', title: 'Into the container, room lights low', each: true, begins: { clock: 'air', label: 'in the container', warnMinutes: 10, stopMinutes: 20 } },
      {
        id: 'moved',
        title: 'Into the new set: only the fish, none of the water',
        caution: 'Nothing wet of the old set goes along: net, hands, decoration, food.',
        each: true,
        ends: 'air',
        makes: 'move',
      },
    ],
    after: [
      { id: 'bleach', words: 'Old set emptied, bleached, rinsed, left to dry', caution: 'Bleach in the open air, never with acid or peroxide. Unplug the heater first.' },
      { id: 'hands', words: 'Hands washed before anything else is touched' },
    ],
    watch: [{ afterHours: 1, words: 'all there, breathing as usual' }],
    source: 'quarantine.md 7.2. 20 min in the container at most: EA',
  },
]
