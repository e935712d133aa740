import { bath, dose, lives, piece, reads, sees, starts } from '../house.ts'
import { COPPER, fish, pair, type Pair } from './pair.ts'

/** Baths and dips, for whoever is in them. */
export const BATHS: readonly Pair[] = [
  pair(
    'copper bath with a shrimp',
    [[-90, lives('quar', 'shrimp', 's')]],
    bath('quar', 'cu-chelated', 2, 30, ['s']),
    'never drug-invert',
    { before: [fish('s')] },
  ),
  pair(
    'a formalin bath with a coral',
    [[-90, piece('reef', 'coral-sps', 'stag')]],
    bath('reef', 'formalin', 150, 45, [], { partIds: ['stag'] }),
    'block drug-invert',
    { before: [fish('f')], proposed: bath('quar', 'formalin', 150, 45, ['f']) },
  ),
  pair(
    'a formalin bath with a shark',
    [fish('f', 'quar', 'elasmobranch')],
    bath('quar', 'formalin', 150, 45, ['f']),
    'block drug-elasmobranch',
    { before: [fish('f')] },
  ),
  pair('a formalin bath over its strength', [fish('f')], bath('quar', 'formalin', 200, 45, ['f']), 'block over-band', {
    proposed: bath('quar', 'formalin', 158, 45, ['f']),
  }),
  pair('a formalin bath over its time', [fish('f')], bath('quar', 'formalin', 158, 90, ['f']), 'block bath-too-long', {
    proposed: bath('quar', 'formalin', 158, 60, ['f']),
  }),
  pair(
    'a formalin bath a day after another',
    [fish('f'), [-24, bath('quar', 'formalin', 158, 45, ['f'])]],
    bath('quar', 'formalin', 158, 45, ['f']),
    'block bath-too-soon',
    { before: [fish('f'), [-48, bath('quar', 'formalin', 158, 45, ['f'])]] },
  ),
  pair(
    'a peroxide bath three days after another',
    [fish('f'), [-72, bath('quar', 'peroxide', 75, 30, ['f'])]],
    bath('quar', 'peroxide', 75, 30, ['f']),
    'block bath-too-soon',
    { before: [fish('f'), [-144, bath('quar', 'peroxide', 75, 30, ['f'])]] },
  ),
  pair(
    'in the hybrid 138 hours are enough',
    [
      fish('f'),
      [-1, starts('quar', 'qt-c-hybrid', { tanks: { main: 'quar', other: 'bare' }, animalIds: ['f'], courseId: 'h' })],
      [-130, bath('quar', 'peroxide', 75, 30, ['f'])],
    ],
    bath('quar', 'peroxide', 75, 30, ['f'], { courseId: 'h' }),
    'block bath-too-soon',
    {
      before: [
        fish('f'),
        [
          -150,
          starts('quar', 'qt-c-hybrid', { tanks: { main: 'quar', other: 'bare' }, animalIds: ['f'], courseId: 'h' }),
        ],
        [-138, bath('quar', 'peroxide', 75, 30, ['f'])],
      ],
    },
  ),
  pair(
    'peroxide after formalin on the same fish',
    [fish('f'), [-24, bath('quar', 'formalin', 158, 45, ['f'])]],
    bath('quar', 'peroxide', 75, 30, ['f']),
    'block formalin-peroxide',
    { before: [fish('f'), [-24, bath('quar', 'formalin', 158, 45, ['other'])]] },
  ),
  pair(
    'formalin after peroxide on the same fish',
    [fish('f'), [-40, bath('quar', 'peroxide', 75, 30, ['f'])]],
    bath('quar', 'formalin', 158, 45, ['f']),
    'block formalin-peroxide',
    { before: [fish('f'), [-49, bath('quar', 'peroxide', 75, 30, ['f'])]] },
  ),
  pair(
    'formalin bath after permanganate',
    [fish('f', 'fresh', 'fw-cichlid'), [-24, bath('fresh', 'permanganate', 8, 30, ['f'])]],
    bath('fresh', 'formalin', 158, 45, ['f']),
    'never formalin-permanganate',
    { before: [fish('f', 'fresh', 'fw-cichlid'), [-24, bath('fresh', 'permanganate', 8, 30, ['other'])]] },
  ),
  pair(
    'permanganate bath after formalin',
    [fish('f', 'fresh', 'fw-cichlid'), [-24, bath('fresh', 'formalin', 158, 45, ['f'])]],
    bath('fresh', 'permanganate', 8, 30, ['f']),
    'never formalin-permanganate',
    { before: [fish('f', 'fresh', 'fw-cichlid'), [-24, bath('fresh', 'salt', 10_000, 20, ['f'])]] },
  ),
  pair(
    'a formalin bath for a fish whose tank was dosed with peroxide',
    [fish('f'), [-10, dose('quar', 'peroxide', 150)]],
    bath('quar', 'formalin', 158, 45, ['f']),
    'block formalin-peroxide',
    { before: [fish('f'), [-60, dose('quar', 'peroxide', 150)]] },
  ),
  pair(
    'peroxide into the tank of a fish that had formalin',
    [fish('f'), [-10, bath('quar', 'formalin', 158, 45, ['f'])]],
    dose('quar', 'peroxide', 150),
    'block formalin-peroxide',
    { before: [fish('f'), [-60, bath('quar', 'formalin', 158, 45, ['f'])]] },
  ),
  pair(
    'a bath in tank water with copper',
    [fish('f'), [-10, COPPER]],
    bath('quar', 'formalin', 158, 45, ['f'], { water: 'tank' }),
    'block cu-formalin',
    { proposed: bath('quar', 'formalin', 158, 45, ['f']) },
  ),
  pair(
    'a warm formalin bath',
    [fish('f')],
    bath('quar', 'formalin', 150, 45, ['f'], { temperatureC: 28 }),
    'block formalin-warm',
    { proposed: bath('quar', 'formalin', 150, 45, ['f'], { temperatureC: 25 }) },
  ),
  pair(
    'a formalin bath on an open sore',
    [fish('f'), [-9, sees('quar', 'f', 'open-ulcer')]],
    bath('quar', 'formalin', 150, 45, ['f']),
    'caution formalin-sore',
    { before: [fish('f')] },
  ),
  pair('an iodine dip for a fish', [fish('f')], bath('quar', 'iodine-dip', 20, 8, ['f']), 'block dip-not-for-fish', {
    before: [[-90, piece('reef', 'coral-soft', 'zoa')]],
    proposed: bath('reef', 'iodine-dip', 20, 8, [], { partIds: ['zoa'] }),
  }),
  pair(
    'an oil dip for a fish',
    [fish('f')],
    bath('quar', 'essential-oil-dip', undefined, 8, ['f']),
    'block dip-not-for-fish',
    {
      before: [[-90, piece('reef', 'coral-soft', 'zoa')]],
      proposed: bath('reef', 'essential-oil-dip', undefined, 8, [], { partIds: ['zoa'] }),
    },
  ),
  pair(
    'an iodine dip for an anemone',
    [[-90, piece('reef', 'anemone', 'nem')]],
    bath('reef', 'iodine-dip', 20, 8, [], { partIds: ['nem'] }),
    'block dip-forbidden',
    { before: [[-90, piece('reef', 'coral-soft', 'nem')]] },
  ),
  pair(
    'a peroxide dip for a stony coral',
    [[-90, piece('reef', 'coral-sps', 'stag')]],
    bath('reef', 'peroxide', 150, 5, [], { partIds: ['stag'] }),
    'block dip-forbidden',
    { before: [[-90, piece('reef', 'coral-soft', 'stag')]] },
  ),
  pair(
    'a freshwater dip for a shrimp',
    [[-90, lives('quar', 'shrimp', 's')]],
    bath('quar', 'fw-dip', undefined, 4, ['s']),
    'block fw-dip-invert',
    { before: [fish('s')] },
  ),
  pair(
    'a freshwater dip for a coral',
    [[-90, piece('reef', 'coral-lps', 'torch')]],
    bath('reef', 'fw-dip', undefined, 4, [], { partIds: ['torch'] }),
    'block fw-dip-invert',
    { before: [fish('f')], proposed: bath('quar', 'fw-dip', undefined, 4, ['f']) },
  ),
  pair('a freshwater dip too long', [fish('f')], bath('quar', 'fw-dip', undefined, 12, ['f']), 'block bath-too-long', {
    proposed: bath('quar', 'fw-dip', undefined, 5, ['f']),
  }),
  pair(
    'a freshwater dip two degrees off',
    [fish('f'), [-5, reads('quar', 'temp', 25)]],
    bath('quar', 'fw-dip', undefined, 4, ['f'], { temperatureC: 22.5 }),
    'caution temp-apart',
    { proposed: bath('quar', 'fw-dip', undefined, 4, ['f'], { temperatureC: 24.5 }) },
  ),
  pair(
    'a freshwater dip of another pH',
    [fish('f'), [-5, reads('quar', 'ph', 8.2)]],
    bath('quar', 'fw-dip', undefined, 4, ['f'], { pH: 7.2 }),
    'caution ph-apart',
    { proposed: bath('quar', 'fw-dip', undefined, 4, ['f'], { pH: 8.1 }) },
  ),
  pair(
    'permanganate for a marine fish',
    [fish('f')],
    bath('quar', 'permanganate', 8, 30, ['f']),
    'block permanganate-sea',
    { before: [fish('f', 'fresh', 'fw-cichlid')], proposed: bath('fresh', 'permanganate', 8, 30, ['f']) },
  ),
  pair('a bath of what has no bath row', [fish('f')], bath('quar', 'kanamycin', 8, 30, ['f']), 'ask cannot-judge', {
    proposed: bath('quar', 'ciprofloxacin', 66, 60, ['f']),
  }),
  pair('a bath without a strength', [fish('f')], bath('quar', 'formalin', undefined, 45, ['f']), 'ask cannot-judge', {
    proposed: bath('quar', 'formalin', 150, 45, ['f']),
  }),
  pair(
    'a long freshwater dip for a seahorse: with care',
    [fish('f', 'quar', 'syngnathid')],
    bath('quar', 'fw-dip', undefined, 4, ['f']),
    'caution syngnathid',
    { before: [fish('f')] },
  ),
  ...(
    [
      ['shrimp', 'shrimp'],
      ['crab', 'crab'],
      ['snail', 'snail'],
      ['star-urchin', 'invertebrate'],
    ] as const
  ).map(([group, row]) =>
    pair(
      `a praziquantel bath with a ${group}: with care`,
      [[-90, lives('quar', group, 's')]],
      bath('quar', 'praziquantel', 8, 120, ['s']),
      `caution ${row}`,
      { before: [fish('s')] },
    ),
  ),
]
