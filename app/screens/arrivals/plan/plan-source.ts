import type { BagContext } from '../../../../core/arrivals/box/bag-form.ts'
import type { RunStarted } from '../../../../core/arrivals/run/start.ts'

/** Everything a plan's page needs to know of who goes where. */
export interface PlanSource {
  context: BagContext
  /** As the run keeps them. */
  animals: RunStarted['animals']
  source: string | null
  /** Names what is typed, so that a reload finds it. */
  draft: string
}
