import {
  SOLVENT,
  bath,
  dose,
  feeds,
  holds,
  lives,
  piece,
  reads,
  runs,
  sees,
  starts,
  suspects,
  thinksOf,
} from '../house.ts'
import { bothWays, copperAt, COPPER, pair, type Pair } from './pair.ts'

const INVERTEBRATES = [
  'shrimp',
  'crab',
  'snail',
  'star-urchin',
  'clam',
  'anemone',
  'coral-soft',
  'coral-lps',
  'coral-sps',
]

/** Agents that meet one another, equipment, animals and states of the water: quarantine.md 6. */
export const MEETINGS: readonly Pair[] = [
  ...INVERTEBRATES.flatMap((group) =>
    bothWays(`copper and ${group}`, COPPER, lives('quar', group), 'never drug-invert', {
      a: lives('quar', 'hawkfish'),
      b: lives('quar', 'hawkfish'),
    }),
  ),
  ...['coral-soft', 'clam', 'anemone', undefined].flatMap((group) =>
    bothWays(`copper and a piece, ${group ?? 'untold'}`, COPPER, piece('quar', group), 'never drug-invert', {
      b: piece('quar', undefined, 'stone', 'rock'),
    }),
  ),
  ...bothWays('copper and an ammonia binder', COPPER, dose('quar', 'ammonia-binder'), 'never cu-binder', {
    b: dose('quar', 'nitrifying-bacteria'),
  }),
  ...bothWays('copper and a dechlorinator', COPPER, dose('quar', 'dechlorinator'), 'never cu-binder', {
    b: dose('quar', 'nitrifying-bacteria'),
  }),
  ...bothWays('copper and rock', COPPER, holds('quar', ['rock']), 'block cu-rock', { b: holds('quar', ['nothing']) }),
  ...bothWays('copper and sand', COPPER, holds('quar', ['sand']), 'block cu-rock', { b: holds('quar', ['nothing']) }),
  ...bothWays('copper and UV', COPPER, runs('quar', 'uv'), 'block cu-uv-ozone', { b: runs('quar', 'air') }),
  ...bothWays('copper and ozone', COPPER, runs('quar', 'ozone'), 'block cu-uv-ozone', { b: runs('quar', 'air') }),
  ...bothWays('copper and peroxide', COPPER, dose('quar', 'peroxide', 160), 'block cu-peroxide', {
    b: dose('quar', 'peroxide', 70),
  }),
  ...bothWays('copper and formalin', COPPER, dose('quar', 'formalin', 2500), 'block cu-formalin', {
    b: dose('quar', 'metronidazole', 600),
  }),
  ...bothWays('two forms of copper', COPPER, dose('quar', 'cu-amine', 40), 'block cu-copper', {
    b: dose('bare', 'cu-amine', 40),
  }),
  ...bothWays('copper and chloroquine', COPPER, dose('quar', 'chloroquine', 1300), 'block cu-chloroquine', {
    b: dose('bare', 'chloroquine', 1300),
  }),
  ...bothWays('copper and an antibiotic', COPPER, dose('quar', 'kanamycin', 800), 'caution cu-antibiotic', {
    b: dose('quar', 'metronidazole', 600),
  }),
  ...bothWays('copper and praziquantel', COPPER, dose('quar', 'praziquantel', 250), 'caution cu-praziquantel', {
    b: dose('bare', 'praziquantel', 250),
  }),
  ...bothWays('copper and metronidazole', COPPER, dose('quar', 'metronidazole', 600), 'note cu-metronidazole', {
    b: dose('bare', 'metronidazole', 600),
  }),
  pair('copper and low alkalinity', [[-5, reads('quar', 'alk-kh', 4.5)]], COPPER, 'caution cu-lowalk', {
    before: [[-5, reads('quar', 'alk-kh', 7)]],
  }),
  pair('copper into low salinity', [[-5, reads('quar', 'salinity', 12)]], COPPER, 'block cu-hypo', {
    before: [[-5, reads('quar', 'salinity', 34)]],
  }),
  pair('low salinity over copper', [[-5, COPPER]], starts('quar', 'qt-d-hypo'), 'block cu-hypo', {
    before: [[-5, dose('quar', 'metronidazole', 600)]],
  }),
  pair('sea-strength copper in fresh water', [], copperAt('fresh'), 'block cu-fresh', { proposed: COPPER }),

  ...bothWays('chloroquine and UV', dose('quar', 'chloroquine', 1300), runs('quar', 'uv'), 'block chloroquine-loss', {
    b: runs('quar', 'heater'),
  }),
  ...bothWays(
    'chloroquine and strong light',
    dose('quar', 'chloroquine', 1300),
    runs('quar', 'light'),
    'block chloroquine-loss',
    { b: runs('quar', 'light', { value: 20, unit: '%' }) },
  ),
  ...bothWays(
    'chloroquine and carbon',
    dose('quar', 'chloroquine', 1300),
    runs('quar', 'carbon'),
    'block chloroquine-loss',
    { b: runs('quar', 'air') },
  ),
  ...bothWays(
    'chloroquine and formalin',
    dose('quar', 'chloroquine', 1300),
    dose('quar', 'formalin', 2500),
    'caution chloroquine-drug',
    { b: dose('bare', 'formalin', 2500) },
  ),
  ...bothWays(
    'chloroquine and metronidazole',
    dose('quar', 'chloroquine', 1300),
    dose('quar', 'metronidazole', 600),
    'caution chloroquine-mild',
    { b: dose('bare', 'metronidazole', 600) },
  ),
  pair(
    'chloroquine again after a day of UV',
    [
      [-72, dose('quar', 'chloroquine', 1300)],
      [-60, runs('quar', 'uv')],
      [-30, runs('quar', 'uv', { running: false })],
    ],
    dose('quar', 'chloroquine', 100),
    'caution chloroquine-loss',
    { before: [[-72, dose('quar', 'chloroquine', 1300)]] },
  ),
  ...bothWays('a medicine and carbon', dose('quar', 'metronidazole', 600), runs('quar', 'carbon'), 'block carbon-any', {
    b: runs('quar', 'heater'),
  }),
  ...bothWays('a medicine and resin', dose('quar', 'metronidazole', 600), runs('quar', 'resin'), 'block carbon-any', {
    b: runs('quar', 'air'),
  }),
  ...bothWays('a medicine and UV', dose('quar', 'praziquantel', 250), runs('quar', 'uv'), 'block uv-ozone-any', {
    b: runs('bare', 'uv'),
  }),
  ...bothWays(
    'a medicine and the skimmer',
    dose('quar', 'praziquantel', 250),
    runs('quar', 'skimmer'),
    'caution skimmer-any',
    { b: runs('bare', 'skimmer') },
  ),
  ...bothWays(
    'praziquantel and kanamycin',
    dose('quar', 'praziquantel', 250),
    dose('quar', 'kanamycin', 800),
    'caution prazi-any',
    { b: dose('bare', 'kanamycin', 800) },
  ),
  ...bothWays(
    'formalin and peroxide',
    dose('quar', 'formalin', 2500),
    dose('quar', 'peroxide', 160),
    'block formalin-peroxide',
    { b: dose('quar', 'peroxide', 70) },
  ),
  ...bothWays(
    'formalin and permanganate',
    dose('fresh', 'formalin', 2500),
    dose('fresh', 'permanganate', 200),
    'never formalin-permanganate',
    { b: dose('quar', 'permanganate', 200) },
  ),
  ...bothWays(
    'peroxide and permanganate',
    dose('fresh', 'peroxide', 160),
    dose('fresh', 'permanganate', 200),
    'block peroxide-permanganate',
    { a: dose('fresh', 'peroxide', 70) },
  ),
  ...bothWays(
    'formalin and malachite green',
    dose('fresh', 'formalin', 2500),
    dose('fresh', 'malachite-green', 10),
    'note formalin-malachite',
    { b: dose('quar', 'malachite-green', 10) },
  ),
  pair(
    'formalin in warm water',
    [[-5, reads('quar', 'temp', 28)]],
    dose('quar', 'formalin', 2500),
    'block formalin-warm',
    { before: [[-5, reads('quar', 'temp', 25)]] },
  ),
  pair(
    'formalin with little oxygen',
    [[-5, reads('quar', 'oxygen', 5)]],
    dose('quar', 'formalin', 2500),
    'block formalin-warm',
    { before: [[-5, reads('quar', 'oxygen', 7)]] },
  ),
  pair(
    'formalin on an open sore',
    [
      [-90, lives('quar', 'hawkfish')],
      [-9, sees('quar', 'hawkfish', 'open-ulcer')],
    ],
    dose('quar', 'formalin', 2500),
    'caution formalin-sore',
    {
      before: [
        [-90, lives('quar', 'hawkfish')],
        [-9, sees('quar', 'hawkfish', 'flashing')],
      ],
    },
  ),
  ...bothWays(
    'formalin and an ammonia test',
    dose('quar', 'formalin', 2500),
    reads('quar', 'tan', 0.1),
    'note formalin-test',
    { a: dose('quar', 'metronidazole', 600) },
  ),
  ...bothWays(
    'a binder and an ammonia test',
    dose('quar', 'ammonia-binder'),
    reads('quar', 'tan', 0.1),
    'note binder-test',
    { a: dose('quar', 'nitrifying-bacteria') },
  ),
  pair(
    'low salinity and formalin',
    [[-5, reads('quar', 'salinity', 12)]],
    dose('quar', 'formalin', 2500),
    'caution hypo-formalin',
    { before: [[-5, reads('quar', 'salinity', 33)]] },
  ),
  pair('low salinity in a tank with a living filter', [], starts('reef', 'qt-d-hypo'), 'caution hypo-biofilter', {
    proposed: starts('quar', 'qt-d-hypo'),
  }),
  ...['chloroquine', 'levamisole', 'malachite-green', 'methylene-blue', 'diflubenzuron'].flatMap((agent) =>
    bothWays(`${agent} and a snail`, dose('quar', agent, 5), lives('quar', 'snail'), 'block drug-invert', {
      b: lives('quar', 'hawkfish'),
    }),
  ),
  ...bothWays('formalin and a coral', dose('quar', 'formalin', 2500), piece('quar', 'coral-sps'), 'block drug-invert', {
    b: lives('quar', 'hawkfish'),
  }),
  ...bothWays(
    'permanganate and a freshwater shrimp',
    dose('fresh', 'permanganate', 200),
    lives('fresh', 'fw-shrimp'),
    'block drug-invert',
    { b: lives('fresh', 'fw-livebearer') },
  ),
  ...bothWays(
    'fenbendazole and a snail',
    dose('fresh', 'fenbendazole', 55),
    lives('fresh', 'fw-snail'),
    'block drug-invert',
    { b: lives('fresh', 'fw-livebearer') },
  ),
  ...bothWays(
    'fenbendazole and a shrimp',
    dose('fresh', 'fenbendazole', 55),
    lives('fresh', 'fw-shrimp'),
    'caution drug-invert',
    { b: lives('fresh', 'fw-livebearer') },
  ),
  ...bothWays(
    'praziquantel and a star',
    dose('quar', 'praziquantel', 250),
    lives('quar', 'star-urchin'),
    'caution prazi-invert',
    { b: lives('quar', 'hawkfish') },
  ),
  ...bothWays(
    'peroxide at tank strength and a shrimp',
    dose('quar', 'peroxide', 160),
    lives('quar', 'shrimp'),
    'block drug-invert',
    { b: lives('quar', 'hawkfish') },
  ),
  pair(
    'low salinity with corals as pieces',
    [[-90, piece('quar', 'coral-lps')]],
    starts('quar', 'qt-d-hypo'),
    'block drug-invert',
    { before: [[-90, piece('quar', undefined, 'stone', 'rock')]] },
  ),
  ...['formalin', 'chloroquine'].flatMap((agent) =>
    bothWays(
      `${agent} and a shark`,
      dose('quar', agent, 1200),
      lives('quar', 'elasmobranch'),
      'block drug-elasmobranch',
      { b: lives('quar', 'hawkfish') },
    ),
  ),
  pair(
    'a shark into low salinity',
    [[-5, reads('quar', 'salinity', 12)]],
    lives('quar', 'elasmobranch'),
    'block drug-elasmobranch',
    { before: [[-5, reads('quar', 'salinity', 34)]] },
  ),
  pair(
    'an urchin into low salinity',
    [[-5, reads('quar', 'salinity', 12)]],
    lives('quar', 'star-urchin'),
    'block drug-invert',
    { before: [[-5, reads('quar', 'salinity', 34)]] },
  ),
  ...bothWays(
    'two antibiotics',
    dose('quar', 'kanamycin', 800),
    feeds('quar', 'enrofloxacin', 1),
    'caution antibiotic-two',
    { b: feeds('quar', 'praziquantel', 5) },
  ),
  pair('a fluoroquinolone in sea water', [], dose('quar', 'enrofloxacin', 250), 'ask cannot-judge', {
    proposed: feeds('quar', 'enrofloxacin', 1),
  }),
  pair(
    'a fluoroquinolone in a sea-water bath',
    [[-90, lives('quar', 'hawkfish')]],
    bath('quar', 'enrofloxacin', 5, 240, ['hawkfish']),
    'caution fluoroquinolone-hard',
    {
      before: [[-90, lives('fresh', 'fw-cichlid', 'hawkfish')]],
      proposed: bath('fresh', 'enrofloxacin', 5, 240, ['hawkfish']),
    },
  ),
  pair('an antibiotic in a living filter', [], dose('reef', 'kanamycin', 800), 'caution antibiotic-biofilter', {
    proposed: dose('quar', 'kanamycin', 800),
  }),
  pair('methylene blue in a living filter', [], dose('reef', 'methylene-blue', 200), 'block dye-biofilter', {
    proposed: dose('quar', 'methylene-blue', 200),
  }),
  pair('formalin at its tank dose in a living filter', [], dose('fresh', 'formalin', 2500), 'caution dye-biofilter', {
    proposed: dose('quar', 'formalin', 2500),
  }),
  ...bothWays(
    'levamisole and fenbendazole within a week',
    feeds('quar', 'levamisole', 2),
    feeds('quar', 'fenbendazole', 2.5),
    'caution levamisole-fenbendazole',
    { a: feeds('quar', 'praziquantel', 5), b: feeds('quar', 'praziquantel', 5) },
    [],
    -100,
  ),
  pair('permanganate in sea water', [], dose('quar', 'permanganate', 200), 'block permanganate-sea', {
    proposed: dose('fresh', 'permanganate', 200),
  }),
  ...bothWays(
    'heat and columnaris',
    runs('fresh', 'heater', { value: 30, unit: '°C' }),
    sees('fresh', 'molly', 'saddle-patch'),
    'block heat-columnaris',
    { a: runs('fresh', 'heater', { value: 25, unit: '°C' }) },
    [[-99, lives('fresh', 'fw-livebearer', 'molly')]],
  ).slice(1),
  pair(
    'heat with columnaris in an open case',
    [
      [-9, suspects('fresh', 'freshwater-fish')],
      [-8, thinksOf('fresh', 'columnaris')],
    ],
    runs('fresh', 'heater', { value: 30, unit: '°C' }),
    'block heat-columnaris',
    {
      before: [
        [-9, suspects('fresh', 'freshwater-fish')],
        [-8, thinksOf('fresh', 'fw-ich')],
      ],
    },
  ),
  ...bothWays(
    'heat and a medicine',
    runs('fresh', 'heater', { value: 30, unit: '°C' }),
    dose('fresh', 'metronidazole', 600),
    'caution heat-drug',
    { a: runs('fresh', 'heater', { value: 25, unit: '°C' }) },
  ),
  ...bothWays('salt and zeolite', dose('fresh', 'salt', 100_000), runs('fresh', 'zeolite'), 'block salt-zeolite', {
    b: runs('fresh', 'air'),
  }),
  ...bothWays('salt and plants', dose('fresh', 'salt', 100_000), holds('fresh', ['plants']), 'caution salt-plant', {
    b: holds('fresh', ['sand']),
  }),
  ...bothWays(
    'salt and a plant as a piece',
    dose('fresh', 'salt', 100_000),
    piece('fresh', undefined, 'fern', 'plant'),
    'caution salt-plant',
    { b: piece('fresh', undefined, 'stone', 'rock') },
  ),
  ...bothWays(
    'thiosulfate and peroxide',
    dose('fresh', 'dechlorinator'),
    dose('fresh', 'peroxide', 70),
    'note thiosulfate-oxidiser',
    { a: dose('fresh', 'nitrifying-bacteria') },
  ),
  ...bothWays(
    'fluconazole and carbon',
    dose('reef', 'fluconazole', 500),
    runs('reef', 'carbon'),
    'block fluconazole-loss',
    { b: runs('reef', 'air') },
  ),
  ...bothWays('fluconazole and UV', dose('reef', 'fluconazole', 500), runs('reef', 'uv'), 'block fluconazole-loss', {
    b: runs('reef', 'skimmer'),
  }),
  pair(
    'praziquantel again',
    [[-200, dose('quar', 'praziquantel', 250)]],
    dose('quar', 'praziquantel', 250),
    'note prazi-repeat',
    { before: [] },
  ),
  pair('praziquantel in alcohol', [], dose('quar', 'praziquantel', 250, { productId: SOLVENT }), 'note prazi-solvent', {
    proposed: dose('quar', 'praziquantel', 250),
  }),
]
