import { animalGroupById } from '../catalogue/animal-group.ts'
import type { ExpectedArrival } from '../household/expected.ts'
import type { Settings } from '../household/settings.ts'
import type { Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import type { Box } from './box/boxes.ts'

/** Where a preparation is put right: by readings, by what the seller says, on the tank's page, or in another tank. */
export type Mend = 'readings' | 'seller' | 'tank' | 'elsewhere'

/** Something that has to be so before an animal comes, and whether it is. */
export interface Preparation {
  id: string
  tankId: string
  /** `never` stops the arrival; `asks` needs the keeper's word or the seller's. */
  state: 'ok' | 'missing' | 'asks' | 'warns' | 'never'
  title: string
  /** What the journal says, or what is missing. */
  words: string
  /** By when, ms; null once it is so. */
  by: number | null
  /** Whether the keeper ticks it: nothing in the journal tells. */
  isTick: boolean
  /** Absent where it is so, is ticked, or nothing puts it right. */
  mend?: Mend
}

/** What is asked: one tank of one box, as it stands now. */
export interface Asking {
  journal: Journal
  settings: Settings
  now: number
  box: Box
  tank: Tank
  animals: readonly ExpectedArrival[]
}

export type PreparationDraft = Omit<Preparation, 'tankId' | 'isTick'> & { isTick?: boolean }

/** Fish, coral or invertebrate. */
export const kindOf = ({ group }: { group: string }) => animalGroupById(group)?.kind

/** The evening before, the last calm hour to put something right. */
export const eveningBefore = ({ box, settings }: Asking) =>
  settings.clock.instantAt(settings.clock.dayOf(box.dueAt) - 1, 20 * 60)
