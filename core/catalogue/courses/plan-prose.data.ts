import type { DefinitionProse } from './definition.ts'

const TIER_WHYS = {
  'animals-in': 'at most 0.79 mg/L in the tank; nothing more is needed after',
  changed: 'at most 1.6 mg/L; every invertebrate is out, and the water is changed at once',
}
const PEROXIDE = 'Goggles and gloves: peroxide burns eyes and skin. Unplug what stands in the water before hands go in.'
const PALYTOXIN = 'Zoanthids and some brown films are toxic: gloves, goggles, mask, window open; never heat, dry-scrape or siphon by mouth.'
const VET = 'Off-label or prescription-only in many places: label, local law and a licensed aquatic veterinarian decide.'

/** A plan in a sentence, what is said of its choices, and its cautions; the source is its row of the handbook. */
const prose = (
  id: string,
  what: string,
  cautions: readonly string[],
  whys: DefinitionProse['whys'] = {},
  source = `outbreaks.md 5.1 and 5.2, ${id}`,
): [string, DefinitionProse] => [id, { what, hints: {}, whys, cautions, source }]

/** What is said of the plans for outbreaks where one is chosen or begun. */
export const PLAN_PROSE: Readonly<Record<string, DefinitionProse>> = Object.fromEntries([
  prose('peroxide-emersed', 'What can be lifted out is sprayed with 3 % peroxide, rinsed twice and put back; each patch is scored every day.', [PEROXIDE, 'Roots that dry in the air kill plants.']),
  prose('peroxide-bench', 'The rock leaves the tank, is dripped on, flooded, watched and rinsed; scored for four weeks.', [PEROXIDE, PALYTOXIN, 'Under 24 °C stop. Bristleworms leave the rock.']),
  prose('turf-in-tank', 'Pulled and siphoned, then peroxide by syringe within the tier, twenty minutes still, siphoned again: four or five days.', [PEROXIDE, 'Flow and auto top-off off, and back on.'], { tier: TIER_WHYS }, 'further-schools.md 4 and 10, turf-in-tank'),
  prose('peroxide-lift-and-spot', 'What can be lifted out is sprayed once a week, what stays is syringed every day: one agent, one cap.', [PEROXIDE, 'One cap for both ways.'], { tier: TIER_WHYS }, 'further-schools.md 4 and 10, peroxide-lift-and-spot'),
  prose('peroxide-tank', 'At most 2 mg/L of peroxide in the whole tank on three days; coverage at day 5 decides.', [PEROXIDE, 'No invertebrates, filter media out, a strip before each dose, air on.'], {}, 'further-schools.md 4 and 10, peroxide-tank'),
  prose('leather-drip', 'A leather coral that sulks under algae is dripped on once, covered, and given another place; its polyps are scored for two weeks.', [PEROXIDE, 'Smell or holes are rot: no drip. No second drip within seven days.'], {}, 'further-schools.md 3 and 10, leather-drip'),
  prose('cyano-fresh-blackout', 'Three days dark, then everything living out, peroxide for ten minutes, half changes, everybody back.', [PEROXIDE, 'Fish, shrimp and filter media out for the peroxide.']),
  prose('blackout-marine', 'Covered on all sides, tested every day, ended by its stop rules; light comes back slowly.', ['Die-off can more than double nitrate and phosphate: without daily tests corals die.', 'Full light after the dark bleaches corals.'], {
    days: {
      '3': 'the default',
      '5': 'only if day 3 is stable',
      '9': 'never with small-polyp corals, clams or anemones',
    },
  }),
  prose('dino-uv', 'UV day and night, film blown off twice a day into floss, nutrients held off zero, cells counted.', [PALYTOXIN, 'No bare lamp: never look at it.']),
  prose('dino-sand', 'Silicate feeds diatoms that crowd dinoflagellates out; their share is tallied every week.', ['The stock is stronger than pH 12: goggles, gloves, stock into water.', PALYTOXIN], {
    wand: { no: 'silicate and siphon alone', yes: 'weak evidence; the lamp fully enclosed' },
  }),
  prose('siphonous-fluconazole', 'One dose of fluconazole after cutting back; pale by day 7–10, gone by day 21, watched for fourteen more.', [VET, 'An antifungal for people: keep it locked away; gloves.']),
  prose('cyano-marine-conditions', 'Siphoned out, more flow on it, nitrate and phosphate brought off zero: six weeks.', ['Siphon it out, do not stir it.']),
  prose('algae-manual-grazers', 'Pulled by hand every third day, grazers that fit it, coverage once a week.', ['Unplug pumps before hands go in; gloves; never siphon by mouth.']),
  prose('fresh-conditions', 'Light, CO2, filter, nutrients and large changes put right, one lever a week.', ['Change one lever a week.']),
  prose('water-clear', 'UV for a day or dark for three, then a change; find what feeds it.', ['Decay takes oxygen: air on.']),
  prose('bloom-aerate', 'Air and ripple at full, little food, ammonia tested until it clears.', ['No clarifiers on fish.']),
  prose('watch-wait', 'The same photo once a week, no purchases.', ['Patience is the plan.']),
  prose('bubble-rock', 'Rock by rock at the bench: picked whole, brushed, glued and puttied; counted weekly for eight weeks.', [PALYTOXIN, 'Picked under water in the tub, never above the tank.']),
  prose(
    'planaria-fenbendazole',
    'Fenbendazole by the net volume, a jar of worms to judge it by, half changes with redoses, traps until day 28.',
    [VET, 'Its residue kills snails for weeks to months; crabs and worms die.'],
    {
      dose: { low: 'the default', high: 'a second school: 250 mg of active to 95 L' },
      redose: { replaced: 'the level stays', full: 'the level rises: 1.5, 1.75, 1.875 times' },
    },
    'outbreaks.md 5.1 and 5.2, planaria-fenbendazole; further-schools.md 6',
  ),
  prose('anemone-bench', 'Every rock at the bench, foot and all; sessions no more than two days apart, counted at night.', [PALYTOXIN, 'Goggles always. No rotary tool where zoanthids grow.'], {}, 'outbreaks.md 5.1 and 5.2, anemone-bench; further-schools.md 7'),
  prose('anemone-mop-up', 'The last ones by paste or by what eats them, counted once a week.', ['Caustic paste: goggles, powder into water, within its cap.'], {
    way: { paste: 'quick, one by one; pH watched', predators: 'slow; slugs starve when done, and rarely clear majano' },
  }),
  prose('vermetid-control', 'Twenty to fifty tubes a session crushed or glued shut, less fine food.', ['Sharp tubes: gloves, goggles.']),
  prose('hydroid-control', 'Rocks out, scraped, peroxide on the stumps, putty; counted for two months.', [PEROXIDE, PALYTOXIN]),
  prose('asterina-manage', 'Counted on the front glass; picked only when they are many, or graze live tissue.', ['No harlequin shrimp without a plan to feed it afterwards.']),
  prose('bristleworm-manage', 'Half the food, trapped, counted on a bait.', ['No bare hands.']),
  prose('flatworm-siphon', 'Siphoned at lights-on through a sock, counted on the glass.', ['Many that die at once poison the tank: carbon in, water ready.']),
  prose('trap-and-pick', 'Bait, trap and red torch after lights-off; snails brushed off their hosts.', ['Gloves, no fingers into holes.']),
  prose('feed-less', 'Half the food and a siphon; the count falls by itself.', ['Fry need food: move them first.']),
  prose('brown-jelly', 'The sick head away within minutes, dip, isolation; looked at after 12, 24 and 48 h.', [PALYTOXIN, 'Expect to lose more heads than you save.']),
  prose('cut-and-save', 'Cut into live tissue, dipped, remounted; measured from the line every half day.', [PALYTOXIN, 'Leather juice is toxic: carbon, gloves.']),
  prose('recession-workup', 'The line marked, all kits, the last 21 days, one cause after the other.', ['Change one thing a week.'], {}, 'outbreaks.md 5.1 and 5.2, recession-workup; further-schools.md 8 (21 days)'),
  prose('element-correct', 'Worked out by the net volume, raised within the cap of a day, tested every day.', ['Never two carbonates together. Goggles: caustic salts into water.'], {
    element: { k: 'potassium, 20 mg/L a day at most', ca: 'calcium, 25 mg/L a day', mg: 'magnesium, 100 mg/L a day', 'alk-kh': 'alkalinity, 1 dKH a day' },
  }),
  prose('nutrient-lower', 'The source first, then changes and a little remover, within the caps, not under the floors.', ['Not below the floors: double zero feeds dinoflagellates.']),
  prose('nutrient-raise', 'Export off, nitrate and phosphate by what is taken up, until they hold for three days.', ['Food-grade salts or better; the law limits potassium nitrate in places.']),
  prose('coral-rest', 'Less light, one place, no handling; light up again from day 7 on.', ['No moving.']),
  prose('coral-relocate', 'Out of reach or out of the jet, the line marked.', ['Mark which way it faced.']),
  prose(
    'aftercare',
    'Carbon, UV, grazers and stock back one at a time, each after a clean look; a look every week for eight weeks, at least four clean ones in a row. When it is back, the last step goes back too.',
    ['Weekly looks go on after "gone": eggs, cocoons, spores and cysts outlast what is seen.'],
    {
      watch: { coverage: 'clean under five percent', 'pest-count': 'clean at none', cells: 'by microscope: what is seen on the sand says too little' },
      uv: { 'as-before': 'nothing to bring back', 'uv-on': 'at night alone first, then off' },
      light: { 'as-usual': 'nothing to bring back', 'was-dark': 'corals bleach when full light returns at once' },
      crew: { 'crew-in': 'nothing to bring back', 'crew-out': 'one at a time: what still harms shows on one' },
      stock: { none: 'the looks alone', restock: 'what still harms shows on one, and costs one' },
    },
    'outbreaks.md 1, prevent-relapse; 5.2, blackout-marine 5 and dino-uv 7',
  ),
])
