import type { Condition, Definition } from '../definition.ts'
import { pestCount } from './pest-steps.ts'
import { byDay, escalate, measured, noneFor, planOf, stop, success, weekly } from '../plan-parts.ts'

const CUTS =
  'Goggles and gloves: they squirt, chisels splinter. Zoanthids on the rock can hold palytoxin: no rotary tool, work wet, mask, never heat or dry-scrape it.'
const WORMS = 'Tongs or gloves: bristles and spines stay in the skin.'
const COUNTED = measured('pest-count', 'counted', '', { expected: [{ byDay: 21, share: 0.2 }], silentByDay: 21 })

const overStart = (times: number, op: '>' | '>=' = '>'): Condition => ({
  left: { measure: 'pest-count' },
  op,
  right: { measure: 'pest-count', at: 'start', times },
})

/** Plans against pests: outbreaks.md 5.1, 5.2, further-schools.md 6 and 7. */
export const PEST_PLANS: readonly Definition[] = [
  planOf({
    id: 'bubble-rock',
    name: 'bubble algae, rock by rock',
    treats: ['bubble-algae'],
    water: 'marine',
    days: 56,
    lead: 'pest-count',
    tracks: [measured('pest-count', 'new bubbles', '', { silentByDay: 21 }), measured('removed', 'taken out', ''), measured('left', 'left', '')],
    steps: [
      {
        id: 'step-1',
        title: 'Pick, dig, brush, rinse, peroxide on the spots, glue and putty',
        act: 'bench',
        procedure: 'bubble-rock',
        due: { day: 0 },
        how: 'Under water in a tub, never above the tank. After any burst the tub is changed.',
        caution: CUTS,
      },
      pestCount('step-2', 'Count new bubbles, rock by rock; remove them under 3 mm', { day: 7, every: 7, until: 56 }, { each: 'rock' }),
    ],
    rules: [
      stop(1, 'Has a coral been out for over 15 min?', 'a coral is out for over 15 min', 'back into the water'),
      escalate(1, byDay(14, { left: { measure: 'pest-count' }, op: '>', right: 20 }), 'over twenty new ones at day 14', 'all again, and a crab that eats them'),
      success(weekly('pest-count', '<=', 0, 8), 'none on eight weekly counts'),
    ],
  }),
  planOf({
    id: 'anemone-bench',
    name: 'pest anemones at the bench',
    treats: ['aiptasia', 'majano', 'sting-damage'],
    water: 'marine',
    days: 28,
    lead: 'left',
    tracks: [
      measured('left', 'left', '', { expected: [{ byDay: 14, share: 0.2 }], silentByDay: 21 }),
      measured('removed', 'taken out', '', { better: 'higher' }),
      measured('pest-count', 'seen again', ''),
    ],
    steps: [
      {
        id: 'step-1',
        title: 'The next rocks, the lightest first',
        act: 'bench',
        procedure: 'anemone-rock',
        due: { day: 0, every: 1, until: 14 },
        how: '10–15 min in air a rock. Foot and all with 5 mm of rock, every scrap, holes closed. A break of more than two days lets them spread.',
        caution: CUTS,
      },
      pestCount('step-2', 'Count again at night, rock by rock', { day: 7, every: 3, until: 28 }, { each: 'rock' }),
    ],
    rules: [
      stop(1, 'Has a rock been dry for over 15 min?', 'a rock is dry for over 15 min', 'back into the water'),
      escalate(1, byDay(10, { left: { measure: 'pest-count' }, op: '>', right: 10 }), 'over ten back at day 10', 'a second pass, or what eats them'),
      success(noneFor('pest-count', 28), 'none new for 28 days'),
    ],
  }),
  planOf({
    id: 'anemone-mop-up',
    isTreatment: true,
    name: 'stragglers of pest anemones',
    treats: ['aiptasia', 'majano'],
    water: 'marine',
    options: [
      {
        id: 'way',
        label: 'By',
        choices: [
          { id: 'paste', label: 'paste of calcium hydroxide' },
          { id: 'predators', label: 'what eats them' },
        ],
      },
    ],
    days: 120,
    lead: 'pest-count',
    tracks: [COUNTED],
    steps: [
      {
        id: 'step-1',
        title: 'Paste over mouth and disc, flow off, ten minutes',
        act: 'tick',
        only: { option: 'way', is: ['paste'] },
        due: { day: 0, every: 2, until: 21 },
        how: 'Feed it so that it opens; 1–2 mL each. At most 0.5 g of calcium hydroxide for 100 L in a session.',
        caution: 'Caustic: goggles always, powder into water and never the reverse, out of reach of children.',
      },
      { id: 'step-1-read', title: 'pH', act: 'read', parameters: ['ph'], only: { option: 'way', is: ['paste'] }, due: { day: 0, every: 2, until: 21 } },
      pestCount('step-2', 'Count them', { day: 0, every: 7, until: 90 }, {
        how: 'Quarantined peppermint shrimp, slugs of the genus Berghia or a filefish: at night, one for each 40 L. Slugs starve when done: rehome them; wrasses eat them.',
      }),
    ],
    rules: [
      stop(1, { left: { parameter: 'ph' }, op: '>', right: 8.5 }, 'pH over 8.5', 'stop'),
      stop(2, { left: { parameter: 'ph', at: 'day-change' }, op: '>', right: 0.2 }, 'pH rises by over 0.2', 'stop'),
      stop(3, 'Does the predator eat coral?', 'the predator eats coral', 'take it out'),
      escalate(1, byDay(10, overStart(0.5)), 'more than half back at day 10', 'the bench', { option: 'way', is: ['paste'] }),
      escalate(1, byDay(45, overStart(1, '>=')), 'no fall by day 45', 'the bench', { option: 'way', is: ['predators'] }),
      success(noneFor('pest-count', 28), 'none new for 28 days'),
    ],
  }),
  planOf({
    id: 'vermetid-control',
    name: 'vermetid snails, tube by tube',
    treats: ['vermetid'],
    water: 'marine',
    days: 180,
    lead: 'pest-count',
    tracks: [measured('pest-count', 'tubes in ten by ten centimetres', '', { of: 'mean' })],
    steps: [
      { id: 'step-1', title: 'Crush 20–50 tubes flush, or glue them shut; less fine food', act: 'tick', due: { day: 0, every: 7, until: 90 }, caution: 'Sharp tubes: gloves, goggles.' },
      pestCount('step-1-count', 'Tubes in a square of ten by ten centimetres', { day: 0, every: 7, until: 180 }),
    ],
    rules: [
      escalate(1, byDay(60, overStart(1)), 'rises for two months', 'feed less'),
      success({ left: { measure: 'pest-count' }, op: '<', right: 5 }, 'under five in a square'),
    ],
  }),
  planOf({
    id: 'hydroid-control',
    name: 'hydroids, scraped and closed',
    treats: ['hydroids'],
    water: 'marine',
    days: 60,
    lead: 'pest-count',
    tracks: [COUNTED],
    steps: [
      {
        id: 'step-1',
        title: 'Rock out, scrape in the tub, 3 % on the stumps for 5 min, putty',
        act: 'bench',
        procedure: 'peroxide-bench',
        due: { day: 0, every: 7, until: 28 },
        how: 'Siphon the medusae at night.',
        caution: CUTS,
      },
      pestCount('step-1-count', 'Colonies, cm² of each rock', { day: 0, every: 7, until: 60 }, { each: 'rock' }),
    ],
    rules: [
      stop(1, 'Has a coral been shut for over 48 h?', 'a coral is shut for over 48 h', 'stop'),
      escalate(1, 'Has it spread to three rocks?', 'spread to three rocks', 'throw the worst rock away'),
      success(noneFor('pest-count', 28), 'none for 28 days'),
    ],
  }),
  planOf({
    id: 'asterina-manage',
    name: 'small stars, counted',
    treats: ['asterina'],
    water: 'marine',
    days: 90,
    lead: 'pest-count',
    tracks: [measured('pest-count', 'stars on the front glass', '')],
    steps: [
      pestCount('step-1', 'Stars on the front glass, an hour after dark', { day: 0, every: 7, until: 60 }, {
        how: 'Pick them when there are over thirty, or one was photographed on live tissue.',
        caution: 'No harlequin shrimp without a plan to feed it afterwards.',
      }),
    ],
    rules: [
      escalate(1, 'Were they photographed grazing on live tissue twice?', 'grazing on live tissue, twice', 'pick them daily'),
      success(byDay(21, { left: { measure: 'pest-count' }, op: '<=', right: { measure: 'pest-count', at: 'start' } }), 'flat or down'),
    ],
  }),
  planOf({
    id: 'bristleworm-manage',
    name: 'bristleworms, less food',
    treats: ['bristleworm-harmless', 'fireworm'],
    water: 'marine',
    days: 60,
    lead: 'pest-count',
    tracks: [measured('pest-count', 'worms on the bait', '')],
    steps: [
      pestCount('step-1', 'Worms on a bait, an hour after dark', { day: 0, every: 7, until: 28 }, { how: 'Trap with shrimp; half the food.', caution: WORMS }),
    ],
    rules: [
      escalate(1, 'Have they red gills?', 'red gills', 'trap and pick'),
      success({ left: { measure: 'pest-count' }, op: '<', right: 10 }, 'under ten on a bait'),
    ],
  }),
  planOf({
    id: 'flatworm-siphon',
    name: 'flatworms, siphoned off',
    treats: ['red-flatworm', 'brown-flatworm'],
    water: 'marine',
    days: 42,
    lead: 'pest-count',
    tracks: [COUNTED],
    steps: [
      pestCount('step-1', 'Siphon at lights-on through a sock; count them on the glass', { day: 0, every: 2, until: 21 }, {
        how: 'Carbon in.',
        caution: 'They are toxic when many die at once: carbon in and water ready. Never start a siphon by mouth.',
      }),
      pestCount('step-1-later', 'On the glass', { day: 28, every: 7, until: 42 }),
    ],
    rules: [
      stop(1, { sign: ['breathing-fast'], withinHours: 24 }, 'a fish breathes fast', 'carbon, change 30 %'),
      escalate(1, byDay(7, overStart(2)), 'doubling in a week', 'a wrasse that eats them; a legal flatworm drug by a veterinarian, after siphoning'),
      success({ left: { measure: 'pest-count' }, op: '<', right: 5, forDays: 28 }, 'under five on the glass for 28 days'),
    ],
  }),
  planOf({
    id: 'trap-and-pick',
    name: 'trap and pick at night',
    treats: ['pyramidellid', 'sundial-snail', 'fireworm', 'mantis-shrimp', 'gorilla-crab', 'bristleworm-harmless'],
    water: 'marine',
    days: 60,
    lead: 'pest-count',
    tracks: [measured('pest-count', 'caught or seen', '', { silentByDay: 21 })],
    steps: [
      pestCount('step-1', 'After lights-off: bait, trap, red torch; count what is caught or seen', { day: 0, every: 1, until: 21 }, {
        how: 'Snails: brushed off their hosts in a tub every two or three days, jelly eggs with them.',
        caution: 'Gloves, no fingers into holes: mantis shrimps and worms wound.',
      }),
      pestCount('step-1-later', 'Look at night', { day: 28, every: 7, until: 60 }),
    ],
    rules: [
      stop(1, 'Does a clam gape?', 'a clam gapes', 'take the host apart'),
      escalate(1, byDay(21, { left: { measure: 'pest-count' }, op: '>', right: 0 }), 'not caught by day 21', 'lift its rock at night into a bucket'),
      success({ all: [noneFor('pest-count', 28), { asks: 'No losses for 28 days?' }] }, 'none seen and nothing lost for 28 days'),
    ],
  }),
  planOf({
    id: 'feed-less',
    name: 'feed less',
    treats: ['hydra-fresh', 'detritus-worms', 'planaria', 'vermetid', 'bristleworm-harmless'],
    water: 'any',
    days: 45,
    lead: 'pest-count',
    tracks: [measured('pest-count', 'counted', '', { expected: [{ byDay: 30, share: 0.3 }], silentByDay: 30 })],
    steps: [
      pestCount('step-1', 'Half the food, siphon; count', { day: 0, every: 7, until: 28 }, { how: 'Fry need food: move them first.' }),
      pestCount('step-1-later', 'Count', { day: 35, every: 7, until: 45 }),
    ],
    rules: [
      stop(1, 'Are fish getting thin?', 'fish get thin', 'feed as before'),
      escalate(1, byDay(30, overStart(1, '>=')), 'none gone by day 30', 'a plan that treats it'),
      success({ left: { measure: 'pest-count' }, op: '<=', right: { measure: 'pest-count', at: 'start', times: 0.3 } }, 'seventy per cent fewer'),
    ],
  }),
]
