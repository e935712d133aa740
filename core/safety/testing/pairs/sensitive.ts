import { dose, lives, starts } from '../house.ts'
import { bothWays, COPPER, pair, type Pair } from './pair.ts'

/** Who does not tolerate what: quarantine.md 5.6. */
export const SENSITIVE: readonly Pair[] = [
  ...(['elasmobranch', 'syngnathid', 'dragonet'] as const).flatMap((group) =>
    bothWays(`copper and ${group}`, COPPER, lives('quar', group), `block ${group}`, { b: lives('quar', 'hawkfish') }),
  ),
  pair(
    'chloroquine in its range with a leopard wrasse',
    [[-90, lives('quar', 'wrasse-sand')]],
    dose('quar', 'chloroquine', 1320),
    'block wrasse-sand',
    { before: [[-90, lives('quar', 'wrasse')]] },
  ),
  pair(
    'copper with a leopard wrasse: with care',
    [[-90, lives('quar', 'wrasse-sand')]],
    dose('quar', 'cu-chelated', 60),
    'caution wrasse-sand',
    { before: [[-90, lives('quar', 'wrasse')]] },
  ),
  pair('copper at once with a dwarf angel', [[-90, lives('quar', 'angel-dwarf')]], COPPER, 'block angel-dwarf', {
    proposed: dose('quar', 'metronidazole', 600),
  }),
  pair(
    'a step of the ramp with a dwarf angel: with care',
    [[-90, lives('quar', 'angel-dwarf')]],
    dose('quar', 'cu-chelated', 100),
    'caution angel-dwarf',
    { before: [[-90, lives('quar', 'angelfish-large')]] },
  ),
  pair(
    'two steps in a day with a pufferfish',
    [
      [-90, lives('quar', 'puffer-box')],
      [-12, dose('quar', 'cu-chelated', 100)],
    ],
    dose('quar', 'cu-chelated', 50),
    'block puffer-box',
    {
      before: [
        [-90, lives('quar', 'filefish')],
        [-12, dose('quar', 'cu-chelated', 100)],
      ],
    },
  ),
  pair(
    'the high range with a butterflyfish',
    [
      [-90, lives('quar', 'butterfly')],
      [-30, dose('quar', 'cu-chelated', 200)],
    ],
    dose('quar', 'cu-chelated', 30),
    'block butterfly',
    {
      before: [
        [-90, lives('quar', 'hawkfish')],
        [-30, dose('quar', 'cu-chelated', 200)],
      ],
    },
  ),
  pair(
    'the gentle range with a butterflyfish: with care',
    [[-90, lives('quar', 'butterfly')]],
    dose('quar', 'cu-chelated', 200),
    'caution butterfly',
    { before: [[-90, lives('quar', 'hawkfish')]] },
  ),
  pair(
    'the high range with a moray',
    [
      [-90, lives('quar', 'eel-lionfish')],
      [-30, dose('quar', 'cu-chelated', 200)],
    ],
    dose('quar', 'cu-chelated', 30),
    'block scaleless-marine',
    {
      before: [
        [-90, lives('quar', 'hawkfish')],
        [-30, dose('quar', 'cu-chelated', 200)],
      ],
    },
  ),
  pair(
    'a course of standard copper with a goby',
    [[-90, lives('quar', 'goby-blenny')]],
    starts('quar', 'qt-a-cu30', { options: { drug: 'cu-chelated-std' } }),
    'block scaleless-marine',
    { proposed: starts('quar', 'qt-f-observe') },
  ),
  pair(
    'copper with a tang: with care',
    [[-90, lives('quar', 'surgeonfish')]],
    dose('quar', 'cu-chelated', 100),
    'caution surgeonfish',
    { before: [[-90, lives('quar', 'hawkfish')]] },
  ),
  pair(
    'formalin with a chromis: oxygen',
    [[-90, lives('quar', 'damsel-chromis')]],
    dose('quar', 'formalin', 2500),
    'caution anthias-chromis',
    { before: [[-90, lives('quar', 'hawkfish')]] },
  ),
  pair(
    'malachite green in full with tetras',
    [[-90, lives('fresh', 'fw-scaleless')]],
    dose('fresh', 'malachite-green', 10),
    'block fw-scaleless',
    { proposed: dose('fresh', 'malachite-green', 5) },
  ),
  pair(
    'salt at 3 g/L with loaches',
    [[-90, lives('fresh', 'fw-scaleless')]],
    dose('fresh', 'salt', 300_000),
    'block fw-scaleless',
    { proposed: dose('fresh', 'salt', 100_000) },
  ),
  pair(
    'salt at 1.5 g/L with loaches',
    [[-90, lives('fresh', 'fw-scaleless')]],
    dose('fresh', 'salt', 150_000),
    'caution fw-scaleless',
    { proposed: dose('fresh', 'salt', 90_000) },
  ),
  pair(
    'permanganate with corydoras',
    [[-90, lives('fresh', 'fw-scaleless')]],
    dose('fresh', 'permanganate', 200),
    'block fw-scaleless',
    { before: [[-90, lives('fresh', 'fw-cichlid')]] },
  ),
  pair('an animal of unknown group', [[-90, lives('quar', 'no-such-group')]], COPPER, 'ask cannot-judge', {
    before: [[-90, lives('quar', 'hawkfish')]],
  }),
  pair('an animal of unknown group into copper', [[-9, COPPER]], lives('quar', 'no-such-group'), 'ask cannot-judge', {
    proposed: lives('quar', 'hawkfish'),
  }),
]
