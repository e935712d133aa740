/** A sign table as the handbook prints it: conditions across, signs down. */
export interface SignSheet {
  source: string
  conditions: readonly string[]
  /** Prior weights in the order of the conditions; tables with one row of them have no `established`. */
  priors: { 'new-arrival': readonly number[]; established?: readonly number[] }
  signs: readonly {
    id: string
    group?: string
    question?: string
    /** How often the sign is seen in each condition, in their order. */
    p: readonly number[]
  }[]
}
