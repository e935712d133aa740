import {
  CARBON_OUT,
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
  WHO_IS_ON_IT,
} from './lists.data.ts'
import type { Procedure, StepRecord } from './procedure.types.ts'

const REMOVED: StepRecord = { id: 'removed', label: 'removed', unit: '', kind: 'count', begins: 0, keeps: 'removed' }
const LEFT: StepRecord = { id: 'left', label: 'left on it', unit: '', kind: 'count', begins: 0, keeps: 'left' }

const JAR: StepRecord = {
  id: 'alive',
  label: 'alive of ten',
  unit: '',
  kind: 'count',
  most: { value: 10, words: 'The jar is scored on ten worms.' },
  keeps: 'alive',
}

/** Fenbendazole in the net volume, mg/L of active: outbreaks.md 5.2 planaria-fenbendazole 2. */
const PLANARIA_MG_PER_L = { low: 0.55, high: 2.6 }

const OFF_LABEL =
  'An off-label drug: ask a licensed aquatic veterinarian. Its residue kills snails for weeks to months; crabs and worms die. Gloves; keep it out of the kitchen.'

/** Procedures against pests, and the looks that find them. What the handbook leaves open is marked EA. */
export const PEST_PROCEDURES: readonly Procedure[] = [
  {
    id: 'bubble-rock',
    name: 'Bubble algae off a rock',
    about: 'pick whole, brush, rinse, peroxide on the spots, glue and putty',
    group: 'pests',
    water: 'marine',
    subjects: ['rock', 'coral'],
    choices: [WHO_IS_ON_IT],
    figures: [TUB_LITRES],
    before: [
      {
        id: 'wear',
        words: 'Gloves and goggles on',
        caution: 'Peroxide, glue and putty near the eyes. Zoanthids on it: work wet, mask, no dry scraping.',
      },
      TUBS_READY,
      { id: 'tools', words: 'Tweezers, dental pick, brush, 3 % peroxide, gel glue, putty kneaded' },
      TOP_OFF_OFF,
    ],
    steps: [
      { id: 'lift', title: 'Into the tub, under water at once', why: 'never pick above the tank', each: true, photo: true },
      {
        id: 'pick',
        title: 'Pick whole bubbles without popping them',
        caution: 'One burst: change the tub before you go on.',
        each: true,
        records: [REMOVED],
      },
      { id: 'dig', title: 'Dig the roots out, 1–2 mm into the rock', each: true },
      { id: 'brush', title: 'Brush it, then rinse three times in new salt water', each: true },
      { id: 'out', title: 'Out of the water: dry the spots, 3 % on each', each: true, begins: OUT_OF_WATER, records: [{ id: 'spots', label: 'spots', unit: '', kind: 'count', begins: 0 }] },
      { id: 'contact', title: 'Let it work on the spots, not on tissue', each: true, timer: { minutes: 3, stopMinutes: 5 } },
      { id: 'rinse', title: 'Rinse the spots', each: true },
      { id: 'glue', title: 'Gel glue, then putty over every spot', each: true },
      { id: 'back', title: 'Back into the tank', each: true, ends: 'air', records: [LEFT] },
    ],
    after: [LEVEL_AND_HEATER_BACK, TOP_OFF_ON, HANDS],
    watch: [
      { afterHours: 168, words: 'new bubbles, rock by rock; weekly for eight weeks' },
      { afterHours: 336, words: 'over twenty new ones: all again, and a crab that eats them' },
    ],
    source: 'outbreaks.md 5.2 bubble-rock 1 and 2; air time: further-schools.md 4',
  },
  {
    id: 'anemone-rock',
    name: 'Pest anemones, rock by rock',
    about: 'foot and all, every scrap, the hole closed; the lightest rock first',
    group: 'pests',
    water: 'marine',
    subjects: ['rock'],
    choices: [WHO_IS_ON_IT],
    figures: [TUB_LITRES],
    before: [
      {
        id: 'wear',
        words: 'Goggles and gloves on',
        caution: 'They squirt, chisels splinter, paste is caustic: goggles always. Zoanthids on the rock: palytoxin; no rotary tool, work wet, mask, window open.',
      },
      TUBS_READY,
      { id: 'tools', words: 'Bone cutter, chisel, wire brush, pick, tray, paste or glue' },
      TOP_OFF_OFF,
    ],
    steps: [
      { id: 'lift', title: 'Lift the rock into the tray', each: true, photo: true, begins: OUT_OF_WATER },
      {
        id: 'cut',
        title: 'Lift, cut or chisel out each foot with 5 mm of rock',
        caution: 'A scrap of half a millimetre grows again.',
        each: true,
        records: [REMOVED],
      },
      { id: 'scraps', title: 'Brush, pick up every scrap, look with the loupe', each: true },
      {
        id: 'paste',
        title: 'Paste or glue into the holes',
        caution: 'Calcium hydroxide burns eyes and skin: powder into water, never the reverse.',
        each: true,
        records: [{ id: 'pasteG', label: 'calcium hydroxide', unit: 'g', mayBeEmpty: true, sessionLimit: 'kalk-paste' }],
      },
      { id: 'rinse', title: 'Rinse it in the tub', each: true },
      { id: 'back', title: 'Back into the tank', each: true, ends: 'air', records: [LEFT] },
    ],
    after: [
      LEVEL_AND_HEATER_BACK,
      TOP_OFF_ON,
      { id: 'flood', words: 'Tray and tools flooded with cold fresh water, none of it back to the tank' },
      HANDS,
    ],
    watch: [
      { afterHours: 36, words: 'the next session: a break lets them spread' },
      { afterHours: 168, words: 'count again at night' },
    ],
    source: 'outbreaks.md 5.2 anemone-bench 1 and 2; further-schools.md 4 and 7',
  },
  {
    id: 'planaria-dose',
    name: 'Fenbendazole against planaria',
    about: 'premixed in warm tank water, with a jar of worms to watch',
    group: 'pests',
    water: 'freshwater',
    subjects: ['jar'],
    mayHaveNone: true,
    choices: [
      {
        id: 'dose',
        label: 'Dose',
        options: [
          { id: 'low', label: '0.55 mg/L of active', why: 'the default' },
          { id: 'high', label: '2.6 mg/L of active', why: 'a second school' },
        ],
      },
    ],
    figures: [],
    measuredOut: { for: 'tank', ingredient: 'fenbendazole', mgPerL: PLANARIA_MG_PER_L },
    before: [
      { id: 'out', words: 'Snails, shrimp that you value, and catfish without scales are out', caution: OFF_LABEL },
      { ...CARBON_OUT, stays: true },
      { id: 'clean', words: 'Substrate vacuumed, flow and air up' },
    ],
    steps: [
      {
        id: 'mix',
        title: 'Stir it into warm tank water, shake',
        caution: 'Is a packet’s figure the active drug or the powder? The shelf says which it is taken for.',
        amount: 'measured-out',
      },
      { id: 'pour', title: 'Pour it round the tank, over ten minutes',
        caution: OFF_LABEL, amount: 'measured-out', makes: 'dose' },
      { id: 'jar', title: 'Ten worms of all sizes into a jar of the dosed water', each: true, records: [{ ...JAR, begins: 10 }] },
    ],
    after: [{ id: 'air', words: 'Air on, packet and bowl away, hands washed' }],
    watch: [
      { afterHours: 12, words: 'fish breathing; the jar counts only from now on' },
      { afterHours: 24, words: 'score the jar, half a change, redose' },
    ],
    source: 'outbreaks.md 5.2 planaria-fenbendazole 1 and 2; further-schools.md 6',
  },
  {
    id: 'planaria-half-change',
    name: 'Half change and redose, planaria',
    about: 'score the jar, change half, give the drug back, refill the jar',
    group: 'pests',
    water: 'freshwater',
    subjects: ['jar'],
    mayHaveNone: true,
    choices: [
      {
        id: 'redose',
        label: 'Redose',
        options: [
          { id: 'replaced', label: 'the replaced half', why: 'the level stays' },
          { id: 'full', label: 'in full', why: 'the level rises: 1.5 times after the first' },
        ],
      },
      {
        id: 'dose',
        label: 'The dose it was begun with',
        options: [
          { id: 'low', label: '0.55 mg/L' },
          { id: 'high', label: '2.6 mg/L' },
        ],
      },
    ],
    figures: [],
    measuredOut: { for: 'tank', ingredient: 'fenbendazole', mgPerL: PLANARIA_MG_PER_L },
    before: [{ id: 'water', words: 'New water conditioned, of the same temperature', amount: 'half-change', caution: OFF_LABEL }],
    steps: [
      {
        id: 'score',
        title: 'Shake the jar, warm it in the hand, poke each worm',
        why: 'small ones die last; it counts only 12 h after a dose',
        each: true,
        records: [JAR],
      },
      {
        id: 'change',
        title: 'Change half of the water',
        amount: 'half-change',
        records: [{ id: 'changedL', label: 'changed', unit: 'L' }],
        makes: 'water-change',
      },
      { id: 'pour', title: 'Pour the redose, stirred in warm tank water', caution: OFF_LABEL, amount: 'redose', makes: 'dose' },
      { id: 'refill', title: 'Refill the jar from the dosed tank', each: true },
    ],
    after: [{ id: 'air', words: 'Air on, packet and bowl away, hands washed' }],
    watch: [
      { afterHours: 12, words: 'the jar counts only from now on' },
      { afterHours: 24, words: 'score the jar' },
    ],
    source: 'outbreaks.md 5.2 planaria-fenbendazole 3; further-schools.md 6',
  },
  {
    id: 'siphon-and-blow',
    name: 'Siphon and blow-off round',
    about: 'film off through a sock, rock and sand blown, floss changed',
    group: 'algae',
    water: 'marine',
    subjects: [],
    choices: [],
    figures: [],
    before: [
      {
        id: 'wear',
        words: 'Gloves and goggles on, window open',
        caution: 'Brown strings may be toxic: no scrubbing in the dry, no hands to the face, a mask when it sprays. Metallic taste or cough: leave, and call the emergency service.',
      },
      { id: 'sock', words: 'Siphon with a sock of 10 µm, bucket, baster, fresh floss' },
      TOP_OFF_OFF,
      FLOW_OFF,
    ],
    steps: [
      {
        id: 'siphon',
        title: 'Siphon the film through the sock',
        caution: 'Never start a siphon by mouth.',
        records: [{ id: 'min', label: 'minutes', unit: 'min', mayBeEmpty: true }],
      },
      { id: 'return', title: 'The sock’s water back, or new water in its place' },
      { id: 'blow', title: 'Blow rock and sand from one end to the other', why: 'four hours after lights-on, and an hour before they go off' },
    ],
    after: [
      FLOW_ON,
      LEVEL_BACK,
      TOP_OFF_ON,
      { id: 'floss', words: 'New floss in; it comes out again within 24 h', caution: 'Left longer, it lets go of what it caught.' },
      { id: 'bin', words: 'Sock into bleach, film into the bin' },
    ],
    watch: [{ afterHours: 24, words: 'floss or sock out' }],
    source: 'outbreaks.md 5.2 dino-uv 3, dino-sand 4, cyano-marine-conditions 1; section 9',
  },
  {
    id: 'microscope-sample',
    name: 'A sample for the microscope',
    about: 'the brown, shaken, settled for five minutes, one drop',
    group: 'pests',
    water: null,
    subjects: [],
    choices: [],
    figures: [],
    before: [
      { id: 'wear', words: 'Gloves on', caution: 'Some films are toxic: no hands to the face, and nothing back into the tank.' },
      { id: 'ready', words: 'Jar, pipette, slides, cover slips; microscope at its lowest objective' },
    ],
    steps: [
      { id: 'collect', title: 'Take the brown, not the red: freshest string, bubble edge or the top 1 mm of sand', why: '5–20 mL with tank water, in the middle of the light hours', photo: true },
      { id: 'shake', title: 'Shake it for ten seconds' },
      { id: 'settle', title: 'Let it stand', why: 'sand falls, cells stay above it', timer: { minutes: 5 } },
      { id: 'draw', title: 'Draw the light brown layer just above the sand' },
      { id: 'slide', title: 'One drop, cover slip lowered at an angle', caution: 'A grain of sand under the slip cracks it.', begins: { clock: 'slide', label: 'on the slide', warnMinutes: 8, stopMinutes: 10 } },
      { id: 'look', title: 'Lowest first: ×4, then ×10. Shape and motion', why: 'within ten minutes: heat slows the cells', photo: true },
      { id: 'measure', title: 'Measure cells, note how they move', ends: 'slide', records: [{ id: 'cells', label: 'cells in a field', unit: '', kind: 'count', begins: 0 }] },
    ],
    after: [{ id: 'away', words: 'Slide and jar into bleach, hands washed' }],
    watch: [],
    source: 'outbreaks.md 4, m1 to m7',
  },
]

