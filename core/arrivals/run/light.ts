/** Two weeks from the start to the light it had: acclimation.md 7, outbreaks.md "coral-light" (7–14 d). */
export const RAMP_DAYS = 14
/** A step every other day. */
const STEP_DAYS = 2
/** Half of the light it came from to begin with (EA); where nobody knows that, a third of the lamp (EA). */
const START_SHARE = 0.5
const UNKNOWN_START = 0.3

export interface LightStep {
  /** Days after the arrival. */
  day: number
  words: string
}

export interface LightRamp {
  startWords: string
  steps: LightStep[]
}

/**
 * From low to the light a coral had, in equal steps over two weeks.
 * @param fromUmol light it came from, µmol photons/m²/s; null where the seller did not say
 */
export function lightRamp(fromUmol: number | null): LightRamp {
  const start = fromUmol === null ? UNKNOWN_START : START_SHARE
  const words = (share: number) =>
    fromUmol === null
      ? `about ${Math.round(share * 100)} % of the lamp’s usual light`
      : `about ${Math.round(share * fromUmol)} µmol (${Math.round(share * 100)} % of the ${Math.round(fromUmol)} it had)`
  const count = RAMP_DAYS / STEP_DAYS
  return {
    startWords: words(start),
    steps: Array.from({ length: count }, (_, i) => ({
      day: (i + 1) * STEP_DAYS,
      words: words(start + ((1 - start) * (i + 1)) / count),
    })),
  }
}

/** Corals that came from one light are ramped together; those from another, or from nobody knows which, apart. */
export function byLight<T extends { lightUmol?: number | undefined }>(
  corals: readonly T[],
): { fromUmol: number | null; corals: T[] }[] {
  const groups = new Map<number | null, T[]>()
  for (const coral of corals) {
    const from = coral.lightUmol ?? null
    groups.set(from, [...(groups.get(from) ?? []), coral])
  }
  return [...groups].map(([fromUmol, together]) => ({ fromUmol, corals: together }))
}
