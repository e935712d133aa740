import type { Entry } from '../core/journal/entry.ts'

/** What the app is given by whoever puts the house together (main.tsx): rooms the app may not reach into itself. */
export interface Ports {
  /** Builds the sample household's journal, relative to now. */
  buildSample(present: { now: number; timeZone: string }): Promise<Entry[]>
}
