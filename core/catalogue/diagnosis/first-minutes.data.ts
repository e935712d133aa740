/** What is done in the first minutes, before anything is certain, and what makes it worse. */
export interface FirstMinutes {
  do: readonly string[]
  dont: readonly string[]
  source: string
}

const AIR_AND_WATER: FirstMinutes = {
  do: [
    'Air stone and surface ripple full on.',
    'Test total ammonia and pH now; the temperature too.',
    'Change 30 to 50 % of the water, matched in temperature and salinity.',
  ],
  dont: ['No medicine on top: formalin, praziquantel and warmth all take oxygen.', 'Do not feed today.'],
  source: 'quarantine.md 2.1, 2.3 doubt-gasp-all, 3.3 rf-mass',
}

/** By condition, those whose time is minutes to hours: quarantine.md class “hours”, outbreaks.md urgency 4. */
export const FIRST_MINUTES: Readonly<Record<string, FirstMinutes>> = {
  'marine-velvet': {
    do: [
      'Extra air, and dim the light.',
      'Every fish of that water is treated, in a tank without corals or invertebrates: chelated copper straight to 2.0 mg/L, unless a fish there does not tolerate copper. Other forms of copper by their ramp only.',
      'A peroxide or freshwater bath buys hours where breathing fails: peroxide by its row, gloves and eye protection.',
    ],
    dont: [
      'Do not wait for spots: breathing fails before dust shows.',
      'No wet net or hand from this water into another tank.',
    ],
    source: 'quarantine.md 2.1 marine-velvet, 3.3 rf-velvet',
  },
  brooklynella: {
    do: [
      'Extra air.',
      'Formalin bath, then into a sterile tank. Carcinogen with toxic vapour: gloves, goggles, outdoors or strong ventilation.',
      'Without formalin: peroxide bath (gloves and goggles), sterile tank.',
    ],
    dont: ['Copper does not work on it.', 'Do not put the fish back into the same water after the bath.'],
    source: 'quarantine.md 2.1 brooklynella',
  },
  uronema: {
    do: [
      'Into a tank of its own, clean water, extra air.',
      'With a veterinarian: formalin bath, and metronidazole in water and food. Formalin is a carcinogen with toxic vapour: gloves, goggles, strong ventilation; metronidazole is often on prescription: gloves, mask.',
    ],
    dont: ['Copper and low salinity do not touch it.', 'A display without fish does not clear it: it lives without them.'],
    source: 'quarantine.md 2.1 uronema',
  },
  'ammonia-burn': {
    do: [
      'Change 30 to 50 % of the water, matched.',
      'Air full on; test total ammonia and pH.',
      'Bind the ammonia only where no copper is in the water.',
    ],
    dont: ['No ammonia binder with copper.', 'Do not feed.', 'An opened shipping bag: do not wait, its pH rises.'],
    source: 'quarantine.md 2.1 ammonia-burn',
  },
  'copper-toxicity': {
    do: [
      'Test copper now.',
      'Change water to halve the level; fresh carbon or metal resin; air.',
      'Test again in an hour.',
    ],
    dont: ['No ammonia binder: it frees copper.', 'Not all of the copper out at once while a parasite is still there.'],
    source: 'quarantine.md 2.1 copper-toxicity',
  },
  'low-oxygen': AIR_AND_WATER,
  'fw-low-oxygen': AIR_AND_WATER,
  'fw-ammonia-nitrite': {
    do: [
      'Change 30 to 50 % of the water, matched; air.',
      'Test ammonia and nitrite.',
      'With nitrite: salt by its dose, where the animals and plants bear it.',
    ],
    dont: ['Do not feed.', 'Do not clean the filter in tap water.'],
    source: 'quarantine.md 2.2 fw-ammonia-nitrite',
  },
  columnaris: {
    do: [
      'Into a tank of its own; cool slowly to the low end of its range; extra air.',
      'A veterinarian today: antibiotics are prescription in most places.',
    ],
    dont: ['No heat: warmth speeds it.', 'Do not take it for a fungus: it kills in a day or two.'],
    source: 'quarantine.md 2.2 columnaris, 3.3 rf-columnaris',
  },
  'brown-jelly': {
    do: [
      'Pumps off, unplugged before hands go in. Gloves and goggles.',
      'Siphon the jelly into a bucket; throw that water away.',
      'Bag the coral under water, then cut the sick head away with 10 mm of margin; discard it, tools into bleach.',
      'Iodine dip 5 min at its label’s strength (stains, eye hazard), rinse, a tank of its own with gentle flow; pumps on again.',
    ],
    dont: ['Do not blow, baste or shake it in the tank: it drifts to the neighbours.', 'Do not wait a day.'],
    source: 'outbreaks.md 2 and 5.2, brown-jelly',
  },
  rtn: {
    do: [
      'Cut 10 to 20 mm into living tissue, past the line; gloves and goggles.',
      'Iodine dip 5 min at its label’s strength (stains, eye hazard), remount what lives.',
      'Test everything once, and list what happened in 21 days.',
    ],
    dont: ['Do not chase ten parameters at once.', 'Nothing snapped back within hours.'],
    source: 'outbreaks.md 2 and 5.2, cut-and-save',
  },
  'bacterial-bloom': {
    do: ['Air and surface ripple full on.', 'Test ammonia; feed a quarter at most; take out what died.'],
    dont: ['Do not stop the air.', 'No additives, no clarifier with fish in.'],
    source: 'outbreaks.md 5.2, bloom-aerate',
  },
}

/** What a red flag says first that no condition alone says: quarantine.md 3.3. */
export const FLAG_FIRST: Readonly<Record<string, FirstMinutes>> = {
  'rf-water': {
    do: [
      'Water and air first: change 30 to 50 %, matched; air full on.',
      'Copper over its range: halve it, fresh carbon or resin.',
      'Look again in an hour, and answer the signs again.',
    ],
    dont: ['No new drug until the water is right.'],
    source: 'quarantine.md 3.3 rf-water',
  },
  'rf-velvet': FIRST_MINUTES['marine-velvet']!,
  'rf-velvet-quiet': {
    do: [
      'Marine velvet and gill flukes cannot be excluded.',
      'A freshwater dip over a dark tray tells flukes: flecks drop off.',
      'Count the breaths again in four hours; extra air.',
    ],
    dont: ['Do not wait for spots.'],
    source: 'quarantine.md 3.3 rf-velvet-quiet',
  },
  'rf-brook': FIRST_MINUTES['brooklynella']!,
  'rf-uronema': FIRST_MINUTES['uronema']!,
  'rf-mass': AIR_AND_WATER,
  'rf-columnaris': FIRST_MINUTES['columnaris']!,
  'rf-dropsy': {
    do: ['Into a tank of its own, clean water.', 'A veterinarian, soon: the odds are poor once scales stand.'],
    dont: ['Do not promise yourself a cure: a humane end is fair.'],
    source: 'quarantine.md 3.3 rf-dropsy, 2.2 dropsy',
  },
  'rf-zoonosis': {
    do: ['Gloves, and no bare cut in this water: mycobacteria can infect human skin.', 'A veterinarian.'],
    dont: ['No siphon started by mouth.'],
    source: 'quarantine.md 3.3 rf-zoonosis',
  },
}
