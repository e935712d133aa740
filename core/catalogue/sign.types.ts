/** Something seen on or around an animal. Scope: m marine sign table, f freshwater, mf both. */
export interface Sign {
  id: string
  kind: 'physical' | 'behaviour' | 'context'
  scope: 'm' | 'f' | 'mf'
  label: string
  words: readonly string[]
  definition: string
}
