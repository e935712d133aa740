import { CORAL_DIPS } from '../corals/coral-dips.data.ts'
import { FLOW_OFF, FLOW_ON, HANDS, LEVEL_BACK, TOP_OFF_OFF, TOP_OFF_ON, TUB_LITRES, TUB_TEMPERATURE } from './lists.data.ts'
import type { Procedure } from './procedure.types.ts'

/** Procedures of corals. What the handbook leaves open is marked EA. */
export const CORAL_PROCEDURES: readonly Procedure[] = [
  {
    id: 'coral-dip',
    name: 'Dip round',
    about: 'every host in turn: dip, baste, count, two rinses, back',
    group: 'corals',
    water: 'marine',
    subjects: ['coral'],
    choices: [
      {
        id: 'dip',
        label: 'Dip',
        options: CORAL_DIPS.map(({ id, label, caution }) => ({ id, label, why: caution })),
      },
    ],
    figures: [TUB_LITRES],
    measuredOut: { for: 'dip' },
    before: [
      { id: 'wear', words: 'Gloves and goggles on', caution: 'The dip burns eyes and stains; its label decides. With thyroid disease, iodine is somebody else’s work.' },
      {
        id: 'tubs',
        words: 'Dip tub and two rinse tubs of tank water, heater or warm pack beside them',
        records: [TUB_TEMPERATURE],
      },
      { id: 'mix', words: 'Dip mixed in the first tub', amount: 'measured-out', caution: 'A fresh batch every 30 minutes.' },
      { id: 'tray', words: 'White tray, baster, brush, loupe' },
    ],
    steps: [
      { id: 'dip', title: 'Into the dip', each: true, timer: { by: 'chosen', meanwhile: true }, makes: 'bath' },
      {
        id: 'count',
        title: 'Baste hard over the tray, brush the edges, count what came off',
        why: 'eggs survive every dip: scrape them off',
        each: true,
        photo: true,
        records: [
          { id: 'came-off', label: 'came off', unit: '', kind: 'count', begins: 0, keeps: 'came-off' },
          { id: 'eggs', label: 'eggs', unit: '', kind: 'count', begins: 0, keeps: 'eggs' },
          { id: 'brushed', label: 'edges brushed', unit: '', kind: 'tick', begins: 0, keeps: 'brushed' },
        ],
      },
      { id: 'rinse', title: 'First rinse, second rinse', each: true },
      { id: 'back', title: 'Back to its place', each: true },
    ],
    after: [{ id: 'dip-away', words: 'Dip and rinse water down the drain, never into a tank' }, HANDS],
    watch: [
      { afterHours: 24, words: 'polyps and tissue of each' },
      { afterHours: 48, words: 'not open by now: weaker or further apart next time' },
    ],
    source: 'outbreaks.md 5.2 coral-dip-cycle 1 and 2, 6.2; further-schools.md 3',
  },
  {
    id: 'brown-jelly-cut',
    name: 'Brown jelly: cut the sick head away',
    about: 'the first ten minutes, before it drifts to the next head',
    group: 'corals',
    water: 'marine',
    subjects: [],
    choices: [],
    figures: [],
    before: [
      { id: 'wear', words: 'Gloves on, goggles on', caution: 'Rotten tissue and bone splinters: keep both off skin and eyes. Never siphon by mouth.' },
      { id: 'bucket', words: 'Bucket, hose, bag, cutter and bleach for the tools ready' },
      { id: 'dip', words: 'Iodine dip mixed by its label, a rinse tub beside it', caution: 'Iodine stains; with thyroid disease let somebody else do it. Never into the display.' },
      { ...FLOW_OFF, words: 'Pumps off', caution: 'Do not blow, baste or shake: what drifts settles on the next head.' },
      TOP_OFF_OFF,
    ],
    steps: [
      { id: 'siphon', title: 'Siphon the jelly into the bucket', why: 'its water is thrown away, not poured back' },
      {
        id: 'bag',
        title: 'Bag the coral under water and lift it out',
        photo: true,
        begins: { clock: 'air', label: 'out of the tank', warnMinutes: 10, stopMinutes: 15 },
      },
      { id: 'cut', title: 'Cut the sick head away, 10 mm into sound tissue or more', why: 'into the bin, not back', records: [{ id: 'heads', label: 'heads cut away', unit: 'heads', kind: 'count' }] },
      { id: 'dip', title: 'Dip what is left in iodine', timer: { minutes: 5, stopMinutes: 10 } },
      { id: 'rinse', title: 'Rinse it in clean salt water' },
      { id: 'isolate', title: 'Into the isolation tank: gentle flow, the same temperature and salinity', why: 'a second head would infect the display', ends: 'air', records: [{ id: 'left', label: 'heads left', unit: 'heads', kind: 'count' }] },
      { id: 'bleach', title: 'Tools into bleach', caution: 'Bleach in the open air, never with acid or peroxide; rinse and dry before they touch water again.' },
    ],
    after: [
      { ...FLOW_ON, words: 'Pumps on' },
      LEVEL_BACK,
      { ...TOP_OFF_ON, words: 'Auto top-off on' },
      { id: 'bucket-away', words: 'Bucket down the drain, hands washed' },
    ],
    watch: [
      { afterHours: 12, words: 'jelly, smell, edge' },
      { afterHours: 24, words: 'any jelly now: give the colony up' },
      { afterHours: 48, words: 'edge firm? heads left' },
    ],
    source: 'outbreaks.md 5.2 brown-jelly 1 to 3; air time: further-schools.md 4, small-polyp corals. Longest dip 10 minutes: EA',
  },
  {
    id: 'free-a-frag',
    name: 'Free a frag from its rock',
    about: 'ten minutes, then leave it where it is',
    group: 'corals',
    water: 'marine',
    subjects: ['coral'],
    choices: [],
    figures: [TUB_LITRES],
    before: [
      { id: 'wear', words: 'Goggles and gloves on', caution: 'Skeleton splinters. Zoanthids: palytoxin; work wet, mask, never boil or dry-scrape.' },
      { id: 'tubs', words: 'A tub of tank water beside the tank, heater or warm pack in', records: [TUB_TEMPERATURE] },
      TOP_OFF_OFF,
    ],
    steps: [
      {
        id: 'lift',
        title: 'Lift the rock into the tub, the coral under water',
        each: true,
        begins: { clock: 'air', label: 'out of the tank', warnMinutes: 10, stopMinutes: 15 },
      },
      {
        id: 'prise',
        title: 'Cut or prise it off below the tissue; after ten minutes give up',
        each: true,
        timer: { minutes: 10, leastMinutes: 0, stopMinutes: 10 },
      },
      { id: 'back', title: 'Frag and rock back into the tank', each: true, ends: 'air', records: [{ id: 'freed', label: 'it came free', unit: '', kind: 'tick', begins: 0 }] },
    ],
    after: [LEVEL_BACK, TOP_OFF_ON, HANDS],
    watch: [{ afterHours: 24, words: 'tissue at the cut, polyps' }],
    source: 'further-schools.md 4: give up after 10 min. The steps: EA',
  },
]
