import type { DefinitionProse } from './definition.ts'
import { PLAN_PROSE } from './plan-prose.data.ts'

const DEWORM_WHYS = {
  after: 'gills are calmer by then, and the fish eat',
  before: 'worms out first: the medicine waits until two days after the second round',
  none: 'flukes and worms are left to what is seen',
}

const CAPTURE_WHYS = {
  container: 'the fish stays in water: least wear on its skin',
  net: 'quicker where it hides; costs slime and nerves',
}

const PACE_WHYS = {
  'by-maturity': 'before the earliest hatchling can lay: safe where that is known',
  'by-hatching': 'every third day, edges brushed each time, more clean dips in the end',
}

const DIP_WHYS = {
  'label-oil': '5 to 15 minutes; no dip kills eggs: scrape them off',
  iodine: '5 to 10 minutes; no dip kills eggs: scrape them off',
  potassium: '5 to 15 minutes; no dip kills eggs: scrape them off',
  peroxide: '5 minutes; no dip kills eggs: scrape them off',
}

const PEST_WHYS = {
  none: 'routine dips on day 0, 7, 14, 21 and 28',
  'zoa-nudi': 'on zoanthids; a dip leaves eggs',
  'montipora-nudi': 'on Montipora; a dip leaves eggs, and animals inside the skeleton',
  aefw: 'on Acropora; a dip leaves eggs',
  'brown-flatworm': 'on mushrooms, leathers, large polyps; a dip leaves eggs, and worms in folds of tissue',
  'red-bugs': 'on smooth Acropora; a dip leaves eggs, and some adults',
  'black-bugs': 'on Acropora; a dip leaves eggs, and some adults',
}

/** What is said of each definition where one is chosen, compared or begun: apart from the definitions, which the first screen loads. */
export const PROSE: Readonly<Record<string, DefinitionProse>> = {
  'qt-b-drug14': {
    what: 'The drug is held for fourteen days; then only the fish move to a sterile tank, and are watched.',
    hints: { main: 'bare: no rock, no sand, no invertebrate', observe: 'sterile, at least 3 m (10 ft) from any salt water; only the fish moves' },
    whys: {
      deworm: DEWORM_WHYS,
    },
    cautions: ['Off-label in many places: label, local law and a licensed aquatic veterinarian decide.'],
    source: 'quarantine.md 7.1–7.3, qt-b-drug14',
  },
  'qt-a-cu30': {
    what: 'One tank: the drug is held for thirty days, then carbon and water changes take it out, and the fish are watched.',
    hints: { main: 'bare: no rock, no sand, no invertebrate' },
    whys: {
      deworm: DEWORM_WHYS,
    },
    cautions: ['Off-label in many places: label, local law and a licensed aquatic veterinarian decide.'],
    source: 'quarantine.md 7.1, qt-a-cu30',
  },
  'qt-a-cq30': {
    what: 'One tank: the drug is held for thirty days, then carbon and water changes take it out, and the fish are watched.',
    hints: { main: 'bare: no rock, no sand, no invertebrate' },
    whys: {
      deworm: DEWORM_WHYS,
    },
    cautions: ['Off-label in many places: label, local law and a licensed aquatic veterinarian decide.'],
    source: 'further-schools.md 1, qt-a-cq30',
  },
  'qt-c-ttm': {
    what: 'Four moves within twelve days, never over 72 h apart, between two tank sets: the parasite’s cysts stay behind.',
    hints: { main: 'where the fish are when it begins', other: 'with its own heater, pump, net and hides; nothing is ever shared with the first', tub: 'new salt water of the same temperature' },
    whys: {
      capture: CAPTURE_WHYS,
      deworm: DEWORM_WHYS,
    },
    cautions: ['Only the fish moves. Two tank sets that never share a net, a hose or a hand that was not washed.'],
    source: 'quarantine.md 7.1 and 7.2, qt-c-ttm',
  },
  'qt-c-velvet': {
    what: 'Eight moves within twelve days, never over 36 h apart, between two tank sets.',
    hints: { main: 'where the fish are when it begins', other: 'with its own heater, pump, net and hides; nothing is ever shared with the first', tub: 'new salt water of the same temperature' },
    whys: {
      capture: CAPTURE_WHYS,
      deworm: DEWORM_WHYS,
    },
    cautions: ['Only the fish moves. Two tank sets that never share a net, a hose or a hand that was not washed.'],
    source: 'quarantine.md 7.1 and 7.2, qt-c-velvet',
  },
  'qt-c-hybrid': {
    what: 'Four moves within twelve days, and two peroxide baths exactly six days apart, each on the way to the next tank.',
    hints: { main: 'where the fish are when it begins', other: 'with its own heater, pump, net and hides; nothing is ever shared with the first', tub: 'new salt water of the same temperature' },
    whys: {
      capture: CAPTURE_WHYS,
      deworm: DEWORM_WHYS,
    },
    cautions: ['Only the fish moves. Two tank sets that never share a net, a hose or a hand that was not washed.'],
    source: 'quarantine.md 7.1 and 7.2, qt-c-hybrid',
  },
  'qt-d-hypo': {
    what: 'The salinity is brought down to 1.009 in steps and kept there for thirty days, then up again over more than a week; the fish are watched.',
    hints: { main: 'bare: no invertebrate, no live rock; a seeded filter suffers too' },
    whys: {
      deworm: DEWORM_WHYS,
    },
    cautions: ['It does nothing against velvet, brooklynella, uronema or bacteria: velvet in it kills within days. The filter works slower and the pH sags: ammonia and pH are tested.'],
    source: 'quarantine.md 7.1 and 7.2, qt-d-hypo',
  },
  'qt-d-fluke': {
    what: 'The salinity at 1.009 for seven days against flukes alone; look again on day 14: eggs may outlast the week.',
    hints: { main: 'bare: no invertebrate, no live rock; a seeded filter suffers too' },
    whys: {
      deworm: DEWORM_WHYS,
    },
    cautions: ['It does nothing against velvet, brooklynella, uronema or bacteria: velvet in it kills within days. The filter works slower and the pH sags: ammonia and pH are tested.'],
    source: 'further-schools.md 1, qt-d-fluke',
  },
  'qt-e-uronema': {
    what: 'A formalin bath before the tank, then metronidazole every day in the water and in the food for ten days; then copper, chloroquine or transfers go on.',
    hints: { main: 'bare, with strong air', tub: 'a bucket of the same water with an air stone' },
    whys: {},
    cautions: [
      'Not for a very weak fish: the bath costs it oxygen. The evidence is thin. It covers neither ich nor velvet: another school follows.',
      'Advanced red sores are rarely curable. Euthanasia by the AVMA’s guidelines and local law, with a veterinarian.',
    ],
    source: 'quarantine.md 7.1, 7.2 and 5.2, qt-e-uronema; further-schools.md 1, red-sore',
  },
  'qt-f-observe': {
    what: 'No drug: watched daily for thirty days, sentinels with it where there are any; at the first sign the matching treatment begins at once.',
    hints: { main: 'its own water and tools, away from the display' },
    whys: {
      sentinels: {
        none: 'only the fish themselves tell',
        mollies: 'watched fourteen days in fresh water, then brought to sea water over 6 to 24 h: they show velvet, ich and brooklynella early, flukes hardly; afterwards they are exposed fish',
      },
      deworm: {
        none: 'flukes and worms are left to what is seen',
        after: 'once the fish eat',
      },
    },
    cautions: ['Velvet kills within days: without somebody who looks every day this school is none. Hidden carriers stay hidden.'],
    source: 'quarantine.md 1, 7.1 and 7.2, qt-f-observe',
  },
  'qt-g-none': {
    what: 'Straight into the display by choice: nothing is covered. What can be done is to look every day, every fish of the tank, and to act at the first sign.',
    hints: { main: 'the display it went into' },
    whys: {},
    cautions: ['The risk left is high: a UV lamp reaches only what swims past it; eggs, cysts and worms do not. A display that falls ill may have to stand 76 days without fish. One place to put its fish, and a medicine on the shelf, belong to this choice.'],
    source: 'quarantine.md 7.1, qt-g-none; watched as qt-f-observe (EA)',
  },
  'qt-freshwater': {
    what: 'A bare tank with heater and sponge filter for 28 days; the last fourteen of them without a sign. Wild or farmed fish are dewormed in the second and third week.',
    hints: { main: 'bare, heater, sponge filter, its own tools' },
    whys: {
      worms: {
        'on-sign': 'known stock: no more medicine than is needed',
        flukes: 'farmed fish: flukes are common',
        both: 'wild fish: gut worms as well; one at a time',
      },
    },
    cautions: ['Other medicine on sign only, by its row of the doses: scaleless fish bear less.'],
    source: 'quarantine.md 7.2, qt-freshwater',
  },
  'qt-add-worm': {
    what: 'Praziquantel in the water twice, a week apart: its eggs live through it, so the second round is the cure. Gut worms, where chosen, with the food a week later.',
    hints: { main: 'where the fish are; its school goes on' },
    whys: {
      gut: {
        none: 'the fish keep their weight',
        food: 'wild-caught, eats and stays thin: three days, and again two to three weeks later',
      },
    },
    cautions: [
    ],
    source: 'quarantine.md 7.2, qt-add-worm; further-schools.md 1, worm-timing and prazi-powder',
  },
  'qt-add-metro': {
    what: 'Beside copper or chloroquine, against uronema in part: every 48 h, five doses. Some count brooklynella as covered too: that is disputed.',
    hints: { main: 'where the fish are; its school goes on' },
    whys: {
      pace: {
        'every-48': 'to prevent: damsels, chromis, anthias, clownfish',
        'every-24': 'uronema is suspected: with the food as well',
      },
      food: {
        plain: 'in the water alone',
        soaked: 'it reaches what sits in the flesh',
      },
    },
    cautions: [
    ],
    source: 'further-schools.md 1, qt-add-metro; quarantine.md 5.2',
  },
  'qt-add-formalin': {
    what: 'One bath of 45 to 60 minutes before the fish goes into its tank.',
    hints: { main: 'where the fish goes after the bath', tub: 'a bucket of the same water with an air stone' },
    whys: {},
    cautions: ['Not for a very weak fish, nor one with open sores, but at the low end of its range.'],
    source: 'quarantine.md 5.2 and 7.2, formalin-bath',
  },
  'qt-add-soak': {
    what: 'Food bound with one medicine, given once a day, for fish that eat.',
    hints: { main: 'where the fish are; its school goes on' },
    whys: {
      soak: {
        metronidazole: 'white stringy faeces, eats and stays thin',
        praziquantel: 'bitter: in food it likes best',
        fenbendazole: 'only in a bare tank: snails and crabs die of it',
      },
    },
    cautions: [
    ],
    source: 'quarantine.md 5.2 and 5.3',
  },
  'qt-add-kanamycin': {
    what: 'Every 48 h, five doses, where a veterinarian has named it; a quarter of the water is changed before each, and carbon takes it out at the end. With copper in the water: finish the copper first unless the ulcer is the killer.',
    hints: { main: 'where the fish are; its school goes on' },
    whys: {},
    cautions: ['Antibiotics breed resistance when wasted or given low: never to prevent, the full course, one drug, a culture where it can be had. Prescription in many places: a licensed veterinarian decides. Never keep leftovers.'],
    source: 'quarantine.md 5.2, 6 and 10, kanamycin-tank; further-schools.md 1, antibiotic-double',
  },
  'qt-add-nitrofurazone': {
    what: 'Half an hour a day in fresh bath water, five days, where a veterinarian has named it. Five baths in a week are hard on any fish.',
    hints: { main: 'where the fish are; its school goes on', tub: 'a bucket or jar, dark' },
    whys: {},
    cautions: [
      'Suspected to cause cancer: gloves and mask, never for fish that may be eaten. Some books print 100 mg a litre, 3.8 times as much: the veterinarian chooses.',
      'Antibiotics breed resistance when wasted or given low: never to prevent, the full course, one drug, a culture where it can be had. Prescription in many places: a licensed veterinarian decides. Never keep leftovers.',
    ],
    source: 'quarantine.md 5.2 and 10, nitrofurazone-bath',
  },
  'qt-add-enrofloxacin': {
    what: 'With the food for seven days, or as baths of five hours, where a veterinarian has named it. In sea water with the food first: calcium and magnesium bind it in the bath.',
    hints: { main: 'where the fish are; its school goes on', tub: 'a tub with strong air, for baths alone' },
    whys: {
      way: {
        food: 'the first choice in sea water and in hard water, for fish that eat',
        'bath-48': 'for a fish that does not eat, where the veterinarian agrees',
        'bath-24': 'five baths in a week are over what a fish bears: only if the veterinarian asks for it',
      },
    },
    cautions: ['Antibiotics breed resistance when wasted or given low: never to prevent, the full course, one drug, a culture where it can be had. Prescription in many places: a licensed veterinarian decides. Never keep leftovers.'],
    source: 'quarantine.md 5.2, 5.3, 6 and 10, enrofloxacin-food, enrofloxacin-bath, fluoroquinolone-hard',
  },
  'qt-add-ciprofloxacin': {
    what: 'One to two hours in fresh bath water, four baths in a week, where a veterinarian has named it. In sea water enrofloxacin with the food comes first.',
    hints: { main: 'where the fish are; its school goes on', tub: 'a tub with strong air' },
    whys: {
      pace: {
        'every-48': 'four baths in seven days',
        'every-24': 'five baths in a week are over what a fish bears: only if the veterinarian asks for it',
      },
    },
    cautions: ['People depend on this drug: used only where nothing else fits.', 'Antibiotics breed resistance when wasted or given low: never to prevent, the full course, one drug, a culture where it can be had. Prescription in many places: a licensed veterinarian decides. Never keep leftovers.'],
    source: 'quarantine.md 5.2, 6 and 10, ciprofloxacin-bath, fluoroquinolone-hard',
  },
  'rest': {
    what: 'No handling and no medicine for seven to fourteen days: hides, good water, small varied meals, two looks a day.',
    hints: { main: 'with rock or hides, nothing dosed' },
    whys: {},
    cautions: ['Nothing is dosed while it runs. Weight and breathing are the measure, not patience.'],
    source: 'further-schools.md 1 and 10, rest',
  },
  'fallow-76': {
    what: 'No fish for 76 whole days, so that what needs one dies out. The longest cyst seen took 72 days; four more for what swam off late.',
    hints: { main: 'a display whose fish are out, or a tub of corals and invertebrates' },
    whys: {},
    cautions: ['Nothing that is wet with fish water may enter: tools, hands, snails, plugs. Keep the temperature constant.'],
    source: 'quarantine.md 7.5, fallow-76',
  },
  'fallow-45': {
    what: 'No fish for 45 whole days, so that what needs one dies out. Warm, 27 to 28 °C: covers the usual hatch with a margin; a rare late cyst stays possible.',
    hints: { main: 'a display whose fish are out, or a tub of corals and invertebrates' },
    whys: {},
    cautions: ['Nothing that is wet with fish water may enter: tools, hands, snails, plugs. Keep the temperature constant.'],
    source: 'quarantine.md 7.5, fallow-45',
  },
  'fallow-velvet': {
    what: 'No fish for 45 whole days, so that what needs one dies out. Far shorter than ich when warm.',
    hints: { main: 'a display whose fish are out, or a tub of corals and invertebrates' },
    whys: {},
    cautions: ['Nothing that is wet with fish water may enter: tools, hands, snails, plugs. Keep the temperature constant.'],
    source: 'quarantine.md 7.5, fallow-velvet',
  },
  'fallow-brook': {
    what: 'No fish for 45 whole days, so that what needs one dies out. How long it lives off a fish is not known.',
    hints: { main: 'a display whose fish are out, or a tub of corals and invertebrates' },
    whys: {},
    cautions: ['Nothing that is wet with fish water may enter: tools, hands, snails, plugs. Keep the temperature constant.'],
    source: 'quarantine.md 7.5, fallow-brook',
  },
  'fallow-fluke': {
    what: 'No fish for 28 to 45 whole days, so that what needs one dies out. Eggs take up to about 21 days, larvae two more, and a margin; the longer one is the safer.',
    hints: { main: 'a display whose fish are out, or a tub of corals and invertebrates' },
    whys: {},
    cautions: ['Nothing that is wet with fish water may enter: tools, hands, snails, plugs. Keep the temperature constant, 25 to 28 °C.'],
    source: 'quarantine.md 7.5, fallow-fluke',
  },
  'fallow-fw': {
    what: 'No fish for 28 whole days, so that what needs one dies out; 14 are enough at 25 °C, where swimmers without a fish starve within days.',
    hints: { main: 'a tank whose fish are out' },
    whys: {},
    cautions: ['Nothing that is wet with fish water may enter: tools, hands, snails, plants. Keep the temperature constant.'],
    source: 'quarantine.md 7.5, fallow-fw',
  },
  'coral-76': {
    what: 'Corals and invertebrates 76 whole days without fish, dipped and looked at after dark. The default: the longest cyst seen took 72 days. With fish in the tub it counts pests only, not parasites.',
    hints: { main: 'without fish; one batch at a time' },
    whys: {
      pest: PEST_WHYS,
      pace: PACE_WHYS,
      dip: DIP_WHYS,
    },
    cautions: [
      'Gloves and goggles for every cut and dip: zoanthids and their relatives can hold palytoxin. Never heat, scrub dry or blow on them; keep children and pets away.',
      'Own tongs, net, cup and vials for this tub. No copper, no freshwater dip for sponges, clams and stars. One suspect coral, snail or hitchhiker sends the whole batch to day 0.',
    ],
    source: 'quarantine.md 7.5, fallow-76 with coral-in, coral-redip, coral-chem, coral-light; outbreaks.md 6',
  },
  'coral-45': {
    what: 'Corals and invertebrates 45 whole days without fish, dipped and looked at after dark. Shorter, at 27 to 28 °C; a rare late cyst stays possible. With fish in the tub it counts pests only, not parasites.',
    hints: { main: 'without fish; one batch at a time' },
    whys: {
      pest: PEST_WHYS,
      pace: PACE_WHYS,
      dip: DIP_WHYS,
    },
    cautions: [
      'Gloves and goggles for every cut and dip: zoanthids and their relatives can hold palytoxin. Never heat, scrub dry or blow on them; keep children and pets away.',
      'Own tongs, net, cup and vials for this tub. No copper, no freshwater dip for sponges, clams and stars. One suspect coral, snail or hitchhiker sends the whole batch to day 0.',
    ],
    source: 'quarantine.md 7.5, fallow-45 with coral-in, coral-redip, coral-chem, coral-light; outbreaks.md 6',
  },
  'coral-dip-cycle': {
    what: 'Every host is dipped again and again, at the pace at which the pest hatches and lays, until enough dips on end bring nothing off. Then weekly looks for six weeks.',
    hints: { main: 'where the corals live' },
    whys: {
      pest: {
        'zoa-nudi': 'on zoanthids; a dip leaves eggs',
        'montipora-nudi': 'on Montipora; a dip leaves eggs, and animals inside the skeleton',
        aefw: 'on Acropora; a dip leaves eggs',
        'brown-flatworm': 'on mushrooms, leathers, large polyps; a dip leaves eggs, and worms in folds of tissue',
        'red-bugs': 'on smooth Acropora; a dip leaves eggs, and some adults',
        'black-bugs': 'on Acropora; a dip leaves eggs, and some adults',
      },
      pace: PACE_WHYS,
      dip: DIP_WHYS,
    },
    cautions: [
      'Gloves and goggles for every cut and dip: zoanthids and their relatives can hold palytoxin. Never heat, scrub dry or blow on them; keep children and pets away.',
      'All hosts or none; one piece is tried first. Dip water goes down the drain, never into a tank.',
    ],
    source: 'outbreaks.md 5.1, 5.2, 6.1 and 6.2, coral-dip-cycle; further-schools.md 3',
  },
  'peroxide-spot': {
    what: 'A syringe of 3 % peroxide close over the alga, within the session’s cap for the whole tank; each patch scored every day, one left untreated to compare with.',
    hints: { main: 'its net volume sets the cap of a session' },
    whys: {
      tier: {
        'animals-in': 'at most 0.79 mg/L in the tank; nothing more is needed after',
        changed: 'at most 1.6 mg/L; every invertebrate is out, and the water is changed at once',
      },
    },
    cautions: [
      'Goggles and gloves: peroxide burns eyes and skin. Unplug what stands in the water before hands go in.',
      'Cleaner-type shrimp, anemones, mosses and liverworts suffer first.',
    ],
    source: 'outbreaks.md 5.1–5.3 and 7, peroxide-spot; further-schools.md 4',
  },
  ...PLAN_PROSE,
}
