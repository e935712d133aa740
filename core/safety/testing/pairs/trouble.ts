import { goes, lives, piece, sees, starts, suspects, thinksOf, touches } from '../house.ts'
import { COPPER, fish, pair, type Pair } from './pair.ts'

/** Stock into trouble, what wet things bring, and what a course may begin with. */
export const TROUBLE: readonly Pair[] = [
  pair(
    'a coral into an open case',
    [[-90, suspects('reef', 'marine-film')]],
    lives('reef', 'coral-soft'),
    'caution open-case',
    { before: [] },
  ),
  pair(
    'a coral into a case that no running plan is against',
    [
      [-90, suspects('reef', 'marine-film')],
      [-80, starts('reef', 'dino-uv')],
    ],
    lives('reef', 'coral-soft'),
    'caution open-case',
    // A plan against what the case is about says it already.
    {
      before: [
        [-90, suspects('reef', 'marine-film')],
        [-89, thinksOf('reef', 'dino-ostreopsis')],
        [-80, starts('reef', 'dino-uv')],
      ],
    },
  ),
  pair(
    'a fish into a running plan',
    [[-90, starts('reef', 'dino-uv')]],
    lives('reef', 'hawkfish'),
    'caution running-plan',
    { proposed: lives('quar', 'hawkfish') },
  ),
  pair(
    'a move into an open case',
    [fish('f', 'quar'), [-90, suspects('reef', 'marine-film')]],
    goes('f', 'quar', 'reef'),
    'caution open-case',
    { proposed: goes('f', 'quar', 'bare') },
  ),
  pair(
    'media from a tank with fish',
    [fish('f', 'quar')],
    touches('bare', 'media', 'quar'),
    'caution media-from-fish',
    { before: [] },
  ),
  pair(
    'media from a tank whose fish left three weeks ago',
    [fish('f', 'quar'), [-500, goes('f', 'quar', 'reef')]],
    touches('bare', 'media', 'quar'),
    'caution media-from-fish',
    { before: [fish('f', 'quar'), [-700, goes('f', 'quar', 'reef')]] },
  ),
  pair('media of nobody knows where', [], touches('bare', 'media'), 'caution media-from-fish', {
    proposed: touches('bare', 'hand'),
  }),
  pair(
    'water from copper to a coral',
    [
      [-90, piece('reef', 'coral-sps')],
      [-9, COPPER],
    ],
    touches('reef', 'water', 'quar'),
    'never drug-invert',
    { proposed: touches('reef', 'hand', 'quar') },
  ),
  pair(
    'nine days in the dark with an anemone as a piece',
    [[-90, piece('reef', 'anemone')]],
    starts('reef', 'blackout-marine', { options: { days: '9' } }),
    'block choice-not-with',
    { proposed: starts('reef', 'blackout-marine', { options: { days: '3' } }) },
  ),
  pair(
    'amine copper straight to the dose',
    [],
    starts('quar', 'qt-b-drug14', { options: { drug: 'cu-amine-std' }, direct: true }),
    'block direct-dose',
    { proposed: starts('quar', 'qt-b-drug14', { options: { drug: 'cu-amine-std' } }) },
  ),
  pair(
    'chelated copper straight to the dose without velvet',
    [[-90, lives('quar', 'hawkfish')]],
    starts('quar', 'qt-b-drug14', { options: { drug: 'cu-chelated-std' }, direct: true }),
    'block direct-dose',
    {
      before: [
        [-90, lives('quar', 'hawkfish')],
        [-5, sees('quar', 'hawkfish', 'breathing-fast')],
        [-4, sees('quar', 'hawkfish', 'into-flow')],
      ],
    },
  ),
  pair(
    'a wet thing into days without fish',
    [[-90, starts('reef', 'fallow-76')]],
    lives('reef', 'snail'),
    'block unproven',
    { before: [] },
  ),
]
