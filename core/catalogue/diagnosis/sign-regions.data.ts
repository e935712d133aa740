import type { CaseTable } from './diagnosis.types.ts'

/** A place of a drawing, or a heading of the list, with the signs that belong there. */
export interface SignRegion {
  id: string
  label: string
  /** Of the drawing that is pointed at; the others are in the list alone. */
  drawing: 'fish' | 'behaviour' | 'patch' | 'leaf' | 'coral' | 'pest' | null
  signs: readonly string[]
}

const CONTEXT = 'What went before'
const MICRO = 'Under the microscope'

const FISH_REGIONS: readonly SignRegion[] = [
  {
    id: 'skin',
    label: 'Skin and scales',
    drawing: 'fish',
    signs: [
      'white-grains-countable',
      'fine-dust-sheen',
      'spots-come-and-go',
      'patchy-mucus-film',
      'skin-peeling-sheets',
      'red-sore-flank',
      'open-ulcer',
      'pepper-black-spots',
      'cottony-tuft',
      'cauliflower-nodule',
      'scales-missing',
      'scales-raised',
      'saddle-patch',
      'thread-from-red-spot',
      'moving-disc',
      'colour-faded',
      'flecks-after-fw-dip',
    ],
  },
  {
    id: 'fins',
    label: 'Fins',
    drawing: 'fish',
    signs: ['fins-ragged', 'fin-edge-receding', 'red-streaks', 'fins-clamped'],
  },
  { id: 'eyes', label: 'Eyes', drawing: 'fish', signs: ['eye-cloudy-one', 'eye-cloudy-both', 'eye-bulging-both'] },
  {
    id: 'gills',
    label: 'Gills and breathing',
    drawing: 'fish',
    signs: ['breathing-fast', 'gills-swollen', 'gills-brown', 'one-gill-closed'],
  },
  {
    id: 'mouth',
    label: 'Mouth and head',
    drawing: 'fish',
    signs: ['not-eating', 'spits-food', 'mouth-white-patch', 'pits-head-lateral', 'twitch-yawn'],
  },
  {
    id: 'belly',
    label: 'Belly, back and vent',
    drawing: 'fish',
    signs: ['belly-pinched', 'eats-but-thin', 'belly-swollen', 'faeces-white-stringy', 'worm-at-vent', 'spine-curved'],
  },
  {
    id: 'behaviour',
    label: 'What it does',
    drawing: 'behaviour',
    signs: [
      'surface-gasping',
      'into-flow',
      'flashing',
      'shuns-light',
      'hides-corner',
      'lethargic-bottom',
      'erratic-darting',
      'floats-or-sinks',
      'chased',
    ],
  },
  {
    id: 'context',
    label: CONTEXT,
    drawing: null,
    signs: [
      'new-fish-14d',
      'several-fish',
      'rapid-course',
      'ammonia-raised',
      'nitrite-raised',
      'copper-above-band',
      'oxygen-event',
      'temp-swing',
      'host-clownfish',
      'host-damsel-anthias',
      'host-surgeon-angel',
      'deep-collected',
      'host-livebearer',
      'host-cichlid',
      'host-labyrinth-killi',
      'host-goldfish-koi',
    ],
  },
]

const FILM_REGIONS: readonly SignRegion[] = [
  {
    id: 'colour',
    label: 'Its colour',
    drawing: 'patch',
    signs: ['a-brown-golden', 'a-red-maroon', 'a-green'],
  },
  { id: 'water', label: 'The water itself', drawing: 'patch', signs: ['a-water-milky', 'a-water-green'] },
  { id: 'sand', label: 'On the sand', drawing: 'patch', signs: ['a-mainly-sand', 'a-dusting-film', 'a-sheet-peels'] },
  {
    id: 'rock',
    label: 'On rock and racks',
    drawing: 'patch',
    signs: [
      'a-on-rock-coral',
      'a-strings-bubbles',
      'a-gel-fluff',
      'a-soft-hair',
      'a-wiry-mat',
      'a-feather-fronds',
      'a-shiny-balls',
    ],
  },
  {
    id: 'check',
    label: 'Smell, dawn and snails',
    drawing: null,
    signs: ['a-earthy-smell', 'a-thins-at-night', 'a-snails-dying'],
  },
  {
    id: 'micro',
    label: MICRO,
    drawing: null,
    signs: [
      'a-m-tether-spin',
      'a-m-oval-beak',
      'a-m-under-25um',
      'a-m-notch-slow',
      'a-m-round-swirl',
      'a-m-chains',
      'a-m-glass-shells',
      'a-m-still-in-jelly',
      'a-m-cross-walls',
      'a-m-tube-no-walls',
    ],
  },
  {
    id: 'context',
    label: CONTEXT,
    drawing: null,
    signs: [
      'ctx-no3-po4-near-zero',
      'ctx-no3-zero-po4-left',
      'ctx-no3-po4-high',
      'ctx-tank-under-4-months',
      'ctx-mature-rock-gone',
      'ctx-aggressive-export',
      'ctx-photoperiod-long',
      'ctx-silicate-source',
      'ctx-die-off-or-carbon',
    ],
  },
]

const ALGAE_REGIONS: readonly SignRegion[] = [
  {
    id: 'colour',
    label: 'Its colour',
    drawing: 'leaf',
    signs: ['b-brown', 'b-bright-green', 'b-blue-green', 'b-dark-grey-black'],
  },
  {
    id: 'glass',
    label: 'On the glass',
    drawing: 'leaf',
    signs: ['b-on-glass', 'b-hard-round-spots', 'b-dusty-film'],
  },
  {
    id: 'leaf',
    label: 'On leaves, moss and wood',
    drawing: 'leaf',
    signs: ['b-leaf-edges', 'b-brush-tufts', 'b-antler-branches', 'b-soft-fuzz', 'b-coarse-wool'],
  },
  { id: 'substrate', label: 'On the gravel', drawing: 'leaf', signs: ['b-substrate-line', 'b-slimy-sheet'] },
  {
    id: 'water',
    label: 'In the water',
    drawing: 'leaf',
    signs: ['b-water-green', 'b-water-milky', 'b-silky-slimy-threads'],
  },
  {
    id: 'check',
    label: 'Smell, wipe and peroxide',
    drawing: null,
    signs: ['b-earthy-smell', 'b-wipes-off', 'b-needs-blade', 'b-peroxide-red', 'b-appears-in-days'],
  },
  {
    id: 'micro',
    label: MICRO,
    drawing: null,
    signs: ['b-m-spiral', 'b-m-chains', 'b-m-glass-shells', 'b-m-branched-walls'],
  },
  {
    id: 'context',
    label: CONTEXT,
    drawing: null,
    signs: [
      'ctx-tank-under-4-months',
      'ctx-co2-unstable',
      'ctx-photoperiod-long',
      'ctx-po4-low',
      'ctx-no3-near-zero',
      'ctx-organics-high',
    ],
  },
]

const CORAL_REGIONS: readonly SignRegion[] = [
  {
    id: 'tissue',
    label: 'Tissue and polyps',
    drawing: 'coral',
    signs: ['c-brown-jelly', 'c-foul-smell', 'c-waxy-film', 'c-soft-dark-holes', 'c-torn-since-move'],
  },
  { id: 'tips', label: 'Growth tips', drawing: 'coral', signs: ['c-burnt-tips'] },
  {
    id: 'lit',
    label: 'Colour',
    drawing: 'coral',
    signs: ['c-pale-lit-side', 'c-pale-all-over', 'c-reds-blues-dull'],
  },
  {
    id: 'base',
    label: 'Base and edge',
    drawing: 'coral',
    signs: ['c-from-base-edge', 'c-slow-recession', 'c-bare-within-2d', 'c-bite-marks', 'c-eggs'],
  },
  { id: 'side', label: 'The side it faces', drawing: 'coral', signs: ['c-faces-neighbour', 'c-faces-pump'] },
  {
    id: 'host',
    label: 'Which coral',
    drawing: 'coral',
    signs: [
      'c-only-acropora',
      'c-only-montipora',
      'c-only-zoanthids',
      'c-only-leather',
      'c-fleshy-lps',
      'c-several-species',
    ],
  },
  {
    id: 'attached',
    label: 'Grown fast',
    drawing: 'pest',
    signs: ['c-long-thin-tentacles', 'c-bulb-tips', 'c-joined-colony', 'c-hard-tube', 'c-snaps-back'],
  },
  {
    id: 'gliding',
    label: 'Gliding or wriggling',
    drawing: 'pest',
    signs: [
      'c-flat-gliding',
      'c-arrow-head',
      'c-rust-red-tail',
      'c-round-notched-brown',
      'c-frilled-slug',
      'c-segments-bristles',
      'c-red-gills-frill',
      'c-thin-white-worms',
    ],
  },
  {
    id: 'shells',
    label: 'Snails and stars',
    drawing: 'pest',
    signs: ['c-rice-snail', 'c-checker-shell', 'c-star'],
  },
  {
    id: 'dots',
    label: 'Moving dots',
    drawing: 'pest',
    signs: ['c-moving-dots', 'c-dots-yellow-red', 'c-dots-dark'],
  },
  { id: 'claws', label: 'Claws', drawing: 'pest', signs: ['c-clicks-burrow', 'c-hairy-dark-claws'] },
  {
    id: 'context',
    label: CONTEXT,
    drawing: null,
    signs: [
      'c-freshwater-tank',
      'c-losses',
      'ctx-arrived-14d',
      'ctx-light-or-heat-up',
      'ctx-no3-po4-near-zero',
      'ctx-nutrients-jumped',
      'ctx-alk-change',
      'ctx-k-or-trace-low',
      'ctx-overfeeding',
      'ctx-undipped-addition',
    ],
  },
]

/** Where each sign of a table is pointed at: every sign of the table once, a test says so. */
export const SIGN_REGIONS: Readonly<Record<CaseTable, readonly SignRegion[]>> = {
  'marine-fish': FISH_REGIONS,
  'freshwater-fish': FISH_REGIONS,
  'marine-film': FILM_REGIONS,
  'freshwater-algae': ALGAE_REGIONS,
  'coral-and-pests': CORAL_REGIONS,
}
