import type { IntroductionWay } from './introductions.ts'

/**
 * What must be true before the next step, written down first: quarantine.md 9 (hobby practice). The days are the shortest
 * the handbook names: two in the box, forty-eight hours side by side on neutral ground.
 */
export const INTRODUCTION_PROSE: Readonly<
  Record<IntroductionWay, { about: string; conditions: readonly { id: string; words: string }[] }>
> = {
  box: {
    about: 'A see-through box with holes, inside the display, for two to five days.',
    conditions: [
      { id: 'lost-interest', words: 'The residents have lost interest in the box' },
      { id: 'eats-in-box', words: 'The newcomer eats in the box' },
      { id: 'dusk', words: 'It is dusk, the residents are full' },
      { id: 'rock', words: 'For territorial residents: some rock stands differently' },
    ],
  },
  neutral: {
    about: 'Both into water neither owns, the weaker an hour or two ahead; later home together.',
    conditions: [
      { id: 'side-by-side', words: 'They have fed side by side for 48 hours' },
      { id: 'no-wounds', words: 'Neither carries a fresh wound' },
    ],
  },
  pair: {
    about: 'Added at the same moment, odd numbers, so that chases spread among many.',
    conditions: [
      { id: 'all-eat', words: 'All eat the food of the tank they go to' },
      { id: 'same-moment', words: 'All go in within the hour, lights dim' },
    ],
  },
}
