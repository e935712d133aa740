import type { UnitHabits } from '../../core/household/settings.ts'
import type { Journal } from '../../core/journal/journal.ts'

/** A stretch of words; a strong one carries the number or name that matters. */
export interface Mark {
  text: string
  strong?: boolean
  tone?: 'act' | 'soon'
}

/** What an entry is put into words with. */
export interface Wording {
  journal: Journal
  units: UnitHabits
}

export const strong = (text: string): Mark => ({ text, strong: true })
export const plain = (text: string): Mark => ({ text })
