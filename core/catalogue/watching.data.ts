/** What can be logged of a short look besides its signs. */
export type LookMeasure = 'breaths' | 'appetite' | 'faeces' | 'flashes'

/** One of the looks that half an hour of watching is spread over: quarantine.md 1. */
export interface ShortLook {
  id: string
  name: string
  when: string
  minutes: number
  /** Signs to tick, seen or not: those its row of the handbook speaks of. */
  signs: readonly string[]
  measures: readonly LookMeasure[]
}

/** The looks of a day in their order; together half an hour (quarantine.md 1, session ids unchanged; signs by its look-for column). */
export const SHORT_LOOKS: readonly ShortLook[] = [
  {
    id: 'obs-dark',
    name: 'Before lights-on',
    when: 'in the dark, a dim torch at a low angle',
    minutes: 5,
    signs: ['breathing-fast', 'fine-dust-sheen', 'hides-corner'],
    measures: ['breaths'],
  },
  {
    id: 'obs-lights-on',
    name: 'After lights-on',
    when: '5 to 20 minutes after it',
    minutes: 5,
    signs: ['white-grains-countable', 'fine-dust-sheen', 'colour-faded', 'eye-cloudy-one', 'eye-cloudy-both'],
    measures: [],
  },
  {
    id: 'obs-feeding',
    name: 'At the meal',
    when: 'and a while after it',
    minutes: 8,
    signs: ['belly-pinched', 'belly-swollen', 'faeces-white-stringy'],
    measures: ['appetite', 'faeces'],
  },
  {
    id: 'obs-distance',
    name: 'From two metres',
    when: 'at midday, after five minutes of sitting still',
    minutes: 7,
    signs: ['flashing', 'into-flow', 'hides-corner', 'erratic-darting', 'patchy-mucus-film'],
    measures: ['flashes'],
  },
  {
    id: 'obs-evening',
    name: 'Before lights-off',
    when: 'breathing, quarrels, where they sleep; the equipment',
    minutes: 5,
    signs: ['breathing-fast', 'chased', 'lethargic-bottom', 'surface-gasping'],
    measures: ['breaths'],
  },
]
