import { changes, dose, feeds, lives, piece, pumps, reads, runs, starts } from '../house.ts'
import { copperAt, COPPER, pair, type Pair } from './pair.ts'

/** How much is in the water now, and how much may go in. */
export const LEVELS: readonly Pair[] = [
  pair(
    'copper read where an urchin lives',
    [[-90, lives('reef', 'star-urchin')]],
    reads('reef', 'copper', 0.05),
    'ask which-tank',
    { proposed: reads('reef', 'copper', 0.04) },
  ),
  pair(
    'copper over a limit where a piece of coral is',
    [[-90, piece('reef', 'coral-sps')]],
    reads('reef', 'copper', { kind: 'above', limit: 0.05 }),
    'ask which-tank',
    { proposed: reads('reef', 'copper', { kind: 'below', limit: 0.5 }) },
  ),
  pair(
    'a range of copper where a shrimp lives',
    [[-90, lives('reef', 'shrimp')]],
    reads('reef', 'copper', { kind: 'range', low: 0, high: 0.25 }),
    'ask which-tank',
    { before: [[-90, lives('reef', 'hawkfish')]] },
  ),
  pair('copper dosed months ago, never read', [[-3000, COPPER]], lives('quar', 'snail'), 'never drug-invert', {
    before: [
      [-3000, COPPER],
      [-9, reads('quar', 'copper', 0)],
    ],
  }),
  pair(
    'copper that only water changes took out',
    [
      [-900, COPPER],
      [-800, changes('quar', 100)],
      [-700, changes('quar', 100)],
    ],
    lives('quar', 'snail'),
    'never drug-invert',
    {
      before: [
        [-900, COPPER],
        [-800, changes('quar', 100)],
        [-700, changes('quar', 100)],
        [-9, reads('quar', 'copper', { kind: 'below', limit: 0.05 })],
      ],
    },
  ),
  pair(
    'copper read in a tank where nobody dosed it',
    [[-9, reads('quar', 'copper', 0.3)]],
    lives('quar', 'snail'),
    'never drug-invert',
    { before: [[-9, reads('quar', 'copper', 0.01)]] },
  ),
  pair(
    '“< 0.5” does not show copper gone',
    [
      [-90, COPPER],
      [-9, reads('quar', 'copper', { kind: 'below', limit: 0.5 })],
    ],
    lives('quar', 'snail'),
    'never drug-invert',
    {
      before: [
        [-90, COPPER],
        [-9, reads('quar', 'copper', { kind: 'below', limit: 0.01 })],
      ],
    },
  ),
  pair(
    'copper in the new water, with a coral',
    [[-90, lives('reef', 'coral-soft')]],
    changes('reef', 10, { copperMgPerL: 2 }),
    'never drug-invert',
    { proposed: changes('reef', 10, { copperMgPerL: 0 }) },
  ),
  pair(
    'rock that was in copper',
    [
      [-2000, copperAt('reef')],
      [-90, reads('reef', 'copper', 0)],
    ],
    lives('reef', 'snail'),
    'block copper-in-rock',
    { before: [[-90, reads('reef', 'copper', 0)]] },
  ),
  pair(
    'rock that was in copper, still at zero a month later',
    [
      [-2000, copperAt('reef')],
      [-900, reads('reef', 'copper', 0)],
      [-90, reads('reef', 'copper', 0)],
    ],
    lives('reef', 'snail'),
    'caution copper-in-rock',
    {
      before: [
        [-6000, copperAt('reef')],
        [-900, reads('reef', 'copper', 0)],
      ],
    },
  ),
  pair(
    'snails after fenbendazole',
    [
      [-900, dose('reef', 'fenbendazole', 55)],
      [-800, runs('reef', 'carbon')],
    ],
    lives('reef', 'snail', 'snails', 6),
    'block fenbendazole-residue',
    { before: [[-3000, dose('reef', 'fenbendazole', 55)]] },
  ),
  pair(
    'trial snails after fenbendazole',
    [
      [-900, dose('reef', 'fenbendazole', 55)],
      [-800, runs('reef', 'carbon')],
    ],
    lives('reef', 'snail', 'snails', 2),
    'caution fenbendazole-residue',
    {
      before: [
        [-900, dose('reef', 'fenbendazole', 55)],
        [-800, runs('reef', 'carbon')],
        [-400, lives('reef', 'snail', 'trial', 2)],
      ],
    },
  ),
  pair('5000 mg/L of copper', [], dose('quar', 'cu-chelated', 50_000), 'block over-band', { proposed: COPPER }),
  pair('formalin over its row', [], dose('quar', 'formalin', 3000), 'block over-band', {
    proposed: dose('quar', 'formalin', 2500),
  }),
  pair('salt over its row', [], dose('fresh', 'salt', 600_000), 'block over-band', {
    proposed: dose('fresh', 'salt', 300_000),
  }),
  pair('Epsom salt over its row', [], dose('fresh', 'epsom-salt', 90_000), 'block over-band', {
    proposed: dose('fresh', 'epsom-salt', 80_000),
  }),
  pair('metronidazole in food over its row', [], feeds('quar', 'metronidazole', 12), 'block over-band', {
    proposed: feeds('quar', 'metronidazole', 10),
  }),
  pair('a drug without a row in food', [], feeds('quar', 'chloroquine', 5), 'ask cannot-judge', {
    proposed: feeds('quar', 'praziquantel', 5),
  }),
  pair('an iodine dip into the tank', [], dose('reef', 'iodine-dip', 10), 'block dip-in-tank', {
    proposed: dose('reef', 'potassium-chloride', 500),
  }),
  pair(
    'ammonium chloride with a fish',
    [[-90, lives('quar', 'hawkfish')]],
    dose('quar', 'ammonium-chloride', 20),
    'block ammonia-with-animals',
    { before: [] },
  ),
  pair(
    'ammonium chloride with a coral',
    [[-90, piece('reef', 'coral-lps')]],
    dose('reef', 'ammonium-chloride', 20),
    'block ammonia-with-animals',
    { before: [] },
  ),
  pair(
    'ammonium chloride over 0.5 in a fallow',
    [[-90, starts('reef', 'fallow-76')]],
    dose('reef', 'ammonium-chloride', 60),
    'block over-band',
    { proposed: dose('reef', 'ammonium-chloride', 30) },
  ),
  pair(
    'bicarbonate over the day',
    [[-90, lives('reef', 'hawkfish')]],
    dose('reef', 'sodium-bicarbonate', 4000),
    'block day-cap',
    { proposed: dose('reef', 'sodium-bicarbonate', 2900) },
  ),
  pair(
    'bicarbonate and carbonate over the day together',
    [
      [-90, lives('reef', 'hawkfish')],
      [-3, dose('reef', 'sodium-bicarbonate', 2000)],
    ],
    dose('reef', 'sodium-carbonate', 1200),
    'block day-cap',
    {
      before: [
        [-90, lives('reef', 'hawkfish')],
        [-30, dose('reef', 'sodium-bicarbonate', 2000)],
      ],
    },
  ),
  pair(
    'bicarbonate with small-polyp corals',
    [[-90, piece('reef', 'coral-sps')]],
    dose('reef', 'sodium-bicarbonate', 2000),
    'block day-cap',
    { before: [[-90, piece('reef', 'coral-soft')]] },
  ),
  ...(
    [
      ['sodium-nitrate', 600, 400],
      ['monopotassium-phosphate', 4, 2],
      ['potassium-chloride', 2500, 1900],
      ['calcium-chloride-dihydrate', 3000, 2400],
      ['magnesium-chloride-hexahydrate', 11_000, 9000],
      ['sodium-silicate-pentahydrate', 120, 90],
    ] as const
  ).map(([salt, over, within]) =>
    pair(`${salt} over the day`, [[-90, lives('reef', 'hawkfish')]], dose('reef', salt, over), 'block day-cap', {
      proposed: dose('reef', salt, within),
    }),
  ),
  pair(
    'silicate over its ceiling',
    [[-3, reads('reef', 'sio2', 2.8)]],
    dose('reef', 'sodium-silicate-pentahydrate', 50),
    'block over-band',
    { before: [[-3, reads('reef', 'sio2', 1)]] },
  ),
  pair(
    'spots of peroxide several times a day',
    [
      [-90, lives('reef', 'shrimp')],
      [-3, dose('reef', 'peroxide', 60)],
    ],
    dose('reef', 'peroxide', 60),
    'block drug-invert',
    {
      before: [
        [-90, lives('reef', 'shrimp')],
        [-30, dose('reef', 'peroxide', 60)],
      ],
    },
  ),
  pair(
    'peroxide over 1.6 with fish',
    [[-90, lives('quar', 'hawkfish')]],
    dose('quar', 'peroxide', 200),
    'block over-band',
    { proposed: dose('quar', 'peroxide', 150) },
  ),
  pair('peroxide over 7.9 with nobody', [], dose('quar', 'peroxide', 900), 'block over-band', {
    proposed: dose('quar', 'peroxide', 700),
  }),
  pair('peroxide of a bare tank whose filter is in', [], dose('reef', 'peroxide', 700), 'block dye-biofilter', {
    before: [[-2, runs('reef', 'filter', { running: false })]],
  }),
  pair(
    'a course’s own row, not the widest',
    [[-90, starts('fresh', 'qt-add-metro', { courseId: 'm' })]],
    dose('fresh', 'metronidazole', 900),
    'block over-band',
    { proposed: dose('fresh', 'metronidazole', 660) },
  ),
  pair(
    'fenbendazole over the lower dose of its plan',
    [[-5, starts('fresh', 'planaria-fenbendazole', { options: { dose: 'low' } })]],
    dose('fresh', 'fenbendazole', 100),
    'block over-band',
    { before: [[-5, starts('fresh', 'planaria-fenbendazole', { options: { dose: 'high' } })]] },
  ),
  pair(
    'fenbendazole at 2.6 redosed in full',
    [],
    starts('fresh', 'planaria-fenbendazole', { options: { dose: 'high', redose: 'full' } }),
    'never full-redose',
    { proposed: starts('fresh', 'planaria-fenbendazole', { options: { dose: 'high', redose: 'replaced' } }) },
  ),
  pair(
    'the same occasion of metronidazole twice',
    [[-1, dose('quar', 'metronidazole', 660)]],
    dose('quar', 'metronidazole', 660),
    'block over-band',
    { before: [[-24, dose('quar', 'metronidazole', 660)]] },
  ),
  pair(
    'the same round of praziquantel twice',
    [[-20, dose('quar', 'praziquantel', 250)]],
    dose('quar', 'praziquantel', 250),
    'block over-band',
    { before: [[-150, dose('quar', 'praziquantel', 250)]] },
  ),
  pair(
    'praziquantel in full after a third was changed',
    [
      [-20, dose('quar', 'praziquantel', 250)],
      [-2, changes('quar', 30)],
    ],
    dose('quar', 'praziquantel', 250),
    'block over-band',
    { proposed: dose('quar', 'praziquantel', 75) },
  ),
  pair('no strength', [], dose('quar', 'chloroquine'), 'ask cannot-judge', {
    proposed: dose('quar', 'nitrifying-bacteria'),
  }),
  pair('an ingredient that nobody knows', [], dose('quar', 'snake-oil', 5), 'ask cannot-judge', {
    proposed: dose('quar', 'metronidazole', 600),
  }),
  pair('a medicine without a row for a tank', [], dose('quar', 'ciprofloxacin', 500), 'ask cannot-judge', {
    proposed: dose('quar', 'kanamycin', 800),
  }),
  pair(
    'copper by a pump, with a coral',
    [[-90, piece('reef', 'coral-lps')]],
    pumps('reef', 'cu-chelated', 20),
    'never drug-invert',
    { proposed: pumps('quar', 'cu-chelated', 20) },
  ),
  pair(
    'a coral where a pump doses copper',
    [[-40, pumps('quar', 'cu-chelated', 20)]],
    lives('quar', 'coral-soft'),
    'never drug-invert',
    { before: [[-40, pumps('quar', 'sodium-nitrate', 20)]] },
  ),
  pair(
    'bicarbonate by a pump over the day',
    [[-90, lives('reef', 'hawkfish')]],
    pumps('reef', 'sodium-bicarbonate', 400),
    'block day-cap',
    { proposed: pumps('reef', 'sodium-bicarbonate', 200) },
  ),
]
