import { changes, dose, goes, lives, piece, reads, starts, topsOff } from '../house.ts'
import { COPPER, fish, pair, type Pair } from './pair.ts'

/** Salinity, temperature, pH and the kind of water. */
export const SALINITY: readonly Pair[] = [
  pair(
    'a change that raises salinity over the day',
    [fish('f'), [-5, reads('quar', 'salinity', 12)]],
    changes('quar', 50, { salinityPsu: 35 }),
    'block salinity-rise',
    { proposed: changes('quar', 10, { salinityPsu: 35 }) },
  ),
  pair(
    'two changes that raise it over the day together',
    [fish('f'), [-25, reads('quar', 'salinity', 12)], [-5, changes('quar', 10, { salinityPsu: 35 })]],
    changes('quar', 10, { salinityPsu: 35 }),
    'block salinity-rise',
    { before: [fish('f'), [-50, reads('quar', 'salinity', 12)], [-30, changes('quar', 10, { salinityPsu: 35 })]] },
  ),
  pair(
    'nobody is in the tank',
    [fish('f'), [-5, reads('quar', 'salinity', 12)]],
    changes('quar', 50, { salinityPsu: 35 }),
    'block salinity-rise',
    { before: [[-5, reads('quar', 'salinity', 12)]] },
  ),
  pair(
    'a top-off with salt water',
    [fish('f'), [-80, reads('quar', 'salinity', 33)]],
    topsOff('quar', 12, 35),
    'block salinity-rise',
    { proposed: topsOff('quar', 2, 0) },
  ),
  pair(
    'salt into the tank dry',
    [fish('f'), [-5, reads('quar', 'salinity', 30)]],
    dose('quar', 'sea-salt', 500_000),
    'block salinity-rise',
    { proposed: dose('quar', 'sea-salt', 100_000) },
  ),
  pair(
    'a reef under 30',
    [
      [-90, lives('reef', 'star-urchin')],
      [-5, reads('reef', 'salinity', 33)],
    ],
    changes('reef', 20, { salinityPsu: 0 }),
    'block salinity-reef',
    { proposed: changes('reef', 20, { salinityPsu: 33 }) },
  ),
  pair(
    'a reef that falls fast',
    [
      [-90, piece('reef', 'coral-sps')],
      [-5, reads('reef', 'salinity', 35)],
    ],
    changes('reef', 50, { salinityPsu: 29 }),
    'block salinity-fall',
    { proposed: changes('reef', 20, { salinityPsu: 30 }) },
  ),
  pair(
    'fresh water instead of a top-off, in a reef',
    [
      [-90, lives('reef', 'shrimp')],
      [-5, reads('reef', 'salinity', 33)],
    ],
    topsOff('reef', 25, 0),
    'block salinity-reef',
    { proposed: topsOff('reef', 2, 0) },
  ),
  pair(
    'salinity raised fast for an urchin',
    [
      [-90, lives('reef', 'star-urchin')],
      [-30, reads('reef', 'salinity', 30.5)],
    ],
    changes('reef', 60, { salinityPsu: 38 }),
    'block salinity-rise',
    {
      before: [
        [-90, lives('reef', 'star-urchin')],
        [-8, reads('reef', 'salinity', 35)],
        [-2, reads('reef', 'salinity', 30)],
      ],
      proposed: changes('reef', 10, { salinityPsu: 38 }),
    },
  ),
  pair(
    'under 1.008 with fish',
    [fish('f'), [-5, reads('quar', 'salinity', 12)]],
    changes('quar', 20, { salinityPsu: 0 }),
    'block salinity-low',
    { proposed: changes('quar', 5, { salinityPsu: 8 }) },
  ),
  pair(
    'fish brought down in one go',
    [fish('f'), [-5, reads('quar', 'salinity', 35)]],
    changes('quar', 40, { salinityPsu: 0 }),
    'caution salinity-fall',
    { proposed: changes('quar', 12, { salinityPsu: 0 }) },
  ),
  pair(
    'a shark in thinned water',
    [fish('f', 'quar', 'elasmobranch'), [-5, reads('quar', 'salinity', 33)]],
    changes('quar', 20, { salinityPsu: 0 }),
    'block drug-elasmobranch',
    { before: [fish('f'), [-5, reads('quar', 'salinity', 33)]] },
  ),
  pair(
    'sea water into a planted tank',
    [fish('f', 'fresh', 'fw-cichlid')],
    changes('fresh', 20, { salinityPsu: 35 }),
    'block salinity-fresh',
    { proposed: changes('fresh', 20, { salinityPsu: 0 }) },
  ),
  pair(
    'a fish from 12 to 35',
    [fish('f', 'quar'), [-5, reads('quar', 'salinity', 12)], [-5, reads('reef', 'salinity', 35)]],
    goes('f', 'quar', 'reef'),
    'block salinity-apart',
    { before: [fish('f', 'quar'), [-5, reads('quar', 'salinity', 34.5)], [-5, reads('reef', 'salinity', 35)]] },
  ),
  pair(
    'a fish from 12 to a reef that nobody tested',
    [fish('f', 'quar'), [-5, reads('quar', 'salinity', 12)]],
    goes('f', 'quar', 'reef'),
    'block salinity-apart',
    { before: [fish('f', 'quar'), [-5, reads('quar', 'salinity', 34)]] },
  ),
  pair(
    'a fish an hour’s way up',
    [fish('f', 'quar'), [-5, reads('quar', 'salinity', 33)], [-5, reads('reef', 'salinity', 35)]],
    goes('f', 'quar', 'reef'),
    'caution salinity-apart',
    { before: [fish('f', 'quar'), [-5, reads('quar', 'salinity', 34.5)], [-5, reads('reef', 'salinity', 35)]] },
  ),
  pair(
    'a shrimp that falls far',
    [
      [-90, lives('reef', 'shrimp', 's')],
      [-5, reads('reef', 'salinity', 36)],
      [-5, reads('bare', 'salinity', 30)],
    ],
    goes('s', 'reef', 'bare'),
    'block salinity-apart',
    {
      before: [
        [-90, lives('reef', 'shrimp', 's')],
        [-5, reads('reef', 'salinity', 34)],
        [-5, reads('bare', 'salinity', 34)],
      ],
    },
  ),
  pair(
    'another temperature',
    [fish('f', 'quar'), [-5, reads('quar', 'temp', 25)], [-5, reads('reef', 'temp', 27)]],
    goes('f', 'quar', 'reef'),
    'caution temp-apart',
    { before: [fish('f', 'quar'), [-5, reads('quar', 'temp', 25)], [-5, reads('reef', 'temp', 26)]] },
  ),
  pair(
    'another pH',
    [fish('f', 'quar'), [-5, reads('quar', 'ph', 7.6)], [-5, reads('reef', 'ph', 8.3)]],
    goes('f', 'quar', 'reef'),
    'caution ph-apart',
    { before: [fish('f', 'quar'), [-5, reads('quar', 'ph', 8.2)], [-5, reads('reef', 'ph', 8.3)]] },
  ),
  pair('a marine fish into fresh water', [fish('f', 'quar')], goes('f', 'quar', 'fresh'), 'block wrong-water', {
    proposed: goes('f', 'quar', 'bare'),
  }),
  pair('a freshwater fish into the sea', [], lives('quar', 'fw-cichlid'), 'block wrong-water', {
    proposed: lives('fresh', 'fw-cichlid'),
  }),
  pair('mollies into the sea: with care', [], lives('quar', 'fw-livebearer'), 'caution wrong-water', {
    proposed: lives('fresh', 'fw-livebearer'),
  }),
  pair(
    'new water four degrees off',
    [fish('f'), [-5, reads('quar', 'temp', 25)]],
    changes('quar', 50, { temperatureC: 21 }),
    'caution temp-apart',
    { proposed: changes('quar', 20, { temperatureC: 21 }) },
  ),
  pair('a change under copper says the level after it', [[-5, COPPER]], changes('quar', 25), 'note level-after', {
    before: [],
  }),
  pair(
    'new water that lifts copper over its course',
    [
      [-90, starts('quar', 'qt-a-cu30', { options: { drug: 'cu-chelated-std' } })],
      [-5, reads('quar', 'copper', 2.4)],
    ],
    changes('quar', 50, { copperMgPerL: 3 }),
    'block over-band',
    { proposed: changes('quar', 50, { copperMgPerL: 2.4 }) },
  ),
]
