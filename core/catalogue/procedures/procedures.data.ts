import type { Procedure } from './procedure.types.ts'

/** The procedures of the bench, from the handbook's steps. What the handbook leaves open is marked EA. */
export const PROCEDURES: readonly Procedure[] = [
  {
    id: 'peroxide-spot',
    name: 'Peroxide on spots',
    about: '3 % by syringe on patches in the tank, one patch left alone',
    water: null,
    parts: 'patch',
    doses: { ingredient: 'peroxide', recordId: 'ml', percentByMass: 3 },
    before: [
      { id: 'wear', words: 'Gloves and goggles on', caution: 'Peroxide burns eyes; over 6 % burns skin. Dilute to 3 %: peroxide into water, never water into peroxide.' },
      { id: 'syringe', words: 'Syringe with a rigid tip, the session’s mL drawn and no more' },
      { id: 'flow-off', words: 'Pumps and filter off', switches: { item: 'flow', running: false } },
      { id: 'top-off-off', words: 'Auto top-off off', switches: { item: 'auto-top-off', running: false }, caution: 'With the flow off the level falls: the top-off would fill fresh water in.' },
      { id: 'uv-off', words: 'UV off', switches: { item: 'uv', running: false } },
    ],
    steps: [
      {
        id: 'spot',
        title: 'Tip 1–3 mm from the alga, release slowly',
        why: 'what runs off treats nothing and counts against the cap',
        eachPart: true,
        records: [{ id: 'ml', label: '3 % peroxide', unit: 'mL', sessionLimit: 'peroxide-3-percent-ml' }],
      },
      {
        id: 'still',
        title: 'Leave the water still',
        why: 'fifteen to twenty minutes: it has to stay on the alga',
        caution: 'A shrimp that lies down or a fish that gasps: flow on at once, change half of the water.',
        timer: { minutes: 20, leastMinutes: 15, stopMinutes: 30 },
      },
    ],
    after: [
      { id: 'flow-on', words: 'Pumps and filter on', switches: { item: 'flow', running: true } },
      { id: 'level', words: 'Level back where it was' },
      { id: 'top-off-on', words: 'Auto top-off on, only now', switches: { item: 'auto-top-off', running: true } },
      { id: 'uv-on', words: 'UV as it was', switches: { item: 'uv', running: true } },
      { id: 'away', words: 'Syringe rinsed, peroxide locked away' },
    ],
    watch: [
      { afterHours: 1, words: 'fish and shrimp: upright, breathing as usual' },
      { afterHours: 24, words: 'stage of each patch, the untreated one too' },
    ],
    source: 'outbreaks.md 5.2 peroxide-spot 1 and 2, 5.3; further-schools.md 4. At most 30 minutes without flow: EA',
  },
  {
    id: 'brown-jelly-cut',
    name: 'Brown jelly: cut the sick head away',
    about: 'the first ten minutes, before it drifts to the next head',
    water: 'marine',
    parts: null,
    before: [
      { id: 'wear', words: 'Gloves on, goggles on', caution: 'Rotten tissue and bone splinters: keep both off skin and eyes. Never siphon by mouth.' },
      { id: 'bucket', words: 'Bucket, hose, bag, cutter and bleach for the tools ready' },
      { id: 'dip', words: 'Iodine dip mixed by its label, a rinse tub beside it', caution: 'Iodine stains; with thyroid disease let somebody else do it. Never into the display.' },
      { id: 'flow-off', words: 'Pumps off', switches: { item: 'flow', running: false }, caution: 'Do not blow, baste or shake: what drifts settles on the next head.' },
      { id: 'top-off-off', words: 'Auto top-off off', switches: { item: 'auto-top-off', running: false } },
    ],
    steps: [
      { id: 'siphon', title: 'Siphon the jelly into the bucket', why: 'its water is thrown away, not poured back' },
      {
        id: 'bag',
        title: 'Bag the coral under water and lift it out',
        begins: { clock: 'air', label: 'out of the tank', warnMinutes: 10, stopMinutes: 15 },
      },
      { id: 'cut', title: 'Cut the sick head away, 10 mm into sound tissue or more', why: 'into the bin, not back', records: [{ id: 'heads', label: 'heads cut away', unit: 'heads' }] },
      { id: 'dip', title: 'Dip what is left in iodine', timer: { minutes: 5, stopMinutes: 10 } },
      { id: 'rinse', title: 'Rinse it in clean salt water' },
      { id: 'isolate', title: 'Into the isolation tank: gentle flow, the same temperature and salinity', why: 'a second head would infect the display', ends: 'air', records: [{ id: 'left', label: 'heads left', unit: 'heads' }] },
      { id: 'bleach', title: 'Tools into bleach', caution: 'Bleach in the open air, never with acid or peroxide; rinse and dry before they touch water again.' },
    ],
    after: [
      { id: 'flow-on', words: 'Pumps on', switches: { item: 'flow', running: true } },
      { id: 'top-off-on', words: 'Auto top-off on', switches: { item: 'auto-top-off', running: true } },
      { id: 'bucket-away', words: 'Bucket down the drain, hands washed' },
    ],
    watch: [
      { afterHours: 12, words: 'jelly, smell, edge' },
      { afterHours: 24, words: 'any jelly now: give the colony up' },
      { afterHours: 48, words: 'edge firm? heads left' },
    ],
    source: 'outbreaks.md 5.2 brown-jelly 1 to 3; air time: further-schools.md 4, small-polyp corals. Longest dip 10 minutes: EA',
  },
]

const byId = new Map(PROCEDURES.map((procedure) => [procedure.id, procedure]))

/** The procedure of this id, or undefined. */
export const procedureById = (id: string): Procedure | undefined => byId.get(id)
