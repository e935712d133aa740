export type Water = 'marine' | 'freshwater'

/** A parameter of the water: its unit as kept, how well kits read it, what is plausible and what is comfortable. */
export interface Parameter {
  id: ParameterId
  name: string
  /** As printed in a ledger line. */
  short: string
  /** The unit every kept value is in. */
  unit: string
  decimals: number
  /** What a keeper may type for it. */
  aliases: readonly string[]
  /** 95 % half-width of a typical kit. */
  uncertainty: { abs: number; rel: number; join: 'larger' | 'sum' }
  /** Values outside are refused as slips of the pen. */
  plausible: readonly [number, number]
  /** What a kit may state the value as, and how many of the kept basis one of it makes. */
  bases?: readonly { id: string; perIon: number }[]
  /** The basis values are kept in; null where a reading keeps the basis it was read in. */
  kept?: string | null
  source: string
  bands: Partial<Record<BandProfileId, readonly [number | null, number | null]>>
}

export type ParameterId =
  | 'temp'
  | 'salinity'
  | 'ph'
  | 'alk-kh'
  | 'ca'
  | 'mg'
  | 'k'
  | 'no3'
  | 'po4'
  | 'tan'
  | 'no2'
  | 'sio2'
  | 'gh'
  | 'copper'
  | 'oxygen'

export type BandProfileId =
  | 'reef-sps'
  | 'reef-lps'
  | 'reef-soft'
  | 'fish-only'
  | 'quarantine-marine'
  | 'planted-fresh'
  | 'betta-nano'
  | 'shrimp-neo'
  | 'shrimp-caridina'

export interface BandProfile {
  id: BandProfileId
  name: string
  water: Water
}
